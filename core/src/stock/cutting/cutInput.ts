import type { Sawing } from '../../workshop/index.js';
import { frustum, type Zone } from '../stockItem.js';

/** Blanks that are wanted: square of a section, of a length, so many. mm. */
export interface CutDemand {
  id: string;
  label: string;
  materialId: string;
  section: number;
  length: number;
  count: number;
  /** corners are clipped to an octagon after sawing */
  octagon: boolean;
  batchId?: string;
}

/** Stock that may be opened: `pieces` alike. A square, rod or tip is as thick as it is wide. mm. */
export interface CutStock {
  id: string;
  label: string;
  form: 'board' | 'square' | 'rod' | 'tip' | 'blank';
  materialId: string;
  pieces: number;
  thickness: number;
  width: number;
  /** of a tip: across its thin end */
  thinEnd?: number;
  length: number;
  zones: Zone[];
  /** rough sawn: faces and edges are planed first */
  rough: boolean;
  endTrim: number;
  /** worth of one piece, minor units; null when nobody knows */
  cost: number | null;
}

/** What is sawn first: strips along the board, or pieces across it. */
export const SAW_ORDERS = { 'rip-first': 'rip first', 'crosscut-first': 'crosscut first' } as const;
export type SawOrder = keyof typeof SAW_ORDERS;

export interface CutInput {
  demand: CutDemand[];
  stock: CutStock[];
  sawing: Sawing;
}

/** Lengths inside the study are whole tenths of a millimetre, so that sums are exact. */
export const tenths = (mm: number): number => Math.round(mm * 10);

/** Pieces of a length that a bar gives: the last one needs no kerf when it ends at the bar's end. */
export const fitsInto = (room: number, size: number, kerf: number): number =>
  Math.max(0, Math.floor((room + kerf + 1e-9) / (size + kerf)));

/** Rods and tips are only cut to length: a blank is as thick as they are. */
export const isRound = ({ form }: CutStock): boolean => form === 'rod' || form === 'tip';

export const stockVolume = (s: CutStock): number =>
  isRound(s) ? frustum(s.width, s.thinEnd ?? s.width, s.length) : s.thickness * s.width * s.length;

/** How far from its thick end stock is at least so thick, mm; all of it where it does not taper. */
export function reachOf({ width, thinEnd = width, length }: CutStock, section: number): number {
  if (section > width) return 0;
  return section <= thinEnd ? length : (length * (width - section)) / (width - thinEnd);
}

export const blankVolume = (d: CutDemand): number => d.section ** 2 * d.length;

/**
 * A short key of what a study was made from: FNV-1a (32 bit, twice with different seeds) over its JSON,
 * the fields of each object in the order of their names.
 * A kept study whose key differs from that of the shelf today is stale.
 */
export function studyKey(input: CutInput): string {
  const text = JSON.stringify(input, (_, value: unknown) =>
    value !== null && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
  const hash = (seed: number): string => {
    let h = seed;
    for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193) >>> 0;
    return h.toString(16).padStart(8, '0');
  };
  return hash(0x811c9dc5) + hash(0x9dc5811c);
}
