import { fitSample, outlineOf, radiusAt, type Turning } from '../../pattern/index.js';
import { paintSample } from '../fixtures/paintedSample.js';
import truth from '../fixtures/old-finial.json' with { type: 'json' };
import { silhouetteOf } from './silhouette.js';

const outline = outlineOf(truth.turning as Turning);
const painted = paintSample({ ...truth.photo, width: 1000, height: 550, pixelsPerMm: 7, outline });

describe('a photo of a sample', () => {
  const steps: string[] = [];
  const found = silhouetteOf({
    ...painted,
    strictness: 1,
    onProgress: (share, doing) => steps.push(`${share} ${doing}`),
  });

  it('finds the axis with its tilt', () => {
    expect(found.tilt).toBeCloseTo(truth.photo.tilt, 1);
    expect(found.mmPerPixel).toBeCloseTo(1 / 7, 6);
  });

  it('measures the length and both edges, the shadow left behind', () => {
    const { points } = found;
    expect(Math.abs((points.at(-1)?.x ?? 0) - outline.length)).toBeLessThan(0.5);
    const off = points
      .filter(({ x }) => x > 1 && x < outline.length - 2 && Math.abs(x - 14) > 1)
      .map(({ x, up, down }) => (up + down) / 2 - radiusAt(outline, x));
    const typical = Math.sqrt(off.reduce((sum, d) => sum + d * d, 0) / off.length);
    expect(typical).toBeLessThan(0.12);
    // the shadow lies on one side: the two sides must still agree
    const sides = points.map(({ up, down }) => up - down);
    expect(Math.abs(sides.reduce((a, b) => a + b, 0) / sides.length)).toBeLessThan(0.1);
  });

  it('says how far it has come', () => {
    expect(steps[0]).toContain('ground');
    expect(steps.at(-1)).toBe('1 done');
  });

  it('becomes elements of the sizes it was painted from', () => {
    const { turning, outline: copy } = fitSample(found.points, { unsure: 0.25 * found.mmPerPixel });
    expect(turning.elements.length).toBeLessThan(13);
    for (const [x, wanted] of [
      [7, 18],
      [16, 36],
      [23.5, 43],
      [36.5, 21],
      [59, 26],
      [76, 21],
      [91.7, 30],
    ] as const)
      expect(Math.abs(2 * radiusAt(copy, x) - wanted)).toBeLessThan(0.5);
  });

  it('asks for a scale and for a sample', () => {
    const same = { a: { x: 5, y: 5 }, b: { x: 6, y: 5 }, distance: 100 };
    expect(() => silhouetteOf({ ...painted, marks: same, strictness: 1 })).toThrow(/same spot/);
    const blank = { data: new Uint8ClampedArray(4 * 200 * 200).fill(200), width: 200, height: 200 };
    expect(() => silhouetteOf({ picture: blank, marks: painted.marks, strictness: 1 })).toThrow(/No sample/);
  });
});
