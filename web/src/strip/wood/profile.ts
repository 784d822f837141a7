import { radiusAt, type Outline } from '@compas/core';
import type { Place } from './rings.js';

/** Pixels between two places: on a curve, and where the work is straight. */
const ON_CURVE = 4;
const ON_TAPER = 8;
const ON_STRAIGHT = 22;
/** Beside a shoulder, mm. */
const BESIDE = 0.01;

/** The outline as places along it, as closely as it is drawn. */
export function profileOf(outline: Outline, scale: number): Place[] {
  const at = (x: number): Place => ({ x, r: radiusAt(outline, x) });
  return outline.segments.flatMap(({ x0, x1, r0, r1, bulge }) => {
    const length = x1 - x0;
    if (length < 2 * BESIDE) return [];
    // on a taper the grain still bends
    const pitch = bulge !== 0 ? ON_CURVE : r0 === r1 ? ON_STRAIGHT : ON_TAPER;
    const parts = Math.max(1, Math.ceil((length * scale) / pitch));
    return Array.from({ length: parts + 1 }, (_, i) =>
      at(i === 0 ? x0 + BESIDE : i === parts ? x1 - BESIDE : x0 + (length * i) / parts),
    );
  });
}
