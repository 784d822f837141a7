import fc from 'fast-check';
import { dim } from '../measure/index.js';
import {
  chain,
  extremes,
  newElement,
  outlineOf,
  pointAt,
  radiusAt,
  type Element,
  type Turning,
} from './index.js';
import { tenonDiameter } from './tenonFit.js';
import { ELEMENT_KIND_NAMES as KINDS } from './kinds/elementKinds.js';
import { headingAt } from './flow.js';

const drawn = (start: number, ...elements: Element[]) => chain(elements, start);

describe('every kind of element', () => {
  it.each(KINDS)('a new %s can be made on stock from 10 to 60 thick and joins its neighbours', (kind) => {
    for (const d of [10, 25, 60]) {
      const outline = drawn(d, newElement(kind, 'e', d), { kind: 'cylinder', id: 'after', length: dim(5) });
      expect(outline.problems).toEqual([]);
      outline.segments.slice(1).forEach((s, i) => {
        const before = outline.segments[i]!;
        expect(s.x0).toBeCloseTo(before.x1, 9);
        expect(s.r0).toBeCloseTo(before.r1, 9);
        expect(s.x1).toBeGreaterThanOrEqual(s.x0 - 1e-12);
      });
    }
  });
});

describe('elliptical bead', () => {
  const outline = drawn(20, { kind: 'bead', id: 'b', length: dim(10), crown: dim(36), form: 'ellipse' });

  it('lies on its ellipse within a thousandth', () => {
    for (const segment of outline.segments)
      for (const t of [0, 0.3, 0.6, 1]) {
        const { x, r } = pointAt(segment, t);
        const on = Math.sqrt(((x - 5) / 5) ** 2 + ((r - 10) / 8) ** 2);
        // distance along the ray is at least the distance to the curve
        expect(Math.abs(on - 1) * Math.hypot(x - 5, r - 10)).toBeLessThan(0.0025);
      }
  });

  it('rises higher than half its length, as a round one cannot', () => {
    expect(extremes(outline, 0, 10).largest.diameter).toBeCloseTo(36, 3);
    const round = drawn(20, { kind: 'bead', id: 'b', length: dim(10), crown: dim(36) });
    expect(round.problems[0]?.why).toContain('elliptical');
  });

  it('keeps flats of its fillets on both sides', () => {
    const withFillets = drawn(20, {
      kind: 'bead',
      id: 'b',
      length: dim(10),
      crown: dim(26),
      fillet: dim(1.5),
    });
    expect(radiusAt(withFillets, 1)).toBe(10);
    expect(radiusAt(withFillets, 9)).toBe(10);
    expect(radiusAt(withFillets, 5)).toBeCloseTo(13, 9);
  });
});

describe('ogee', () => {
  it('is two arcs tangent to each other, along the axis at both ends', () => {
    const { segments } = drawn(20, {
      kind: 'ogee',
      id: 'o',
      length: dim(30),
      endDiameter: dim(40),
      turn: dim(12),
      side: 'in',
    });
    expect(segments).toHaveLength(2);
    expect(headingAt(segments[0]!, 'start')).toBeCloseTo(0, 9);
    expect(headingAt(segments[1]!, 'end')).toBeCloseTo(0, 9);
    expect(headingAt(segments[0]!, 'end')).toBeCloseTo(headingAt(segments[1]!, 'start'), 9);
    expect(segments[0]!.x1).toBeCloseTo(12, 9);
  });

  it('leaves square to the axis when it begins on the other side', () => {
    const { segments } = drawn(20, {
      kind: 'ogee',
      id: 'o',
      length: dim(30),
      endDiameter: dim(40),
      side: 'out',
    });
    expect(headingAt(segments[0]!, 'start')).toBeCloseTo(90, 6);
  });
});

