import { len } from '../measure/index.js';
import { holeBoundary, tooThin } from './hole.js';
import type { Outline } from './outline.js';
import type { CrossHole, Hole } from './pattern.js';
import { extremes, radiusAt } from './radius.js';
import { distanceBetween, distanceTo } from './wall.js';

/** A cross hole where it lies in the part: station, radius, and how deep it goes as heights above the axis. */
export interface Bore {
  id: string;
  name: string;
  /** station of its centre from the reference end, mm */
  x: number;
  radius: number;
  /** round the axis, degrees */
  angle: number;
  /** from the mouth (highest) to its end; below zero it has passed the axis, mm */
  mouth: number;
  end: number;
}

/** A cross hole's place in the part. mm. */
export function boreOf(hole: CrossHole, outline: Outline): Bore {
  const x = stationOf(hole, outline.length);
  const mouth = radiusAt(outline, x);
  return {
    id: hole.id,
    name: hole.name,
    x,
    radius: hole.diameter.mm / 2,
    angle: hole.angle,
    mouth,
    end: hole.through ? -mouth : mouth - (hole.depth?.mm ?? 0),
  };
}

/** Station of a cross hole from the reference end, mm. */
const stationOf = (hole: CrossHole, length: number): number =>
  hole.from === 'reference' ? hole.at.mm : length - hole.at.mm;

/** Wood left at a cross hole, and between what. */
export interface CrossWall {
  wall: number;
  x: number;
  holeId: string;
  /** the other hole; none when it is the outside or an end */
  otherId?: string;
}

/**
 * Wood at the cross holes of a part, the least first, the least of each two once: to the ends, beside the hole, under a blind one, to the axial holes and to each
 * other. Below zero they meet.
 *
 * Beside it the wood is least in the plane through the axis square to the hole: there the hole is a circle, and the outside
 * its outline, so that what is left is the outline's distance from the centre less the radius. Under a blind one it is the
 * outline's distance from its flat bottom in the plane of both axes.
 *
 * An axial and a cross hole are nearest to each other in the plane of the two axes, where the one is
 * its boundary and the other a rectangle. Two cross holes are taken as rods round the segments of
 * their axes with round ends, which are never farther apart than the drilled ones.
 */
export function crossWalls(
  outline: Outline,
  holes: readonly Hole[],
  crossHoles: readonly CrossHole[],
): CrossWall[] {
  const bores = crossHoles.map((hole) => boreOf(hole, outline));
  return bores
    .flatMap((bore, i) => [
      toOutside(bore, outline),
      ...holes.map((hole) => toAxial(bore, hole, outline.length)),
      ...bores.slice(i + 1).map((other) => toBore(bore, other)),
    ])
    .sort((a, b) => a.wall - b.wall);
}

/** Wood between the flat bottom of a blind hole and the outside behind it: below zero by how much it breaks out. */
function wallUnder({ x, radius, end }: Bore, outline: Outline): number {
  const [x0, x1] = [Math.max(0, x - radius), Math.min(outline.length, x + radius)];
  const thinnest = extremes(outline, x0, x1).smallest.diameter / 2 + end;
  if (thinnest <= 0) return thinnest;
  return distanceBetween(outline, { elementId: '', x0, r0: -end, x1, r1: -end, bulge: 0 });
}

function toOutside(bore: Bore, outline: Outline): CrossWall {
  const { x, radius, id: holeId } = bore;
  const walls = [x - radius, outline.length - x - radius, distanceTo(outline, x, 0) - radius];
  if (bore.end > -bore.mouth) walls.push(wallUnder(bore, outline));
  return { wall: Math.min(...walls), x, holeId };
}

function toAxial(bore: Bore, hole: Hole, length: number): CrossWall {
  const distances = holeBoundary(hole, length).map((s) => {
    const [low, high] = [Math.min(s.x0, s.x1), Math.max(s.x0, s.x1)];
    return spanToRectangle(bore, low, high, Math.max(s.r0, s.r1));
  });
  return { wall: Math.min(...distances), x: bore.x, holeId: bore.id, otherId: hole.id };
}

/** Distance between a bore and a stretch of an axial hole of the given radius; below zero they meet. */
function spanToRectangle({ x, radius, end }: Bore, low: number, high: number, r: number): number {
  const along = Math.max(low - (x + radius), x - radius - high);
  const across = end - r;
  if (along > 0 && across > 0) return Math.hypot(along, across);
  return Math.max(along, across);
}

function toBore(a: Bore, b: Bore): CrossWall {
  const distance = segmentDistance(ends(a), ends(b));
  return { wall: distance - a.radius - b.radius, x: a.x, holeId: a.id, otherId: b.id };
}

type Point = [number, number, number];

function ends({ x, angle, mouth, end }: Bore): [Point, Point] {
  const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  return [
    [x, mouth * c, mouth * s],
    [x, end * c, end * s],
  ];
}

const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const clamp = (t: number): number => Math.min(1, Math.max(0, t));

/** Shortest distance of two segments (C. Ericson, “Real-Time Collision Detection”, 2005, 5.1.9). */
function segmentDistance([p1, q1]: [Point, Point], [p2, q2]: [Point, Point]): number {
  const d1 = minus(q1, p1);
  const d2 = minus(q2, p2);
  const r = minus(p1, p2);
  const a = dot(d1, d1);
  const e = dot(d2, d2);
  const b = dot(d1, d2);
  const c = dot(d1, r);
  const f = dot(d2, r);
  const denominator = a * e - b * b;
  let s = denominator > 1e-12 ? clamp((b * f - c * e) / denominator) : 0;
  let t = e > 0 ? (b * s + f) / e : 0;
  if (t < 0 || t > 1) {
    t = clamp(t);
    s = a > 0 ? clamp((b * t - c) / a) : 0;
  }
  const at = (p: Point, d: Point, k: number): Point => [p[0] + k * d[0], p[1] + k * d[1], p[2] + k * d[2]];
  const gap = minus(at(p1, d1, s), at(p2, d2, t));
  return Math.sqrt(dot(gap, gap));
}

/** What is wrong with a cross hole in itself. */
export function crossHoleProblems(hole: CrossHole, outline: Outline): string[] {
  const { name, diameter, depth, through } = hole;
  const x = stationOf(hole, outline.length);
  const [thin] = tooThin(name, diameter.mm);
  if (thin !== undefined) return [thin];
  if (x <= 0 || x >= outline.length)
    return [`${name}: ${len(hole.at.mm)} from the end is not on a part ${len(outline.length)} long.`];
  const thick = 2 * radiusAt(outline, x);
  if (diameter.mm >= thick)
    return [`${name}: ${len(diameter.mm)} is wider than the wood there, ${len(thick)}. Take a smaller bit.`];
  if (!through && (depth === undefined || depth.mm <= 0))
    return [`${name}: give its depth, or let it go through.`];
  if (!through && depth && depth.mm >= thick)
    return [
      `${name}: ${len(depth.mm)} deep comes out of ${len(thick)} of wood. Let it go through, or drill less.`,
    ];
  return [];
}
