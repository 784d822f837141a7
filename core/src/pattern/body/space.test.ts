import fc from 'fast-check';
import { aboutAxis, outOf, sameLine, type Placement } from './index.js';

/** An axis that leans by so many degrees and passes beside the first. */
const leaning = (degrees: number, beside: number): Placement => {
  const lean = (degrees * Math.PI) / 180;
  return {
    at: [0, 0, beside],
    along: [Math.cos(lean), 0, Math.sin(lean)],
    facing: [-Math.sin(lean), 0, Math.cos(lean)],
  };
};
const some = (most: number) => fc.double({ min: -most, max: most, noNaN: true });

describe('places about an axis that leans', () => {
  it('lie on it where they are laid on it, far along as well, and one axis is the same from any of its places', () => {
    fc.assert(
      fc.property(some(5), some(5), some(1000), (degrees, beside, along) => {
        const axis = leaning(degrees, beside);
        const at = outOf([along, 0, 0], axis);
        expect(aboutAxis(at, axis).r).toBeLessThan(1e-9);
        expect(sameLine(axis, { ...axis, at })?.shift).toBeCloseTo(along, 6);
      }),
    );
  });

  it('are as far from it as they are laid off', () => {
    fc.assert(
      fc.property(some(5), some(1000), fc.double({ min: 0, max: 80, noNaN: true }), (degrees, along, off) => {
        const axis = leaning(degrees, 2);
        expect(aboutAxis(outOf([along, off, 0], axis), axis).r).toBeCloseTo(off, 9);
      }),
    );
  });
});
