import type { OwnStep } from '../workshop/index.js';
import type { DeviceClock } from './clock.js';

/** A step that mends one piece, in the maker's words. */
export type MendStep = Pick<OwnStep, 'title' | 'words' | 'place' | 'minutes'>;

/** What a maker records at the bench. Events are only ever added; a correction is another event. */
export type RunEventBody =
  | { kind: 'started'; stepId: string }
  | { kind: 'done'; stepId: string }
  | { kind: 'timed'; stepId: string; timerId: string }
  | { kind: 'measured'; stepId: string; stationId: string; mm: number; typed: string }
  | { kind: 'corrected'; eventId: string; mm: number; typed: string; why: string }
  /** an acceptance check: whether it held, with the number or words, and a shrunken photo as data URL */
  | {
      kind: 'checked';
      stepId: string;
      checkId: string;
      passed: boolean;
      value?: number;
      words?: string;
      photo?: string;
    }
  | { kind: 'tried'; stepId: string; fits: boolean; note: string }
  | { kind: 'overridden'; stepId: string; why: string }
  | { kind: 'rejected'; stepId: string; cause: string }
  /** of readings of one place that differ between devices: which one holds, and those that it is put before */
  | { kind: 'settled'; stepId: string; eventId: string; others: string[] }
  /** a rejection that was a mistake: the piece goes on from where it was */
  | { kind: 'spared'; eventId: string }
  /** something worth knowing, in words or with a shrunken photo as data URL */
  | { kind: 'noted'; stepId: string; words: string; photo?: string }
  /** pieces that become one item with the piece it is recorded on, by their numbers */
  | { kind: 'joined'; stepId: string; pieces: number[] }
  /**
   * what is done to this piece alone before it goes on from a step: own steps, steps of the plan that are done again, and
   * sizes that it keeps as they came out, mm
   */
  | {
      kind: 'mended';
      stepId: string;
      partId: string;
      steps: MendStep[];
      again: string[];
      keeps: { stationId: string; mm: number }[];
      why: string;
    }
  /** who works at this device from here on, as it was said there: what they record is theirs by their word alone */
  | { kind: 'handed'; stepId: string; who: string }
  /** a step that was called done by mistake, and which event had said so */
  | { kind: 'reopened'; stepId: string; eventId?: string };

export type RunEventKind = RunEventBody['kind'];

export interface RunEvent extends DeviceClock {
  /** made by the device, so that sending it again is harmless */
  id: string;
  /** piece number in the batch, from 1 */
  piece: number;
  /** instant, ISO in UTC: by the device's clock as it is sent, by the server's as it is read again */
  at: string;
  /** by whom: the recorder that their sign-in gave this device; whoever sends it where it is left out */
  recorder?: string;
  /** full id of the device */
  device: string;
  /** counts up on each device */
  sequence: number;
  /** version of the plan that was followed */
  planVersion: number;
  body: RunEventBody;
}

/** What a device is called on screens and in findings: a name, or the beginning of its id. */
export const deviceName = (device: string): string =>
  /^[0-9a-f]{8}-[0-9a-f-]{27}$/.test(device) ? `tablet ${device.slice(0, 4)}` : device;
