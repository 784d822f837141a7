import type { Finding } from '../measure/index.js';
import { deviceName, type RunEventBody } from './event.js';

/** A measured value as it stands after corrections. */
export interface Reading {
  eventId: string;
  piece: number;
  stepId: string;
  stationId: string;
  mm: number;
  typed: string;
  at: string;
  device: string;
  /** who measured it, as it was said at the device */
  who?: string;
  correctedWhy?: string;
  /** the wood has been cut again since: it tells nothing of what is there now */
  before?: true;
  /** what others had measured there, before it was settled that this one holds, mm */
  instead?: number[];
}

/** What was measured of a place in a step of a piece tells nothing any more once that step is done again. */
export function cutAgain(readings: readonly Reading[], piece: number, stepId: string): void {
  for (const reading of readings)
    if (reading.piece === piece && reading.stepId === stepId) reading.before = true;
}

/** The readings after one of several that differed was said to hold. */
export function settled(
  readings: readonly Reading[],
  { eventId, others }: Extract<RunEventBody, { kind: 'settled' }>,
): Reading[] {
  const holds = readings.find((r) => r.eventId === eventId);
  if (!holds) return [...readings];
  const isOther = (r: Reading) => r !== holds && others.includes(r.eventId) && isSamePlace(r, holds);
  holds.instead = [...(holds.instead ?? []), ...readings.filter(isOther).map((r) => r.mm)];
  return readings.filter((r) => !isOther(r));
}

const isSamePlace = (a: Reading, b: Reading): boolean =>
  a.piece === b.piece && a.stepId === b.stepId && a.stationId === b.stationId;

/** A place that is measured, as far as readings of it are compared. */
interface MeasuredPlace {
  id: string;
  label: string;
  /** how much the finished size may be off, mm */
  tolerance: number;
}

/** Readings of one place of one piece in one step that cannot both be right: the last of each device. */
export interface Apart {
  place: MeasuredPlace;
  readings: Reading[];
}

/** Two callipers in two hands differ by less, as a share of the tolerance: else one could call good what the other calls thin. */
const MAY_DIFFER = 1 / 3;
/** Of floating point, mm. */
const SLACK = 1e-9;

/**
 * Where two devices measured the same and got what differs by more than a third of the tolerance. Whoever measures again on
 * one device has measured again: only the last of each device counts, and only since the wood was last cut there.
 */
export function readingsApart(readings: readonly Reading[], places: readonly MeasuredPlace[]): Apart[] {
  const last = new Map<string, Map<string, Reading>>();
  for (const reading of readings) {
    if (reading.before) continue;
    const key = `${reading.piece} ${reading.stepId} ${reading.stationId}`;
    last.set(key, (last.get(key) ?? new Map<string, Reading>()).set(reading.device, reading));
  }
  return [...last.values()].flatMap((byDevice) => {
    const own = [...byDevice.values()];
    const place = places.find((p) => p.id === own[0]?.stationId);
    const sizes = own.map((r) => r.mm);
    const apart = Math.max(...sizes) - Math.min(...sizes);
    return place && apart > place.tolerance * MAY_DIFFER + SLACK ? [{ place, readings: own }] : [];
  });
}

/** What has to be settled, as findings. */
export const apartFindings = (apart: readonly Apart[]): Finding[] =>
  apart.map(({ place, readings }): Finding => {
    const [{ piece, stepId } = { piece: 0, stepId: '' }] = readings;
    return {
      id: `run.apart.${piece}.${stepId}.${place.id}`,
      severity: 'warn',
      stage: 'run',
      what: `Piece ${piece}, ${place.label}: two devices measured what cannot both be right.`,
      why: readings.map((r) => `${r.typed} by ${r.who ?? deviceName(r.device)}`).join(', ') + '.',
      remedy: 'Measure it once more, or say at that step which one holds.',
    };
  });
