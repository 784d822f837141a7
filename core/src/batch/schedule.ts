import type { BatchingSchool } from '../measure/index.js';
import type { WorkingHours } from '../workshop/index.js';
import { setupKey, type Step } from './step.js';
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
 * working hours, waits running beside. By piece, the maker goes on with the next piece while one
 * waits. By operation, nobody goes on before all pieces have been through it.
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
  const ready = new Array<WallMinutes>(pieces).fill(start);
  WORKED[school](bench, steps, ready, hours, start);
  const end = Math.max(start, ...ready);
  return {
    school,
    start: localTime(start),
    end: localTime(end),
    elapsedMinutes: end - start,
    handsOnMinutes: bench.handsOn,
    setupMinutes: bench.setupMinutes,
    setups: bench.setups,
    spans: [...bench.spans].map(([stepId, s]) => ({ stepId, from: localTime(s.from), to: localTime(s.to) })),
  };
}

type Worked = (
  bench: Bench,
  steps: readonly Step[],
  ready: WallMinutes[],
  hours: WorkingHours,
  start: WallMinutes,
) => void;

/** How each school goes through the batch; `ready` says when each piece can go on, and is kept up. */
const WORKED: Record<BatchingSchool, Worked> = { 'by-operation': byOperation, 'by-piece': byPiece };

/** Each operation on all pieces before the next. */
function byOperation(
  bench: Bench,
  steps: readonly Step[],
  ready: WallMinutes[],
  hours: WorkingHours,
  start: WallMinutes,
): void {
  for (const step of steps)
    for (let p = 0; p < ready.length; p++) ready[p] = work(bench, step, p, ready[p] ?? start, hours);
}

/** The first piece that can go on goes on; when all wait, the one whose wait ends first. */
function byPiece(
  bench: Bench,
  steps: readonly Step[],
  ready: WallMinutes[],
  hours: WorkingHours,
  start: WallMinutes,
): void {
  const next = new Array<number>(ready.length).fill(0);
  let left = steps.length * ready.length;
  while (left > 0) {
    let chosen = -1;
    for (let p = 0; p < ready.length; p++) {
      if ((next[p] ?? 0) >= steps.length) continue;
      if ((ready[p] ?? start) <= bench.free) {
        chosen = p;
        break;
      }
      if (chosen < 0 || (ready[p] ?? start) < (ready[chosen] ?? start)) chosen = p;
    }
    const step = steps[next[chosen] ?? 0];
    if (!step) return;
    ready[chosen] = work(bench, step, chosen, ready[chosen] ?? start, hours);
    next[chosen] = (next[chosen] ?? 0) + 1;
    left--;
  }
}

/** Does one step of one piece, and returns when the piece is ready for its next. */
function work(bench: Bench, step: Step, piece: number, ready: WallMinutes, hours: WorkingHours): WallMinutes {
  const preparing = preparation(bench, step, piece);
  const minutes = preparing + step.minutes;
  const { from, to } = workFrom(hours, Math.max(bench.free, ready), minutes);
  bench.free = to;
  bench.handsOn += minutes;
  const span = bench.spans.get(step.id);
  bench.spans.set(step.id, { from: Math.min(span?.from ?? from, from), to: Math.max(span?.to ?? to, to) });
  return to + (step.wait?.minutes ?? 0);
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
