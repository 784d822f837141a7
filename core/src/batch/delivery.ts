import { stepDoes, type Step } from '../route/index.js';
import { batchPieces, type Lot } from './lots.js';
import type { PieceProgress } from './pieceProgress.js';
import type { PieceSummary } from './pieceSummary.js';
import type { OrderedStep } from './holds.js';

/** How the items of a batch stand, each called by its count: a piece of the part that carries it. */
export interface ItemsMade {
  /** all is done to them and nothing failed */
  good: number[];
  /** still being made */
  open: number[];
  /** something that was tried or checked on them did not hold */
  stopped: number[];
  rejected: number[];
}

/** A line of an order as its items are shared out: how many are wanted, and what was handed over already. */
export interface WantedItems {
  wanted: number;
  /** `2026-03-20`; null when it has no day */
  due: string | null;
  /** counts of the items that were handed over */
  given: readonly number[];
}

/** What a line of an order gets beyond what was handed over. */
export interface LineStand {
  /** counts of the items that can be handed over */
  ready: number[];
  /** that are still being made for it */
  coming: number;
  /** that did not hold what they were tried for: to be cut again, mended or rejected */
  stopped: number;
  /** that nobody makes: rejected without a spare, or never planned */
  short: number;
}

/** The part whose pieces carry the items: others are joined to it; where nothing is joined, the only one. */
export const carrierOf = (
  lots: readonly Lot[],
  steps: readonly Pick<OrderedStep, 'partId' | 'takes'>[],
): string | undefined => steps.find((s) => (s.takes?.length ?? 0) > 0)?.partId ?? lots[0]?.partId;

/** The items of a batch by how they stand. */
export function itemsMade(
  lots: readonly Lot[],
  steps: readonly OrderedStep[],
  pieces: readonly PieceSummary[],
): ItemsMade {
  const carrier = carrierOf(lots, steps);
  const made: ItemsMade = { good: [], open: [], stopped: [], rejected: [] };
  for (const { piece, partId, n } of batchPieces(lots, steps)) {
    const summary = pieces[piece - 1];
    if (partId !== carrier || !summary) continue;
    made[bucketOf(summary)].push(n);
  }
  return made;
}

function bucketOf({ rejected, failed, step }: PieceSummary): keyof ItemsMade {
  if (rejected) return 'rejected';
  if (failed) return 'stopped';
  return step === null ? 'good' : 'open';
}

/**
 * Shares the items of a batch out among the lines it is made for: what was handed over stays where it went, then
 * whoever is due first gets the lower numbers, those without a day last and otherwise in the order they are given in.
 * @returns what each line gets, in the order of the lines
 */
export function sharedOut(lines: readonly WantedItems[], made: ItemsMade): LineStand[] {
  const gone = new Set(lines.flatMap((l) => l.given));
  const free = made.good.filter((n) => !gone.has(n));
  const open = [...made.open];
  const stopped = [...made.stopped];
  const stands = new Map<WantedItems, LineStand>();
  for (const line of [...lines].sort(byDue)) {
    let short = Math.max(0, line.wanted - line.given.length);
    const take = (from: number[]): number[] => {
      const taken = from.splice(0, short);
      short -= taken.length;
      return taken;
    };
    const ready = take(free);
    const coming = take(open).length;
    stands.set(line, { ready, coming, stopped: take(stopped).length, short });
  }
  return lines.flatMap((line) => stands.get(line) ?? []);
}

const NEVER = '9999';
const byDue = (a: WantedItems, b: WantedItems): number => (a.due ?? NEVER).localeCompare(b.due ?? NEVER);

type Resting = Pick<Step, 'id' | 'wait' | 'operation'>;

/**
 * When all that was put on a piece or into it has cured (ms) and it may be used; null when nothing has to.
 * @param finishCure how long its finish cures after the last coat, minutes: what is put on while it turns holds up no step
 */
export function restedAt(
  { done }: Pick<PieceProgress, 'done'>,
  steps: readonly Resting[],
  finishCure: number,
): number | null {
  const lastCoat = steps.findLast((s) => stepDoes(s, 'coated'));
  const ends = steps.flatMap((step) => {
    const at = done.get(step.id);
    const minutes = Math.max(restsFor(step), step === lastCoat ? finishCure : 0);
    return at !== undefined && minutes > 0 ? [at + minutes * MINUTE] : [];
  });
  return ends.length === 0 ? null : Math.max(...ends);
}

/** The longest that a step makes its piece wait, minutes: what it waits for before use holds up no other step. */
const restsFor = ({ wait, operation }: Resting): number =>
  Math.max(
    wait?.minutes ?? 0,
    ...(operation?.effects ?? []).flatMap((e) => (e.do === 'wait' ? Object.values(e.wait.minutes) : [])),
  );

const MINUTE = 60_000;

/** Counts as one would write them on a label: 1 to 4, 6, 8, 9. */
export function countWords(counts: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const n of [...counts].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last?.[1] === n - 1) last[1] = n;
    else runs.push([n, n]);
  }
  return runs
    .map(([from, to]) =>
      from === to ? String(from) : to === from + 1 ? `${from}, ${to}` : `${from} to ${to}`,
    )
    .join(', ');
}
