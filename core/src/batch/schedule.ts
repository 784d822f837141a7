import type { BatchingSchool } from '../measure/index.js';
import type { WorkingHours } from '../workshop/index.js';
import { runsOf, setupKey, type Step } from '../route/index.js';
import { waitBehind } from './progress.js';
import { localTime, workFrom, type WallMinutes } from './workingTime.js';

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
  /** the last piece is done, its last wait included */
  end: string;
  elapsedMinutes: number;
  handsOnMinutes: number;
  /** of the hands-on time: setting up and putting pieces back on the lathe */
  setupMinutes: number;
  setups: number;
  spans: StepSpan[];
}

interface Bench {
  free: WallMinutes;
  /** set-up that each place is in */
  state: Map<string, string>;
  /** piece on the lathe */
  onLathe: number | null;
  setups: number;
  setupMinutes: number;
  handsOn: number;
  spans: Map<string, { from: WallMinutes; to: WallMinutes }>;
}

/**
 * Plays the batch through for one maker: every step of every piece in the school's order, inside
 * working hours, waits running beside: they keep back only what is locked by them. By piece, the maker goes on
 * with the next piece while one waits. By operation, nobody goes on before all pieces have been through it.
 */
export function scheduleBatch(
  steps: readonly Step[],
  pieces: number,
  hours: WorkingHours,
  start: WallMinutes,
  school: BatchingSchool,
): Schedule {
  const bench: Bench = {
    free: start,
    state: new Map(),
    onLathe: null,
    setups: 0,
    setupMinutes: 0,
    handsOn: 0,
    spans: new Map(),
  };
  const batch: Batch = {
    steps,
    byId: new Map(steps.map((s) => [s.id, s])),
    done: Array.from({ length: pieces }, () => new Map<string, WallMinutes>()),
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
  };
}

/** The batch as it is played: when each step of each piece was done, and when the last wait ends. */
interface Batch {
  steps: readonly Step[];
  byId: ReadonlyMap<string, Step>;
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
    const from = steps.findIndex((s) => s.prepares !== true);
    byOperation(bench, batch, from < 0 ? steps : steps.slice(0, from));
    byPiece(bench, batch, from < 0 ? [] : steps.slice(from));
  },
};

/** Each run of steps on all pieces before the next. */
function byOperation(bench: Bench, batch: Batch, steps: readonly Step[]): void {
  for (const run of runsOf(steps))
    for (let p = 0; p < batch.done.length; p++) for (const step of run.steps) work(bench, batch, step, p);
}

/** The first piece that can go on goes on; when all wait, the one whose wait ends first. */
function byPiece(bench: Bench, batch: Batch, steps: readonly Step[]): void {
  const next = batch.done.map(() => 0);
  for (let left = steps.length * next.length; left > 0; left--) {
    let chosen = -1;
    let soonest = Infinity;
    for (let p = 0; p < next.length; p++) {
      const step = steps[next[p] ?? 0];
      if (!step) continue;
      const ready = readyAt(batch, step, p);
      if (ready < soonest) [chosen, soonest] = [p, ready];
      if (ready <= bench.free) {
        chosen = p;
        break;
      }
    }
    const step = steps[next[chosen] ?? 0];
    if (!step) return;
    work(bench, batch, step, chosen);
    next[chosen] = (next[chosen] ?? 0) + 1;
  }
}

/** When a piece can go on with a step: all that locks it is done and has waited as long as it must. */
function readyAt({ done, byId, start }: Batch, { locks }: Step, piece: number): WallMinutes {
  let ready = start;
  for (const lock of locks) {
    const at = done[piece]?.get(lock.stepId);
    if (at !== undefined) ready = Math.max(ready, at + waitBehind(lock, byId.get(lock.stepId)));
  }
  return ready;
}

/** Does one step of one piece. */
function work(bench: Bench, batch: Batch, step: Step, piece: number): void {
  const minutes = preparation(bench, step, piece) + step.minutes;
  const { from, to } = workFrom(batch.hours, Math.max(bench.free, readyAt(batch, step, piece)), minutes);
  bench.free = to;
  bench.handsOn += minutes;
  const span = bench.spans.get(step.id);
  bench.spans.set(step.id, { from: Math.min(span?.from ?? from, from), to: Math.max(span?.to ?? to, to) });
  batch.done[piece]?.set(step.id, to);
  batch.end = Math.max(batch.end, to + (step.wait?.minutes ?? 0));
}

function preparation(bench: Bench, step: Step, piece: number): number {
  const { place } = step.setup;
  const key = setupKey(step.setup);
  let minutes = 0;
  if (bench.state.get(place) !== key) {
    bench.state.set(place, key);
    bench.setups++;
    minutes += step.setupMinutes;
  }
  if (place === 'lathe') {
    if (bench.onLathe !== piece) minutes += step.remountMinutes;
    bench.onLathe = piece;
  }
  bench.setupMinutes += minutes;
  return minutes;
}
