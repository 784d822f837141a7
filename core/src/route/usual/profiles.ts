import {
  circleOf,
  radiusOn,
  type Outline,
  type PartEnd,
  type Segment,
  turnedProfile,
  turningPoint,
} from '../../pattern/index.js';

/** Stretches of an element as they are turned; of a square that is left only what clips its corners, and its shoulder. */
export function turnedSegments(outline: Outline, elementId: string): Segment[] {
  const square = outline.squares?.find((s) => s.elementId === elementId);
  const own = turnedProfile(outline).filter((s) => s.elementId === elementId);
  if (!square) return own;
  const uncut = (square.side / 2) * Math.SQRT2 - 1e-6;
  return own.filter((s) => Math.min(s.r0, s.r1) < uncut);
}

/**
 * The place nearest to an end of a part where it is as thick as a nib; beyond it lies its tip. mm
 * @param radius of the nib
 */
export function nibAt({ segments, length }: Outline, end: PartEnd, radius: number): number {
  const first = end === 'reference';
  const ordered = first ? segments : segments.toReversed();
  const stout = ordered.find((s) => Math.max(s.r0, s.r1, turningPoint(s)?.r ?? 0) >= radius);
  if (!stout) return first ? 0 : length;
  const near = first ? stout.r0 : stout.r1;
  if (near >= radius || stout.x0 === stout.x1) return first ? stout.x0 : stout.x1;
  // it rises from that end to its crest or its other end: halving finds where
  let thin = first ? stout.x0 : stout.x1;
  let thick = turningPoint(stout)?.x ?? (first ? stout.x1 : stout.x0);
  for (let i = 0; i < 60; i++) {
    const middle = (thin + thick) / 2;
    if (radiusOn(stout, middle) < radius) thin = middle;
    else thick = middle;
  }
  return thick;
}

/** What of a profile lies between two places, mm; the parts of an arc keep its circle. */
export function between(segments: readonly Segment[], from: number, to: number): Segment[] {
  return segments.flatMap((segment) => {
    if (segment.x1 < from || segment.x0 > to) return [];
    // a step belongs to what lies inside
    if (segment.x0 === segment.x1) return segment.x0 > from && segment.x0 < to ? [segment] : [];
    const head = segment.x0 < from ? splitAt(segment, from)[1] : segment;
    const cut = head.x1 > to ? splitAt(head, to)[0] : head;
    return cut.x1 - cut.x0 < 1e-9 ? [] : [cut];
  });
}

/** A line or arc in two at x; the parts of an arc keep its circle. */
function splitAt(segment: Segment, x: number): [Segment, Segment] {
  const r = radiusOn(segment, x);
  const part = (x0: number, r0: number, x1: number, r1: number): Segment => {
    const ends = { ...segment, x0, r0, x1, r1 };
    if (segment.bulge === 0) return ends;
    const chord = Math.hypot(x1 - x0, r1 - r0);
    const { radius } = circleOf(segment);
    const off = radius - Math.sqrt(Math.max(0, radius * radius - (chord * chord) / 4));
    return { ...ends, bulge: chord === 0 ? 0 : (Math.sign(segment.bulge) * 2 * off) / chord };
  };
  return [part(segment.x0, segment.r0, x, r), part(x, r, segment.x1, segment.r1)];
}
