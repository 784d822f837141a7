import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { materialById, type Material } from '../material/index.js';
import { outlineOf, type Part } from '../pattern/index.js';
import { newWorkshop, type Bit, type Workshop } from '../workshop/index.js';
import { kitNeeds, matingFindings, pecks, pickBit, planDrilling, type Kit } from './index.js';
import { holeForBody, holeForThread } from './fit.js';

const material = (id: string): Material => {
  const found = materialById(id);
  if (!found) throw new Error(id);
  return found;
};
const bit = (diameter: number, kind: Bit['kind'] = 'brad point', length = 90): Bit => ({
  id: `b${diameter}`,
  kind,
  diameter: dim(diameter),
  length,
});
const workshop = (...bits: Bit[]): Workshop => ({ ...newWorkshop('UTC', 'mm'), bits });
const part = (diameter: number, length: number): Part => ({
  id: 'p',
  name: 'Body',
  perItem: 1,
  materialId: 'maple',
  turnings: [
    {
      id: 't',
      startDiameter: dim(diameter),
      elements: [{ kind: 'cylinder', id: 'e1', length: dim(length) }],
    },
  ],
  holes: [],
});
const insert: Kit = {
  id: 'k',
  name: 'base',
  onHand: 5,
  kind: 'tapped-insert',
  baseDiameter: dim(32),
  insertDiameter: dim(11.5),
  insertLength: dim(20),
  thread: 'M8',
  glue: 'epoxy',
};

const placed = (m: Material) => ({ end: 'reference' as const, material: m, room: 1.5, bits: [] });
const site = (id: string, shop: Workshop) => ({
  material: material(id),
  workshop: shop,
  choices: [],
  usual: undefined,
});

describe('holes for fits', () => {
  it('goes from root in soft to pitch in hard wood', () => {
    const soft = holeForThread(6, 8, material('pine')).best;
    const hard = holeForThread(6, 8, material('boxwood')).best;
    expect(soft).toBeCloseTo(6.1, 9);
    expect(hard).toBeCloseTo(6.9, 9);
    expect(holeForThread(6, 8, material('acrylic')).best).toBeCloseTo(7, 9);
  });

  it('picks the nearest owned bit in range, and says what would do otherwise', () => {
    const range = holeForBody(11.5, 'glue gap');
    expect(pickBit([bit(11.5), bit(11.7), bit(12)], range, 20).bit?.diameter.mm).toBe(11.7);
    const over = pickBit([bit(12)], range, 20);
    expect(over.bit).toBeNull();
    expect(over.consequence).toContain('gap-filling');
    expect(pickBit([bit(12.6)], range, 20).consequence).toContain('nothing centres it');
    expect(pickBit([bit(14)], range, 20).consequence).toContain('nothing will hold');
    expect(pickBit([bit(11)], range, 20).consequence).toContain('Open the hole');
    // nothing has to fit in a pilot: less is only more to ream
    const pilot = (d: number) => pickBit([bit(d)], range, 20, { reamed: true }).consequence;
    expect(pilot(11)).toContain('left to ream');
    expect(pilot(11)).not.toMatch(/press|split/);
    expect(pilot(13)).toContain('would cut into what is reamed');
    expect(pickBit([bit(11.7, 'twist', 10)], range, 20).consequence).toContain('reaches');
  });

  it('never picks a bit outside the range', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 3, max: 30, noNaN: true }), { maxLength: 12 }),
        fc.double({ min: 4, max: 25, noNaN: true }),
        (sizes, body) => {
          const range = holeForBody(body, 'slip');
          const { bit: chosen } = pickBit(
            sizes.map((s) => bit(s)),
            range,
            10,
          );
          const fitting = sizes.filter((s) => s >= range.least && s <= range.most);
          return chosen
            ? chosen.diameter.mm >= range.least - 1e-6 && chosen.diameter.mm <= range.most + 1e-6
            : fitting.length === 0;
        },
      ),
    );
  });
});

describe('drilling a stopper', () => {
  const body = part(32, 60);
  const needs = kitNeeds(insert, placed(material('maple')));
  const plan = planDrilling(
    body,
    outlineOf(body.turnings[0]),
    needs.holes,
    site('maple', workshop(bit(11.6))),
  );

  it('measures depth to the shoulder and adds the point for the tape', () => {
    const [drill] = plan.operations;
    expect(drill?.toShoulder).toBeCloseTo(21.5, 9); // 20 long + 1.5 room
    expect(drill?.tapeAt).toBeCloseTo(21.5 + 5.8 / Math.tan((59 * Math.PI) / 180), 9);
    expect(drill?.rpm).toBe(1200); // 45 m/min on 11.6 mm is 1234.8 rpm
    expect(plan.findings).toEqual([]);
  });

  it('warns of a thin wall and stops where the hole breaks out', () => {
    const thin = part(15, 60);
    const found = planDrilling(
      thin,
      outlineOf(thin.turnings[0]),
      needs.holes,
      site('maple', workshop(bit(11.6))),
    );
    expect(found.findings[0]).toMatchObject({ severity: 'warn', stage: 'drill' });
    const short = part(32, 22);
    const out = planDrilling(
      short,
      outlineOf(short.turnings[0]),
      needs.holes,
      site('maple', workshop(bit(11.6))),
    );
    expect(out.findings[0]).toMatchObject({ severity: 'stop' });
  });

  it('withdraws sooner the deeper it gets, and every diameter in resin', () => {
    expect(pecks(80, 10, material('ash'))).toEqual([30, 50, 70]);
    expect(pecks(25, 10, material('ash'))).toEqual([]);
    expect(pecks(25, 10, material('acrylic'))).toEqual([10, 20]);
  });
});

describe('mating', () => {
  it('finds a body that is not flush and a tenon that is too short', () => {
    const body = part(32.4, 10);
    const outline = outlineOf(body.turnings[0]);
    const fitted = { id: 'h1', kitId: 'k', partId: 'p', end: 'reference' as const };
    const { mating } = kitNeeds(insert, placed(material('ash')));
    expect(matingFindings(body, outline, fitted, mating!)[0]?.what).toContain('⟦0.4⟧ too thick');
    const found = matingFindings(body, outline, fitted, { ...mating!, diameter: 32.4, length: 18 });
    expect(found.map((f) => f.id)).toEqual(['pattern.tenon.h1']);
  });
});
