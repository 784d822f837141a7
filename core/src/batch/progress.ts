import type { BatchingSchool } from '../measure/index.js';
import type { RunEvent } from './event.js';
import type { OrderLock, Step } from './step.js';

/** A measured value as it stands after corrections. */
export interface Reading {
  eventId: string;
  piece: number;
  stepId: string;
  stationId: string;
  mm: number;
  typed: string;
  at: string;
  correctedWhy?: string;
}

export interface PieceProgress {
  piece: number;
  /** step → instant (ms) at which it was done */
  done: Map<string, number>;
  started: Map<string, number>;
  /** timer → instant (ms) at which it was begun */
  timers: Map<string, number>;
  overridden: Set<string>;
  tried: Map<string, boolean>;
  /** acceptance check → whether it held when it was last made */
  checked: Map<string, boolean>;
  rejected: { stepId: string; cause: string; at: string } | null;
}

export interface BatchProgress {
  pieces: PieceProgress[];
  readings: Reading[];
}

/**
 * State of a batch from its events, whatever the order in which they arrived: events are played by
 * device time, then device and sequence. Events of pieces outside the batch are left out.
 */
export function progressOf(pieces: number, events: readonly RunEvent[]): BatchProgress {
  const progress: BatchProgress = {
    pieces: Array.from({ length: pieces }, (_, i) => emptyPiece(i + 1)),
    readings: [],
  };
  for (const event of inOrder(events)) play(progress, event);
  return progress;
}

const emptyPiece = (piece: number): PieceProgress => ({
  piece,
  done: new Map(),
  started: new Map(),
  timers: new Map(),
  overridden: new Set(),
  tried: new Map(),
  checked: new Map(),
  rejected: null,
});

const inOrder = (events: readonly RunEvent[]): RunEvent[] =>
  [...events].sort(
    (a, b) => a.at.localeCompare(b.at) || a.device.localeCompare(b.device) || a.sequence - b.sequence,
  );

function play({ pieces, readings }: BatchProgress, { id, piece, at, body }: RunEvent): void {
  const state = pieces[piece - 1];
  if (!state) return;
  const instant = Date.parse(at);
  switch (body.kind) {
    case 'started':
      state.started.set(body.stepId, instant);
      return;
    case 'done':
      state.done.set(body.stepId, instant);
      return;
    case 'timed':
      state.timers.set(timerKey(body.stepId, body.timerId), instant);
      return;
    case 'measured':
      readings.push({
        eventId: id,
        piece,
        stepId: body.stepId,
        stationId: body.stationId,
        mm: body.mm,
        typed: body.typed,
        at,
      });
      return;
    case 'corrected': {
      const reading = readings.find((r) => r.eventId === body.eventId);
      if (reading) Object.assign(reading, { mm: body.mm, typed: body.typed, correctedWhy: body.why });
      return;
    }
    case 'checked':
      state.checked.set(body.checkId, body.passed);
      return;
    case 'tried':
      state.tried.set(body.stepId, body.fits);
      return;
    case 'overridden':
      state.overridden.add(body.stepId);
      return;
    case 'rejected':
      state.rejected = { stepId: body.stepId, cause: body.cause, at };
      return;
    case 'reopened':
      state.done.delete(body.stepId);
      return;
  }
}

export const timerKey = (stepId: string, timerId: string): string => `${stepId}/${timerId}`;

/** What keeps a step of a piece from being done now. */
export interface Hold {
  kind: 'lock' | 'wait';
  reason: string;
  /** instant (ms) at which a wait ends */
  until?: number;
}

/**
 * Locks that are not yet met and waits that still run before a step of a piece.
 * @param now instant in ms
 */
export function holdsOn(step: Step, steps: readonly Step[], piece: PieceProgress, now: number): Hold[] {
  if (piece.overridden.has(step.id)) return [];
  return step.locks.flatMap((lock) => holdOf(lock, steps, piece, now));
}

function holdOf(lock: OrderLock, steps: readonly Step[], piece: PieceProgress, now: number): Hold[] {
  const before = steps.find((s) => s.id === lock.stepId);
  if (!before) return [];
  const done = piece.done.get(lock.stepId);
  if (done === undefined) return [{ kind: 'lock', reason: `${before.title} comes first: ${lock.reason}` }];
  const until = done + (before.wait?.minutes ?? 0) * 60_000;
  if (before.wait && until > now) return [{ kind: 'wait', reason: before.wait.what, until }];
  return [];
}

/** The next thing to do on a batch: a step of a piece, or the wait that holds everything up. */
export type NextAction =
  | { kind: 'do'; piece: number; step: Step }
  | { kind: 'wait'; piece: number; step: Step; until: number; what: string }
  | { kind: 'finished' };

/**
 * What to do next, by school: the first piece that can go on, or the operation that is furthest
 * behind. When everything waits, the wait that ends first.
 * @param now instant in ms
 */
export function nextAction(
  steps: readonly Step[],
  progress: BatchProgress,
  school: BatchingSchool,
  now: number,
): NextAction {
  const open = progress.pieces
    .filter((p) => p.rejected === null)
    .flatMap((p) => {
      const index = steps.findIndex((s) => !p.done.has(s.id));
      const step = steps[index];
      return step ? [{ piece: p, step, index, holds: holdsOn(step, steps, p, now) }] : [];
    });
  const first = open
    .filter((o) => o.holds.length === 0)
    .sort((a, b) =>
      school === 'by-piece'
        ? a.piece.piece - b.piece.piece
        : a.index - b.index || a.piece.piece - b.piece.piece,
    )[0];
  if (first) return { kind: 'do', piece: first.piece.piece, step: first.step };
  const waiting = open
    .map((o) => ({ ...o, wait: o.holds.find((h) => h.kind === 'wait') }))
    .sort((a, b) => (a.wait?.until ?? Infinity) - (b.wait?.until ?? Infinity))[0];
  if (!waiting) return { kind: 'finished' };
  return {
    kind: 'wait',
    piece: waiting.piece.piece,
    step: waiting.step,
    until: waiting.wait?.until ?? now,
    what: waiting.wait?.reason ?? waiting.step.title,
  };
}
