import type { KitNeeds } from '../../hardware/index.js';
import { len, type Finding } from '../../measure/index.js';
import type { Hole, Part, PatternBody } from '../../pattern/index.js';
import type { PlannedHardware } from './partPlan.js';

/** A drawn hole this much wider or deeper than that of the hardware is a hole of its own. */
const SAME_SHARE = 1.3;

/** A hole that was drawn, and the hardware whose own hole is bored in its place. */
export interface TakenHole {
  hole: Hole;
  hardware: PlannedHardware;
}

/**
 * Drawn holes that hardware takes the place of: blind, from the end it is fitted to, no wider and no deeper
 * than what it asks for itself. One such hole is bored once, as the hardware needs it. A hole into which
 * another part is joined stays.
 */
export function takenHoles(
  part: Part,
  fitted: readonly PlannedHardware[],
  pattern: PatternBody,
): TakenHole[] {
  const joined = new Set((pattern.joins ?? []).map(({ outer }) => `${outer.partId} ${outer.holeId}`));
  return part.holes.flatMap((hole) => {
    if (hole.through || joined.has(`${part.id} ${hole.id}`)) return [];
    const hardware = fitted.find((h) => h.fitted.end === hole.from && isInside(hole, h.needs));
    return hardware ? [{ hole, hardware }] : [];
  });
}

function isInside(hole: Hole, { holes }: KitNeeds): boolean {
  const steps = holes.flatMap((needed) => needed.hole.steps);
  if (steps.length === 0) return false;
  const widest = Math.max(...steps.map((s) => s.diameter.mm));
  const deepest = Math.max(...steps.map((s) => s.depth.mm));
  return hole.steps.every((s) => s.diameter.mm <= widest * SAME_SHARE && s.depth.mm <= deepest * SAME_SHARE);
}

/** What is said of a drawn hole that is not bored. */
export const takenFindings = (partId: string, taken: readonly TakenHole[]): Finding[] =>
  taken.map(({ hole, hardware: { kit } }) => ({
    id: `drill.taken.${partId}.${hole.id}`,
    severity: 'note',
    stage: 'drill',
    partId,
    what: `The drawn ${hole.name}, ${len(hole.steps[0]?.diameter.mm ?? 0)} by ${len(hole.steps.at(-1)?.depth.mm ?? 0)} deep, is not bored: the ${kit.name} has its own hole there.`,
    why: 'Both would be bored into one place, and the hardware would fit neither.',
    remedy: 'Take the drawn hole out of the pattern, or the hardware if the drawn one is meant.',
  }));
