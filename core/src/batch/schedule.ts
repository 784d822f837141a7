import type { BatchingSchool } from '../measure/index.js';
import type { WorkingHours } from '../workshop/index.js';
import { runsOf, setupKey, type Step } from '../route/index.js';
import { waitBehind } from './holds.js';
import { batchPieces, concerns, type BatchPiece, type Lot } from './lots.js';
import { WorkDays, type WorkDay } from './workDays.js';
import { localTime, takenInHand, workFrom, type WallMinutes } from './workingTime.js';

/** When a step is first begun and last ended over the batch, on the workshop's clock. */
interface StepSpan {
  stepId: string;
  from: string;
  to: string;
}

/** How a batch goes by one school, for one maker. Minutes. */
export interface Schedule {
  school: BatchingSchool;
  start: string;
  /** the last piece can be taken in hand: it is done, its last wait is over, and somebody is at work */
  end: string;
  elapsedMinutes: number;
  handsOnMinutes: number;
  /** of the hands-on time: setting up, putting pieces back on the lathe and laying its belt */
  setupMinutes: number;
  setups: number;
  spans: StepSpan[];
  /** what is done with hands, day by day; plans made before it was kept have none */
  days?: WorkDay[];
}

interface Bench {
  days: WorkDays;

  free: WallMinutes;
  /** set-up that each place is in */
  state: Map<string, string>;
  /** blank on the lathe */
  onLathe: number | null;
  /** speed that its belt lies for, rpm; null before it is first laid */
  belt: number | null;
  /** minutes to lay it for another; 0 where the lathe needs none */
  beltMinutes: number;
  setups: number;
  setupMinutes: number;
  handsOn: number;
  spans: Map<string, { from: WallMinutes; to: WallMinutes }>;
}

/**
 * Plays the batch through for one maker: every step of every piece in the school's order, inside
 * working hours, waits running beside: they keep back only what is locked by them. By piece, the maker goes on
 * with the next piece while one waits. By operation, nobody goes on before all pieces have been through it.
 * @param beltMinutes to lay the belt for another speed; 0 where the lathe needs none
 */
export function scheduleBatch(
  steps: readonly Step[],
  lots: readonly Lot[],
  hours: WorkingHours,
  start: WallMinutes,
  school: BatchingSchool,
  beltMinutes = 0,
): Schedule {
  const bench: Bench = {
    days: new WorkDays(),
    free: start,
    state: new Map(),
    onLathe: null,
    belt: null,
    beltMinutes,
    setups: 0,
    setupMinutes: 0,
    handsOn: 0,
    spans: new Map(),
  };
  const pieces = batchPieces(lots, steps);
  const batch: Batch = {
    byId: new Map(steps.map((s) => [s.id, s])),
    pieces,
    blanks: byBlank(pieces),
    done: pieces.map(() => new Map<string, WallMinutes>()),
    hours,
    start,
    end: start,
  };
  WORKED[school](bench, batch, steps);
  return {
    school,
    start: localTime(start),
    end: localTime(batch.end),
    elapsedMinutes: batch.end - start,
    handsOnMinutes: bench.handsOn,
    setupMinutes: bench.setupMinutes,
    setups: bench.setups,
    spans: [...bench.spans].map(([stepId, s]) => ({ stepId, from: localTime(s.from), to: localTime(s.to) })),
    days: bench.days.list(),
  };
}

/** The batch as it is played: when each step of each blank was done, and when the last wait ends. */
interface Batch {
  byId: ReadonlyMap<string, Step>;
  pieces: BatchPiece[];
  /** the pieces of each blank */
  blanks: BatchPiece[][];
  done: Map<string, WallMinutes>[];
  hours: WorkingHours;
  start: WallMinutes;
  end: WallMinutes;
}

type Worked = (bench: Bench, batch: Batch, steps: readonly Step[]) => void;

/** How each school goes through the batch. */
const WORKED: Record<BatchingSchool, Worked> = {
  'by-operation': byOperation,
  'by-piece': byPiece,
  'prepare-all': (bench, batch, steps) => {
    byOperation(
      bench,
      batch,
      steps.filter((s) => s.prepares === true),
    );
    byPiece(
      bench,
      batch,
      steps.filter((s) => s.prepares !== true),
    );
  },
};

function byBlank(pieces: readonly BatchPiece[]): BatchPiece[][] {
  const blanks: BatchPiece[][] = [];
  for (const piece of pieces) (blanks[piece.blank] ??= []).push(piece);
  return blanks;
}

/** Each run of steps on all pieces before the next. */
function byOperation(bench: Bench, batch: Batch, steps: readonly Step[]): void {
  for (const run of runsOf(steps))
    for (const blank of batch.blanks)
      for (const step of run.steps)
        for (const piece of blank)
          if (isOpen(batch, step, piece)) work(bench, batch, step, piece, `run ${run.id}`);
}

/** What is done to a whole blank is done once, with the first of its pieces that comes to it. */
const isOpen = (batch: Batch, step: Step, piece: BatchPiece): boolean =>
  concerns(step, piece) && batch.done[piece.blank]?.has(step.id) !== true;