describe('balls', () => {
  it('run tangent into their cone', () => {
    const { segments, length } = drawn(8, {
      kind: 'balloon',
      id: 'b',
      length: dim(60),
      diameter: dim(30),
      endDiameter: dim(10),
      ball: 'first',
    });
    expect(length).toBeCloseTo(60, 9);
    expect(headingAt(segments[0]!, 'end')).toBeCloseTo(headingAt(segments[1]!, 'start'), 9);
  });

  it('are the same cone first as ball first, read from the other end', () => {
    const ballFirst = drawn(8, {
      kind: 'balloon',
      id: 'b',
      length: dim(60),
      diameter: dim(30),
      endDiameter: dim(10),
      ball: 'first',
    });
    const coneFirst = drawn(10, {
      kind: 'balloon',
      id: 'b',
      length: dim(60),
      diameter: dim(30),
      endDiameter: dim(8),
      ball: 'last',
    });
    for (const x of [0, 3, 17, 29.5, 44, 60])
      expect(radiusAt(coneFirst, 60 - x)).toBeCloseTo(radiusAt(ballFirst, x), 9);
  });

  it('ease into their necks by a hollow tangent to both', () => {
    const { segments } = drawn(12, {
      kind: 'sphere',
      id: 's',
      diameter: dim(30),
      endDiameter: dim(10),
      blend: dim(4),
    });
    const [first, ball, last] = segments;
    expect(headingAt(first!, 'start')).toBeCloseTo(0, 9);
    expect(headingAt(first!, 'end')).toBeCloseTo(headingAt(ball!, 'start'), 9);
    expect(headingAt(ball!, 'end')).toBeCloseTo(headingAt(last!, 'start'), 9);
    expect(headingAt(last!, 'end')).toBeCloseTo(0, 9);
  });

  it('an oval with equal axes is a ball', () => {
    const oval = drawn(12, {
      kind: 'oval',
      id: 'o',
      longAxis: dim(30),
      diameter: dim(30),
      endDiameter: dim(0),
    });
    const ball = drawn(12, { kind: 'sphere', id: 's', diameter: dim(30), endDiameter: dim(0) });
    expect(oval.length).toBeCloseTo(ball.length, 6);
    for (const x of [1, 8, 15, 25]) expect(radiusAt(oval, x)).toBeCloseTo(radiusAt(ball, x), 5);
  });
});

describe('fair curve', () => {
  it('never leaves the diameters of the two points it runs between (no wiggles)', () => {
    const radii = fc.array(fc.double({ min: 5, max: 40, noNaN: true }), { minLength: 2, maxLength: 7 });
    fc.assert(
      fc.property(radii, (rs) => {
        const points = rs.map((r, i) => ({ at: dim(10 * (i + 1)), diameter: dim(2 * r) }));
        const length = 10 * (rs.length + 1);
        const outline = drawn(20, {
          kind: 'fair',
          id: 'f',
          length: dim(length),
          endDiameter: dim(16),
          points,
        });
        const nodes = [10, ...rs, 8];
        nodes.slice(1).forEach((b, i) => {
          const a = nodes[i]!;
          const { largest, smallest } = extremes(outline, 10 * i + 1e-6, 10 * (i + 1) - 1e-6);
          expect(largest.diameter / 2).toBeLessThan(Math.max(a, b) + 0.003);
          expect(smallest.diameter / 2).toBeGreaterThan(Math.min(a, b) - 0.003);
        });
      }),
      { numRuns: 60 },
    );
  });

  it('goes through its points without a kink', () => {
    const outline = drawn(20, {
      kind: 'fair',
      id: 'f',
      length: dim(60),
      endDiameter: dim(16),
      points: [
        { at: dim(20), diameter: dim(34) },
        { at: dim(40), diameter: dim(28) },
      ],
    });
    expect(2 * radiusAt(outline, 20)).toBeCloseTo(34, 6);
    expect(2 * radiusAt(outline, 40)).toBeCloseTo(28, 6);
    outline.segments.slice(1).forEach((s, i) => {
      expect(headingAt(s, 'start')).toBeCloseTo(headingAt(outline.segments[i]!, 'end'), 3);
    });
  });

  it('names the point that lies outside', () => {
    const { problems } = drawn(20, {
      kind: 'fair',
      id: 'f',
      length: dim(30),
      endDiameter: dim(16),
      points: [{ at: dim(42), diameter: dim(20) }],
    });
    expect(problems[0]?.why).toMatch(/Point 1 of the curve lies at ⟦42⟧.*⟦30⟧/);
  });
});

