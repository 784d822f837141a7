import fc from 'fast-check';
import { nurbsAt, type Nurbs } from './nurbs.js';

const point = fc.tuple(
  fc.double({ min: -50, max: 50, noNaN: true }),
  fc.double({ min: 0, max: 50, noNaN: true }),
);

/** A Bézier curve by its Bernstein polynomial, worked without de Boor. */
const bernstein = (points: readonly (readonly [number, number])[], t: number): [number, number] => {
  const n = points.length - 1;
  const choose = (k: number): number => (k === 0 ? 1 : (choose(k - 1) * (n - k + 1)) / k);
  return points.reduce<[number, number]>(
    ([x, y], [px, py], k) => {
      const weight = choose(k) * t ** k * (1 - t) ** (n - k);
      return [x + weight * px, y + weight * py];
    },
    [0, 0],
  );
};

describe('B-splines', () => {
  it('with all knots at the ends are Bézier curves', () => {
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 4, maxLength: 4 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (points, t) => {
          const curve: Nurbs = { degree: 3, knots: [0, 0, 0, 0, 1, 1, 1, 1], points };
          const { x, r } = nurbsAt(curve, t, true);
          const [wx, wr] = bernstein(points, t);
          expect(x).toBeCloseTo(wx, 6);
          expect(r).toBeCloseTo(wr, 6);
        },
      ),
    );
  });

  it('of degree one are their control points joined by straights', () => {
    const curve: Nurbs = {
      degree: 1,
      knots: [0, 0, 1, 2, 2],
      points: [
        [0, 0],
        [10, 10],
        [30, 0],
      ],
    };
    expect(nurbsAt(curve, 0.5, true)).toMatchObject({ x: 5, r: 5 });
    expect(nurbsAt(curve, 1.5, true)).toMatchObject({ x: 20, r: 5 });
    // at the inner knot the direction depends on the side one comes from
    expect(nurbsAt(curve, 1, true).tr).toBeLessThan(0);
    expect(nurbsAt(curve, 1, false).tr).toBeGreaterThan(0);
  });

  it('go on in the direction of their tangent', () => {
    const curve: Nurbs = {
      degree: 3,
      knots: [0, 0, 0, 0, 0.4, 1, 1, 1, 1],
      points: [
        [0, 5],
        [10, 30],
        [25, 0],
        [40, 20],
        [60, 8],
      ],
    };
    for (const u of [0.1, 0.35, 0.55, 0.9]) {
      const step = 1e-6;
      const [a, b] = [nurbsAt(curve, u - step, true), nurbsAt(curve, u + step, true)];
      const length = Math.hypot(b.x - a.x, b.r - a.r);
      const { tx, tr } = nurbsAt(curve, u, true);
      expect(tx).toBeCloseTo((b.x - a.x) / length, 4);
      expect(tr).toBeCloseTo((b.r - a.r) / length, 4);
    }
  });
});
