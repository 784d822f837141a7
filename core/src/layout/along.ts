import type { Outline } from '../pattern/index.js';

/** A place whose distance from the reference end is measured on every piece. mm */
export interface PlaceAlong {
  id: string;
  label: string;
  x: number;
  /** what the wood is across there */
  across: number;
  /** ± */
  tolerance: number;
}

/** Lengths are kept to half a millimetre; the top of a curve is not seen more closely than a whole one. */
const EDGE_TOLERANCE = 0.5;
const CURVE_TOLERANCE = 1;
/** What of a mark on the stick tells a place. */
interface Told {
  id: string;
  x: number;
  label: string;
  before: number;
  after: number;
  does?: string;
}

/** Beside the length so many places are measured: those that the eye compares first. */
const MOST_TOLD = 2;
/** A step in diameter smaller than this is not seen from the side, mm. */
const LEAST_STEP = 1;
/** A crown or a bottom is a place only where its feature is no longer than so many times its rise in diameter. */
const STEEP = 4;

/**
 * Places along the axis in which pieces of a set must agree: the length, and the shoulders, grooves, crowns
 * and bottoms that stand out most. Twins by diameter alone can have their beads side by side.
 */
export function placesAlong(outline: Outline, marks: readonly Told[]): PlaceAlong[] {
  const told = marks
    .map((mark) => ({ mark, stands: standsOut(mark, outline) }))
    .filter(({ stands }) => stands >= LEAST_STEP)
    .sort((a, b) => b.stands - a.stands)
    .slice(0, MOST_TOLD)
    .sort((a, b) => a.mark.x - b.mark.x)
    .map(({ mark: { id, x, label, before, after, does } }) => ({
      id: `along.${id}`,
      label: `place of the ${label}`,
      x,
      across: Math.max(before, after),
      tolerance: does === 'size' ? CURVE_TOLERANCE : EDGE_TOLERANCE,
    }));
  const length: PlaceAlong = {
    id: 'along.length',
    label: 'length over all',
    x: outline.length,
    across: marks.at(-1)?.before ?? 0,
    tolerance: EDGE_TOLERANCE,
  };
  return [...told, length];
}

/** By how much the diameter changes at a mark as the eye sees it, mm; 0 where it is no place of its own. */
function standsOut({ x, before, after, does }: Told, { spans }: Outline): number {
  if (does === 'shoulder') return Math.abs(after - before);
  if (does !== 'groove' && does !== 'size') return 0;
  const own = spans.find((s) => x > s.x0 + 1e-6 && x < s.x1 - 1e-6);
  if (!own) return 0;
  const rise = Math.abs(before - (own.startDiameter + own.endDiameter) / 2);
  return own.x1 - own.x0 <= STEEP * rise ? rise : 0;
}
