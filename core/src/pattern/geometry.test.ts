import fc from 'fast-check';
import { dim } from '../measure/index.js';
import {
  extremes,
  holeBoundary,
  leastWall,
  outlineOf,
  pointAt,
  pointLength,
  radiusAt,
  solidOf,
  type Element,
  type Hole,
  type Turning,
} from './index.js';
import { wallAt } from './wall.js';

const turning = (start: number, ...elements: Element[]): Turning => ({
  id: 't',
  startDiameter: dim(start),
  elements,
});
const cylinder = (length: number): Element => ({ kind: 'cylinder', id: `c${length}`, length: dim(length) });
const hole = (diameter: number, depth: number, rest: Partial<Hole> = {}): Hole => ({
  id: 'h',
  name: 'hole',
  from: 'reference',
  through: false,
  pointAngle: 180,
  steps: [{ diameter: dim(diameter), depth: dim(depth) }],
  ...rest,
});

describe('outline', () => {
  it('of a ball after any length begins where the one before ends, to the last digit', () =>
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 400 }), fc.integer({ min: 120, max: 300 }), (long, ball) => {
        const { segments } = outlineOf(
          turning(
            20,
            cylinder(long / 10),
            { kind: 'shoulder', id: 's', endDiameter: dim(8) },
            { kind: 'sphere', id: 'b', diameter: dim(ball / 10), endDiameter: dim(7) },
            cylinder(5),
          ),
        );
        segments.slice(1).forEach((s, i) => expect([s.x0, s.r0]).toEqual([segments[i]!.x1, segments[i]!.r1]));
      }),
    ));

  it('chains elements so that neighbours share their diameter', () => {
    const outline = outlineOf(
      turning(
        30,
        cylinder(10),
        { kind: 'taper', id: 'a', length: dim(20), endDiameter: dim(20) },
        { kind: 'shoulder', id: 's', endDiameter: dim(12) },
        cylinder(5),
      ),
    );
    expect(outline.length).toBe(35);
    expect(outline.spans.map((s) => [s.x0, s.startDiameter, s.endDiameter])).toEqual([
      [0, 30, 30],
      [10, 30, 20],
      [30, 20, 12],
      [30, 12, 12],
    ]);
    expect(radiusAt(outline, 20)).toBeCloseTo(12.5, 12);
    expect(radiusAt(outline, 30)).toBe(10);
    expect(radiusAt(outline, 36)).toBe(0);
  });

  it('puts crests of beads and bottoms of coves where they were asked', () => {
    const outline = outlineOf(
      turning(
        20,
        { kind: 'bead', id: 'b', length: dim(8), crown: dim(25) },
        { kind: 'cove', id: 'k', length: dim(10), bottom: dim(12) },
      ),
    );
    const { largest, smallest } = extremes(outline, 0, 18);
    expect(largest).toEqual({ x: expect.closeTo(4, 9), diameter: expect.closeTo(25, 9) });
    expect(smallest).toEqual({ x: expect.closeTo(13, 9), diameter: expect.closeTo(12, 9) });
    expect(extremes(outline, 1, 3).largest.diameter).toBeLessThan(25);
  });

  it('says what is impossible and what would do', () => {
    const bead = outlineOf(turning(20, { kind: 'bead', id: 'b', length: dim(4), crown: dim(26) }));
    expect(bead.problems[0]?.why).toContain('at most ⟦2⟧ high');
    const arc = outlineOf(
      turning(20, {
        kind: 'arc',
        id: 'a',
        length: dim(30),
        endDiameter: dim(20),
        radius: dim(10),
        side: 'out',
      }),
    );
    expect(arc.problems[0]?.why).toContain('the least is ⟦15⟧');
    expect(arc.length).toBe(30);
    const ball = outlineOf(turning(20, { kind: 'sphere', id: 's', diameter: dim(18), endDiameter: dim(0) }));
    expect(ball.problems).toHaveLength(1);
  });

  it('keeps every point of an arc on its radius, at any radius', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.2, max: 1e6, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (scale, t) => {
          const element: Element = {
            kind: 'arc',
            id: 'a',
            length: dim(30),
            endDiameter: dim(24),
            radius: dim(16 * scale),
            side: 'out',
          };
          const outline = outlineOf(turning(20, element));
          const segment = outline.segments[0];
          if (!segment || outline.problems.length > 0) return true;
          const { x, r } = pointAt(segment, t);
          return Math.abs(radiusAt(outline, Math.min(x, outline.length)) - r) < 1e-6;
        },
      ),
    );
  });
});

