import type { CurvePoint } from '../pattern/index.js';

/** A B-spline in the plane: degree, knots, control points. */
export interface Nurbs {
  degree: number;
  knots: readonly number[];
  points: readonly (readonly [number, number])[];
}

/**
 * Point and direction of a B-spline at a parameter, by de Boor's algorithm (C. de Boor, “A Practical
 * Guide to Splines”, 1978, ch. X); the derivative is that of the spline of its differences.
 * @param rising at a knot the span that begins there, otherwise the one that ends there
 */
export function nurbsAt(curve: Nurbs, u: number, rising: boolean): CurvePoint {
  const [x, r] = deBoor(curve, u, rising);
  const [dx, dr] = deBoor(derivative(curve), u, rising);
  const norm = Math.hypot(dx, dr) || 1;
  return { x, r, tx: dx / norm, tr: dr / norm };
}

function deBoor({ degree, knots, points }: Nurbs, u: number, rising: boolean): [number, number] {
  const k = spanOf(knots, degree, points.length, u, rising);
  const d = Array.from({ length: degree + 1 }, (_, j) => [...(points[j + k - degree] ?? [0, 0])]);
  for (let level = 1; level <= degree; level++)
    for (let j = degree; j >= level; j--) {
      const low = knots[j + k - degree] ?? 0;
      const high = knots[j + 1 + k - level] ?? 0;
      const share = high === low ? 0 : (u - low) / (high - low);
      const [a, b] = [d[j - 1] ?? [0, 0], d[j] ?? [0, 0]];
      d[j] = [0, 1].map((i) => (1 - share) * (a[i] ?? 0) + share * (b[i] ?? 0));
    }
  const [x = 0, y = 0] = d[degree] ?? [];
  return [x, y];
}

function spanOf(knots: readonly number[], degree: number, count: number, u: number, rising: boolean): number {
  let k = degree;
  while (k < count - 1 && (rising ? (knots[k + 1] ?? 0) <= u : (knots[k + 1] ?? 0) < u)) k++;
  return k;
}

function derivative({ degree, knots, points }: Nurbs): Nurbs {
  const differences = points.slice(1).map((p, i): [number, number] => {
    const [q, width] = [points[i] ?? p, (knots[i + degree + 1] ?? 0) - (knots[i + 1] ?? 0)];
    const factor = width === 0 ? 0 : degree / width;
    return [(p[0] - q[0]) * factor, (p[1] - q[1]) * factor];
  });
  return { degree: degree - 1, knots: knots.slice(1, -1), points: differences };
}
