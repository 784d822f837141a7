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

const FAR = 6;

/**
 * Points that stand apart from both their neighbours, to the same side, by more than six times the
 * noise and twice what the line itself moves there: a slip of the calliper, a crumb on the photo.
 */
export function outliersOf(points: readonly Point[], noise: number): Map<number, Outlier> {
  const found = new Map<number, Outlier>();
  if (points.length < 40) return found;
  points.slice(1, -1).forEach((p, i) => {
    const [a, b] = [points[i] ?? p, points[i + 2] ?? p];
    const [before, after] = [p.r - a.r, p.r - b.r];
    const least = Math.max(FAR * noise, 2 * Math.abs(b.r - a.r));
    if (before * after > 0 && Math.min(Math.abs(before), Math.abs(after)) > least)
      found.set(i + 1, { x: p.x, off: p.r - (a.r + b.r) / 2 });
  });
  return found;
}
