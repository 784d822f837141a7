import { placementOf } from './body/drawnBody.js';
import { outlineOf } from './outline.js';
import type { Turning } from './pattern.js';
import { pointsAlong } from './radius.js';

/** A place of the drawing: x along the part from its reference end, y over its axis, away from the turner's feet. mm */
export interface DrawnPoint {
  x: number;
  y: number;
}

/** How far an axis is drawn beyond its profile, mm. */
const BEYOND = 6;

/**
 * The profile about a further axis as it lies in the plane of the drawing, where 0° looks at the turner and 90° up:
 * both edges, and the axis itself.
 * @param chord how far a drawn chord may stray from its arc, mm
 */
export function axisSection(
  turning: Turning,
  chord: number,
): { upper: DrawnPoint[]; lower: DrawnPoint[]; axis: DrawnPoint[] } {
  const { at, along } = placementOf(turning.axis);
  const flat = Math.hypot(along[0], along[1]) || 1;
  // x r of the profile, seen from the front: across is square to the axis as it is seen
  const place = (x: number, r: number): DrawnPoint => ({
    x: at[0] + along[0] * x - (along[1] / flat) * r,
    y: at[1] + along[1] * x + (along[0] / flat) * r,
  });
  const outline = outlineOf(turning);
  const edge = (side: 1 | -1) => pointsAlong(outline, chord).map(({ x, r }) => place(x, side * r));
  return {
    upper: edge(1),
    lower: edge(-1),
    axis: [place(-BEYOND, 0), place(outline.length + BEYOND, 0)],
  };
}