describe('solid', () => {
  it('agrees with the closed form of a ball, to nine digits', () => {
    const { volume, surface, centreOfGravity } = solidOf(
      outlineOf(turning(0, { kind: 'sphere', id: 's', diameter: dim(40), endDiameter: dim(0) })),
    );
    expect(volume / ((4 / 3) * Math.PI * 8000)).toBeCloseTo(1, 9);
    expect(surface / (4 * Math.PI * 400)).toBeCloseTo(1, 9);
    expect(centreOfGravity).toBeCloseTo(20, 9);
  });

  it('agrees with the closed form of a cone and a frustum', () => {
    const cone = solidOf(
      outlineOf(turning(0, { kind: 'taper', id: 't', length: dim(30), endDiameter: dim(20) })),
    );
    expect(cone.volume).toBeCloseTo((Math.PI * 100 * 30) / 3, 9);
    expect(cone.centreOfGravity).toBeCloseTo(22.5, 12); // 3/4 from the tip
    expect(cone.surface).toBeCloseTo(Math.PI * 10 * Math.hypot(30, 10), 9);
  });

  it('agrees with Pappus on a half-round bead: ring area times the way of its centroid', () => {
    // half circle of radius 3 on a cylinder of radius 10: centroid 4R/3π above the chord
    const bead = solidOf(outlineOf(turning(20, { kind: 'bead', id: 'b', length: dim(6), crown: dim(26) })));
    const ring = ((Math.PI * 9) / 2) * 2 * Math.PI * (10 + 4 / Math.PI);
    expect(bead.volume / (Math.PI * 100 * 6 + ring)).toBeCloseTo(1, 9);
    const cove = solidOf(outlineOf(turning(20, { kind: 'cove', id: 'k', length: dim(6), bottom: dim(14) })));
    const dug = ((Math.PI * 9) / 2) * 2 * Math.PI * (10 - 4 / Math.PI);
    expect(cove.volume / (Math.PI * 100 * 6 - dug)).toBeCloseTo(1, 9);
  });

  it('does not lose digits on a flat barrel: the arc tends to the cylinder as h·2/3', () => {
    const element: Element = {
      kind: 'arc',
      id: 'a',
      length: dim(300),
      endDiameter: dim(30),
      radius: dim(1e7),
      side: 'out',
    };
    const { volume } = solidOf(outlineOf(turning(30, element)));
    const rise = 300 ** 2 / (8 * 1e7); // parabola: mean rise is 2/3 of the crest
    expect((volume - Math.PI * 225 * 300) / (2 * Math.PI * 15 * 300 * rise * (2 / 3))).toBeCloseTo(1, 3);
  });
});

