import { outlineOf, pointAt, type Outline, type Part, type TurningAxis } from '../pattern/index.js';

/** What sweeps about an axis, and where it reaches out farthest. mm */
export interface Sweep {
  /** the turning whose axis it is */
  turningId: string;
  diameter: number;
  x: number;
}

/** Points looked at along each curved piece. */
const PER_ARC = 8;

/**
 * Circle that the work sweeps about each of its further axes: twice the largest of |shift + x·tan(tilt)| + r(x)
 * over the first outline and the corners of its blank. Exact for straight pieces, to a thousandth for arcs.
 * @param blankRadius half the diagonal of the blank that still stands, mm
 */
export function sweeps(part: Part, outline: Outline, blankRadius: number): Sweep[] {
  return part.turnings.slice(1).flatMap((turning) => {
    const { axis } = turning;
    if (!axis) return [];
    const own = outlineOf(turning);
    const places = outline.segments
      .flatMap((s) => Array.from({ length: PER_ARC + 1 }, (_, i) => pointAt(s, i / PER_ARC)))
      .map(({ x, r }) => ({ x, reach: offAxis(axis, x) + r }));
    const blank = [0, outline.length].map((x) => ({ x, reach: offAxis(axis, x) + blankRadius }));
    const second = own.segments.map((s) => ({ x: s.x1, reach: Math.max(s.r0, s.r1) }));
    const farthest = [...places, ...blank, ...second].reduce((a, b) => (b.reach > a.reach ? b : a));
    return [{ turningId: turning.id, diameter: 2 * farthest.reach, x: farthest.x }];
  });
}

/** Distance of the first axis from the second at x. mm */
export const offAxis = ({ shift, tilt }: TurningAxis, x: number): number =>
  Math.abs(shift.mm + x * Math.tan((tilt * Math.PI) / 180));
