import { checkPattern, holeReach, leastWall, outlineOf, solidOf, type PatternBody } from './index.js';
import stored from './fixtures/pattern-1.json' with { type: 'json' };

// a pattern as schema 1 has stored it: it must stay readable for good
const body = stored as unknown as PatternBody;
const [part] = body.parts;
const outline = outlineOf(part.turnings[0]);

describe('a stored pattern of schema 1', () => {
  it('can be made', () => expect(checkPattern(body)).toEqual([]));

  it('has the length of its elements, the ball’s from its necks', () => {
    // 18 + 6 + 2 + 12 + 40 + 30, and a ball of radius 15 on a neck of radius 12: √(225 − 144) + 15
    expect(outline.length).toBeCloseTo(108 + 9 + 15, 9);
  });

  it('is one unbroken line from end to end', () => {
    outline.segments.slice(1).forEach((segment, i) => {
      const before = outline.segments[i]!;
      expect(segment.x0).toBeCloseTo(before.x1, 9);
      expect(segment.r0).toBeCloseTo(before.r1, 9);
    });
    expect(outline.segments.at(-1)?.r1).toBeCloseTo(0, 9);
  });

  it('has its hole as deep as its point, and wood round it', () => {
    expect(holeReach(part.holes[0]!, outline.length)).toBeCloseTo(
      45 + 3.5 / Math.tan((59 * Math.PI) / 180),
      9,
    );
    expect(leastWall(outline, part.holes)?.wall).toBeGreaterThan(4);
  });

  it('holds between its inscribed and circumscribed cylinders', () => {
    const { volume, centreOfGravity } = solidOf(outline);
    expect(volume).toBeGreaterThan(Math.PI * 100 * 108);
    expect(volume).toBeLessThan(Math.PI * 16.95 ** 2 * 132);
    expect(centreOfGravity).toBeGreaterThan(132 / 2);
  });
});
