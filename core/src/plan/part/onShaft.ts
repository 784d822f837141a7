import { partsMeet, shaftOf, type Shaft } from '../../assembly/index.js';
import type { Finding } from '../../measure/index.js';
import { joinSides, type Part, type PatternBody } from '../../pattern/index.js';
import { covers, goalsOf, stepDoes, type Shop, type Step, type Work } from '../../route/index.js';
import { ownCure } from '../ways/decisions.js';
import type { PlanInputs } from '../inputs.js';
import { madeFirst } from '../item/madeFirst.js';
import type { OwnWays } from '../ways/ownWays.js';
import type { PartDraft, PlannedPart } from './partPlan.js';

/** A finished part that another can be glued onto and turned on, as it was planned before. */
export interface Mate {
  shaft: Shaft;
  planned: PlannedPart;
}

/** What a part can be glued onto among those that are made in the same order; null where nothing is. */
export function mateOf(part: Part, pattern: PatternBody, planned: readonly PlannedPart[]): Mate | null {
  const shaft = shaftOf(part, pattern);
  const made = planned.find((p) => p.plan.partId === shaft?.partId);
  return shaft && made && made.plan.steps.length > 0 ? { shaft, planned: made } : null;
}

/** The shaft as the route takes it up, where the part is held so. */
export function shaftIn(
  { shaft, planned }: Mate,
  draft: Pick<PartDraft, 'material' | 'mount'>,
  { pattern, workshop }: PlanInputs,
  own: OwnWays,
): Work['shaft'] {
  const join = pattern.joins?.find((j) => j.id === shaft.joinId);
  const sides = join && joinSides(pattern, join);
  if (draft.mount.kind !== 'glued shaft' || !sides) return null;
  const meet = partsMeet(sides, [draft.material, planned.plan.material], workshop.glues);
  const cureMinutes = meet.cureMinutes === null ? null : ownCure(own, shaft.joinId, meet.cureMinutes);
  return {
    ...shaft,
    join: { ...meet, cureMinutes, sides, inner: 1, outer: 1, pass: null },
    made: planned.end,
    lengths: (partId) => (partId === shaft.partId ? planned.plan.outline.length : 0),
  };
}

/** The step at which the finished part comes in takes a piece of it, whole; what is behind it has it already. */
export function takingMate(steps: readonly Step[], { shaft, planned }: Mate): Step[] {
  const own = new Set(steps.map((s) => s.id));
  const at = steps.findIndex((s) => stepDoes(s, 'join') && s.operation?.subject === shaft.joinId);
  return steps.map((step, i): Step => {
    const locks = step.locks.filter((l) => own.has(l.stepId));
    // the shaft is turned by then: from there on nothing prepares any more
    const prepares = step.prepares === true && i < at;
    if (i !== at) return { ...step, prepares, locks };
    return {
      ...step,
      prepares,
      takes: [shaft.partId],
      trialFit: true,
      locks: [...locks, ...madeFirst([planned], [shaft.partId])],
    };
  });
}

/** What was whole of the shaft before and is not any more when both are turned. */
export function spoiltShaft(end: Shop, { shaft, planned }: Mate, pattern: PatternBody): Finding[] {
  const part = pattern.parts.find((p) => p.id === shaft.partId);
  if (!part) return [];
  const { holes, outline } = planned.plan;
  const goals = goalsOf({ part, holes, outline });
  const before = new Set(covers(planned.end, goals).map((f) => f.id));
  return covers(end, goals).filter((f) => !before.has(f.id));
}
