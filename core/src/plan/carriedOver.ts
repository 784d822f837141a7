import type { PieceProgress } from '../batch/index.js';
import { len } from '../measure/index.js';
import type { Operation, Step } from '../route/index.js';

/** What is done on a piece, held against a plan made anew: it keeps its name and may mean something else now. */
export interface CarriedOver {
  piece: number;
  /** done, and in the new plan with other figures: what differs, in words */
  otherwise: { stepId: string; words: string }[];
  /** done, and in the new plan by no step */
  gone: Step[];
  /** not done yet, and needed by what is done already */
  passed: Step[];
}

/**
 * How the pieces that are under way would stand in a plan made anew: those of which nothing that is done differs are
 * left out. Plans made before there were routes carry nothing over; `planDifference` says so.
 */
export function carriedOver(
  before: readonly Step[],
  after: readonly Step[],
  pieces: readonly PieceProgress[],
): CarriedOver[] {
  const now = new Map(after.map((s) => [s.id, s]));
  const under = pieces.filter((p) => p.rejected === null && p.done.size > 0);
  return under.flatMap(({ piece, done }) => {
    const made = before.filter((s) => done.has(s.id));
    const otherwise = made.flatMap((step) => {
      const words = differs(step, now.get(step.id));
      return words === null ? [] : [{ stepId: step.id, words }];
    });
    const gone = made.filter((s) => !now.has(s.id));
    const passed = after.filter(
      (s) => !done.has(s.id) && after.some((o) => done.has(o.id) && o.locks.some((l) => l.stepId === s.id)),
    );
    return otherwise.length + gone.length + passed.length === 0 ? [] : [{ piece, otherwise, gone, passed }];
  });
}

/** The first figure that is another one now, as it was and as it would be. */
function differs(was: Step, now: Step | undefined): string | null {
  if (!was.operation || !now?.operation) return null;
  const [old, fresh] = [figures(was.operation), figures(now.operation)];
  if (old.length !== fresh.length) return `${was.title}: done otherwise now.`;
  for (const [i, { name, mm }] of old.entries()) {
    const other = fresh[i];
    if (!other || (other.name === name && Math.abs(other.mm - mm) < SAME)) continue;
    return `${was.title}: ${name} ${len(other.mm)} instead of ${len(mm)}.`;
  }
  return null;
}

const figures = ({ said }: Operation) => said.map(({ name, mm }) => ({ name, mm }));

/** Nobody works finer than this, mm. */
const SAME = 0.02;
