import { turningPoint } from './arc.js';
import { boreOf, type Bore } from './crossHole.js';
import { boreAt, holeBoundary } from './hole.js';
import type { Outline } from './outline.js';
import type { CrossHole, Hole } from './pattern.js';
import { carryingStretch, radiiAt, slimmestOf, widestOf, type DiameterAt } from './radius.js';

/** The places of a part that decide how it behaves: thinnest outside, and least stiff. */
export interface WeakPlaces {
  narrowest: DiameterAt;
  /** second moment of area there, mm⁴ */
  leastStiff: { x: number; secondMoment: number };
}

/**
 * Thinnest place that carries wood on both sides, and the least stiff section there: I = π/4 (R⁴ − bore⁴) of the ring, less
 * what cross holes take out of it. Between breaks of the outline and of the holes the section changes steadily; its least is
 * found there by golden sections. Null for a part without length.
 */
export function weakPlaces(
  outline: Outline,
  holes: readonly Hole[],
  crossHoles: readonly CrossHole[] = [],
): WeakPlaces | null {
  if (outline.length <= 0) return null;
  const bores = crossHoles.map((hole) => boreOf(hole, outline));
  const own = widestOf(outline).x;
  const { from, to } = carryingStretch(outline) ?? { from: own, to: own };
  const stiffness = (x: number) => secondMomentAt(outline, holes, bores, x);
  const places = [from, ...breaksOf(outline, holes, bores).filter((x) => x > from && x < to), to];
  const least = places
    .flatMap((x, i) => [x, leastBetween(stiffness, x, places[i + 1] ?? x)])
    .map((x) => ({ x, secondMoment: stiffness(x) }))
    .reduce((a, b) => (b.secondMoment < a.secondMoment ? b : a));
  return { narrowest: slimmestOf(outline), leastStiff: least };
}

/** Where the section begins to change otherwise, from the reference end, mm; each once. */
function breaksOf(outline: Outline, holes: readonly Hole[], bores: readonly Bore[]): number[] {
  const places = [
    ...outline.segments.flatMap((s) => [s.x0, turningPoint(s)?.x ?? s.x1, s.x1]),
    ...holes.flatMap((hole) => holeBoundary(hole, outline.length).flatMap((s) => [s.x0, s.x1])),
    ...bores.flatMap(({ x, radius }) => [x - radius, x, x + radius]),
  ];
  return [...new Set(places)].sort((a, b) => a - b);
}

/** Second moment of area about the axis, in the plane in which it is least, mm⁴; at a shoulder that of its thinner side. */
function secondMomentAt(outline: Outline, holes: readonly Hole[], bores: readonly Bore[], x: number): number {
  const { before, after } = radiiAt(outline, x);
  const sides = [before, after].filter((r) => r > 0);
  const r = sides.length > 0 ? Math.min(...sides) : 0;
  const bore = Math.min(r, boreAt(holes, outline, x));
  const taken = bores.map((cross) => strip(r, halfWidthAt(cross, x)) - strip(bore, halfWidthAt(cross, x)));
  return Math.max(0, (Math.PI / 4) * (r ** 4 - bore ** 4) - taken.reduce((sum, t) => sum + t, 0));
}

const halfWidthAt = ({ x: centre, radius }: Bore, x: number): number =>
  Math.sqrt(Math.max(0, radius ** 2 - (x - centre) ** 2));

/**
 * What a slot through the middle, 2h wide, takes from the second moment of a round of radius r about the axis square to the
 * slot: ∫ 2/3 (r² − z²)^{3/2} dz from −h to h, by parts 1/6 [h (5r² − 2h²) √(r² − h²) + 3r⁴ asin(h/r)]. A blind hole is counted as
 * one that goes through: what is left under it holds little. mm⁴
 */
function strip(r: number, halfWidth: number): number {
  if (r <= 0) return 0;
  const h = Math.min(r, halfWidth);
  return (h * (5 * r * r - 2 * h * h) * Math.sqrt(r * r - h * h) + 3 * r ** 4 * Math.asin(h / r)) / 6;
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Where a function that sinks and then rises is least between two places; to a thousandth of a mm. */
function leastBetween(f: (x: number) => number, a: number, b: number): number {
  while (b - a > 1e-3) {
    const [left, right] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
    if (f(left) <= f(right)) b = right;
    else a = left;
  }
  return (a + b) / 2;
}
