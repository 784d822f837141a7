import type { OrderLock, Step } from '../route/index.js';
import { failedIn } from './failing.js';
import { concerns } from './lots.js';
import type { PieceProgress } from './pieceProgress.js';

/** What keeps a step of a piece from being done now. */
export interface Hold {
  kind: 'lock' | 'wait';
  reason: string;
  /** instant (ms) at which a wait ends */
  until?: number;
}

/** What of a step decides whether it may be done. */
export type OrderedStep = Pick<
  Step,
  'id' | 'partId' | 'title' | 'locks' | 'wait' | 'run' | 'prepares' | 'share' | 'only' | 'takes' | 'checks'
>;

/** How long a step must wait for one that locks it, minutes: what it waits for, or in plans without a route all of it. */
export const waitBehind = ({ minutes }: OrderLock, before: Pick<Step, 'wait'> | undefined): number =>
  minutes ?? before?.wait?.minutes ?? 0;

/**
 * Locks that are not yet met and waits that still run before a step of a piece.
 * @param now instant in ms
 */
export const holdsOn = (
  step: OrderedStep,
  steps: readonly OrderedStep[],
  piece: PieceProgress,
  now: number,
): Hold[] => everyHold(step, steps, piece).filter((h) => h.until === undefined || h.until > now);

/** Locks that are not yet met and all waits before a step of a piece, those that are over included. */
export function everyHold(step: OrderedStep, steps: readonly OrderedStep[], piece: PieceProgress): Hold[] {
  if (piece.overridden.has(step.id)) return [];
  return [
    ...stopped(step, steps, piece),
    ...lacking(step, piece),
    ...step.locks.flatMap((lock) => holdOf(lock, steps, piece)),
  ];
}

/**
 * What did not hold stops all that comes after it, until it holds or somebody goes on all the same: then it is known,
 * and stops nothing a second time.
 */
function stopped(step: OrderedStep, steps: readonly OrderedStep[], piece: PieceProgress): Hold[] {
  const failed = failedIn(steps, piece);
  if (failed.length === 0) return [];
  const at = steps.indexOf(step);
  return failed
    .map((own) => ({ own, from: steps.indexOf(own) }))
    .filter(({ from }) => from < at && !steps.slice(from + 1).some((s) => piece.overridden.has(s.id)))
    .map(({ own: { title } }) => ({
      kind: 'lock',
      reason: `${title}: it did not hold. Cut again and try once more, mend it, or reject it.`,
    }));
}

/** A join for which there are not as many pieces as it takes. */
function lacking({ takes = [], partId }: OrderedStep, { partners }: PieceProgress): Hold[] {
  const parts = new Set(takes.filter((t) => t !== partId));
  const short = [...parts].filter(
    (part) => (partners.get(part)?.length ?? 0) < takes.filter((t) => t === part).length,
  );
  return short.length === 0
    ? []
    : [{ kind: 'lock', reason: 'No piece is left to go with it: make a spare, or put this one aside.' }];
}

/** A wait that was gone past once, by leave or by the clock, does not hold what comes after it again. */
const passedBefore = (
  { stepId }: OrderLock,
  minutes: number,
  steps: readonly OrderedStep[],
  { done, overridden }: PieceProgress,
): boolean =>
  steps.some(
    ({ id, locks }) =>
      (overridden.has(id) || done.has(id)) &&
      locks.some((l) => l.stepId === stepId && (l.minutes ?? 0) >= minutes),
  );

function holdOf(lock: OrderLock, steps: readonly OrderedStep[], piece: PieceProgress): Hold[] {
  const before = steps.find((s) => s.id === lock.stepId);
  if (!before) return [];
  if (before.partId !== piece.partId)
    return (piece.partners.get(before.partId) ?? []).flatMap((partner) =>
      concerns(before, partner) ? holdBy(lock, before, steps, partner) : [],
    );
  return holdBy(lock, before, steps, piece);
}

/** What a piece has not behind it of what must come before. */
function holdBy(
  lock: OrderLock,
  before: OrderedStep,
  steps: readonly OrderedStep[],
  piece: PieceProgress,
): Hold[] {
  if (piece.given.has(before.share?.place ?? 0)) return [];
  const done = piece.done.get(lock.stepId);
  if (done === undefined) return [{ kind: 'lock', reason: `${before.title} comes first: ${lock.reason}` }];
  const minutes = waitBehind(lock, before);
  if (minutes === 0 || passedBefore(lock, minutes, steps, piece)) return [];
  return [{ kind: 'wait', reason: before.wait?.what ?? lock.reason, until: done + minutes * 60_000 }];
}