describe('holes and walls', () => {
  const outline = outlineOf(
    turning(30, cylinder(20), { kind: 'cove', id: 'k', length: dim(20), bottom: dim(18) }, cylinder(20)),
  );

  it('has a point as long as half the diameter over the tangent of half the angle', () => {
    expect(pointLength(10, 118)).toBeCloseTo(3.0043, 4); // 5 / tan 59°
    expect(pointLength(25, 180)).toBe(0);
  });

  it('measures the wall across the axis, also in steps and from the far end', () => {
    const stepped = hole(12, 10, {
      steps: [
        { diameter: dim(12), depth: dim(10) },
        { diameter: dim(6), depth: dim(30) },
      ],
    });
    expect(wallAt(outline, [stepped], 5)).toBeCloseTo(9, 12);
    expect(wallAt(outline, [stepped], 30)).toBeCloseTo(6, 9);
    expect(wallAt(outline, [hole(8, 15, { from: 'far' })], 50)).toBeCloseTo(11, 12);
    expect(wallAt(outline, [hole(8, 0, { through: true })], 30)).toBeCloseTo(5, 9);
  });

  it('finds the least wall at the bottom of the cove', () => {
    const found = leastWall(outline, [hole(8, 50)]);
    expect(found?.wall).toBeCloseTo(5, 9);
    expect(found?.x).toBeCloseTo(30, 6);
  });

  it('is negative where the hole breaks through', () => {
    expect(leastWall(outline, [hole(20, 50)])?.wall).toBeCloseTo(-1, 6);
    expect(leastWall(outline, [hole(8, 62)])?.wall).toBeCloseTo(-2, 9);
  });

  it('is nothing to speak of where a hole begins in a dome or a point: behind its rim the wood is what it is', () => {
    const ball = outlineOf(turning(0, { kind: 'sphere', id: 'b', diameter: dim(30), endDiameter: dim(0) }));
    // the outside is 1.5 from the axis at 15 − √(15² − 1.5²); its wall counts from 1.5 further in
    const cut = 15 - Math.sqrt(225 - 2.25) + 1.5;
    const wall = Math.sqrt(225 - (15 - cut) ** 2) - 1.5;
    for (const from of ['reference', 'far'] as const) {
      const found = leastWall(ball, [hole(3, 12, { from })]);
      expect(found?.wall).toBeCloseTo(wall, 6);
      expect(found?.x).toBeCloseTo(from === 'reference' ? cut : 30 - cut, 6);
    }
    expect(leastWall(ball, [hole(3, 30, { through: true })])?.wall).toBeCloseTo(wall, 6);
    const tip = (length: number) =>
      outlineOf(
        turning(0, { kind: 'taper', id: 't', length: dim(length), endDiameter: dim(20) }, cylinder(20)),
      );
    expect(leastWall(tip(10), [hole(3, 12)])?.wall).toBeGreaterThan(1);
    // so slender a tip would be drilled away, and that is said
    expect(leastWall(tip(40), [hole(3, 12)])?.wall).toBeLessThan(0);
    expect(leastWall(ball, [hole(29.9, 12)])?.wall).toBeLessThan(0.1);
  });

  it('counts the face beyond a blind hole', () => {
    expect(leastWall(outline, [hole(8, 57)])?.wall).toBeCloseTo(3, 9);
  });

  it('agrees with brute force over both curves', () => {
    const steps = fc.record({
      d: fc.double({ min: 2, max: 16, noNaN: true }),
      depth: fc.double({ min: 5, max: 52, noNaN: true }),
      angle: fc.constantFrom(118, 180),
    });
    fc.assert(
      fc.property(
        steps,
        fc.constantFrom('reference' as const, 'far' as const),
        ({ d, depth, angle }, from) => {
          const bored = hole(d, depth, { pointAngle: angle, from });
          const exact = leastWall(outline, [bored])?.wall ?? NaN;
          let brute = Infinity;
          const face = {
            elementId: 'f',
            x0: from === 'far' ? 0 : 60,
            r0: 0,
            x1: from === 'far' ? 0 : 60,
            r1: 15,
            bulge: 0,
          };
          for (const bore of holeBoundary(bored, 60))
            for (const edge of [...outline.segments, face])
              for (let i = 0; i <= 40; i++)
                for (let j = 0; j <= 40; j++) {
                  const a = pointAt(bore, i / 40);
                  const b = pointAt(edge, j / 40);
                  brute = Math.min(brute, Math.hypot(a.x - b.x, a.r - b.r));
                }
          return exact <= brute + 1e-9 && exact > brute - 0.4;
        },
      ),
      { numRuns: 15 },
    );
  });
});
