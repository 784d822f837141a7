import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { MATERIALS } from '../material/index.js';
import type { Bit, BitKind } from '../workshop/index.js';
import { freshKit, kitNeeds, type Kit } from './index.js';
import type { TangKit } from './kit.js';
import { roundFor, tangBores } from './tangBores.js';

const bit = (mm: number, kind: BitKind = 'brad point'): Bit => ({
  id: `${kind}${mm}`,
  kind,
  diameter: dim(mm),
  length: 120,
});
const bits = [4, 5, 6, 7, 8, 9, 10, 11, 12].map((d) => bit(d));
const kitOf = (kind: Kit['kind'], rest: object): Kit => ({ ...freshKit(kind), id: 'k', ...rest });
const place = () => ({ end: 'reference' as const, material: MATERIALS[0], room: 1.5, bits });

describe('a tapered tang', () => {
  const tang = kitOf('tang', {
    section: 'round',
    shoulderAcross: dim(10),
    tipAcross: dim(5),
    tangLength: dim(60),
  }) as TangKit;

  it('gets stairs outside it: nowhere tighter than the tang, to the hundredth of a millimetre', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 7, max: 12, noNaN: true }),
        fc.double({ min: 0.4, max: 0.95, noNaN: true }),
        fc.double({ min: 20, max: 120, noNaN: true }),
        (shoulder, share, length) => {
          const kit = {
            ...tang,
            shoulderAcross: dim(shoulder),
            tipAcross: dim(shoulder * share),
            tangLength: dim(length),
          };
          const bores = tangBores(kit, bits, 0.15, 1.5);
          return Array.from({ length: 40 }, (_, i) => (length * i) / 40).every((x) => {
            const wide = shoulder - ((shoulder - shoulder * share) * x) / length;
            const reach = bores.filter((b) => b.depth > x + 1e-9).map((b) => b.across);
            return Math.max(...reach) >= wide - 0.01;
          });
        },
      ),
    ));

  it('goes to the bottom with the thinnest bit and is tried there', () => {
    const holes = kitNeeds(tang, place()).holes;
    const depths = holes.map((h) => h.hole.steps[0]?.depth.mm ?? 0);
    expect(depths).toEqual([...depths].sort((a, b) => a - b));
    expect(depths.at(-1)).toBeCloseTo(61.5, 9);
    expect(holes.at(-1)?.after).toContain('Try the tang');
  });

  it('square, its flats stand off and its corners bite', () => {
    expect(roundFor(10, 'round')).toBe(10);
    expect(roundFor(10, 'square')).toBeGreaterThan(10);
    expect(roundFor(10, 'square')).toBeLessThan(10 * Math.SQRT2);
  });

  it('never changes to a bit of nearly the same size, nor to one that does not reach', () => {
    const taper = { ...tang, shoulderAcross: dim(10), tipAcross: dim(6) };
    const owned = [bit(6.2), bit(7.9), bit(8), bit(8.1), bit(10.2)];
    const widths = tangBores(taper, owned, 0.15, 1.5).map((b) => b.across);
    expect(widths).toHaveLength(2);
    expect(widths[1]).toBeCloseTo(7.95, 6); // 8.1 less the gap: stairs of 2.05 and 1.95
    // it goes to the bottom: of 8 and 8.1 there are only ones of 50
    const short = owned.map((b) => (b.diameter.mm > 7.95 && b.diameter.mm < 9 ? { ...b, length: 50 } : b));
    expect(tangBores(taper, short, 0.15, 1.5)[1]?.across).toBeCloseTo(7.75, 6);
    expect(tangBores(taper, [bit(8, 'step')], 0.15, 1.5)).toHaveLength(1);
  });

  it('takes more bits only where they narrow the widest stair', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 40, max: 120 }), { maxLength: 12 }),
        fc.double({ min: 6, max: 12, noNaN: true }),
        fc.double({ min: 0.4, max: 0.9, noNaN: true }),
        (tenths, shoulder, share) => {
          const kit = { ...tang, shoulderAcross: dim(shoulder), tipAcross: dim(shoulder * share) };
          const widths = tangBores(
            kit,
            tenths.map((t) => bit(t / 10)),
            0.15,
            1.5,
          ).map((b) => b.across);
          const stairs = widths.slice(1).map((w, i) => (widths[i] ?? 0) - w);
          return widths.length <= 3 && stairs.every((s) => s > 0.29);
        },
      ),
    ));

  it('straight takes one bit', () =>
    expect(tangBores({ ...tang, tipAcross: dim(10) }, bits, 0.15, 1.5)).toHaveLength(1));
});
