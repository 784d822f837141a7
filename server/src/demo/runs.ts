import { createHash } from 'node:crypto';
import {
  batchPieces,
  lotsOf,
  stepsOfPiece,
  stepsOfPlan,
  type BatchPiece,
  type PlanSnapshot,
  type RunEvent,
  type RunEventBody,
  type Station,
  type Step,
} from '@compas/core';

/** How a demo run went: which steps each piece has behind it, and what was measured. */
export interface DemoRun {
  /** instant of the first event */
  begun: number;
  /** steps done of a piece, from the first of its own */
  stepsDone: (piece: number, steps: readonly Step[]) => number;
  /** deviation from the wanted size, mm */
  deviation: (piece: number, station: Station) => number;
  /** what came of an acceptance check */
  check: (piece: number, checkId: string) => { passed: boolean; value?: number };
  rejected?: { piece: number; cause: string };
}

const MINUTE = 60_000;

/** The events of a run, operation by operation as the demo workshop works, waits between. */
export function demoEvents(batchId: string, { plan }: PlanSnapshot, run: DemoRun): RunEvent[] {
  const steps = stepsOfPlan(plan);
  const pieces = batchPieces(lotsOf(plan.parts), steps);
  const events: RunEvent[] = [];
  let clock = run.begun;
  const add = (piece: number, body: RunEventBody) => {
    const sequence = events.length + 1;
    events.push({
      id: uuidFrom(`${batchId}/${sequence}`),
      piece,
      at: new Date(clock).toISOString(),
      device: 'bench tablet',
      sequence,
      planVersion: 1,
      body,
    });
  };
  for (const step of steps) {
    for (const piece of pieces) {
      const own = stepsOfPiece(steps, piece);
      const index = own.indexOf(step);
      if (index < 0 || run.stepsDone(piece.piece, own) <= index) continue;
      clock += step.minutes * MINUTE;
      const part = plan.parts.find((p) => p.partId === step.partId);
      const stations = part?.stations.filter((s) => step.measures.includes(s.id)) ?? [];
      for (const body of [
        ...joinedIn(step, piece, pieces),
        ...stations.map((station): RunEventBody => ({
          kind: 'measured',
          stepId: step.id,
          stationId: station.id,
          ...measured(station, step, run.deviation(piece.piece, station)),
        })),
        ...(step.checks ?? []).map((checkId): RunEventBody => ({
          kind: 'checked',
          stepId: step.id,
          checkId,
          ...run.check(piece.piece, checkId),
        })),
        ...(step.trialFit ? [{ kind: 'tried' as const, stepId: step.id, fits: true, note: '' }] : []),
        { kind: 'done' as const, stepId: step.id },
      ])
        add(piece.piece, body);
    }
    clock += (step.wait?.minutes ?? 0) * MINUTE;
  }
  const { rejected } = run;
  const lost = pieces.find((p) => p.piece === rejected?.piece);
  if (rejected && lost) {
    const own = stepsOfPiece(steps, lost);
    const stepId = own[run.stepsDone(rejected.piece, own)]?.id ?? own[0]?.id ?? '';
    add(rejected.piece, { kind: 'rejected', stepId, cause: rejected.cause });
  }
  return events;
}

/** Each carrier takes the piece of its own count. */
function joinedIn(step: Step, { n }: BatchPiece, pieces: readonly BatchPiece[]): RunEventBody[] {
  const taken = (step.takes ?? []).flatMap(
    (partId) => pieces.find((p) => p.partId === partId && p.n === n) ?? [],
  );
  return taken.length === 0 ? [] : [{ kind: 'joined', stepId: step.id, pieces: taken.map((p) => p.piece) }];
}

/** What a calliper would show: a hundredth of a millimetre. */
function measured(station: Station, step: Step, deviation: number): { mm: number; typed: string } {
  const wanted = step.against === 'cut' ? station.cutTo : station.finished;
  const typed = (wanted + deviation).toFixed(2);
  return { mm: Number(typed), typed };
}

/** The scatter of a steady hand, the same each time: −1 … 1 from a hash. */
export function scatter(...of: (string | number)[]): number {
  const bytes = createHash('sha256').update(of.join('/')).digest();
  return bytes.readUInt32BE(0) / 0xffffffff + bytes.readUInt32BE(4) / 0xffffffff - 1;
}

/** An id that is the same each time the demo is loaded. */
function uuidFrom(seed: string): string {
  const hex = createHash('sha256').update(seed).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
