import { stepsOfPiece, type PieceProgress } from '../../batch/index.js';
import { len } from '../../measure/index.js';
import type { Part } from '../../pattern/index.js';
import {
  appliedAll,
  covers,
  goalsOf,
  restOf,
  stepDoes,
  type Operation,
  type Step,
} from '../../route/index.js';
import type { PartPlan } from '../part/partPlan.js';

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
  const goals = goalsOf({ part, outline: after.outline, holes: after.holes });
  const under = pieces.filter((p) => p.rejected === null && p.done.size > 0);
  const playedOn = new Map<string, Played | null>();
  return under.flatMap((progress) => {
    const { piece, done } = progress;
    // most pieces of a batch stand alike: their wood is worked out once
    const alike = [...done.keys()].sort().join('\n');
    let played = playedOn.get(alike);
    if (played === undefined) playedOn.set(alike, (played = goneOn(before, after.steps, done, goals)));
    if (played === null) return [];
    const { left, otherwise, gone, lost } = played;
    const again = stepsOfPiece(after.steps, progress).filter(
      (s) => done.has(s.id) && left.has(s.id) && !stepDoes(s, 'hold'),
    );
    if ([otherwise, gone, again, lost].every((found) => found.length === 0)) return [];
    return [{ piece, otherwise, gone, again, lost, left: left.size }];
  });
}

interface Played extends Pick<CarriedOver, 'otherwise' | 'gone' | 'lost'> {
  /** steps of the new route that are still to be done */
  left: ReadonlySet<string>;
}

/** The new route taken up from where the steps that are done have left the wood; null for a plan from before routes. */
function goneOn(
  before: readonly Step[],
  after: readonly Step[],
  done: PieceProgress['done'],
  goals: ReturnType<typeof goalsOf>,
): Played | null {
  const now = new Map(after.map((s) => [s.id, s]));
  const made = before.filter((s) => done.has(s.id));
  if (made.some((s) => s.operation === undefined)) return null;
  const { rest, end } = restOf(operationsOf(after), appliedAll(operationsOf(made)), new Set(done.keys()));
  return {
    left: new Set(rest.map((o) => o.id)),
    otherwise: made.flatMap((step) => differs(step, now.get(step.id)) ?? []),
    gone: made.filter((s) => !now.has(s.id)),
    lost: covers(end, goals, operationsOf(after)).map((f) => f.what),
  };
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
