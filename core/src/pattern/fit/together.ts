import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import type { Point } from './moments.js';
import { radiusAlong, type Piece } from './piece.js';

/** Points that the fit of all pieces looks at: enough for a hundredth on a whole baluster. */
const MOST_POINTS = 2400;
const ITERATIONS = 8;

/** How far a break may move, as a share of the shorter of its two neighbours. */
const BREAK_REACH = 0.45;

/**
 * Lays all pieces through the points at once: the radii and places at which neighbours meet and how far
 * arcs stand off their chords are those with the least squares across the line (K. Levenberg, Quart. Appl.
 * Math. 2, 1944; D. W. Marquardt, J. SIAM 11, 1963). Steps stay where they are. What is level ends as it begins.
 * Lengths in mm; `noise` is that of a radius.
 */
export function laidTogether(points: readonly Point[], pieces: readonly Piece[], noise: number): Piece[] {
  const every = Math.ceil(points.length / MOST_POINTS);
  const asked = points.filter((_, i) => i % every === 0);
  const weights = weightsOf(asked, pieces, noise);
  const free = freeOf(pieces);
  const { parameterValues } = levenbergMarquardt(
    { x: asked.map((_, i) => i), y: asked.map((p, i) => p.r * (weights[i] ?? 0)) },
    (values) => {
      const line = lineOf(withValues(pieces, free, values));
      return (i) => line(asked[i]?.x ?? 0) * (weights[i] ?? 0);
    },
    {
      initialValues: free.map((f) => f.value),
      minValues: free.map((f) => f.least),
      maxValues: free.map((f) => f.most),
      maxIterations: ITERATIONS,
      gradientDifference: 1e-4,
      errorTolerance: 1e-6,
    },
  );
  return withValues(pieces, free, parameterValues);
}

/**
 * Weight of each point, one over the noise across the line there: a radius read off a steep place errs by
 * the place as well, so that it counts by the cosine of the slope.
 */
function weightsOf(points: readonly Point[], pieces: readonly Piece[], noise: number): number[] {
  const line = lineOf(pieces);
  const hair = 0.01;
  return points.map(({ x }) => {
    const slope = (line(x + hair) - line(x - hair)) / (2 * hair);
    return 1 / (noise * Math.hypot(1, slope));
  });
}

/** The radius by x of pieces that follow each other. */
export function lineOf(pieces: readonly Piece[]): (x: number) => number {
  const radii = pieces.map(radiusAlong);
  let at = 0;
  return (x) => {
    // points are asked in order: the piece is nearly always that of the point before
    while (at > 0 && x < (pieces[at]?.x0 ?? 0)) at--;
    while (at < pieces.length - 1 && x > (pieces[at]?.x1 ?? 0)) at++;
    return radii[at]?.(x) ?? 0;
  };
}

type Own = 'x0' | 'r0' | 'x1' | 'r1' | 'sagitta';

/** A value that is free to move, the places of the pieces that have it, and how far it may go. */
interface Free {
  places: { piece: number; own: Own }[];
  value: number;
  least: number;
  most: number;
}

function freeOf(pieces: readonly Piece[]): Free[] {
  return [...radiiOf(pieces), ...breaksOf(pieces), ...sagittasOf(pieces)];
}

/** Radii at the ends of pieces; those of a shared point and of a level line are one. */
function radiiOf(pieces: readonly Piece[]): Free[] {
  const free: Free[] = [];
  pieces.forEach((piece, i) => {
    const last = free.at(-1);
    const own = { piece: i, own: 'r0' } as const;
    if (last && !piece.step) last.places.push(own);
    else free.push({ places: [own], value: piece.r0, least: 0, most: Infinity });
    const end = { piece: i, own: 'r1' } as const;
    if (piece.level) free.at(-1)?.places.push(end);
    else free.push({ places: [end], value: piece.r1, least: 0, most: Infinity });
  });
  return free;
}

/** Places where neighbours share a point. */
const breaksOf = (pieces: readonly Piece[]): Free[] =>
  pieces.slice(1).flatMap((piece, i) => {
    const before = pieces[i];
    if (!before || piece.step) return [];
    const reach = BREAK_REACH * Math.min(before.x1 - before.x0, piece.x1 - piece.x0);
    const places: Free['places'] = [
      { piece: i, own: 'x1' },
      { piece: i + 1, own: 'x0' },
    ];
    return [{ places, value: piece.x0, least: piece.x0 - reach, most: piece.x0 + reach }];
  });

/** Arcs stand off their chord to their own side, at most as half circles. */
const sagittasOf = (pieces: readonly Piece[]): Free[] =>
  pieces.flatMap(({ kind, sagitta, x0, r0, x1, r1 }, piece) => {
    if (kind !== 'arc') return [];
    const half = Math.hypot(x1 - x0, r1 - r0) / 2;
    const [least, most] = sagitta > 0 ? [0, half] : [-half, 0];
    return [{ places: [{ piece, own: 'sagitta' as const }], value: sagitta, least, most }];
  });

function withValues(pieces: readonly Piece[], free: readonly Free[], values: readonly number[]): Piece[] {
  const moved = pieces.map((piece) => ({ ...piece }));
  free.forEach(({ places }, i) => {
    for (const { piece, own } of places) {
      const one = moved[piece];
      if (one) one[own] = values[i] ?? one[own];
    }
  });
  return moved;
}
