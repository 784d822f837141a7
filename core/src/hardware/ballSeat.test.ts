import fc from 'fast-check';
import { MATERIALS } from '../material/index.js';
import { dim } from '../measure/index.js';
import { chain, type Part } from '../pattern/index.js';
import { newWorkshop, type Bit } from '../workshop/index.js';
import { seatDepth } from './ballSeat.js';
import { planDrilling } from './drilling.js';
import { freshKit } from './index.js';
import { kitNeeds } from './kitNeeds.js';

describe('a ball in its hole', () => {
  it('rests on a flat bottom as deep as it sinks', () =>
    expect(seatDepth({ diameter: 8, sinks: 4 }, 8, 180)).toBe(4));

  it('rests on a cone that is met by nothing of it, and touched by it', () => {
    const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        size(3, 20),
        size(0.45, 0.7),
        size(0, 0.1),
        fc.constantFrom(90, 118, 135),
        (diameter, share, over, angle) => {
          const [radius, sinks, bore] = [diameter / 2, diameter * share, diameter + over];
          const depth = seatDepth({ diameter, sinks }, bore, angle);
          const centre = sinks - radius;
          // points of the cone, from its rim at the shoulder to the apex
          const gaps = Array.from({ length: 20_001 }, (_, i) => {
            const r = (bore / 2) * (1 - i / 20_000);
            const below = depth + (bore / 2 - r) / Math.tan((angle * Math.PI) / 360);
            return Math.hypot(r, below - centre) - radius;
          });
          expect(Math.min(...gaps)).toBeCloseTo(0, 4);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is drilled for by the bit that is owned: with no play, and no deeper for glue', () => {
    const kit = { ...freshKit('ball'), id: 'k', name: 'Ball', diameter: dim(8), seatDepth: dim(4) };
    const bit = (mm: number, kind: Bit['kind']): Bit => ({
      id: `${kind}${mm}`,
      kind,
      diameter: dim(mm),
      length: 80,
    });
    const maple = MATERIALS.find((m) => m.id === 'maple')!;
    const outline = chain([{ kind: 'cylinder', id: 'c', length: dim(60) }], 30);
    const part = { id: 'p', name: 'P', turnings: [], holes: [] } as unknown as Part;
    const drilled = (...bits: Bit[]) => {
      const workshop = { ...newWorkshop('UTC', 'mm'), bits };
      const needs = kitNeeds(kit, { end: 'far', material: maple, room: 1.5, bits });
      return planDrilling(part, outline, needs.holes, {
        material: maple,
        workshop,
        choices: [],
        usual: undefined,
      }).operations[0]!;
    };
    expect(drilled(bit(8, 'flat-bottomed'), bit(8.3, 'twist')).toShoulder).toBe(4);
    // by hand: 4 − 4 + 4 ÷ sin 59° − 8 ÷ (2 tan 59°) = 4.6665 − 2.4034
    expect(drilled(bit(8, 'twist')).toShoulder).toBeCloseTo(2.263, 3);
    // so much play would set it beside the axis, and that is said
    expect(drilled(bit(8.3, 'twist'))).toMatchObject({
      choice: { bit: null, consequence: expect.stringContaining('looser') },
    });
  });
});
