import { dim, outlineOf, type Hole } from '@compas/core';
import { frameFor, type FrameWish } from './frame.js';
import { edgePath, holePath, wholePath } from './paths.js';

const wish: FrameWish = {
  width: 1000,
  length: 80,
  largestRadius: 20,
  before: 15,
  after: 5,
  headstockEnd: 'reference',
  tallest: 240,
};
const outline = outlineOf({
  id: 't',
  startDiameter: dim(30),
  elements: [
    { kind: 'cylinder', id: 'a', length: dim(40) },
    { kind: 'bead', id: 'b', length: dim(10), crown: dim(40) },
    { kind: 'taper', id: 'c', length: dim(30), endDiameter: dim(10) },
  ],
});
const points = (path: string): [number, number][] =>
  [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);

describe('the frame of the strip', () => {
  it('is to scale in both directions', () => {
    const frame = frameFor(wish);
    expect((frame.at(30) - frame.at(10)) / 20).toBeCloseTo(frame.scale, 9);
    expect((frame.up(0) - frame.up(20)) / 20).toBeCloseTo(frame.scale, 9);
  });

  it('lies between the headstock at the left and the tailstock, within width and height', () => {
    for (const headstockEnd of ['reference', 'far'] as const)
      for (const width of [400, 768, 1920]) {
        const frame = frameFor({ ...wish, width, headstockEnd });
        const ends = [frame.at(0), frame.at(80)];
        expect(Math.min(...ends) - 15 * frame.scale).toBeGreaterThanOrEqual(0);
        expect(Math.max(...ends) + 5 * frame.scale).toBeLessThanOrEqual(width);
        expect(frame.up(20)).toBeGreaterThanOrEqual(0);
        expect(frame.height).toBeLessThanOrEqual(240 + 1e-9);
      }
  });

  it('turns the part round when its far end is at the headstock', () => {
    expect(frameFor(wish).at(0)).toBeLessThan(frameFor(wish).at(80));
    const turned = frameFor({ ...wish, headstockEnd: 'far' });
    expect(turned.at(0)).toBeGreaterThan(turned.at(80));
  });
});

describe('waste', () => {
  it.each(['reference', 'far'] as const)(
    'lies 15 mm to the headstock’s side and 5 mm to the tailstock’s with the %s end at the head',
    (headstockEnd) => {
      const frame = frameFor({ ...wish, headstockEnd });
      const [head, tail] = [frame.at(0), frame.at(80)].sort((a, b) => a - b) as [number, number];
      // 100 mm of blank stand in the middle of the width
      expect((500 - head) / frame.scale).toBeCloseTo(50 - 15, 9);
      expect((tail - 500) / frame.scale).toBeCloseTo(50 - 5, 9);
    },
  );
});

describe('paths', () => {
  const frame = frameFor(wish);

  /** Middle of the first arc of a path, by the centre that its radius and sweep tell (small arcs). */
  function middleOfArc(path: string): [number, number] {
    const found = /(-?[\d.]+),(-?[\d.]+)A([\d.]+) [\d.]+ 0 0 ([01]) (-?[\d.]+),(-?[\d.]+)/.exec(path);
    if (!found) throw new Error('There is no arc in the path.');
    const [x0, y0, radius, sweep, x1, y1] = found.slice(1).map(Number) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const chord = Math.hypot(x1 - x0, y1 - y0);
    const high = radius - Math.sqrt(Math.max(0, radius * radius - (chord / 2) ** 2));
    // y points down: a clockwise arc lies to the left of its direction as one looks along it
    const side = sweep === 1 ? 1 : -1;
    return [
      (x0 + x1) / 2 + (side * high * (y1 - y0)) / chord,
      (y0 + y1) / 2 - (side * high * (x1 - x0)) / chord,
    ];
  }

  it.each(['reference', 'far'] as const)(
    'draw what the core computed: the crest of the bead where and as high as it is, %s end at the headstock',
    (headstockEnd) => {
      const own = frameFor({ ...wish, headstockEnd });
      for (const side of [1, -1] as const) {
        const [x, y] = middleOfArc(edgePath(outline.segments, own, side));
        expect(x).toBeCloseTo(own.at(45), 1);
        expect(y).toBeCloseTo(own.up(side * 20), 1);
      }
      const [, under] = middleOfArc(wholePath(outline, own).split('L').slice(-3).join('L'));
      expect(under).toBeCloseTo(own.up(-20), 1);
    },
  );

  it('are mirrored below the axis, and closed round the whole', () => {
    const above = points(edgePath(outline.segments, frame, 1));
    const below = points(edgePath(outline.segments, frame, -1));
    above.forEach(([x, y], i) => {
      expect(below[i]?.[0]).toBe(x);
      expect((below[i]?.[1] ?? 0) + y).toBeCloseTo(2 * frame.axis, 1);
    });
    expect(wholePath(outline, frame).endsWith('Z')).toBe(true);
    expect(points(wholePath(outline, frame))).toHaveLength(2 * above.length);
  });

  it('draw a hole from its own end, as deep as its point', () => {
    const hole: Hole = {
      id: 'h',
      name: 'h',
      from: 'far',
      through: false,
      pointAngle: 180,
      steps: [{ diameter: dim(8), depth: dim(20) }],
    };
    const xs = points(holePath(hole, outline.length, frame)).map(([x]) => x);
    expect(Math.max(...xs)).toBeCloseTo(frame.at(80), 1);
    expect(Math.min(...xs)).toBeCloseTo(frame.at(60), 1);
  });
});
