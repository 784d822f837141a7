import fc from 'fast-check';
import { MATERIAL_CLASSES } from '../material/index.js';
import {
  bendingStress,
  carries,
  FORCES,
  leastDiameter,
  STRENGTHS,
  tenonStress,
  twistStress,
  weightOf,
} from './index.js';

const solid = (diameter: number) => ({ diameter, bore: 0 });

describe('what carries a cut', () => {
  it('is in twist as worked out by hand: a parting cut on 51 breaks a neck of 7, and not one of 12', () => {
    const torque = FORCES.heavy * 25.5;
    // 16 × 60 × 25.5 ÷ (π × 7³) and ÷ (π × 12³)
    expect(twistStress(solid(7), torque)).toBeCloseTo(22.718, 3);
    expect(twistStress(solid(12), torque)).toBeCloseTo(4.509, 3);
    expect(carries(solid(7), { torque, moment: 0 }, STRENGTHS.hardwood)).toBe(false);
    expect(carries(solid(12), { torque, moment: 0 }, STRENGTHS.hardwood)).toBe(true);
    expect(carries(solid(12), { torque, moment: 0 }, STRENGTHS.softwood)).toBe(false);
  });

  it('is in bending as worked out by hand: 20 N at the end of 46 mm on 4.8, and on a tube of 10 with a bore of 8', () => {
    expect(bendingStress(solid(4.8), 20 * 46)).toBeCloseTo(84.74, 2);
    // 32 × 1000 × 10 ÷ (π × (10 000 − 4096))
    expect(bendingStress({ diameter: 10, bore: 8 }, 1000)).toBeCloseTo(17.253, 3);
  });

  it('in jaws lets 400 mm on a tenon of 20 × 12 rock, and 150 mm not', () => {
    // 6 × 20 × 400 ÷ (20 × 144)
    expect(tenonStress({ diameter: 20, length: 12 }, 0, 400)).toBeCloseTo(16.667, 3);
    expect(tenonStress({ diameter: 20, length: 12 }, weightOf(Math.PI * 225 * 150, 0.7), 150)).toBeLessThan(
      STRENGTHS.hardwood.rocking,
    );
  });

  it('is nothing where the bore leaves no wood', () => {
    expect(carries({ diameter: 8, bore: 8 }, { torque: 1, moment: 0 }, STRENGTHS.hardwood)).toBe(false);
    expect(carries({ diameter: 8, bore: 8 }, { torque: 0, moment: 0 }, STRENGTHS.hardwood)).toBe(true);
  });

  it('as its least diameter just bears the load, and nothing thinner does', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.constantFrom(...MATERIAL_CLASSES),
        (torque, moment, of) => {
          const load = { torque, moment };
          const least = leastDiameter(load, STRENGTHS[of]);
          expect(carries(solid(least), load, STRENGTHS[of])).toBe(true);
          expect(carries(solid(least * 0.999), load, STRENGTHS[of])).toBe(false);
        },
      ),
    );
  });
});
