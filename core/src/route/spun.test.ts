import { HERE, type Body, type Placement, type Skin } from '../pattern/index.js';
import type { Held, Wood } from './shop.js';
import { spunIn } from './spun.js';

const turned = (x0: number, x1: number, diameter: number, axis: Placement = HERE): Skin => ({
  id: `turned ${x0}`,
  axis,
  side: 'outside',
  profile: [{ elementId: 'e', x0, r0: diameter / 2, x1, r1: diameter / 2, bulge: 0 }],
  fat: [],
});
/** A square of 50, 300 long, with what was cut of it. */
const wood = (change: Partial<Body> = {}): Wood => ({
  id: 'blank',
  body: { form: { kind: 'square', across: 50, length: 300 }, skins: [], flats: [], drilled: [], ...change },
  pieces: [],
  fixed: [],
  treated: [],
  by: 'saw',
  untrue: [],
  moisture: 'dry',
});
const grip = (by: Held['drive']['by'], x0: number, x1: number) => ({
  by,
  words: by,
  on: { of: 'stock' as const, id: 'stock', x0, x1 },
});
const held = (change: Partial<Held> = {}): Held => ({
  wood: 'blank',
  place: 'lathe',
  axis: HERE,
  drive: grip('spur centre', 0, 0),
  tail: grip('live centre', 300, 300),
  by: 'hold',
  ...change,
});
const rough = turned(0, 300, 48);

describe('wood as it spins', () => {
  it('reaches as far as its corners, until the last of them is turned away', () => {
    expect(spunIn(wood(), held()).across).toBeCloseTo(50 * Math.SQRT2, 3);
    expect(spunIn(wood({ skins: [turned(80, 300, 48)] }), held()).across).toBeCloseTo(50 * Math.SQRT2, 3);
    expect(spunIn(wood({ skins: [rough] }), held()).across).toBeCloseTo(48, 3);
  });

  it('reaches to the edge of an octagon where its corners were clipped', () => {
    const flats = [45, 135, 225, 315].map((degrees) => {
      const [y, z] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
      const along = [0, y, z] as const;
      return {
        id: `clip ${degrees}`,
        at: { at: [0, 25 * y, 25 * z] as const, along, facing: [1, 0, 0] as const },
      };
    });
    // an octagon of 50 over its flats: 50 ÷ cos 22.5°
    expect(spunIn(wood({ flats }), held()).across).toBeCloseTo(54.12, 2);
  });

  it('reaches farther about an axis that is shifted, by twice the shift', () => {
    const axis: Placement = { ...HERE, at: [0, 3, 0] };
    expect(spunIn(wood({ skins: [rough] }), held({ axis })).across).toBeCloseTo(54, 3);
    // what was turned about the shifted axis runs true about it
    expect(spunIn(wood({ skins: [rough, turned(0, 300, 40, axis)] }), held({ axis })).across).toBeCloseTo(
      40,
      3,
    );
  });

  it('is as slender as its free length over its thinnest place', () => {
    expect(spunIn(wood({ skins: [rough] }), held()).slenderness).toBeCloseTo(300 / 48, 1);
    const neck = wood({ skins: [rough, turned(140, 143, 12)] });
    expect(spunIn(neck, held()).slenderness).toBeCloseTo(300 / 12, 1);
    // beside a centre that bears it a stub does not whip: there what is thin farther in counts
    const stub = wood({ skins: [rough, turned(290, 300, 12), turned(100, 110, 30)] });
    expect(spunIn(stub, held()).slenderness).toBeCloseTo(300 / 30, 1);
    // in a chuck, the tail away: from the jaws to the end that is free
    const chucked = held({ drive: grip('jaws', 0, 30), tail: null });
    expect(spunIn(neck, chucked).slenderness).toBeCloseTo(270 / 12, 1);
  });
});
