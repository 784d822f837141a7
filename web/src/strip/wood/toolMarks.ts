import type { Surface } from '@compas/core';
import { dice } from './dice.js';
import type { Line, Place } from './rings.js';

/** What a tool leaves is told by how its marks stand: mm apart, how far they lean over their height, how much of it they fill. */
interface Marking {
  apart: number;
  lean: number;
  least: number;
}

/** A saw leaves lines that lean and break off; a roughing gouge rings from top to bottom. The others leave none to be seen. */
const MARKINGS: Partial<Record<Surface, Marking>> = {
  sawn: { apart: 2.4, lean: 0.16, least: 0.35 },
  roughed: { apart: 1.7, lean: 0, least: 1 },
};

/** Nearer than this marks run together, px. */
const LEAST_PITCH = 4.5;

/**
 * The marks that a tool has left on a stretch, above the axis: the same for the same piece, none where a surface has none.
 * @param scale px on each mm
 * @returns lines of x along the piece and y above the axis, mm
 */
export function toolMarks(
  profile: readonly Place[],
  surface: Surface,
  { scale, seed }: { scale: number; seed: string },
): Line[] {
  const marking = MARKINGS[surface];
  const [first, last] = [profile[0], profile.at(-1)];
  if (!marking || !first || !last) return [];
  const roll = dice(`${surface} ${seed}`);
  const [low, high] = [Math.min(first.x, last.x), Math.max(first.x, last.x)];
  const pitch = Math.max(marking.apart, LEAST_PITCH / scale);
  const lines: Line[] = [];
  for (let x = low + pitch * roll(); x < high; x += pitch * (0.7 + 0.6 * roll())) {
    const r = radiusNear(profile, x);
    const length = marking.least + (1 - marking.least) * roll();
    const from = (1 - length) * roll();
    const lean = (share: number) => Math.min(high, x + marking.lean * r * share);
    lines.push([
      [lean(from), from * r],
      [lean(from + length), (from + length) * r],
    ]);
  }
  return lines;
}

/** Of the place that lies nearest, mm. */
function radiusNear(profile: readonly Place[], x: number): number {
  let best: Place | undefined;
  for (const place of profile) if (!best || Math.abs(place.x - x) < Math.abs(best.x - x)) best = place;
  return best?.r ?? 0;
}
