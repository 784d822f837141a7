import fc from 'fast-check';
import { asymmetryOf, inOrder, pointsOf, traceOf } from './sample.js';
import { curveAt, momentsOf, type Point } from './moments.js';
import { noiseOf, outliersOf } from './noise.js';

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('curves through points', () => {
  it('a line is found again, far along the part as near its beginning', () => {
    fc.assert(
      fc.property(size(-0.8, 0.8), size(5, 40), size(0, 2000), (slope, r0, from) => {
        const points = Array.from({ length: 12 }, (_, i): Point => ({ x: from + i, r: r0 + slope * i }));
        const line = momentsOf(points, 0, points.length).line();
        expect(line.squares).toBeLessThan(1e-8);
        expect(curveAt(line, from + 5.5)).toBeCloseTo(r0 + slope * 5.5, 6);
      }),
    );
  });

  it('a circle is found again, with its side', () => {
    fc.assert(
      fc.property(size(4, 60), size(0, 500), size(-10, 30), fc.boolean(), (radius, cx, cr, out) => {
        const points = Array.from({ length: 15 }, (_, i): Point => {
          const angle = (0.25 + (0.5 * i) / 14) * Math.PI;
          return { x: cx - radius * Math.cos(angle), r: cr + (out ? 1 : -1) * radius * Math.sin(angle) };
        });
        const circle = momentsOf(points, 0, points.length).circle();
        if (circle?.kind !== 'arc') throw new Error('no circle');
        expect(circle.radius).toBeCloseTo(radius, 4);
        expect(circle.cx).toBeCloseTo(cx, 4);
        expect(circle.cr).toBeCloseTo(cr, 4);
        expect(circle.side).toBe(out ? 'out' : 'in');
        expect(circle.squares).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it('points on a line are on no circle that anybody could turn', () => {
    const points = Array.from({ length: 9 }, (_, i): Point => ({ x: i, r: 10 + i / 2 }));
    const circle = momentsOf(points, 0, points.length).circle();
    expect(circle === null || (circle.kind === 'arc' && circle.radius > 1000)).toBe(true);
  });
});

describe('noise and outliers', () => {
  const wave = (i: number) => 10 + Math.sin(i / 30);

  it('a clean curve has no more noise than an instrument can have', () => {
    const points = Array.from({ length: 200 }, (_, i): Point => ({ x: i, r: wave(i) }));
    expect(noiseOf(points)).toBeLessThan(0.005);
  });

  it('a spike is one outlier, a step is none', () => {
    const points = Array.from({ length: 200 }, (_, i): Point => ({ x: i, r: wave(i) + (i >= 100 ? 3 : 0) }));
    expect([...outliersOf(points, 0.02).keys()]).toEqual([]);
    points[40] = { x: 40, r: wave(40) - 1 };
    const found = outliersOf(points, 0.02);
    expect([...found.keys()]).toEqual([40]);
    expect(found.get(40)?.off).toBeCloseTo(-1, 2);
  });
});

describe('samples', () => {
  it('are put in order, places that were measured twice taken together', () => {
    expect(
      inOrder([
        { x: 5, up: 3, down: 3 },
        { x: 0, up: 1, down: 1 },
        { x: 5, up: 5, down: 3 },
      ]),
    ).toEqual([
      { x: 0, up: 1, down: 1 },
      { x: 5, up: 4, down: 3 },
    ]);
  });

  it('are kept thinned, with both ends', () => {
    const points = Array.from({ length: 1001 }, (_, i) => ({ x: i / 10, up: 5, down: 4.9 }));
    const trace = traceOf(points, 100);
    expect(trace.x.length).toBeLessThanOrEqual(102);
    expect([trace.x[0], trace.x.at(-1)]).toEqual([0, 100]);
    expect(pointsOf(trace)[0]).toEqual({ x: 0, up: 5, down: 4.9 });
  });

  it('differ on their sides by half the difference', () => {
    const points = Array.from({ length: 50 }, (_, i) => ({ x: i, up: 10, down: i === 25 ? 9 : 10 }));
    expect(asymmetryOf(points).largest).toEqual({ x: 25, off: 0.5 });
  });
});
