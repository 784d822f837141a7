import fc from 'fast-check';
import { dim } from '../measure/index.js';
import {
  chain,
  newElement,
  peaksOf,
  pointAt,
  pointsAlong,
  radiiAt,
  radiusAt,
  slimmestOf,
  widestOf,
  type Element,
} from './index.js';

const round: Element[] = [
  { kind: 'sphere', id: 'ball', diameter: dim(50), endDiameter: dim(0) },
  { kind: 'bead', id: 'bead', length: dim(10), crown: dim(38) },
  { kind: 'cove', id: 'cove', length: dim(12), bottom: dim(20) },
  {
    kind: 'balloon',
    id: 'balloon',
    length: dim(80),
    diameter: dim(44),
    endDiameter: dim(6),
    ball: 'first',
  },
];

describe('the widest place', () => {
  it('of a ball between two points is its own diameter, in its middle', () => {
    const { diameter, x } = widestOf(chain([round[0]!], 0));
    expect(diameter).toBeCloseTo(50, 9);
    expect(x).toBeCloseTo(25, 9);
  });

  it('of nothing is 0', () => expect(widestOf({ segments: [] }).diameter).toBe(0));

  it('is what a close look finds, and no point lies beyond it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...round),
        fc.double({ min: 8, max: 29, noNaN: true }),
        (element, start) => {
          const outline = chain([element], start);
          fc.pre(outline.problems.length === 0);
          const looked = outline.segments.flatMap((s) =>
            Array.from({ length: 2001 }, (_, i) => 2 * pointAt(s, i / 2000).r),
          );
          const { diameter } = widestOf(outline);
          expect(Math.max(...looked)).toBeLessThanOrEqual(diameter + 1e-9);
          expect(Math.max(...looked)).toBeGreaterThan(diameter - 1e-3);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('peaks', () => {
  const peaks = (start: number, ...elements: Element[]) => {
    const outline = chain(elements, start);
    expect(outline.problems).toEqual([]);
    return outline.spans.flatMap((span) => peaksOf(outline, span));
  };

  it('of a ball, a bead and a balloon are their crests', () => {
    expect(peaks(0, round[0]!)).toEqual([
      { is: 'crest', x: expect.closeTo(25, 9) as number, diameter: expect.closeTo(50, 9) as number },
    ]);
    expect(peaks(30, round[1]!)).toEqual([{ is: 'crest', x: 5, diameter: expect.closeTo(38, 9) as number }]);
    // neck 20 of a ball of 44: its middle lies √(22² − 10²) from the neck
    expect(peaks(20, round[3]!)).toEqual([
      {
        is: 'crest',
        x: expect.closeTo(Math.sqrt(384), 9) as number,
        diameter: expect.closeTo(44, 9) as number,
      },
    ]);
  });

  it('of a cove and of a hollow curve are their bottoms', () => {
    expect(peaks(30, round[2]!)).toEqual([{ is: 'bottom', x: 6, diameter: expect.closeTo(20, 9) as number }]);
    const hollow: Element = {
      kind: 'arc',
      id: 'h',
      length: dim(40),
      endDiameter: dim(30),
      radius: dim(50),
      side: 'in',
    };
    // sagitta 50 − √(50² − 20²)
    expect(peaks(30, hollow)[0]?.diameter).toBeCloseTo(30 - 2 * (50 - Math.sqrt(2100)), 9);
  });

  it('are none where a curve only runs from one end to the other', () =>
    expect(peaks(30, newElement('taper', 't', 30), newElement('fillet', 'f', 24))).toEqual([]));
});

describe('the slimmest place', () => {
  const slim = (start: number, ...elements: Element[]) => slimmestOf(chain(elements, start)).diameter;
  const shaft = (id: string, length = 60): Element => ({ kind: 'cylinder', id, length: dim(length) });

  it('is the bottom of a cove, wherever the cove stands', () => {
    const cove: Element = { kind: 'cove', id: 'c', length: dim(24), bottom: dim(8) };
    expect(slim(30, shaft('a'), cove, shaft('b'))).toBeCloseTo(8, 9);
    expect(slim(30, cove, shaft('b'))).toBeCloseTo(8, 9);
    expect(slim(30, shaft('a'), cove)).toBeCloseTo(8, 9);
  });

  it('does not count ends that run to a point', () => {
    expect(slim(0, { kind: 'shoulder', id: 's', endDiameter: dim(20) }, shaft('a'))).toBe(20);
    expect(slim(0, { kind: 'taper', id: 't', length: dim(20), endDiameter: dim(30) }, shaft('a'))).toBe(30);
    expect(slim(30, shaft('a'), { kind: 'taper', id: 't', length: dim(20), endDiameter: dim(0) })).toBe(30);
  });
});

it('what is one element without a waist is as slim as it is thick', () => {
  expect(slimmestOf(chain([round[0]!], 0)).diameter).toBeCloseTo(50, 9);
});

describe('both sides of a place', () => {
  const outline = chain(
    [
      { kind: 'cylinder', id: 'a', length: dim(10) },
      { kind: 'shoulder', id: 's', endDiameter: dim(12) },
      { kind: 'cylinder', id: 'b', length: dim(5) },
    ],
    20,
  );

  it('differ at a shoulder only, and are 0 beyond the ends', () => {
    expect(radiiAt(outline, 10)).toEqual({ before: 10, after: 6 });
    expect(radiusAt(outline, 10)).toBe(10);
    expect(radiiAt(outline, 4)).toEqual({ before: 10, after: 10 });
    expect(radiiAt(outline, 0)).toEqual({ before: 0, after: 10 });
    expect(radiiAt(outline, 15)).toEqual({ before: 6, after: 0 });
  });
});

describe('points along the edge', () => {
  it('have chords that stray by no more than asked, and keep a step upright', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...round),
        fc.double({ min: 0.001, max: 0.5, noNaN: true }),
        (element, error) => {
          const outline = chain([element], 16);
          fc.pre(outline.problems.length === 0);
          const points = pointsAlong(outline, error);
          points.slice(1).forEach((b, i) => {
            const a = points[i]!;
            const half = (a.x + b.x) / 2;
            const run = Math.hypot(b.x - a.x, b.r - a.r);
            const fall = Math.abs(radiusAt(outline, half) - (a.r + b.r) / 2) * ((b.x - a.x) / run);
            expect(fall).toBeLessThanOrEqual(error * 1.05 + 1e-9);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});
