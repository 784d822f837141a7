import { bulgeOfSagitta, circleOf, type Segment } from '../arc.js';
import { curveAt, isOn, type FittedCurve, type Point } from './moments.js';
import type { Stretch } from './breaks.js';

// asked for every point of every curve that is tried
const { sqrt, max, min, hypot, abs } = Math;

/**
 * A stretch of a copied line with its ends, mm. An arc stands off its chord by `sagitta`, out above 0; a V
 * groove lies below it.
 */
export interface Piece {
  kind: 'line' | 'arc' | 'groove';
  x0: number;
  r0: number;
  x1: number;
  r1: number;
  sagitta: number;
  /** points of the sample that lie on it */
  points: number;
  /** it begins apart from where the one before ended */
  step: boolean;
  /** it ends at the radius it began with */
  level: boolean;
}

/** Where two curves that cross within so many spacings of the cut between them meet without a step. */
const MEET_SPACINGS = 4;

/**
 * Stretches with their ends: neighbours that cross where they are cut share that point, others stand
 * apart by a step half-way between their last and first points.
 */
export function piecesOf(points: readonly Point[], stretches: readonly Stretch[], noise: number): Piece[] {
  const end = points.at(-1)?.x ?? 0;
  const meets = stretches.slice(1).map((s, i) => meetingX(points, stretches[i] ?? s, s, noise));
  const pieces = stretches.map((stretch, i): Piece => {
    const [x0, x1] = [meets[i - 1] ?? 0, meets[i] ?? end];
    const at = (x: number) => max(0, curveAt(stretch.curve, x));
    return {
      kind: stretch.curve.kind,
      x0,
      r0: at(x0),
      x1,
      r1: at(x1),
      sagitta: 0,
      points: stretch.to - stretch.from,
      step: false,
      level: false,
    };
  });
  pieces.slice(1).forEach((piece, i) => {
    const [before, a, b] = [pieces[i], stretches[i], stretches[i + 1]];
    if (!before || !a || !b) return;
    piece.step = abs(piece.r0 - before.r1) > stepFrom(points, a, b, noise);
    if (!piece.step) piece.r0 = before.r1 = (piece.r0 + before.r1) / 2;
  });
  pieces.forEach((piece, i) => (piece.sagitta = sagittaOver(piece, stretches[i])));
  return pieces;
}

/** How far a fitted circle stands off the chord of a piece: R − √(R² − c²/4), below the chord for a hollow. */
function sagittaOver({ x0, r0, x1, r1 }: Piece, stretch: Stretch | undefined): number {
  if (stretch?.curve.kind !== 'arc') return 0;
  const { radius, side } = stretch.curve;
  const half = hypot(x1 - x0, r1 - r0) / 2;
  const rise = radius - sqrt(max(0, radius * radius - half * half));
  return side === 'out' ? rise : -rise;
}

/** Steeper than this nobody can tell a side from a step. */
const STEEPEST = 4;

/** From which difference on two neighbours stand apart: what a steep side may fall in half a spacing is none. */
function stepFrom(points: readonly Point[], a: Stretch, b: Stretch, noise: number): number {
  const [last, next] = [points[b.from - 1]?.x ?? 0, points[b.from]?.x ?? 0];
  const fall = (curve: FittedCurve, x: number, by: number) =>
    abs(curveAt(curve, x + by) - curveAt(curve, x)) / abs(by);
  const hair = (next - last) / 4;
  const steep = max(fall(a.curve, last, -hair), fall(b.curve, next, hair));
  return max(0.15, 5 * noise) + (min(STEEPEST, steep) * (next - last)) / 2;
}

/** Whether what stands between two pieces may be the side of an arc, cut a place too soon or too late, instead of a step. */
export function mayBeASide(before: Piece, piece: Piece, noise: number, spacing: number): boolean {
  if (!piece.step || (before.kind !== 'arc' && piece.kind !== 'arc')) return false;
  const hair = spacing / 4;
  const [a, b] = [radiusAlong(before), radiusAlong(piece)];
  const steep = max(abs(a(before.x1) - a(before.x1 - hair)), abs(b(piece.x0 + hair) - b(piece.x0))) / hair;
  return abs(piece.r0 - before.r1) < max(0.15, 5 * noise) + min(STEEPEST, steep) * spacing;
}

/**
 * Where two neighbouring curves meet: their crossing nearest the cut between them, unless points between
 * both would then lie on a curve that they are not on; else the cut itself.
 */
function meetingX(points: readonly Point[], a: Stretch, b: Stretch, noise: number): number {
  const low = points[b.from - 1]?.x ?? 0;
  const high = points[b.from]?.x ?? low;
  const middle = (low + high) / 2;
  const spacing = high - low;
  const gap = (x: number) => curveAt(b.curve, x) - curveAt(a.curve, x);
  for (let near = 0; near < 2 * MEET_SPACINGS; near++)
    for (const side of [-1, 1]) {
      const from = middle + (side * near * spacing) / 2;
      const to = from + (side * spacing) / 2;
      if (gap(from) * gap(to) > 0 && !isAtRim(gap, to, [a.curve, b.curve], noise)) continue;
      const x = crossing(gap, from, to);
      const taken =
        side < 0
          ? points.slice(max(a.from, b.from - MEET_SPACINGS), b.from)
          : points.slice(b.from, min(b.to, b.from + MEET_SPACINGS));
      const curve = side < 0 ? b.curve : a.curve;
      const over = taken.filter((p) => (side < 0 ? p.x > x : p.x < x));
      if (over.every((p) => isOn(curve, p, max(0.1, 5 * noise)))) return x;
    }
  return middle;
}

/** A hair between a rim and what it stands on, mm, or so many times the noise. */
const HAIR = 0.05;
const HAIR_NOISE = 3;

/** Beyond the rim of a circle, and there on the other curve: a half circle meets what it stands on so. */
const isAtRim = (
  gap: (x: number) => number,
  x: number,
  curves: readonly FittedCurve[],
  noise: number,
): boolean =>
  abs(gap(x)) < max(HAIR, HAIR_NOISE * noise) &&
  curves.some((c) => c.kind === 'arc' && abs(x - c.cx) >= c.radius);

/** Where a difference is nothing, by halving. */
function crossing(gap: (x: number) => number, start: number, end: number): number {
  let [from, to] = [start, end];
  for (let i = 0; i < 40; i++) {
    const middle = (from + to) / 2;
    if (gap(from) * gap(middle) <= 0) to = middle;
    else from = middle;
  }
  return (from + to) / 2;
}

/** The segment of a piece. */
export function segmentOf({ kind, x0, r0, x1, r1, sagitta }: Piece): Segment {
  const chord = hypot(x1 - x0, r1 - r0);
  const bulge = kind !== 'arc' || chord === 0 ? 0 : bulgeOfSagitta(chord, sagitta);
  return { elementId: '', x0, r0, x1, r1, bulge };
}

/** Radius of a piece by x: on an arc that overhangs its ends, that of the nearer rim. */
export function radiusAlong(piece: Piece): (x: number) => number {
  const segment = segmentOf(piece);
  const slope = (piece.r1 - piece.r0) / max(1e-9, piece.x1 - piece.x0);
  if (abs(segment.bulge) < 1e-7) return (x) => piece.r0 + slope * (x - piece.x0);
  const { cx, cr, radius } = circleOf(segment);
  const side = segment.bulge > 0 ? 1 : -1;
  return (x) => cr + side * sqrt(max(0, radius * radius - (x - cx) ** 2));
}