/** So many finished pieces may stand among the open ones before they are sorted out. */
const FINISHED_AMONG = 16;

/** The first piece that can go on goes on; when all wait, the one whose wait ends first. */
function byPiece(bench: Bench, batch: Batch, steps: readonly Step[]): void {
  const at = batch.pieces.map(() => 0);
  const nextOf = (piece: BatchPiece): Step | undefined => {
    let i = at[piece.piece - 1] ?? 0;
    for (; steps[i] && !isOpen(batch, steps[i] as Step, piece); i++);
    at[piece.piece - 1] = i;
    return steps[i];
  };
  // pieces that still have a step; those that are finished are not gone through again and again
  let open = batch.pieces;
  for (;;) {
    let chosen: { piece: BatchPiece; step: Step } | null = null;
    let soonest = Infinity;
    let finished = 0;
    for (const piece of open) {
      const step = nextOf(piece);
      if (!step) {
        finished++;
        continue;
      }
      const ready = readyAt(batch, step, piece).at;
      if (ready < soonest || ready <= bench.free) [chosen, soonest] = [{ piece, step }, ready];
      if (ready <= bench.free) break;
    }
    if (!chosen) return;
    if (finished > FINISHED_AMONG) open = open.filter((piece) => nextOf(piece) !== undefined);
    work(bench, batch, chosen.step, chosen.piece, `blank ${chosen.piece.blank}`);
  }
}

/** When a step can be begun, and the step that keeps it back until then. */
interface Ready {
  at: WallMinutes;
  after: string | undefined;
}

/** When a piece can go on with a step: all that locks it is done and has waited as long as it must. */
function readyAt(batch: Batch, { locks }: Step, piece: BatchPiece): Ready {
  const { done, byId, start } = batch;
  let ready: Ready = { at: start, after: undefined };
  for (const lock of locks) {
    const before = byId.get(lock.stepId);
    if (!before) continue;
    for (const needed of neededFor(batch, before, piece)) {
      const at = done[needed.blank]?.get(lock.stepId);
      if (at !== undefined) {
        const free = at + waitBehind(lock, before);
        if (free > ready.at) ready = { at: free, after: lock.stepId };
      }
      // what another piece must have behind it first
      else if (needed.piece !== piece.piece) return { at: Infinity, after: lock.stepId };
    }
  }
  return ready;
}

/** Whose step another one of a piece waits for: its own, that of another piece in its blank, or of those that it is joined to. */
function neededFor({ blanks, pieces }: Batch, before: Step, piece: BatchPiece): BatchPiece[] {
  if (before.partId === piece.partId)
    return concerns(before, piece) ? [piece] : (blanks[piece.blank] ?? []).filter((p) => concerns(before, p));
  const carriers = pieces.filter((p) => p.partId === piece.partId).length;
  const others = pieces.filter((p) => p.partId === before.partId);
  const each = Math.floor(others.length / Math.max(1, carriers));
  return others.slice((piece.n - 1) * each, piece.n * each).filter((p) => concerns(before, p));
}

/** Does one step of one piece, in one go with what goes by the same. */
function work(bench: Bench, batch: Batch, step: Step, piece: BatchPiece, goesBy: string): void {
  const minutes = preparation(bench, step, piece.blank) + step.minutes;
  const ready = readyAt(batch, step, piece);
  const { from, to, spans } = workFrom(batch.hours, Math.max(bench.free, ready.at), minutes);
  const after = ready.at > bench.free ? ready.after : undefined;
  bench.days.add(spans, { goesBy, stepId: step.id, piece: piece.piece, after });
  bench.free = to;
  bench.handsOn += minutes;
  const span = bench.spans.get(step.id);
  bench.spans.set(step.id, { from: Math.min(span?.from ?? from, from), to: Math.max(span?.to ?? to, to) });
  batch.done[piece.blank]?.set(step.id, to);
  const waits = step.wait?.minutes ?? 0;
  batch.end = Math.max(batch.end, waits > 0 ? takenInHand(batch.hours, to + waits) : to);
}

function preparation(bench: Bench, step: Step, blank: number): number {
  const { place } = step.setup;
  const key = setupKey(step.setup);
  let minutes = 0;
  if (bench.state.get(place) !== key) {
    bench.state.set(place, key);
    bench.setups++;
    minutes += step.setupMinutes;
  }
  if (place === 'lathe') {
    if (bench.onLathe !== blank) minutes += step.remountMinutes;
    bench.onLathe = blank;
    minutes += relaid(bench, step);
  }
  bench.setupMinutes += minutes;
  return minutes;
}

/** Minutes to lay the belt for what a step turns at; a lathe that stands needs none. */
function relaid(bench: Bench, { operation }: Step): number {
  const rpm = operation?.rpm ?? 0;
  if (rpm === 0 || rpm === bench.belt) return 0;
  bench.belt = rpm;
  return bench.beltMinutes;
}