describe('square section', () => {
  const leg = drawn(
    40,
    {
      kind: 'square',
      id: 'q',
      length: dim(80),
      across: dim(40),
      endDiameter: dim(28),
      shoulder: 'rolled',
    },
    { kind: 'cylinder', id: 'c', length: dim(20) },
  );

  it('shows its flats, and rolls from the round up to them', () => {
    expect(radiusAt(leg, 40)).toBe(20);
    expect(radiusAt(leg, 90)).toBe(14);
    expect(leg.squares).toHaveLength(1);
    const roll = leg.segments.find((s) => s.bulge !== 0)!;
    expect(roll.x1).toBeCloseTo(80, 9);
    expect(roll.r1).toBeCloseTo(14, 9);
    expect(roll.r0).toBeCloseTo(20, 9);
  });

  it('rolls as far as it is high: from the corner at half the diagonal', () => {
    const { corners } = leg.squares![0]!;
    const high = 20 * Math.SQRT2 - 14;
    expect(corners[0]!.x1).toBeCloseTo(80 - high, 9);
    expect(corners[0]!.r0).toBeCloseTo(20 * Math.SQRT2, 9);
    expect(corners[1]!.r1).toBeCloseTo(20, 9);
  });
});

describe('tenon and row', () => {
  it('a peg is as thick as its hole and fit ask', () => {
    const outline = drawn(30, { kind: 'tenon', id: 't', length: dim(15), hole: dim(10), fit: 'press' });
    expect(outline.spans[0]?.endDiameter).toBeCloseTo(10.05, 9);
    expect(tenonDiameter(10, 'slip')).toBeLessThan(tenonDiameter(10, 'glue'));
  });

  it('a row is as long as its elements times their number, under one id', () => {
    const outline = drawn(20, {
      kind: 'repeat',
      id: 'row',
      times: 4,
      elements: [
        { kind: 'bead', id: 'r1', length: dim(5), crown: dim(24) },
        { kind: 'cylinder', id: 'r2', length: dim(2) },
      ],
    });
    expect(outline.length).toBeCloseTo(28, 9);
    expect(new Set(outline.segments.map((s) => s.elementId))).toEqual(new Set(['row']));
    for (const x of [2.5, 9.5, 16.5, 23.5]) expect(radiusAt(outline, x)).toBeCloseTo(12, 9);
  });
});

describe('an element that takes up', () => {
  const turning = (total: number): Turning => ({
    id: 't',
    startDiameter: dim(20),
    total: dim(total),
    elements: [
      { kind: 'cylinder', id: 'a', length: dim(10) },
      { kind: 'taper', id: 'b', length: dim(1), endDiameter: dim(30), takesUp: true },
      { kind: 'sphere', id: 'c', diameter: dim(50), endDiameter: dim(0) },
    ],
  });

  it('has what the others leave of the total', () => {
    const outline = outlineOf(turning(100));
    expect(outline.length).toBeCloseTo(100, 9);
    // ball of 50 on a neck of 30: √(625 − 225) + 25 = 45
    expect(outline.spans[1]!.x1 - outline.spans[1]!.x0).toBeCloseTo(100 - 10 - 45, 9);
  });

  it('is refused with what would do when nothing is left', () => {
    expect(outlineOf(turning(50)).problems[0]?.why).toMatch(/⟦55⟧ long and leave nothing of ⟦50⟧/);
  });
});
