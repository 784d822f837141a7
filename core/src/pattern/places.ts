import { boreAt } from './hole.js';
import type { Outline } from './outline.js';
import type { Hole } from './pattern.js';
import { extremes, radiusAt, type DiameterAt } from './radius.js';

/** The places of a part that decide how it behaves: thinnest outside, and least stiff. */
export interface WeakPlaces {
  narrowest: DiameterAt;
  /** second moment of area there, mm⁴ */
  leastStiff: { x: number; secondMoment: number };
}

/** Nearer to an end than this share of the length nothing bends, and a point is no waist. */
const END_SHARE = 0.12;
const PLACES = 200;

/**
 * Narrowest waist, exact, and least stiff section away from the ends: I = π/4 (R⁴ − bore⁴) of the ring,
 * looked at in 200 places, at the waist and beside every break. Null for a part without length.
 */
export function weakPlaces(outline: Outline, holes: readonly Hole[]): WeakPlaces | null {
  const [from, to] = [END_SHARE * outline.length, (1 - END_SHARE) * outline.length];
  if (outline.length <= 0) return null;
  const even = Array.from({ length: PLACES + 1 }, (_, i) => from + ((to - from) * i) / PLACES);
  const breaks = outline.segments.flatMap((s) => [s.x0 - 1e-6, s.x0 + 1e-6, (s.x0 + s.x1) / 2]);
  const narrowest = extremes(outline, from, to).smallest;
  const places = [...even, ...breaks, narrowest.x].filter((x) => x >= from && x <= to);
  let leastStiff = { x: from, secondMoment: Infinity };
  for (const x of places) {
    const r = radiusAt(outline, x);
    const bore = boreAt(holes, outline, x);
    const secondMoment = (Math.PI / 4) * (r ** 4 - bore ** 4);
    if (secondMoment < leastStiff.secondMoment) leastStiff = { x, secondMoment };
  }
  return { narrowest, leastStiff };
}
