import { pointAt, type Segment } from './arc.js';
import type { Outline } from './outline.js';

/** Volume (mm³), surface round the outside without end faces (mm²), centre of gravity (mm). */
export interface Solid {
  volume: number;
  surface: number;
  /** x of the centre of gravity from the reference end; 0 for a part without volume */
  centreOfGravity: number;
}

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
 * Volume, lateral surface and centre of gravity of the solid of revolution
 * (V = π∫r²dx, S = 2π∫r ds, x̄ = π∫x r²dx / V). Straight segments are frusta in closed form; arcs are
 * integrated by angle with Gauss quadrature, since closed forms cancel on flat arcs.
 */
export function solidOf({ segments }: Pick<Outline, 'segments'>): Solid {
  let volume = 0;
  let surface = 0;
  let moment = 0;
  for (const segment of segments) {
    const part = segment.bulge === 0 ? frustum(segment) : turnedArc(segment);
    volume += part.volume;
    surface += part.surface;
    moment += part.moment;
  }
  return { volume, surface, centreOfGravity: volume === 0 ? 0 : moment / volume };
}

interface Integral {
  volume: number;
  surface: number;
  /** ∫ x dV, mm⁴ */
  moment: number;
}

function frustum({ x0, r0, x1, r1 }: Segment): Integral {
  const h = x1 - x0;
  const volume = (Math.PI * h * (r0 * r0 + r0 * r1 + r1 * r1)) / 3;
  const fromStart = (Math.PI * h * h * (r0 * r0 + 2 * r0 * r1 + 3 * r1 * r1)) / 12;
  return {
    volume,
    surface: Math.PI * (r0 + r1) * Math.hypot(h, r1 - r0),
    moment: x0 * volume + fromStart,
  };
}

function turnedArc(segment: Segment): Integral {
  const sum: Integral = { volume: 0, surface: 0, moment: 0 };
  for (const [node, weight] of GAUSS)
    for (const t of [(1 - node) / 2, (1 + node) / 2]) {
      const { x, r, dx, dr } = pointAt(segment, t);
      const slice = Math.PI * r * r * dx * (weight / 2);
      sum.volume += slice;
      sum.moment += x * slice;
      sum.surface += 2 * Math.PI * r * Math.hypot(dx, dr) * (weight / 2);
    }
  return sum;
}
