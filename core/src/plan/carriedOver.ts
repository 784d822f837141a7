import { stepsOfPiece, type PieceProgress } from '../batch/index.js';
import { len } from '../measure/index.js';
import type { Part } from '../pattern/index.js';
import { appliedAll, covers, goalsOf, restOf, type Operation, type Step } from '../route/index.js';
import type { PartPlan } from './partPlan.js';

/** How a piece that is under way stands in a plan made anew. */
export interface CarriedOver {
  piece: number;
  /** done, and in the new plan with other figures: what differs, in words */
  otherwise: { stepId: string; words: string }[];
  /** done, and in the new plan by no step */
  gone: Step[];
  /** done by its name, but the wood does not show it: it has to be done again */
  again: Step[];
  /** what of the new drawing this piece can no longer become, in sentences */
  lost: string[];
  /** steps that are still to be done on it */
  left: number;
}

/**
 * How the pieces that are under way would stand in a plan made anew: their wood is worked out from what is done on them,
 * and the new route is taken up from there. Pieces that go on as they were are left out. Plans made before there were
 * routes carry nothing over; `planDifference` says so.
 * @param part the part of the pattern that both plans make
 */
export function carriedOver(
  before: readonly Step[],
  after: Pick<PartPlan, 'steps' | 'outline' | 'holes'>,
  part: Part,
  pieces: readonly PieceProgress[],
): CarriedOver[] {
  const now = new Map(after.steps.map((s) => [s.id, s]));
  const goals = goalsOf({ part, outline: after.outline, holes: after.holes });
  const under = pieces.filter((p) => p.rejected === null && p.done.size > 0);
  return under.flatMap((progress) => {
    const { piece, done } = progress;
    const made = before.filter((s) => done.has(s.id));
    if (made.some((s) => s.operation === undefined)) return [];
    const state = appliedAll(operationsOf(made));
    const { rest, end } = restOf(operationsOf(after.steps), state, new Set(done.keys()));
    const left = new Set(rest.map((o) => o.id));
    const own: CarriedOver = {
      piece,
      otherwise: made.flatMap((step) => differs(step, now.get(step.id)) ?? []),
      gone: made.filter((s) => !now.has(s.id)),
      again: stepsOfPiece(after.steps, progress).filter(
        (s) => done.has(s.id) && left.has(s.id) && s.operation?.kind !== 'hold',
      ),
      lost: covers(end, goals).map((f) => f.what),
      left: left.size,
    };
    return [own.otherwise, own.gone, own.again, own.lost].every((found) => found.length === 0) ? [] : [own];
  });
}

const operationsOf = (steps: readonly Step[]): Operation[] => steps.flatMap((s) => s.operation ?? []);

/** The first figure that is another one now, as it was and as it would be. */
function differs(was: Step, now: Step | undefined): CarriedOver['otherwise'] | null {
  if (!was.operation || !now?.operation) return null;
  const [old, fresh] = [was.operation.said, now.operation.said];
  const say = (words: string) => [{ stepId: was.id, words: `${was.title}: ${words}` }];
  if (old.length !== fresh.length) return say('done otherwise now.');
  for (const [i, { name, mm }] of old.entries()) {
    const other = fresh[i];
    if (other && other.name === name && Math.abs(other.mm - mm) >= SAME)
      return say(`${name} ${len(other.mm)} instead of ${len(mm)}.`);
  }
  return null;
}

/** Nobody works finer than this, mm. */
const SAME = 0.02;
