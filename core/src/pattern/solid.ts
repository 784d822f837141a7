import { pointAt, type Segment } from './arc.js';
import type { Outline } from './outline.js';
import type { SquareSpan } from './shape.js';

/**
 * A solid by its integrals: volume (mm³), surface round the outside without end faces (mm²), centre of
 * gravity (mm from the reference end; 0 without volume), moments of inertia of the volume about the
 * axis and about a cross axis through the centre of gravity (mm⁵; × density gives the mass moment).
 */
export interface Solid {
  volume: number;
  surface: number;
  centreOfGravity: number;
  axialInertia: number;
  transverseInertia: number;
}

/** Sums over the length: ∫dV, ∫dS, ∫x dV, ∫x² dV, and the second moments of the sections ∫J dx. */
export interface Integrals {
  volume: number;
  surface: number;
  first: number;
  second: number;
  polar: number;
}

const NOTHING: Integrals = { volume: 0, surface: 0, first: 0, second: 0, polar: 0 };

/** Abscissae and weights of the 16-point Gauss–Legendre rule on [−1, 1] (Abramowitz & Stegun 25.4). */
const GAUSS: [number, number][] = [
  [0.0950125098376374, 0.1894506104550685],
  [0.2816035507792589, 0.1826034150449236],
  [0.4580167776572274, 0.1691565193950025],
  [0.6178762444026438, 0.1495959888165767],
  [0.755404408355003, 0.1246289712555339],
  [0.8656312023878318, 0.0951585116824928],
  [0.9445750230732326, 0.0622535239386479],
  [0.9894009349916499, 0.0271524594117541],
];

/**
 * Integrals of the solid of revolution: V = π∫r²dx, S = 2π∫r ds, x̄ = π∫x r²dx / V, about the axis
 * I = ½π∫r⁴dx, about a cross axis through x̄ ¼π∫r⁴dx + π∫x²r²dx − V x̄² (parallel axes). Straight
 * segments are frusta in closed form; arcs are integrated by angle with Gauss quadrature, since closed
 * forms cancel on flat arcs. Square sections add what stands beyond their flats.
 */
export function solidOf({ segments, squares = [] }: Pick<Outline, 'segments' | 'squares'>): Solid {
  return solidFrom([...segments.map(turned), ...squares.map(cornersOf)]);
}

/** The solid of several integrals taken together. */
export function solidFrom(parts: readonly Integrals[]): Solid {
  const { volume, surface, first, second, polar } = parts.reduce(added, NOTHING);
  const centre = volume === 0 ? 0 : first / volume;
  return {
    volume,
    surface,
    centreOfGravity: centre,
    axialInertia: polar,
    transverseInertia: polar / 2 + second - first * centre,
  };
}

const added = (a: Integrals, b: Integrals): Integrals => ({
  volume: a.volume + b.volume,
  surface: a.surface + b.surface,
  first: a.first + b.first,
  second: a.second + b.second,
  polar: a.polar + b.polar,
});

/** What is taken away, as integrals below zero; a hole has no outside. */
export const takenAway = (part: Integrals): Integrals => ({
  volume: -part.volume,
  surface: 0,
  first: -part.first,
  second: -part.second,
  polar: -part.polar,
});

/** Integrals of one segment turned round the axis. */
export const turned = (segment: Segment): Integrals =>
  segment.bulge === 0 ? frustum(segment) : turnedArc(segment);

function frustum({ x0, r0, x1, r1 }: Segment): Integrals {
  const h = x1 - x0;
  const volume = (Math.PI * h * (r0 * r0 + r0 * r1 + r1 * r1)) / 3;
  const first = (Math.PI * h * h * (r0 * r0 + 2 * r0 * r1 + 3 * r1 * r1)) / 12;
  const second = (Math.PI * h * h * h * (r0 * r0 + 3 * r0 * r1 + 6 * r1 * r1)) / 30;
  return {
    volume,
    surface: Math.PI * (r0 + r1) * Math.hypot(h, r1 - r0),
    first: x0 * volume + first,
    second: x0 * x0 * volume + 2 * x0 * first + second,
    polar: (Math.PI * h * (r0 ** 4 + r0 ** 3 * r1 + r0 * r0 * r1 * r1 + r0 * r1 ** 3 + r1 ** 4)) / 10,
  };
}

function turnedArc(segment: Segment): Integrals {
  return quadrature(segment, ({ x, r, dx, dr }) => {
    const slice = Math.PI * r * r * dx;
    return {
      volume: slice,
      surface: 2 * Math.PI * r * Math.hypot(dx, dr),
      first: x * slice,
      second: x * x * slice,
      polar: (slice * r * r) / 2,
    };
  });
}

function quadrature(segment: Segment, at: (point: ReturnType<typeof pointAt>) => Integrals): Integrals {
  const sum = { ...NOTHING };
  for (const [node, weight] of GAUSS)
    for (const t of [(1 - node) / 2, (1 + node) / 2]) {
      const part = at(pointAt(segment, t));
      sum.volume += (part.volume * weight) / 2;
      sum.surface += (part.surface * weight) / 2;
      sum.first += (part.first * weight) / 2;
      sum.second += (part.second * weight) / 2;
      sum.polar += (part.polar * weight) / 2;
    }
  return sum;
}

/** What the corners of a square section hold beyond the circle that touches its flats. */
export function cornersOf({ side, corners }: SquareSpan): Integrals {
  const half = side / 2;
  const sums = corners.map((segment) =>
    quadrature(segment, ({ x, r, dx }) => {
      const { area, polar } = clippedCircle(r, half);
      const extra = (area - Math.PI * half * half) * dx;
      return {
        volume: extra,
        surface: 0,
        first: x * extra,
        second: x * x * extra,
        polar: (polar - (Math.PI * half ** 4) / 2) * dx,
      };
    }),
  );
  return sums.reduce(added, NOTHING);
}

/**
 * Area and polar second moment of a circle of radius ρ clipped by a square of half side h ≤ ρ: the
 * circle less four segments, with a = acos(h/ρ) each ρ²a − h√(ρ² − h²) and
 * ½(ρ⁴a − h⁴(tan a + tan³a/3)) (polar integration of the segment).
 */
export function clippedCircle(radius: number, half: number): { area: number; polar: number } {
  const a = Math.acos(Math.min(1, half / radius));
  const tan = Math.tan(a);
  return {
    area: Math.PI * radius ** 2 - 4 * (radius ** 2 * a - half * half * tan),
    polar: (Math.PI * radius ** 4) / 2 - 2 * (radius ** 4 * a - half ** 4 * (tan + tan ** 3 / 3)),
  };
}
