import fc from 'fast-check';
import { MATERIALS } from '../material/index.js';
import { keysOf, SPEED_SCHOOLS, type TurningStage } from '../measure/index.js';
import { newWorkshop, type Drive, type Workshop } from '../workshop/index.js';
import { speedFor } from './index.js';

const STAGES: TurningStage[] = ['rough', 'size', 'shape', 'sand', 'finish slow', 'finish fast', 'part off'];
const drive: fc.Arbitrary<Drive> = fc.oneof(
  fc
    .uniqueArray(fc.integer({ min: 100, max: 4000 }), { minLength: 1, maxLength: 8 })
    .map((speeds): Drive => ({ kind: 'pulleys', speeds })),
  fc
    .tuple(fc.integer({ min: 50, max: 500 }), fc.integer({ min: 501, max: 5000 }))
    .map(([slowest, fastest]): Drive => ({ kind: 'range', slowest, fastest })),
);
const shop = (d: Drive): Workshop => {
  const base = newWorkshop('UTC', 'mm');
  return { ...base, lathe: { ...base.lathe, drive: d } };
};
const asked = fc.record({
  stage: fc.constantFrom(...STAGES),
  diameter: fc.double({ min: 3, max: 400, noNaN: true }),
  material: fc.constantFrom(...MATERIALS),
  drive,
  school: fc.constantFrom(...keysOf(SPEED_SCHOOLS)),
  fastest: fc.integer({ min: 200, max: 6000 }),
});

describe('a speed', () => {
  it('is one the lathe has, never above its own or the fixture’s limit unless it says that it is too fast', () =>
    fc.assert(
      fc.property(asked, ({ stage, diameter, material, drive: d, school, fastest }) => {
        const { rpm, tooFast } = speedFor(stage, diameter, material, shop(d), school, fastest);
        expect(rpm).not.toBeNull();
        if (d.kind === 'pulleys') expect(d.speeds).toContain(rpm);
        if (d.kind === 'range') {
          expect(rpm).toBeGreaterThanOrEqual(d.slowest);
          expect(rpm).toBeLessThanOrEqual(d.fastest);
        }
        if (!tooFast) expect(rpm).toBeLessThanOrEqual(fastest);
      }),
    ));

  it('of what is thicker is never faster', () =>
    fc.assert(
      fc.property(asked, fc.double({ min: 1, max: 5, noNaN: true }), (a, times) => {
        const at = (diameter: number) =>
          speedFor(a.stage, diameter, a.material, shop(a.drive), a.school, a.fastest).rpm ?? 0;
        expect(at(a.diameter * times)).toBeLessThanOrEqual(at(a.diameter));
      }),
    ));

  it('is lower to rough than to shape, by every school', () =>
    fc.assert(
      fc.property(asked, ({ diameter, material, drive: d, school }) => {
        const wish = (stage: TurningStage) =>
          speedFor(stage, diameter, material, shop(d), school, Infinity).wish;
        expect(wish('rough')).toBeLessThan(wish('shape'));
        expect(wish('finish slow')).toBeLessThan(wish('finish fast'));
      }),
    ));
});

describe.each(keysOf(SPEED_SCHOOLS))('the working by %s', (school) => {
  it('names its school, the diameter that spins, and what it wished', () => {
    const { figure } = speedFor(
      'shape',
      40,
      MATERIALS[0],
      shop({ kind: 'range', slowest: 100, fastest: 4000 }),
      school,
      Infinity,
    );
    expect(figure.working.school).toBe(SPEED_SCHOOLS[school]);
    expect(figure.working.inputs[0]).toEqual({
      label: 'largest diameter that spins',
      value: 40,
      unit: 'mm',
    });
    expect(figure.working.inputs.at(-1)?.label).toBe('wished');
    expect(figure.working.inputs).toHaveLength(3);
  });
});
