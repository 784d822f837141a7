import type { Segment } from '../arc.js';
import { arcsAlong } from '../biarc.js';

/** An ellipse about (x, r) with its half axes, mm. */
export interface Ellipse {
  x: number;
  r: number;
  along: number;
  across: number;
}

/**
 * Upper half of an ellipse as tangent arcs, from the angle `first` above its left end to the angle
 * `last` above its right end (eccentric angles, radians).
 */
export function ellipse(
  elementId: string,
  { x, r, along, across }: Ellipse,
  first: number,
  last: number,
): Segment[] {
  const from = Math.PI - first;
  return arcsAlong(elementId, (t) => {
    const angle = from + t * (last - from);
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    // x rises while the angle falls, so the tangent is minus the derivative by the angle
    const [dx, dr] = [along * s, -across * c];
    const norm = Math.hypot(dx, dr);
    // one without height runs straight along the axis, where its ends have no direction of their own
    const [tx, tr] = norm > 0 ? [dx / norm, dr / norm] : [1, 0];
    return { x: x + along * c, r: r + across * s, tx, tr };
  });
}
