import type { StandingWood } from '@compas/core';
import { frameFor } from '../strip/frame.js';
import { lensOf } from './lens.js';

/** A cylinder that is worked over a stretch of it, mm. */
const standing = (length: number, radius: number, work: { x0: number; x1: number } | null): StandingWood =>
  ({
    silhouette: [
      [0, length / 2, length]
        .concat(work ? [work.x0, work.x1] : [])
        .map((x) => ({ x, outside: radius, inside: 0 })),
    ],
    pieceAt: 0,
    pieceRuns: 1,
    most: radius,
    work,
  }) as unknown as StandingWood;

const frame = (
  length: number,
  radius: number,
  width = 1240,
  headstockEnd: 'reference' | 'far' = 'reference',
) =>
  frameFor({
    width,
    length,
    largestRadius: radius,
    before: 0,
    after: 0,
    headstockEnd,
    tallest: 380,
    least: 380,
    figure: { width: 430, height: 196, above: 116 },
  });
const place = { x0: 160, x1: 163 };

describe('the place in work', () => {
  it('of a slender piece is drawn larger, clear of the wood and of the figure, with the place in its middle', () => {
    const of = frame(290, 7);
    const lens = lensOf(of, standing(290, 7, place))!;
    expect(lens.times).toBeGreaterThan(1.6);
    expect(lens.frame.scale).toBeCloseTo(of.scale * lens.times, 9);
    expect(lens.y + lens.frame.height).toBeLessThan(of.up(7));
    expect(lens.x).toBeGreaterThan(500);
    expect(lens.x + lens.frame.width).toBeLessThan(of.width);
    expect((lens.frame.at(160) + lens.frame.at(163)) / 2).toBeCloseTo(lens.frame.width / 2, 9);
    // all of the diameter is in it
    expect(lens.frame.up(7)).toBeGreaterThan(0);
    expect(lens.frame.up(-7)).toBeLessThan(lens.frame.height);
  });

  it('runs as the piece lies on the lathe', () => {
    const lens = lensOf(frame(290, 7, 1240, 'far'), standing(290, 7, place))!;
    expect(lens.frame.at(163)).toBeLessThan(lens.frame.at(160));
  });

  it('is not drawn twice where the strip shows it, where it is the whole, or where there is no room', () => {
    expect(lensOf(frame(60, 20), standing(60, 20, { x0: 20, x1: 30 }))).toBeNull();
    expect(lensOf(frame(290, 7), standing(290, 7, null))).toBeNull();
    expect(lensOf(frame(290, 7), standing(290, 7, { x0: 0, x1: 290 }))).toBeNull();
    expect(lensOf(frame(290, 7, 640), standing(290, 7, place))).toBeNull();
    expect(lensOf(frame(290, 7), null)).toBeNull();
  });
});
