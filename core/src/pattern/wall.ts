import { circleOf, clippedTo, pointAt, turningPoint, type Segment } from './arc.js';
import { boreAt, holeBoundary } from './hole.js';
import type { Outline } from './outline.js';
import type { Hole } from './pattern.js';
import { radiusAt } from './radius.js';

/** Wood left between outside and hole, measured across the axis at x, mm. */
export const wallAt = (outline: Outline, holes: readonly Hole[], x: number): number =>
  radiusAt(outline, x) - boreAt(holes, outline, x);

/** The thinnest wood between a hole and the outside, and the point of the outside where it is. */
export interface LeastWall {
  wall: number;
  x: number;
  holeId: string;
}

/**
 * Least wall of a part: the true distance between the outside and the holes, which for surfaces of
 * revolution about one axis is the distance of their curves in the half plane. Negative when a hole
 * breaks through; where it begins in a rounded end it does not. For a blind hole the face of the other end counts as
 * outside. Null without holes.
 */
export function leastWall(outline: Outline, holes: readonly Hole[]): LeastWall | null {
  let least: LeastWall | null = null;
  for (const hole of holes) {
    const within = withinRim(outline, hole);
    const inside = (segment: Segment) => clippedTo(segment, within.from, within.to) ?? [];
    const outside = [...outline.segments.flatMap(inside), ...farFace(outline, hole)];
    const bores = holeBoundary(hole, outline.length).map(forwards).flatMap(inside);
    for (const bore of bores)
      for (const edge of outside) {
        const near = nearest(bore, edge);
        if (least === null || near.distance < least.wall)
          least = { wall: near.distance, x: near.x, holeId: hole.id };
      }
    const breach = breakThrough(outline, hole, within);
    if (breach && (least === null || breach.wall < least.wall)) least = breach;
  }
  return least;
}

const forwards = (s: Segment): Segment =>
  s.x1 >= s.x0 ? s : { ...s, x0: s.x1, r0: s.r1, x1: s.x0, r1: s.r0 };

interface Stretch {
  from: number;
  to: number;
}

/** Where the walls of a hole count: from behind its rim, to before the rim where it comes out again. */
function withinRim(outline: Outline, { from, steps, through }: Hole): Stretch {
  const deep = through ? outline.length : (steps[0]?.depth.mm ?? 0);
  const first = (steps[0]?.diameter.mm ?? 0) / 2;
  const last = (steps.at(-1)?.endDiameter ?? steps.at(-1)?.diameter)?.mm ?? 0;
  const [reference, far] = from === 'reference' ? [first, last / 2] : [last / 2, first];
  return {
    from: through || from === 'reference' ? rimOf(outline, 'reference', reference, deep) : -Infinity,
    to: outline.length - (through || from === 'far' ? rimOf(outline, 'far', far, deep) : -Infinity),
  };
}

/**
 * How deep the rim of a hole reaches into a rounded or pointed end, mm: to where the outside is as wide as the hole, and half
 * its width further, but no deeper than it is drilled. None at a flat end, nor where the bit would shorten the piece by more
 * than the hole is wide or deep: -Infinity.
 */
function rimOf(outline: Outline, end: 'reference' | 'far', radius: number, deep: number): number {
  const inward = (x: number) => (end === 'reference' ? x : outline.length - x);
  const across = (depth: number) => radiusAt(outline, inward(depth));
  const breaks = outline.segments.flatMap((s) => [s.x0, turningPoint(s)?.x ?? s.x1, s.x1]);
  const depths = breaks.map(inward).sort((a, b) => a - b);
  const reached = depths.find((depth) => across(depth) >= radius);
  const narrow = depths.findLast((depth) => depth < (reached ?? 0));
  if (reached === undefined || narrow === undefined) return -Infinity;
  const rim = widensTo(across, radius, narrow, reached);
  return rim > Math.min(2 * radius, deep) + 1e-9 ? -Infinity : Math.min(rim + radius, deep);
}

/** Depth at which the outside is first as wide as wanted, between one where it is not and one where it is. mm */
function widensTo(across: (depth: number) => number, radius: number, narrow: number, wide: number): number {
  while (wide - narrow > 1e-9) {
    const middle = (narrow + wide) / 2;
    if (across(middle) >= radius) wide = middle;
    else narrow = middle;
  }
  return wide;
}

function farFace(outline: Outline, hole: Hole): Segment[] {
  if (hole.through) return [];
  const x = hole.from === 'reference' ? outline.length : 0;
  const r = radiusAt(outline, x);
  return [{ elementId: 'face', x0: x, r0: 0, x1: x, r1: r, bulge: 0 }];
}

