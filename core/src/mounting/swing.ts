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
 * Circle that the work sweeps about each of its further axes: twice the farthest that any place of the first
 * outline or of the corners of its blank lies from that axis; exact.
 * @param blankRadius half the diagonal of the blank that still stands, mm
 */
export function sweeps(part: Part, outline: Outline, blankRadius: number): Sweep[] {
  return part.turnings.slice(1).flatMap((turning) => {
    const { axis } = turning;
    if (!axis) return [];
    const places = [
      ...outline.segments.flatMap((segment) => farthestOn(segment, axis)),
      ...[0, outline.length].map((x) => ({ x, r: blankRadius })),
    ].map(({ x, r }) => ({ x, reach: reachFrom(axis, x, r) }));
    const own = widestOf(outlineOf(turning));
    const farthest = [...places, { x: own.x, reach: own.diameter / 2 }].reduce((a, b) =>
      b.reach > a.reach ? b : a,
    );
    return [{ turningId: turning.id, diameter: 2 * farthest.reach, x: farthest.x }];
  });
}

/** Circle that a finished piece sweeps about the axis of a hollow in its side. mm */
export function sweepOf(axis: TurningAxis, outline: Outline): number {
  const places = outline.segments.flatMap((segment) => farthestOn(segment, axis));
  return 2 * Math.max(0, ...places.map(({ x, r }) => reachFrom(axis, x, r)));
}

const leanOf = ({ tilt }: TurningAxis): number => (Math.abs(tilt) * Math.PI) / 180;

/**
 * How far the round of radius r about the first axis at x reaches from a further axis that passes so far beside the
 * first, `along` it, and leans by t in that plane. Its middle lies c = |s·cos t + (x − a)·sin t| away; a point of the
 * round at φ then √((c + r·cos φ·cos t)² + r²·sin²φ), which is greatest at cos φ = min(1, c·cos t ÷ (r·sin²t)). mm
 */
function reachFrom(axis: TurningAxis, x: number, r: number): number {
  const t = (axis.tilt * Math.PI) / 180;
  const c = Math.abs(axis.shift.mm * Math.cos(t) + (x - (axis.along?.mm ?? 0)) * Math.sin(t));
  const flat = r * Math.sin(t) ** 2;
  const u = flat === 0 ? 1 : Math.min(1, (c * Math.cos(t)) / flat);
  return Math.hypot(c + r * u * Math.cos(t), r * Math.sqrt(1 - u * u));
}

/**
 * Where a segment can reach farthest from an axis tilted by t: at its ends; where an arc that bulges out has the
 * slope ∓tan t, which is sin t radii beside its centre; or where it lies farthest from the point at which both axes
 * cross, on the line from there through its centre.
 */
function farthestOn(segment: Segment, axis: TurningAxis): { x: number; r: number }[] {
  const ends = [
    { x: segment.x0, r: segment.r0 },
    { x: segment.x1, r: segment.r1 },
  ];
  if (segment.bulge <= 0) return ends;
  const { cx, cr, radius } = circleOf(segment);
  const lean = leanOf(axis);
  const beside = radius * Math.sin(lean);
  const crossing = (axis.along?.mm ?? 0) - axis.shift.mm / Math.tan((axis.tilt * Math.PI) / 180);
  const opposite = cx + (radius * (cx - crossing)) / Math.hypot(cx - crossing, cr);
  const crests = [cx + beside, cx - beside, opposite].filter((x) => x > segment.x0 && x < segment.x1);
  return [...ends, ...crests.map((x) => ({ x, r: radiusOn(segment, x) }))];
}
