import type { Outline } from '../../pattern/index.js';
import type { Blank } from '../../stock/index.js';

/**
 * Side of a blank when its centres are marked, mm: where a square stays in the piece its faces are planed to their size
 * by then, anything else is marked as it was sawn.
 */
export const truedAcross = (outline: Pick<Outline, 'squares'>, blank: Pick<Blank, 'section'>): number =>
  squareSide(outline) ?? blank.section;

/** Side of the largest square that stays in a piece, mm; undefined where none does. */
export function squareSide({ squares = [] }: Pick<Outline, 'squares'>): number | undefined {
  return squares.length === 0 ? undefined : Math.max(...squares.map((s) => s.side));
}
