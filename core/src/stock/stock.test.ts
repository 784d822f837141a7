import fc from 'fast-check';
import { newWorkshop } from '../workshop/index.js';
import { blankFor, octagonOf } from './index.js';

const allowances = newWorkshop('UTC', 'mm').allowances;

describe('blank', () => {
  it('adds skim, centring error, waste and parting', () => {
    const wish = {
      partId: 'p',
      largestDiameter: 40,
      finishedLength: 62,
      wasteDrive: 15,
      wasteTail: 10,
      perBlank: 1,
      pieces: 12,
    };
    const { blank } = blankFor(wish, allowances);
    expect(blank).toMatchObject({ section: 43, length: 91, count: 12 }); // 40+2+1; 62+4+25
    const two = blankFor({ ...wish, perBlank: 2, pieces: 13 }, allowances).blank;
    expect(two).toMatchObject({ length: 157, count: 7 }); // 2×66 + 25
  });

  it('an octagon has eight equal sides', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 300, noNaN: true }), (side) => {
        const { clipLeg, flat } = octagonOf(side);
        return (
          Math.abs(clipLeg * Math.SQRT2 - flat) < 1e-9 * side &&
          Math.abs(2 * clipLeg + flat - side) < 1e-9 * side
        );
      }),
    );
    expect(octagonOf(100).clipLeg).toBeCloseTo(29.289, 3);
  });
});
