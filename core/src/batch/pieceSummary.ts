import type { BatchingSchool } from '../measure/index.js';
import { everyHold, type Hold, type OrderedStep } from './holds.js';
import { type BatchProgress } from './progress.js';
import type { PieceProgress } from './pieceProgress.js';
import { failedIn } from './failing.js';
import { concerns } from './lots.js';

/**
 * Number of the rule by which pieces are summed up. It goes up whenever `summaryOf` would give anything
 * else for the same events: what was kept by an older rule is then summed up anew.
 */
export const SUMMARY_RULE = 5;

/** How far one piece is, without its events: what lists need. It says when a wait ends, not that one runs. */
export interface PieceSummary {
  piece: number;
  /** of the steps of the plan */
  stepsDone: number;
  rejected: boolean;
  /** something was tried or checked on it and did not hold */
  failed: boolean;
  /** place of its next step in the plan; null when all are done or it was rejected */
  step: number | null;
  /** something that must come before that step is not done */
  lockedBy: string | null;
  /** waits before that step, over or not: what, and the instant (ms) at which it ends */
  waits: PieceWait[];
  /** later steps that nothing locks while that one waits, as far as one without a wait of its own */
  meanwhile: { step: number; waits: PieceWait[] }[];
}

/** What is waited for, and the instant (ms) at which it ends. */
interface PieceWait {
  what: string;
  until: number;
}

/** Sums up a piece by the steps of the plan that it follows. */
export function summaryOf(steps: readonly OrderedStep[], piece: PieceProgress): PieceSummary {
  const rejected = piece.rejected !== null;
  const index = rejected ? -1 : steps.findIndex((s) => concerns(s, piece) && !piece.done.has(s.id));
  const next = steps[index];
  const holds = next ? everyHold(next, steps, piece) : [];
  return {
    piece: piece.piece,
    stepsDone: steps.filter((s) => concerns(s, piece) && piece.done.has(s.id)).length,
    rejected,
    failed: !rejected && failedIn(steps, piece).length > 0,
    step: next ? index : null,
    lockedBy: holds.find((h) => h.kind === 'lock')?.reason ?? null,
    waits: holds.flatMap(waitOf),
    meanwhile: holds.some((h) => h.kind === 'wait') ? meanwhile(steps, piece, index) : [],
  };
}

/** What can be done on a piece while its next step waits: a wait keeps back only what needs it. */
function meanwhile(
  steps: readonly OrderedStep[],
  piece: PieceProgress,
  after: number,
): PieceSummary['meanwhile'] {
  const found: PieceSummary['meanwhile'] = [];
  for (const [i, step] of steps.entries()) {
    if (i <= after || piece.done.has(step.id) || !concerns(step, piece)) continue;
    const holds = everyHold(step, steps, piece);
    if (holds.some((h) => h.kind === 'lock')) continue;
    found.push({ step: i, waits: holds.flatMap(waitOf) });
    if (holds.length === 0) break;
  }
  return found;
}

const waitOf = ({ kind, reason, until }: Hold): PieceWait[] =>
  kind === 'wait' && until !== undefined ? [{ what: reason, until }] : [];

/** The next thing to do on a batch: a step of a piece, or the wait that holds everything up. */
export type NextAction<S extends OrderedStep = OrderedStep> =
  | { kind: 'do'; piece: number; step: S }
  | { kind: 'wait'; piece: number; step: S; until: number; what: string }
  | { kind: 'finished' };

/**
 * What to do next, by school: the first piece that can go on, or the operation that is furthest
 * behind. When everything waits, the wait that ends first.
 * @param now instant in ms
 */
export function nextOf<S extends OrderedStep>(
  steps: readonly S[],
  pieces: readonly PieceSummary[],
  school: BatchingSchool,
  now: number,
): NextAction<S> {
  const open = pieces.flatMap((piece) => openOf(steps, piece, now));
  const first = open
    .filter((o) => o.wait === undefined && o.lockedBy === null)
    .sort((a, b) => FIRST[school](a, b) || a.piece - b.piece)[0];
  if (first) return { kind: 'do', piece: first.piece, step: first.step };
  const waiting = open.sort((a, b) => (a.wait?.until ?? Infinity) - (b.wait?.until ?? Infinity))[0];
  if (!waiting) return { kind: 'finished' };
  const { piece, step, wait, lockedBy } = waiting;
  return { kind: 'wait', piece, step, until: wait?.until ?? now, what: wait?.what ?? lockedBy ?? step.title };
}

/** The next step of a piece; while it waits, the first that does not. */
function openOf<S extends OrderedStep>(steps: readonly S[], summary: PieceSummary, now: number) {
  const { piece, step: at, waits, lockedBy } = summary;
  if (at === null) return [];
  const here = { at, waits, lockedBy };
  const ways = [
    here,
    ...summary.meanwhile.map(({ step, waits: own }) => ({ at: step, waits: own, lockedBy: null })),
  ];
  const runs = (own: readonly PieceWait[]) => own.find((w) => w.until > now);
  const way = ways.find((w) => w.lockedBy === null && !runs(w.waits)) ?? here;
  const step = steps[way.at];
  return step ? [{ piece, at: way.at, step, wait: runs(way.waits), lockedBy: way.lockedBy }] : [];
}

interface OpenStep {
  at: number;
  step: OrderedStep;
}

/** Steps of one run are done in one go; in plans without runs each step is one. */
const runOf = ({ at, step }: OpenStep): number => step.run ?? at;

/** Which of two pieces comes first by a school, the lower number where it does not care. */
const FIRST: Record<BatchingSchool, (a: OpenStep, b: OpenStep) => number> = {
  'by-piece': () => 0,
  'by-operation': (a, b) => runOf(a) - runOf(b),
  'prepare-all': (a, b) => preparing(a) - preparing(b),
};

/** What prepares comes first, run by run; what is made on the lathe goes piece by piece. */
const preparing = (open: OpenStep): number =>
  open.step.prepares === true ? runOf(open) : Number.MAX_SAFE_INTEGER;

/**
 * What to do next on a batch of which all events are known.
 * @param passedOver pieces that others have in hand; where nothing else is left, they are looked at
 */
export const nextAction = <S extends OrderedStep>(
  steps: readonly S[],
  { pieces }: BatchProgress,
  school: BatchingSchool,
  now: number,
  passedOver: ReadonlySet<number> = NOBODYS,
): NextAction<S> => {
  const all = pieces.map((piece) => summaryOf(steps, piece));
  const free = all.filter(({ piece }) => !passedOver.has(piece));
  const next = nextOf(steps, free, school, now);
  return next.kind === 'finished' && free.length < all.length ? nextOf(steps, all, school, now) : next;
};

const NOBODYS: ReadonlySet<number> = new Set();
