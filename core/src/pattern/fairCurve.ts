import type { Segment } from './arc.js';
import { arcsAlong } from './biarc.js';

/** A point of a fair curve, mm. */
export interface CurveStation {
  x: number;
  r: number;
}

/**
 * Smooth curve through points with rising x that has no wiggles: between two points it never leaves
 * the radii they have, and it is monotone wherever they are. Slopes by F. N. Fritsch and R. E. Carlson,
 * “Monotone piecewise cubic interpolation”, SIAM J. Numer. Anal. 17 (1980), with the weighted harmonic
 * mean of F. N. Fritsch and J. Butland (1984); the cubics are given as tangent arcs.
 */
export function fairCurve(elementId: string, points: readonly CurveStation[]): Segment[] {
  const slopes = slopesOf(points);
  return points.slice(1).flatMap((b, i) => {
    const a = points[i] ?? b;
    const h = b.x - a.x;
    const [m0 = 0, m1 = 0] = [slopes[i], slopes[i + 1]];
    return arcsAlong(elementId, (t) => {
      const s = 1 - t;
      const slope = (6 * t * s * (b.r - a.r)) / h + m0 * s * (1 - 3 * t) + m1 * t * (3 * t - 2);
      const norm = Math.hypot(1, slope);
      return {
        x: a.x + t * h,
        r: s * s * (1 + 2 * t) * a.r + t * t * (3 - 2 * t) * b.r + h * t * s * (s * m0 - t * m1),
        tx: 1 / norm,
        tr: slope / norm,
      };
    });
  });
}

/** Slope at each point: weighted harmonic mean of its two secants, 0 where they differ in sign. */
function slopesOf(points: readonly CurveStation[]): number[] {
  const secants = points.slice(1).map((b, i) => {
    const a = points[i] ?? b;
    return { h: b.x - a.x, slope: (b.r - a.r) / (b.x - a.x) };
  });
  return points.map((_, i) => {
    const before = secants[i - 1];
    const after = secants[i];
    if (!before || !after) return endSlope(before ? [before, secants[i - 2]] : [after, secants[1]]);
    if (before.slope * after.slope <= 0) return 0;
    const w0 = 2 * after.h + before.h;
    const w1 = after.h + 2 * before.h;
    return (w0 + w1) / (w0 / before.slope + w1 / after.slope);
  });
}

interface Secant {
  h: number;
  slope: number;
}

/** Three-point slope at an end, kept within what monotony allows. */
function endSlope([near, next]: [Secant | undefined, Secant | undefined]): number {
  if (!near) return 0;
  if (!next) return near.slope;
  const slope = ((2 * near.h + next.h) * near.slope - near.h * next.slope) / (near.h + next.h);
  if (slope * near.slope <= 0) return 0;
  if (near.slope * next.slope <= 0 && Math.abs(slope) > 3 * Math.abs(near.slope)) return 3 * near.slope;
  return slope;
}
