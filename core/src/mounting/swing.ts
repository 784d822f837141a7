import {
  circleOf,
  outlineOf,
  radiusOn,
  widestOf,
  type Outline,
  type Part,
  type Segment,
  type TurningAxis,
} from '../pattern/index.js';

/** What sweeps about an axis, and where it reaches out farthest. mm */
export interface Sweep {
  /** the turning whose axis it is */
  turningId: string;
  diameter: number;
  x: number;
}

/**
 * Circle that the work sweeps about each of its further axes: twice the largest of |shift + x·tan(tilt)| + r(x)
 * over the first outline and the corners of its blank; exact.
 * @param blankRadius half the diagonal of the blank that still stands, mm
 */
export function sweeps(part: Part, outline: Outline, blankRadius: number): Sweep[] {
  return part.turnings.slice(1).flatMap((turning) => {
    const { axis } = turning;
    if (!axis) return [];
    const places = outline.segments
      .flatMap((segment) => farthestOn(segment, axis))
      .map(({ x, r }) => ({ x, reach: offAxis(axis, x) + r }));
    const blank = [0, outline.length].map((x) => ({ x, reach: offAxis(axis, x) + blankRadius }));
    const own = widestOf(outlineOf(turning));
    const farthest = [...places, ...blank, { x: own.x, reach: own.diameter / 2 }].reduce((a, b) =>
      b.reach > a.reach ? b : a,
    );
    return [{ turningId: turning.id, diameter: 2 * farthest.reach, x: farthest.x }];
  });
}

/**
 * Where a segment can reach farthest from an axis tilted by t: at its ends, or where an arc that bulges
 * out has the slope ∓tan t, which is sin t radii beside its centre.
 */
function farthestOn(segment: Segment, { tilt }: TurningAxis): { x: number; r: number }[] {
  const ends = [
    { x: segment.x0, r: segment.r0 },
    { x: segment.x1, r: segment.r1 },
  ];
  if (segment.bulge <= 0) return ends;
  const { cx, radius } = circleOf(segment);
  const beside = radius * Math.sin((tilt * Math.PI) / 180);
  const crests = [cx + beside, cx - beside].filter((x) => x > segment.x0 && x < segment.x1);
  return [...ends, ...crests.map((x) => ({ x, r: radiusOn(segment, x) }))];
}

/** Distance of the first axis from the second at x. mm */
const offAxis = ({ shift, tilt }: TurningAxis, x: number): number =>
  Math.abs(shift.mm + x * Math.tan((tilt * Math.PI) / 180));
