import type { Body } from './body.js';
import { probeOf } from './probe.js';
import { bothRound, roundnessOf } from './roundness.js';
import { plus, times } from './space.js';
import { isThere, patchesOf } from './surface.js';

/** A surface of one body that the other has not. */
export interface Unlike {
  /** what made it, or what is drawn there */
  by: string;
  elementId?: string;
  /** wood stands beyond what is drawn, or is gone from within it */
  is: 'proud' | 'gone';
}

/**
 * Every surface of a body where another body ends otherwise: wood just outside of it, or none just within.
 * Both bodies in one frame. A place is unlike when the other's surface is farther off than the
 * tolerance of what made it, mm along the surface's normal.
 */
export function unlikeSurfaces(body: Body, other: Body, toleranceOf: (by: string) => number): Unlike[] {
  const [here, there] = [roundnessOf(body), roundnessOf(other)];
  const round = here && there && bothRound(here, there);
  const [own, others] = [probeOf(body), probeOf(other)];
  const found = new Map<string, { by: string; elementId?: string; proud: boolean; gone: boolean }>();
  for (const { by, elementId, visit } of patchesOf(body, round)) {
    const tolerance = toleranceOf(by);
    const key = `${by}/${elementId ?? ''}`;
    const surface = found.get(key) ?? {
      by,
      ...(elementId === undefined ? {} : { elementId }),
      proud: false,
      gone: false,
    };
    found.set(key, surface);
    visit((at, out) => {
      if (!isThere(own, at, out)) return;
      const outside = plus(at, times(out, tolerance));
      const inside = plus(at, times(out, -tolerance));
      // beside an edge a step along the normal comes out of another surface of its own: nothing is judged there
      if (others(outside) && !own(outside)) surface.proud = true;
      if (!others(inside) && own(inside)) surface.gone = true;
    });
  }
  return [...found.values()].flatMap(({ proud, gone, ...surface }) => [
    ...(proud ? [{ ...surface, is: 'proud' as const }] : []),
    ...(gone ? [{ ...surface, is: 'gone' as const }] : []),
  ]);
}
