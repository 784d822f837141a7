import type { Fixture } from '../workshop/index.js';

/** One thing along the axis between headstock and tailstock. mm */
export interface StackItem {
  what: string;
  length: number;
  /** it lies at the tail of the work, not between the spindle and the work */
  behind?: boolean;
}

/** What is to be filled: a length that must be taken up to within what the nut can move. mm */
export interface SpacerChoice {
  spacers: Fixture[];
  /** what stays open for the nut to close */
  left: number;
}

/** Sums are kept to a tenth of a millimetre: nobody makes spacers finer. */
const FINE = 10;

/**
 * Spacers that fill a gap best without going over it: the largest sum at most the gap, by the list of all
 * reachable sums (subset sum; few spacers, so it is exact).
 */
export function spacersFor(gap: number, owned: readonly Fixture[]): SpacerChoice {
  const room = Math.floor(gap * FINE + 1e-6);
  const reached = new Map<number, Fixture[]>([[0, []]]);
  for (const spacer of owned) {
    const length = Math.round(spacer.length * FINE);
    for (const [sum, used] of [...reached])
      if (length > 0 && sum + length <= room && !reached.has(sum + length))
        reached.set(sum + length, [...used, spacer]);
  }
  const best = Math.max(...reached.keys());
  return { spacers: reached.get(best) ?? [], left: gap - best / FINE };
}

export const lengthOf = (stack: readonly StackItem[]): number =>
  stack.reduce((sum, { length }) => sum + length, 0);
