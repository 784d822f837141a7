import type { Segment } from './arc.js';

/** A point of a curve in the half plane of the axis, with the direction in which it goes on. */
export interface CurvePoint {
  x: number;
  r: number;
  /** unit tangent */
  tx: number;
  tr: number;
}

/** A smooth curve by a parameter from 0 to 1, x never falling. */
export type Curve = (t: number) => CurvePoint;

/** How far the arcs may stray from the curve they stand for, mm: far below what a turner can cut. */
const TOLERANCE = 0.001;
const MOST_HALVINGS = 8;

/**
 * A smooth curve as tangent arcs within 0.001 mm: pairs of arcs (biarcs) with the curve's own
 * tangents at their ends, halved until they fit. Source: K. M. Bolton, “Biarc curves”, Computer-Aided
 * Design 7 (1975), with both control arms equal.
 */
export function arcsAlong(elementId: string, curve: Curve): Segment[] {
  const arcs = (t0: number, t1: number, halvings: number): Segment[] => {
    const pair = biarc(elementId, curve(t0), curve(t1));
    if (halvings >= MOST_HALVINGS || strays(pair, curve, t0, t1) <= TOLERANCE) return pair;
    const middle = (t0 + t1) / 2;
    return [...arcs(t0, middle, halvings + 1), ...arcs(middle, t1, halvings + 1)];
  };
  return arcs(0, 1, 0);
}

function biarc(elementId: string, a: CurvePoint, b: CurvePoint): [Segment, Segment] {
  const vx = b.x - a.x;
  const vr = b.r - a.r;
  const sumX = a.tx + b.tx;
  const sumR = a.tr + b.tr;
  const along = vx * sumX + vr * sumR;
  const square = vx * vx + vr * vr;
  const spread = 2 * (1 - (a.tx * b.tx + a.tr * b.tr));
  // equal arms d solve spread·d² + 2·along·d − square = 0; parallel tangents leave it linear
  const arm =
    spread < 1e-12 ? square / (2 * along) : (-along + Math.sqrt(along * along + spread * square)) / spread;
  const middle = {
    x: (a.x + arm * a.tx + b.x - arm * b.tx) / 2,
    r: (a.r + arm * a.tr + b.r - arm * b.tr) / 2,
  };
  return [
    leaving(elementId, a, middle),
    // the second arc is the one that arrives at b: leave b backwards and turn it round
    reversed(leaving(elementId, { x: b.x, r: b.r, tx: -b.tx, tr: -b.tr }, middle)),
  ];
}

/** Arc from a point with a given tangent to another: its included angle is twice tangent to chord. */
function leaving(elementId: string, from: CurvePoint, to: { x: number; r: number }): Segment {
  const dx = to.x - from.x;
  const dr = to.r - from.r;
  const cross = dx * from.tr - dr * from.tx;
  const dot = dx * from.tx + dr * from.tr;
  const bulge = Math.tan(Math.atan2(cross, dot) / 2);
  return {
    elementId,
    x0: from.x,
    r0: from.r,
    x1: to.x,
    r1: to.r,
    bulge: Math.abs(bulge) < 1e-12 ? 0 : bulge,
  };
}

const reversed = ({ elementId, x0, r0, x1, r1, bulge }: Segment): Segment => ({
  elementId,
  x0: x1,
  r0: r1,
  x1: x0,
  r1: r0,
  bulge: -bulge,
});

/** Largest distance of the curve from a pair of arcs, looked at in four places. */
function strays(pair: readonly Segment[], curve: Curve, t0: number, t1: number): number {
  let most = 0;
  for (const share of [0.15, 0.35, 0.65, 0.85]) {
    const { x, r } = curve(t0 + share * (t1 - t0));
    most = Math.max(most, Math.min(...pair.map((arc) => distanceTo(arc, x, r))));
  }
  return most;
}

function distanceTo({ x0, r0, x1, r1, bulge }: Segment, x: number, r: number): number {
  const dx = x1 - x0;
  const dr = r1 - r0;
  const chord = Math.hypot(dx, dr);
  if (chord === 0) return Math.hypot(x - x0, r - r0);
  const off = ((x - x0) * -dr + (r - r0) * dx) / chord;
  if (bulge === 0) return Math.abs(off);
  const radius = (chord * (1 + bulge * bulge)) / (4 * bulge);
  const toCentre = (-chord * (1 - bulge * bulge)) / (4 * bulge);
  const along = ((x - x0) * dx + (r - r0) * dr) / chord - chord / 2;
  return Math.abs(Math.hypot(along, off - toCentre) - Math.abs(radius));
}
