import fc from 'fast-check';
import { hasWood, type Body, type Drilled, type Skin } from './body.js';
import { bodyBetween, probeOf } from './probe.js';
import { HERE, type Placement, type Vector } from './space.js';

const axes: Placement[] = [
  HERE,
  { at: [90, 0, 0], along: [-1, 0, 0], facing: [0, 0, 1] },
  { at: [0, 2, 0], along: [1, 0, 0], facing: [0, 0, 1] },
  { at: [40, 0, 0], along: [0, 0, 1], facing: [-1, 0, 0] },
  { at: [30, 0, -10], along: [0.6, 0, 0.8], facing: [-0.8, 0, 0.6] },
];
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const skin: fc.Arbitrary<Skin> = fc
  .record({
    axis: fc.constantFrom(...axes),
    x0: number(0, 80),
    long: number(0.5, 20),
    r0: number(1, 20),
    r1: number(1, 20),
    bulge: fc.constantFrom(-0.2, 0, 0.2, 1),
    side: fc.constantFrom('outside' as const, 'inside' as const),
  })
  .map(({ axis, side, x0, long, r0, r1, bulge }) => ({
    id: `${x0}`,
    axis,
    side,
    profile: [{ elementId: '', x0, r0, x1: x0 + long, r1, bulge: r0 === r1 ? bulge : bulge * 0.2 }],
    fat: [],
  }));
const hole: fc.Arbitrary<Drilled> = fc
  .record({ at: fc.constantFrom(...axes), diameter: number(2, 12), depth: number(2, 60) })
  .map(({ at, diameter, depth }) => ({ id: 'h', at, steps: [{ diameter, depth }], pointAngle: 118 }));
const body: fc.Arbitrary<Body> = fc
  .record({ skins: fc.array(skin, { maxLength: 12 }), drilled: fc.array(hole, { maxLength: 3 }) })
  .map(({ skins, drilled }) => ({
    form: { kind: 'square', across: 40, length: 90 },
    skins,
    drilled,
    flats: [{ id: 'f', at: { at: [3, 0, 0], along: [-1, 0, 0], facing: [0, 0, 1] } }],
  }));
const place = fc.tuple(number(-5, 95), number(-25, 25), number(-25, 25)) as fc.Arbitrary<Vector>;

describe('a body asked slice by slice', () => {
  it('says of every place what the whole body says', () =>
    fc.assert(
      fc.property(body, fc.array(place, { minLength: 1, maxLength: 30 }), (one, places) => {
        const probe = probeOf(one);
        return places.every((p) => probe(p) === hasWood(one, p));
      }),
    ));

  it('and so does what of it lies between two places, for all that lies there', () =>
    fc.assert(
      fc.property(body, number(0, 80), number(0, 30), place, (one, x0, long, [share, y, z]) => {
        const p: Vector = [x0 + ((share + 5) / 100) * long, y, z];
        return hasWood(bodyBetween(one, x0, x0 + long), p) === hasWood(one, p);
      }),
    ));
});
