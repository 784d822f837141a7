import { radiusOn, turningPoint, type Segment } from './arc.js';
import type { Outline } from './outline.js';

/** Radius at x in mm; at a shoulder the larger side. Outside the part it is 0. */
export function radiusAt({ segments }: Pick<Outline, 'segments'>, x: number): number {
  let radius = 0;
  for (const segment of segments)
    if (x >= segment.x0 && x <= segment.x1) radius = Math.max(radius, radiusOn(segment, x));
  return radius;
}

/** A diameter and where it is, mm. */
export interface DiameterAt {
  x: number;
  diameter: number;
}

/** Largest and smallest diameter between two positions (exact: ends, breaks and arc crests). */
export function extremes(
  outline: Pick<Outline, 'segments'>,
  from: number,
  to: number,
): { largest: DiameterAt; smallest: DiameterAt } {
  let largest = { x: from, diameter: -Infinity };
  let smallest = { x: from, diameter: Infinity };
  for (const segment of outline.segments) {
    if (segment.x1 < from || segment.x0 > to) continue;
    for (const { x, r } of candidates(segment, from, to)) {
      if (2 * r > largest.diameter) largest = { x, diameter: 2 * r };
      if (2 * r < smallest.diameter) smallest = { x, diameter: 2 * r };
    }
  }
  return { largest, smallest };
}

function candidates(segment: Segment, from: number, to: number): { x: number; r: number }[] {
  const { x0, x1 } = segment;
  if (x0 === x1)
    return [
      { x: x0, r: segment.r0 },
      { x: x0, r: segment.r1 },
    ];
  const a = Math.max(from, x0);
  const b = Math.min(to, x1);
  const points = [a, b].map((x) => ({ x, r: radiusOn(segment, x) }));
  const crest = turningPoint(segment);
  if (crest && crest.x > a && crest.x < b) points.push(crest);
  return points;
}
