import fc from 'fast-check';
import { spreadLabels } from './spreadLabels.js';

const ROW = [0, 250] as const;

describe('labels of a row', () => {
  it('stay where they belong where there is room, and share a displacement where there is none', () => {
    expect(spreadLabels([10, 40, 90], 12, ROW)).toEqual([10, 40, 90]);
    // two on one place part by half a width each
    expect(spreadLabels([50, 50], 12, ROW)).toEqual([44, 56]);
    // by hand: 20, 21, 22 of width 6 belong to 15, 21, 27
    expect(spreadLabels([20, 21, 22], 6, ROW)).toEqual([15, 21, 27]);
    expect(spreadLabels([0, 1], 10, ROW)).toEqual([0, 10]);
    expect(spreadLabels([249, 250], 10, ROW)).toEqual([240, 250]);
  });

  it('never overlap, keep their order and stay in the row as long as they all fit', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 250, noNaN: true }), { maxLength: 20 }),
        fc.double({ min: 2, max: 12, noNaN: true }),
        (places, width) => {
          const wanted = [...places].sort((a, b) => a - b);
          const laid = spreadLabels(wanted, width, ROW);
          expect(laid).toHaveLength(wanted.length);
          const apart = Math.min(width, 250 / Math.max(1, wanted.length - 1));
          laid.forEach((x, i) => {
            expect(x).toBeGreaterThanOrEqual(-1e-6);
            expect(x).toBeLessThanOrEqual(250 + 1e-6);
            if (i > 0) expect(x - (laid[i - 1] ?? 0)).toBeGreaterThanOrEqual(apart - 1e-6);
          });
        },
      ),
    ));

  it('lie no worse than any that are moved a little', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 60, max: 190, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.integer({ min: 0, max: 7 }),
        fc.constantFrom(-0.5, 0.5),
        (places, which, by) => {
          const wanted = [...places].sort((a, b) => a - b);
          const laid = spreadLabels(wanted, 9, ROW);
          const off = (xs: readonly number[]) =>
            xs.reduce((sum, x, i) => sum + (x - (wanted[i] ?? 0)) ** 2, 0);
          const moved = laid.map((x, i) => (i === which % laid.length ? x + by : x));
          const sound = moved.every((x, i) => i === 0 || x - (moved[i - 1] ?? 0) >= 9 - 1e-9);
          if (sound) expect(off(moved)).toBeGreaterThanOrEqual(off(laid) - 1e-9);
        },
      ),
    ));
});
