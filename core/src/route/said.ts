import type { Datum } from './shop.js';

/**
 * Every figure that an operation may say, and what it is counted in. What is said is shown and played; a new one is a row
 * here, so that whoever reads one that nobody says does not compile.
 */
export const SAID = {
  sawn: 'mm',
  across: 'mm',
  length: 'mm',
  'off below each corner': 'mm',
  bit: 'mm',
  deep: 'mm',
  'reamed to': 'mm',
  'point, degrees': 'degrees',
  'tape at': 'mm',
  'across at': 'mm',
  'round, degrees': 'degrees',
  'deep from the surface': 'mm',
  from: 'mm',
  to: 'mm',
  '⌀': 'mm',
  'round by': 'mm',
  'hollow by': 'mm',
  'left for sanding, on the radius': 'mm',
  'at the mark': 'mm',
  'face to': 'mm',
  'flat above the axis': 'mm',
  'over all, back to rim': 'mm',
  'cut off at': 'mm',
  'ring from': 'mm',
  'ring to': 'mm',
  'ring inside ⌀': 'mm',
  'flush with': 'mm',
  'goes in': 'mm',
  'by its end': 'mm',
  'its middle': 'mm',
  'half as long as': 'mm',
  'axis at': 'mm',
  'axis off by': 'mm',
  'axis towards, degrees': 'degrees',
  'axis leans, degrees': 'degrees',
  'takes off the radius': 'mm',
} as const satisfies Record<string, 'mm' | 'degrees'>;
export type SaidName = keyof typeof SAID;

/** A figure that is said: a length from a datum, or a diameter, depth, angle or grit of its own. Shown and played. */
export interface Said {
  name: SaidName;
  mm: number;
  from: Datum | null;
  /** whose datum it is, where it is not the first wood's */
  wood?: string;
}

/** A figure said by itself, or from a datum. */
export const saying = (name: SaidName, mm: number, from: Datum | null = null): Said => ({ name, mm, from });
