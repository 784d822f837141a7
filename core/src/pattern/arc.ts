/**
 * A piece of the outline in the half plane of the axis: from (x0, r0) to (x1, r1), mm.
 * `bulge` is the tangent of a quarter of the included angle: 0 is a straight line, above 0 bulges
 * away from the axis, below 0 is hollow, ±1 is a half circle.
 */
export interface Segment {
  elementId: string;
  x0: number;
  r0: number;
  x1: number;
  r1: number;
  bulge: number;
}

export interface Circle {
  cx: number;
  cr: number;
  radius: number;
}

/**
 * Circle that carries an arc.
 * With chord c and sagitta s = bulge·c/2 the radius is c(1 + bulge²)/(4|bulge|), and the centre
 * lies radius − s from the chord on the side away from the bulge (chord–sagitta relation,
 * elementary geometry).
 */
export function circleOf({ x0, r0, x1, r1, bulge }: Segment): Circle {
  const dx = x1 - x0;
  const dr = r1 - r0;
  const chord = Math.hypot(dx, dr);
  const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
  // signed distance from the chord's middle to the centre, along the normal that points outward
  const toCentre = (-chord * (1 - bulge * bulge)) / (4 * bulge);
  return {
    cx: (x0 + x1) / 2 + (toCentre * -dr) / chord,
    cr: (r0 + r1) / 2 + (toCentre * dx) / chord,
    radius,
  };
}

/** Bulge of the arc over chord c that rises by `sagitta` (negative: sinks). */
export const bulgeOfSagitta = (chord: number, sagitta: number): number => (2 * sagitta) / chord;

/** Arc of a radius between two points, bulging away from the axis or hollow: half angle = asin(c/2R). */
export function arcFrom(
  elementId: string,
  x0: number,
  r0: number,
  x1: number,
  r1: number,
  radius: number,
  side: 'out' | 'in',
): Segment {
  const chord = Math.hypot(x1 - x0, r1 - r0);
  const quarter = Math.asin(Math.min(1, chord / 2 / radius)) / 2;
  return { elementId, x0, r0, x1, r1, bulge: Math.tan(quarter) * (side === 'out' ? 1 : -1) };
}

/**
 * Point of a segment at parameter t in 0..1 (by angle on an arc), with its derivative by t.
 * The arc is developed from its first point with half-angle differences, so that a flat arc of a
 * huge radius loses no digits.
 */
export function pointAt(segment: Segment, t: number): { x: number; r: number; dx: number; dr: number } {
  const { x0, r0, x1, r1, bulge } = segment;
  const dx = x1 - x0;
  const dr = r1 - r0;
  if (bulge === 0) return { x: x0 + t * dx, r: r0 + t * dr, dx, dr };
  const chord = Math.hypot(dx, dr);
  const angle = 4 * Math.atan(bulge); // included, signed
  const radius = (chord * (1 + bulge * bulge)) / (4 * bulge); // signed
  // leaving direction is the chord turned by half the included angle; each further step of the
  // arc adds a small chord 2R·sin(tφ/2) in the direction half-way turned back
  const heading = Math.atan2(dr, dx) + angle / 2;
  const step = 2 * radius * Math.sin((t * angle) / 2);
  const along = heading - (t * angle) / 2;
  const tangent = heading - t * angle;
  return {
    x: x0 + step * Math.cos(along),
    r: r0 + step * Math.sin(along),
    dx: radius * angle * Math.cos(tangent),
    dr: radius * angle * Math.sin(tangent),
  };
}

/** What of a segment lies between two positions; null where nothing does. */
export function clippedTo(segment: Segment, from: number, to: number): Segment | null {
  const { elementId, x0, x1, bulge } = segment;
  if (x1 < from || x0 > to) return null;
  if (x0 >= from && x1 <= to) return segment;
  const [a, b] = [Math.max(x0, from), Math.min(x1, to)];
  const [ra, rb] = [radiusOn(segment, a), radiusOn(segment, b)];
  if (bulge === 0) return { elementId, x0: a, r0: ra, x1: b, r1: rb, bulge };
  return arcFrom(elementId, a, ra, b, rb, circleOf(segment).radius, bulge > 0 ? 'out' : 'in');
}

/** Radius of a segment at x, which must lie between its ends; on a shoulder the larger one. */
export function radiusOn(segment: Segment, x: number): number {
  const { x0, r0, x1, r1, bulge } = segment;
  if (x1 - x0 === 0) return Math.max(r0, r1);
  if (x === x0) return r0;
  if (x === x1) return r1;
  const straight = r0 + ((x - x0) / (x1 - x0)) * (r1 - r0);
  if (bulge === 0) return straight;
  const { cx, cr, radius } = circleOf(segment);
  const rise = Math.sqrt(Math.max(0, radius * radius - (x - cx) ** 2));
  return bulge > 0 ? cr + rise : cr - rise;
}

/** Position of the highest (or lowest) point of an arc when it lies strictly between its ends. */
export function turningPoint(segment: Segment): { x: number; r: number } | null {
  if (segment.bulge === 0) return null;
  const { cx, cr, radius } = circleOf(segment);
  if (cx <= segment.x0 || cx >= segment.x1) return null;
  return { x: cx, r: segment.bulge > 0 ? cr + radius : cr - radius };
}

/**
 * Points of a segment after its first whose chords stray by at most `error` from it, mm: each chord over
 * the angle φ/n has the sagitta R(1 − cos(φ/2n)).
 */
export function chordPoints(segment: Segment, error: number): { x: number; r: number }[] {
  if (segment.bulge === 0) return [{ x: segment.x1, r: segment.r1 }];
  const each = 2 * Math.acos(Math.max(0, 1 - error / circleOf(segment).radius));
  const steps = Math.max(1, Math.ceil(Math.abs(4 * Math.atan(segment.bulge)) / each));
  return Array.from({ length: steps }, (_, i) => pointAt(segment, (i + 1) / steps));
}
