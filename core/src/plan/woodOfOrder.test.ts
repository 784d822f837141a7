import { STARTING_FORMS } from '../pattern/index.js';
import type { DryingBundle } from '../stock/index.js';
import { exampleInputs, exampleWorkshop } from './exampleShop.js';
import type { DryingWood } from './inputs.js';
import { plan } from './plan.js';
import { countFindings, dryingWood } from './part/wood.js';
import { airOf } from '../workshop/index.js';

const shelf = (rest: Partial<DryingWood> = {}): DryingWood => ({
  id: 'w1',
  label: 'Maple of the lane',
  materialId: 'maple',
  readyOn: '2026-03-01',
  moisture: 9,
  target: 10,
  ...rest,
});
/** Four rattles from a bundle. */
function made(wood: DryingWood, order: { green?: boolean; materialId?: string } = {}) {
  const inputs = exampleInputs(4);
  const body = { ...STARTING_FORMS.find((f) => f.id === 'rattle')!.body({}, 'maple'), hardware: [] };
  const planned = plan(
    body,
    inputs.workshop,
    { ...inputs.stock, drying: [wood] },
    { ...inputs.order, materialId: 'maple', woodId: 'w1', mount: 'between centres', ...order },
    inputs.schools,
  );
  const { blank } = planned.parts[0];
  const found = planned.findings.filter((f) => f.id.startsWith('stock.wood.'));
  return {
    planned,
    blank,
    ids: found.map((f) => f.id.replace('stock.wood.', '').replace('.part1', '')),
    found,
  };
}
const { blank } = made(shelf());
const size = { across: blank.section, length: blank.length };

describe('a bundle held against the order', () => {
  it('says nothing of one that is enough, or of which nothing is known', () => {
    expect(made(shelf({ pieces: 4, size })).ids).toEqual([]);
    expect(made(shelf()).ids).toEqual([]);
  });

  it('says which of number, length, thickness and wood is short, and by how much', () => {
    expect(made(shelf({ pieces: 3, size })).found[0]?.what).toBe(
      'Maple of the lane: 3 lie there, 4 blanks are wanted.',
    );
    expect(made(shelf({ pieces: 4, size: { ...size, length: size.length - 5 } })).ids).toEqual(['length']);
    expect(made(shelf({ pieces: 4, size: { ...size, across: size.across - 2 } })).ids).toEqual(['across']);
    expect(made(shelf({ pieces: 4, size, materialId: 'ash' })).ids).toEqual(['material']);
  });

  it('is held against all parts that are made from it together', () => {
    const taken = (name: string, count: number, wood: DryingWood | null) => ({
      wood,
      wanted: { partId: name, name, blank: { section: 20, length: 60, count } },
    });
    const twenty = shelf({ pieces: 20 });
    const [short] = countFindings([
      taken('Body', 12, twenty),
      taken('Stem', 12, twenty),
      taken('Ring', 9, null),
    ]);
    expect(short?.what).toBe(
      'Maple of the lane: 20 lie there, 24 blanks are wanted (12 for the body, 12 for the stem).',
    );
    expect(countFindings([taken('Body', 12, twenty), taken('Stem', 8, twenty)])).toEqual([]);
    expect(countFindings([taken('Body', 12, twenty), taken('Stem', 12, { ...twenty, id: 'w2' })])).toEqual(
      [],
    );
  });

  it('counts with what is left when it is dry, but for wood that is turned green', () => {
    // maple loses a good 6 % along the rings from 30 to 10 %
    const wet = shelf({ pieces: 4, size, moisture: 30 });
    expect(made(wet).ids).toContain('across');
    expect(made(wet).found.find((f) => f.id.includes('across'))?.what).toContain(
      'at its narrowest when it is dry',
    );
    expect(made(wet, { green: true }).ids).not.toContain('across');
    expect(made({ ...wet, size: { ...size, across: size.across * 1.12 } }).ids).toEqual([]);
  });
});

describe('wood that is laid down to be finished green', () => {
  const bundle: DryingBundle = {
    label: 'Plum, split',
    itemId: null,
    materialId: 'maple',
    pieces: 12,
    school: 'green',
    target: 12,
    startMoisture: 60,
    air: null,
    weighings: [
      { day: '2026-03-02', grams: 8000 },
      { day: '2026-03-09', grams: 7000 },
      { day: '2026-03-16', grams: 6400 },
      { day: '2026-03-23', grams: 6040 },
    ],
  };
  const wood = dryingWood({ id: 'w1', bundle, size: null }, airOf(exampleWorkshop()));

  it('may be turned at once, and is dry much later', () => {
    expect(wood).toMatchObject({ forGreen: true, readyOn: '2026-03-02', pieces: 12 });
    expect((wood.dryOn ?? '') > '2026-04-01').toBe(true);
  });

  it('ordered green begins at once and rests until it is dry', () => {
    const { planned, ids } = made(wood, { green: true });
    expect(ids).toEqual([]);
    expect(planned.byPiece.start.slice(0, 10)).toBe('2026-03-02');
    const rest = planned.parts[0].steps.find((s) => s.id.startsWith('dry:'));
    expect((rest?.wait?.minutes ?? 0) / (24 * 60)).toBeGreaterThan(25);
  });

  it('ordered dry is not turned as if it were dry: it waits, and says so', () => {
    const { planned, ids } = made(wood);
    expect(ids).toContain('green');
    expect(planned.byPiece.start.slice(0, 10)).toBe(wood.dryOn);
  });
});
