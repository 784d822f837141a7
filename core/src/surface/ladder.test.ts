import fc from 'fast-check';
import { MATERIALS } from '../material/index.js';
import { FINISH_KINDS, type Abrasive } from '../workshop/index.js';
import { finishFindings, grainMicrons, gritLadder, protocolOf } from './index.js';

const GRITS = [60, 80, 100, 120, 150, 180, 220, 240, 280, 320, 360, 400, 500, 600, 800, 1000];
const abrasive = fc.record({
  grit: fc.constantFrom(...GRITS),
  scale: fc.constantFrom('P' as const, 'CAMI' as const),
});
const drawer = fc
  .array(abrasive, { maxLength: 12 })
  .map((all): Abrasive[] => all.map((a, i) => ({ ...a, id: `a${i}` })));
const material = fc.constantFrom(...MATERIALS);

describe('a ladder of grits', () => {
  it('is of what the shop owns, each finer than the one before, and a gap in it is said', () =>
    fc.assert(
      fc.property(drawer, material, fc.integer({ min: 100, max: 50_000 }), (owned, wood, surface) => {
        const { steps, findings } = gritLadder('p', wood, owned, surface);
        const grains = steps.map((s) => s.microns);
        for (const step of steps) {
          expect(owned).toContainEqual(step.abrasive);
          expect(step.microns).toBe(grainMicrons(step.abrasive));
          expect(step.minutes).toBeGreaterThan(0);
        }
        const gaps = grains.slice(1).filter((g, i) => {
          expect(g).toBeLessThan(grains[i]!);
          return g < 0.6 * grains[i]! - 1e-9;
        });
        expect(findings.filter((f) => f.what.startsWith('Gap')).length).toBe(gaps.length);
      }),
    ));

  it('takes no longer on less of the same wood', () =>
    fc.assert(
      fc.property(drawer, material, fc.integer({ min: 100, max: 20_000 }), (owned, wood, surface) => {
        const minutes = (s: number) =>
          gritLadder('p', wood, owned, s).steps.reduce((sum, step) => sum + step.minutes, 0);
        expect(minutes(surface)).toBeLessThanOrEqual(minutes(2 * surface) + 1e-9);
      }),
    ));
});

describe('a grit that is not of its scale', () => {
  // by hand: 201 · (162/201)^(ln(90/80)/ln(100/80)), and so on
  it.each([
    ['between two', 'P', 90, 179.37],
    ['coarser than all', 'P', 40, 405.6],
    ['finer than all', 'P', 1500, 12.29],
    ['between two of the other', 'CAMI', 90, 161.7],
  ] as const)('%s lies where the two next to it point', (_where, scale, grit, microns) =>
    expect(grainMicrons({ grit, scale })).toBeCloseTo(microns, 1),
  );
});

describe('a finer number', () => {
  it('is a finer grain in either scale, also between its steps', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('P' as const, 'CAMI' as const),
        fc.integer({ min: 60, max: 999 }),
        fc.integer({ min: 1, max: 1000 }),
        (scale, grit, more) => {
          const finer = Math.min(1000, grit + more);
          expect(grainMicrons({ grit: finer, scale })).toBeLessThan(grainMicrons({ grit, scale }));
        },
      ),
    ));
});

describe.each(FINISH_KINDS)('%s', (kind) => {
  it.each([1, 2, 5])('in %i coats has waits that are none below zero, and words for each', (coats) => {
    const protocol = protocolOf({ id: 'f', name: 'Own', kind, coats });
    expect(protocol.coats.length).toBeGreaterThan(0);
    for (const coat of protocol.coats) {
      expect(coat.waitMinutes).toBeGreaterThanOrEqual(0);
      expect(coat.minutes).toBeGreaterThan(0);
      expect(coat.name).not.toBe('');
    }
    expect(protocol.cureMinutes).toBeGreaterThanOrEqual(0);
    expect(finishFindings('p', protocol.finish, MATERIALS[0], 'anybody')).toBeInstanceOf(Array);
  });
});
