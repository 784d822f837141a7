import { createHash } from 'node:crypto';
import {
  stepsOfPiece,
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
  /** steps done of a piece, from the first */
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
  const [part] = plan.parts;
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
  part.steps.forEach((step, index) => {
    for (let piece = 1; piece <= part.pieces; piece++) {
      if (run.stepsDone(piece, part.steps) <= index || stepsOfPiece([step], piece).length === 0) continue;
      clock += step.minutes * MINUTE;
      for (const id of step.measures) {
        const station = part.stations.find((s) => s.id === id);
        if (station)
          add(piece, {
            kind: 'measured',
            stepId: step.id,
            stationId: id,
            ...measured(station, step, run.deviation(piece, station)),
          });
      }
      for (const checkId of step.checks ?? [])
        add(piece, {
          kind: 'checked',
          stepId: step.id,
          checkId,
          ...run.check(piece, checkId),
        });
      if (step.trialFit) add(piece, { kind: 'tried', stepId: step.id, fits: true, note: '' });
      add(piece, { kind: 'done', stepId: step.id });
    }
    clock += (step.wait?.minutes ?? 0) * MINUTE;
  });
  const { rejected } = run;
  if (rejected) {
    const stepId = part.steps[run.stepsDone(rejected.piece, part.steps)]?.id ?? part.steps[0]?.id ?? '';
    add(rejected.piece, { kind: 'rejected', stepId, cause: rejected.cause });
  }
  return events;
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
