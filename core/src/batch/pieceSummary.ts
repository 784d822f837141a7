import type { BatchingSchool } from '../measure/index.js';
import {
  everyHold,
  type BatchProgress,
  type Hold,
  type OrderedStep,
  type PieceProgress,
} from './progress.js';

/**
 * Number of the rule by which pieces are summed up. It goes up whenever `summaryOf` would give anything
 * else for the same events: what was kept by an older rule is then summed up anew.
 */
export const SUMMARY_RULE = 1;

/** How far one piece is, without its events: what lists need. It says when a wait ends, not that one runs. */
export interface PieceSummary {
  piece: number;
  /** of the steps of the plan */
  stepsDone: number;
  rejected: boolean;
  /** place of its next step in the plan; null when all are done or it was rejected */
  step: number | null;
  /** something that must come before that step is not done */
  lockedBy: string | null;
  /** waits before that step, over or not: what, and the instant (ms) at which it ends */
  waits: { what: string; until: number }[];
}

/** Sums up a piece by the steps of the plan that it follows. */
export function summaryOf(steps: readonly OrderedStep[], piece: PieceProgress): PieceSummary {
  const rejected = piece.rejected !== null;
  const index = rejected ? -1 : steps.findIndex((s) => !piece.done.has(s.id));
  const next = steps[index];
  const holds = next ? everyHold(next, steps, piece) : [];
  return {
    piece: piece.piece,
    stepsDone: steps.filter((s) => piece.done.has(s.id)).length,
    rejected,
    step: next ? index : null,
    lockedBy: holds.find((h) => h.kind === 'lock')?.reason ?? null,
    waits: holds.flatMap(waitOf),
  };
}

const waitOf = ({ kind, reason, until }: Hold): PieceSummary['waits'] =>
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
  const open = pieces.flatMap((piece) => {
    const step = piece.step === null ? undefined : steps[piece.step];
    if (!step) return [];
    const wait = piece.waits.find((w) => w.until > now);
    return [{ piece: piece.piece, at: piece.step ?? 0, step, wait, lockedBy: piece.lockedBy }];
  });
  const first = open
    .filter((o) => o.wait === undefined && o.lockedBy === null)
    .sort((a, b) => FIRST[school](a, b) || a.piece - b.piece)[0];
  if (first) return { kind: 'do', piece: first.piece, step: first.step };
  const waiting = open.sort((a, b) => (a.wait?.until ?? Infinity) - (b.wait?.until ?? Infinity))[0];
  if (!waiting) return { kind: 'finished' };
  const { piece, step, wait, lockedBy } = waiting;
  return { kind: 'wait', piece, step, until: wait?.until ?? now, what: wait?.what ?? lockedBy ?? step.title };
}

/** Which of two pieces comes first by a school, the lower number where it does not care. */
const FIRST: Record<BatchingSchool, (a: { at: number }, b: { at: number }) => number> = {
  'by-piece': () => 0,
  'by-operation': (a, b) => a.at - b.at,
};

/** What to do next on a batch of which all events are known. */
export const nextAction = <S extends OrderedStep>(
  steps: readonly S[],
  { pieces }: BatchProgress,
  school: BatchingSchool,
  now: number,
): NextAction<S> =>
  nextOf(
    steps,
    pieces.map((piece) => summaryOf(steps, piece)),
    school,
    now,
  );
