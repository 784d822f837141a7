import { median } from 'simple-statistics';
import type { Point } from './moments.js';

/** A point that lies apart from its neighbours on both sides: how far, mm. */
export interface Outlier {
  x: number;
  off: number;
}

/** No instrument at a bench reads finer than this, mm. */
const FINEST = 0.004;

/**
 * Noise of a sampled radius: 1.4826 × the median of the absolute second differences ÷ √6, which a
 * straight or gently curved line does not feed (Gaussian noise; robust against breaks). mm.
 */
export function noiseOf(points: readonly Point[]): number {
  const seconds = points.slice(1, -1).map((p, i) => {
    const [a, b] = [points[i] ?? p, points[i + 2] ?? p];
    const share = (p.x - a.x) / (b.x - a.x);
    return Math.abs(p.r - (a.r + share * (b.r - a.r))) * 2;
  });
  return seconds.length === 0 ? FINEST : Math.max(FINEST, (1.4826 * median(seconds)) / Math.sqrt(6));
}

/** A slip stands off by more than so many times the noise. */
const FAR = 5;

/** Fewer points than this are stations, each measured on purpose. */
const TRACED = 40;

/**
 * Points that no line through their neighbours explains: apart, to the same side, from the line between
 * them and from those that run on from the two before and the two after. Of a smooth curve the lines that
 * run on miss a point to the other side than the one between (r''h² against −r''h²/2), and at a step or a
 * corner one of them meets it; so that what is left is a slip of the calliper, a crumb on the photo, or the
 * rim of a steep hollow, which is known by the curve it ends. Told again without those that were found,
 * since one slip hides its neighbour. mm.
 */
export function outliersOf(points: readonly Point[], noise: number): Map<number, Outlier> {
  const found = new Map<number, Outlier>();
  if (points.length < TRACED) return found;
  let kept = points.map((_, i) => i);
  for (let pass = 0; pass < 3; pass++) {
    const slips = slipsAmong(points, kept, FAR * noise);
    if (slips.size === 0) break;
    for (const [i, slip] of slips) found.set(i, slip);
    kept = kept.filter((i) => !slips.has(i));
  }
  return found;
}

function slipsAmong(points: readonly Point[], kept: readonly number[], least: number): Map<number, Outlier> {
  const slips = new Map<number, Outlier>();
  for (let k = 2; k < kept.length - 2; k++) {
    const [a2, a1, p, b1, b2] = [-2, -1, 0, 1, 2].map((by) => points[kept[k + by] ?? 0]);
    if (!a2 || !a1 || !p || !b1 || !b2) continue;
    const offs = [lineAt(a1, b1, p.x), lineAt(a2, a1, p.x), lineAt(b1, b2, p.x)].map((r) => p.r - r);
    const apart = Math.min(...offs.map(Math.abs)) > least;
    const [sign] = offs.map(Math.sign);
    if (apart && offs.every((off) => Math.sign(off) === sign))
      slips.set(kept[k] ?? 0, { x: p.x, off: offs[0] ?? 0 });
  }
  return slips;
}

const lineAt = (a: Point, b: Point, x: number): number => a.r + ((b.r - a.r) * (x - a.x)) / (b.x - a.x);
