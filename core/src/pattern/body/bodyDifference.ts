import { type Body, hasWood } from './body.js';
import { plus, times, type Vector } from './space.js';
import { surfacePoints, type SurfacePoint } from './surface.js';

/** A surface of one body that the other has not, and by how much at least, mm along the surface's normal. */
export interface Unlike {
  /** what made it, or what is drawn there */
  by: string;
  elementId?: string;
  /** wood stands beyond what is drawn, or is gone from within it */
  is: 'proud' | 'gone';
  /** places that are so, of those looked at */
  places: number;
  of: number;
}

/** How far a surface may be off, mm along its normal. */
export type Tolerance = (point: SurfacePoint) => number;

/**
 * Every surface of a body where another body ends otherwise: wood just outside of it, or none just within.
 * Both bodies in one frame. A point is unlike when the other's surface is farther off than the tolerance.
 */
export function unlikeSurfaces(body: Body, other: Body, tolerance: Tolerance): Unlike[] {
  const found = new Map<string, Unlike>();
  for (const point of surfacePoints(body)) {
    const key = `${point.by}/${point.elementId ?? ''}`;
    const off = tolerance(point);
    const [outside, within] = [off, -off].map((k) => plus(point.at, times(point.out, k))) as [Vector, Vector];
    // beside an edge a step along the normal comes out of another surface of its own: nothing is judged there
    const proud = !hasWood(body, outside) && hasWood(other, outside);
    const gone = hasWood(body, within) && !hasWood(other, within);
    for (const is of ['proud', 'gone'] as const) {
      const unlike = found.get(`${key}/${is}`) ?? { by: point.by, ...elementOf(point), is, places: 0, of: 0 };
      found.set(`${key}/${is}`, {
        ...unlike,
        of: unlike.of + 1,
        places: unlike.places + Number(is === 'proud' ? proud : gone),
      });
    }
  }
  return [...found.values()].filter((u) => u.places > 0);
}

const elementOf = ({ elementId }: SurfacePoint) => (elementId === undefined ? {} : { elementId });
