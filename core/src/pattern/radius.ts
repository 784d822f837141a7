import { chordPoints, radiusOn, turningPoint, type Segment } from './arc.js';
import { kindOf } from './kinds/elementKinds.js';
import type { ElementSpan, Outline } from './shape.js';

/** What is asked of an outline here needs no more of it than its lines and arcs. */
type Drawn = Pick<Outline, 'segments'>;

/** Radius at x in mm; at a shoulder the larger side. Outside the part it is 0. */
export function radiusAt({ segments }: Drawn, x: number): number {
  let radius = 0;
  for (const segment of segments)
    if (x >= segment.x0 && x <= segment.x1) radius = Math.max(radius, radiusOn(segment, x));
  return radius;
}

/** Radius on the two sides of x, mm: equal unless there is a shoulder; 0 beyond an end. */
export function radiiAt({ segments }: Drawn, x: number): { before: number; after: number } {
  const into = segments.find((s) => s.x0 < x && s.x1 >= x);
  const outOf = segments.findLast((s) => s.x0 <= x && s.x1 > x);
  return { before: into ? radiusOn(into, x) : 0, after: outOf ? radiusOn(outOf, x) : 0 };
}

/** A diameter and where it is, mm. */
export interface DiameterAt {
  x: number;
  diameter: number;
}

/** Largest and smallest diameter between two positions (exact: ends, breaks and arc crests). */
export function extremes(
  outline: Drawn,
  from: number,
  to: number,
): { largest: DiameterAt; smallest: DiameterAt } {
  let largest = { x: from, diameter: -Infinity };
  let smallest = { x: from, diameter: Infinity };
  for (const place of candidatesIn(outline, from, to)) {
    if (place.diameter > largest.diameter) largest = place;
    if (place.diameter < smallest.diameter) smallest = place;
  }
  return { largest, smallest };
}

/** Every place between two positions where the diameter can be largest or smallest, mm. */
const candidatesIn = ({ segments }: Drawn, from: number, to: number): DiameterAt[] =>
  segments
    .filter(({ x0, x1 }) => x1 >= from && x0 <= to)
    .flatMap((segment) => candidates(segment, from, to))
    .map(({ x, r }) => ({ x, diameter: 2 * r }));

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

/** The thickest place of all, exact; of nothing it is 0. mm */
export function widestOf(outline: Drawn): DiameterAt {
  const { largest } = extremes(outline, -Infinity, Infinity);
  return largest.diameter > 0 ? largest : { x: 0, diameter: 0 };
}

/** The lines and arcs of one element. */
export const ownSegments = ({ segments }: Drawn, elementId: string): Segment[] =>
  segments.filter((s) => s.elementId === elementId);

/** A highest or lowest place inside an element, mm. */
export interface Peak extends DiameterAt {
  is: 'crest' | 'bottom';
}

/** Highest and lowest places inside an element that lie beyond both its ends and that a turner sizes. */
export function peaksOf(
  outline: Drawn,
  { element, x0, x1, startDiameter, endDiameter }: ElementSpan,
): Peak[] {
  const { sized } = kindOf(element);
  if (sized.length === 0 || x1 <= x0) return [];
  const { largest, smallest } = extremes({ segments: ownSegments(outline, element.id) }, x0, x1);
  const peaks: Peak[] = [];
  if (sized.includes('crest') && largest.diameter > Math.max(startDiameter, endDiameter) + SEEN)
    peaks.push({ is: 'crest', ...largest });
  if (sized.includes('bottom') && smallest.diameter < Math.min(startDiameter, endDiameter) - SEEN)
    peaks.push({ is: 'bottom', ...smallest });
  return peaks;
}

/** Smaller differences of diameter are rounding, mm. */
const SEEN = 1e-6;

/**
 * Stretch that carries wood on both sides of it, mm: all but what thins out towards an end, which counts from where it is
 * no longer part of its element, or from its waist; beyond that nothing hangs. Null where that is all there is, as at a ball.
 */
export function carryingStretch(
  outline: Pick<Outline, 'segments' | 'spans'>,
): { from: number; to: number } | null {
  const [first, last] = [outline.spans[0], outline.spans.at(-1)];
  if (!first || !last) return null;
  const from =
    waistIn(outline, first) ?? (thinsTo(outline, first, first.startDiameter) ? first.x1 : first.x0);
  const to = waistIn(outline, last) ?? (thinsTo(outline, last, last.endDiameter) ? last.x0 : last.x1);
  return from > to ? null : { from, to };
}

const waistIn = (outline: Drawn, span: ElementSpan): number | undefined =>
  peaksOf(outline, span).find((p) => p.is === 'bottom')?.x;

/** An element is thicker somewhere than at that end of it. */
const thinsTo = (outline: Drawn, { element, x0, x1 }: ElementSpan, end: number): boolean =>
  extremes({ segments: ownSegments(outline, element.id) }, x0, x1).largest.diameter > end + SEEN;

/**
 * Thinnest place that still carries wood on both sides of it, mm: waists, and breaks between elements. What carries nothing
 * but itself, like a ball, is as thin as it is thick.
 */
export function slimmestOf(outline: Pick<Outline, 'segments' | 'spans'>): DiameterAt {
  const stretch = carryingStretch(outline);
  if (!stretch) return widestOf(outline);
  // a point is an end, whatever begins there
  const places = candidatesIn(outline, stretch.from, stretch.to).filter(({ diameter }) => diameter > SEEN);
  return places.reduce((a, b) => (b.diameter < a.diameter ? b : a), widestOf(outline));
}

/** Points along the edge whose chords stray by at most `chordError` from it; a step is two points. mm */
export function pointsAlong({ segments }: Drawn, chordError: number): { x: number; r: number }[] {
  const [first] = segments;
  if (!first) return [];
  return [{ x: first.x0, r: first.r0 }, ...segments.flatMap((s) => chordPoints(s, chordError))];
}
