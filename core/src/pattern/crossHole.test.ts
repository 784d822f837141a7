import fc from 'fast-check';
import { dim } from '../measure/index.js';
import {
  chain,
  checkPattern,
  crossWalls,
  radiusAt,
  STARTING_FORMS,
  type CrossHole,
  type Hole,
} from './index.js';

/** The least of them. */
const leastCrossWall = (...of: Parameters<typeof crossWalls>) => crossWalls(...of)[0];

const rod = chain([{ kind: 'cylinder', id: 'c', length: dim(100) }], 30);
const cross = (id: string, at: number, diameter: number, more: Partial<CrossHole> = {}): CrossHole => ({
  id,
  name: id,
  from: 'reference',
  at: dim(at),
  angle: 0,
  diameter: dim(diameter),
  through: true,
  ...more,
});
const axial = (depth: number, diameter: number): Hole => ({
  id: 'axial',
  name: 'axial',
  from: 'reference',
  through: false,
  pointAngle: 180,
  steps: [{ diameter: dim(diameter), depth: dim(depth) }],
});

describe('wood at cross holes', () => {
  it('beside a through hole stays the radius less half the hole', () => {
    expect(leastCrossWall(rod, [], [cross('a', 50, 12)])?.wall).toBeCloseTo(9, 9);
  });

  const groove = (at: number, width: number, deep: number) =>
    chain(
      [
        { kind: 'cylinder', id: 'a', length: dim(at) },
        { kind: 'v-groove', id: 'v', length: dim(width), depth: dim(deep) },
        { kind: 'cylinder', id: 'b', length: dim(60) },
      ] as never,
      14,
    );

  it('beside a groove in its width is what is left to the bottom of that, by hand: √(1.5² + 2.4²) − 3', () => {
    const wall = leastCrossWall(groove(40.5, 2, 4.6), [], [cross('a', 40, 6)])?.wall;
    expect(wall).toBeCloseTo(Math.hypot(1.5, 2.4) - 3, 9);
    // a groove that lies beyond its width takes less away, and one far away nothing
    expect(leastCrossWall(groove(44, 2, 4.6), [], [cross('a', 40, 6)])?.wall).toBeCloseTo(
      Math.min(4, Math.hypot(5, 2.4) - 3),
      9,
    );
    expect(leastCrossWall(groove(60, 2, 4.6), [], [cross('a', 40, 6)])?.wall).toBeCloseTo(4, 9);
  });

  /** What rounding leaves between the edge of a hole and a place on it, mm. */
  const ON_EDGE = 1e-9;

  it('beside and under it is what points of the outline say, tried one by one', () => {
    const sizes = fc.record({
      at: fc.double({ min: 20, max: 80, noNaN: true }),
      diameter: fc.double({ min: 1, max: 10, noNaN: true }),
      crown: fc.double({ min: 20, max: 40, noNaN: true }),
      bottom: fc.double({ min: 8, max: 19, noNaN: true }),
      depth: fc.double({ min: 8, max: 30, noNaN: true }),
    });
    fc.assert(
      fc.property(sizes, ({ at, diameter, crown, bottom, depth }) => {
        const outline = chain(
          [
            { kind: 'cylinder', id: 'a', length: dim(30) },
            { kind: 'bead', id: 'b', length: dim(20), crown: dim(crown) },
            { kind: 'cove', id: 'c', length: dim(20), bottom: dim(bottom) },
            { kind: 'cylinder', id: 'd', length: dim(30) },
          ],
          20,
        );
        const hole = cross('a', at, diameter, { through: false, depth: dim(depth) });
        const found = leastCrossWall(outline, [], [hole])!;
        const [radius, end] = [diameter / 2, radiusAt(outline, at) - depth];
        let least = Math.min(at - radius, 100 - at - radius);
        // where the hole and the features begin and end, too: beside them the outline is as steep as it likes
        const edges = [30, 50, 70, at - radius, at + radius];
        for (const x of [...Array.from({ length: 4_001 }, (_, i) => i / 40), ...edges]) {
          const r = radiusAt(outline, x);
          least = Math.min(least, Math.hypot(x - at, r) - radius);
          if (end <= -radiusAt(outline, at)) continue;
          const aside = Math.abs(x - at) - radius;
          least = Math.min(least, aside < ON_EDGE ? r + end : Math.hypot(aside, Math.max(0, r + end)));
        }
        expect(found.wall).toBeLessThanOrEqual(least + 1e-6);
        expect(found.wall).toBeGreaterThan(least - 0.06);
      }),
    );
  });

  it('of a hole that no bit is thin enough for is not asked: its size is refused with what would do', () => {
    const [form] = STARTING_FORMS;
    const body = form.body({}, 'maple');
    const thin = [cross('pin hole', 20, 1e-9), { ...axial(20, 3e-274), id: 'needle', name: 'needle' }];
    for (const hole of thin) {
      const part = { ...body.parts[0], ...('angle' in hole ? { crossHoles: [hole] } : { holes: [hole] }) };
      const said = checkPattern({ ...body, parts: [part] }).map((p) => p.why);
      expect(said.join()).toContain(`${hole.name}: ⟦0⟧ is thinner than any bit. Give ⟦0.3⟧ or more.`);
    }
  });

  it('near an end the end is what is left', () => {
    expect(leastCrossWall(rod, [], [cross('a', 96, 4)])?.wall).toBeCloseTo(2, 9);
    expect(leastCrossWall(rod, [], [cross('a', 4, 4, { from: 'far' })])?.x).toBeCloseTo(96, 9);
  });

  it('under a blind one stays what it is not deep', () => {
    const blind = cross('a', 50, 4, { through: false, depth: dim(27) });
    expect(leastCrossWall(rod, [], [blind])?.wall).toBeCloseTo(3, 9);
  });

  it('two at right angles keep their distance along, and meet when they share a station', () => {
    const apart = [cross('a', 40, 6), cross('b', 47, 4, { angle: 90 })];
    expect(leastCrossWall(rod, [], apart)?.wall).toBeCloseTo(2, 9);
    const crossed = [cross('a', 40, 6), cross('b', 40, 4, { angle: 90 })];
    const meets = leastCrossWall(rod, [], crossed);
    expect(meets?.wall).toBeLessThan(0);
    expect(meets?.otherId).toBe('b');
  });

  it('is as far from an axial hole as points of both are, tried one by one', () => {
    const sizes = fc.record({
      at: fc.integer({ min: 20, max: 80 }),
      diameter: fc.integer({ min: 2, max: 8 }),
      depth: fc.integer({ min: 3, max: 27 }),
      deep: fc.integer({ min: 4, max: 60 }),
      bore: fc.integer({ min: 2, max: 10 }),
    });
    fc.assert(
      fc.property(sizes, ({ at, diameter, depth, deep, bore }) => {
        const hole = axial(deep, bore);
        const blind = cross('a', at, diameter, { through: false, depth: dim(depth) });
        const found = leastCrossWall(rod, [hole], [blind])!;
        const brute = nearest(at, diameter / 2, 15 - depth, deep, bore / 2);
        if (found.otherId === 'axial' && found.wall > 0) expect(found.wall).toBeCloseTo(brute, 1);
        else if (brute > 0) expect(found.wall).toBeLessThanOrEqual(brute + 0.05);
      }),
      { numRuns: 60 },
    );
  });

  /** Shortest way from the rod's cross bore to its axial bore, over a grid of points of both surfaces. */
  function nearest(at: number, c: number, end: number, deep: number, b: number): number {
    let least = Infinity;
    for (let i = 0; i <= 60; i++) {
      const [x, y, z] = [Math.min(deep, (deep * i) / 60), 0, 0];
      for (let k = 0; k <= 24; k++) {
        const p = [x, b * Math.cos((k * Math.PI) / 12), b * Math.sin((k * Math.PI) / 12)] as const;
        // nearest point of the upright cylinder of radius c from height `end` up
        const away = Math.hypot(p[0] - at, p[2] - z);
        const side = Math.max(0, away - c);
        const below = Math.max(0, end - p[1] + y);
        least = Math.min(least, Math.hypot(side, below));
      }
    }
    return least;
  }
});

describe('cross holes in a pattern', () => {
  it('the launcher’s two holes are measured from one end and meet at right angles', () => {
    const body = STARTING_FORMS.find((f) => f.id === 'launcher')!.body({}, 'ash');
    expect(checkPattern(body)).toEqual([]);
    const [first, second] = body.parts[0].crossHoles!;
    expect(first!.from).toBe(second!.from);
    expect(Math.abs(first!.angle - second!.angle)).toBe(90);
  });

  it('are refused with what would do', () => {
    const body = STARTING_FORMS.find((f) => f.id === 'launcher')!.body({}, 'ash');
    const part = body.parts[0];
    const why = (hole: CrossHole) =>
      checkPattern({ ...body, parts: [{ ...part, crossHoles: [hole] }] }).map((p) => p.why)[0];
    expect(why(cross('a', 500, 4))).toContain('⟦500⟧');
    expect(why(cross('a', 16, 40))).toContain('smaller bit');
    expect(why(cross('a', 16, 4, { through: false }))).toContain('depth');
  });
});