/** Where a corner of the hole lies outside the outline: by how much, as a negative wall. */
function breakThrough(outline: Outline, hole: Hole, { from, to }: Stretch): LeastWall | null {
  let breach: LeastWall | null = null;
  const corners = holeBoundary(hole, outline.length).flatMap((s) => [
    [s.x0, s.r0] as const,
    [s.x1, s.r1] as const,
  ]);
  const inner = outline.segments.flatMap((s) => [s.x0, turningPoint(s)?.x ?? s.x1, s.x1]);
  const probes = [...corners, ...inner.map((x) => [x, boreAt([hole], outline, x)] as const)];
  for (const [x, bore] of probes) {
    if (x < from || x > to) continue;
    const outside = x < 0 || x > outline.length;
    const wall = outside ? -Math.max(-x, x - outline.length) : smallestRadiusAt(outline, x) - bore;
    if (wall < 0 && (breach === null || wall < breach.wall)) breach = { wall, x, holeId: hole.id };
  }
  return breach;
}

/** At a shoulder the thinner side decides whether a hole breaks out. */
function smallestRadiusAt({ segments }: Outline, x: number): number {
  let radius = Infinity;
  for (const segment of segments) {
    if (x < segment.x0 || x > segment.x1) continue;
    const part = { segments: [segment] };
    const r = segment.x0 === segment.x1 ? Math.min(segment.r0, segment.r1) : radiusAt(part, x);
    radius = Math.min(radius, r);
  }
  return radius;
}

/** Shortest distance from a point of the half plane to an outline, mm; below the axis r is negative. */
export const distanceTo = ({ segments }: Pick<Outline, 'segments'>, x: number, r: number): number =>
  Math.min(...segments.map((edge) => toSegment(edge, x, r).distance));

/** Shortest distance between a straight line of the half plane and an outline, mm. */
export const distanceBetween = ({ segments }: Pick<Outline, 'segments'>, line: Segment): number =>
  Math.min(...segments.map((edge) => nearest(line, edge).distance));

interface Near {
  distance: number;
  /** position on the outside */
  x: number;
}

/** Shortest distance between a straight bore segment and an outline segment (line or arc). */
function nearest(bore: Segment, edge: Segment): Near {
  const candidates: Near[] = [
    ...[[bore.x0, bore.r0] as const, [bore.x1, bore.r1] as const].map(([x, r]) => toSegment(edge, x, r)),
    ...[[edge.x0, edge.r0] as const, [edge.x1, edge.r1] as const].map(([x, r]) => ({
      distance: toLine(bore, x, r).distance,
      x,
    })),
  ];
  if (edge.bulge !== 0) {
    // the common normal of line and circle runs through the centre
    const { cx, cr } = circleOf(edge);
    const foot = toLine(bore, cx, cr);
    candidates.push(toSegment(edge, foot.x, foot.r));
    const crest = pointAt(edge, 0.5);
    candidates.push({ distance: toLine(bore, crest.x, crest.r).distance, x: crest.x });
    for (const t of facing(edge, bore)) {
      const point = pointAt(edge, t);
      candidates.push({ distance: toLine(bore, point.x, point.r).distance, x: point.x });
    }
  }
  return candidates.reduce((a, b) => (b.distance < a.distance ? b : a));
}

/** Parameters of the arc's points whose normal is square to the bore line, where it faces it. */
function facing(edge: Segment, bore: Segment): number[] {
  const angle = 4 * Math.atan(edge.bulge);
  const heading = Math.atan2(edge.r1 - edge.r0, edge.x1 - edge.x0) + angle / 2;
  const along = Math.atan2(bore.r1 - bore.r0, bore.x1 - bore.x0);
  const parameters: number[] = [];
  for (let k = -2; k <= 2; k++) {
    const t = (heading - (along + k * Math.PI)) / angle;
    if (t > 0 && t < 1) parameters.push(t);
  }
  return parameters;
}

function toLine({ x0, r0, x1, r1 }: Segment, x: number, r: number): Near & { r: number } {
  const dx = x1 - x0;
  const dr = r1 - r0;
  const square = dx * dx + dr * dr;
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((x - x0) * dx + (r - r0) * dr) / square));
  const fx = x0 + t * dx;
  const fr = r0 + t * dr;
  return { distance: Math.hypot(x - fx, r - fr), x: fx, r: fr };
}

function toSegment(edge: Segment, x: number, r: number): Near {
  if (edge.bulge === 0) return toLine(edge, x, r);
  const ends: Near[] = [
    { distance: Math.hypot(x - edge.x0, r - edge.r0), x: edge.x0 },
    { distance: Math.hypot(x - edge.x1, r - edge.r1), x: edge.x1 },
  ];
  const { cx, cr, radius } = circleOf(edge);
  const away = Math.hypot(x - cx, r - cr);
  if (away > 0) {
    const px = cx + ((x - cx) * radius) / away;
    const pr = cr + ((r - cr) * radius) / away;
    const onArc = px >= edge.x0 && px <= edge.x1 && Math.sign(pr - cr) === Math.sign(edge.bulge);
    if (onArc) ends.push({ distance: Math.abs(radius - away), x: px });
  }
  return ends.reduce((a, b) => (b.distance < a.distance ? b : a));
}
