import fc from 'fast-check';
import { newWorkshop, sawingOf } from '../../workshop/index.js';
import { cutFigures, layoutProblems, type CutPlan, type CutStock } from '../index.js';

const sawing = { ...sawingOf(newWorkshop('UTC', 'mm')), ripKerf: 3, crossKerf: 2.5, surfacing: 0 };
const board = (id: string, more: Partial<CutStock> = {}): CutStock => ({
  id,
  label: id,
  form: 'board',
  materialId: 'ash',
  pieces: 1,
  thickness: 40,
  width: 126,
  length: 500,
  zones: [],
  rough: false,
  endTrim: 0,
  cost: 1000,
  ...more,
});
const want = (id: string, section: number, length: number, count: number) => ({
  id,
  label: id,
  materialId: 'ash',
  section,
  length,
  count,
  octagon: false,
});

describe('a layout that is to be recorded', () => {
  const stock = board('x', { zones: [{ from: 300, to: 340, low: 0, high: 30, why: 'knot' }] });
  const demand = [want('a', 40, 150, 4)];
  const cut = (x: number, y: number, layers = 1) => ({
    stockId: 'x',
    order: 'rip-first' as const,
    strips: [],
    blanks: [{ demandId: 'a', x, y, length: 150, width: 40, layers }],
    offcuts: [],
    stockVolume: 1,
    blankVolume: 1,
    offcutVolume: 0,
  });
  const said = (c: Parameters<typeof layoutProblems>[0]) => layoutProblems(c, stock, demand, sawing)[0];

  it('is refused outside the board, in a knot, above the thickness, too small, or of nothing wanted', () => {
    expect(said(cut(0, 43))).toBeUndefined();
    expect(said(cut(400, 43))).toContain('lies outside x');
    expect(said(cut(200, 0))).toContain('unusable wood at ⟦300⟧ (knot)');
    expect(said(cut(0, 43, 2))).toContain('not thick enough for 2');
    const small = { ...cut(0, 43), blanks: cut(0, 43).blanks.map((b) => ({ ...b, length: 100 })) };
    expect(said(small)).toContain('smaller than a needs');
    expect(layoutProblems(cut(0, 43), stock, [], sawing)[0]).toContain('belongs to nothing');
    const over = {
      ...cut(0, 43),
      offcuts: [{ x: 100, y: 43, length: 200, width: 40, thickness: 40, pieces: 1, round: false }],
    };
    expect(said(over)).toContain('over a blank');
  });

  it('is refused where two lie on one another, wherever they are listed, and only then', () => {
    const wide = board('x', { length: 3_000, width: 400 });
    const place = fc.record({
      x: fc.integer({ min: 0, max: 2_850 }),
      y: fc.integer({ min: 0, max: 360 }),
    });
    fc.assert(
      fc.property(fc.array(place, { maxLength: 14 }), (places) => {
        const blanks = places.map((p) => ({ demandId: 'a', ...p, length: 150, width: 40, layers: 1 }));
        const apart = (a: number, b: number, size: number) => Math.abs(a - b) >= size;
        const meet = places.some((a, i) =>
          places.some((b, j) => j > i && !apart(a.x, b.x, 150) && !apart(a.y, b.y, 40)),
        );
        const found = layoutProblems({ ...cut(0, 0), blanks }, wide, demand, sawing);
        expect(found.some((why) => why.includes('overlap'))).toBe(meet);
      }),
    );
  });

  it('of thousands on one spot says a few of them, at once', () => {
    const blanks = Array.from({ length: 3_000 }, () => ({ ...cut(0, 43).blanks[0]! }));
    const found = layoutProblems({ ...cut(0, 43), blanks }, stock, demand, sawing);
    expect(found).toHaveLength(8);
    expect(new Set(found)).toEqual(new Set(['Two blanks of x overlap at ⟦0⟧ along it.']));
  });
});

describe('figures of a plan', () => {
  const cut = { strips: [], blanks: [], offcuts: [], order: 'rip-first' as const };
  const plan: CutPlan = {
    order: 'rip-first',
    cuts: ['x', 'x', 'y'].map((stockId) => ({
      ...cut,
      stockId,
      stockVolume: 2_520_000,
      blankVolume: 1_500_000,
      offcutVolume: 500_000,
    })),
    cost: 2_700,
    waste: 3 * 520_000,
    opened: 3,
    missing: [],
    bound: 2_500,
    proven: false,
    compared: { cuts: [], cost: 3_000, waste: 0, opened: 3, missing: [] },
    byVolume: false,
    estimated: [],
  };
  const input = { demand: [], stock: [board('x', { cost: 500 }), board('y', { cost: 1700 })], sawing };

  it('show what each comes from', () => {
    const [cost, bound, waste] = cutFigures(plan, input);
    expect(cost?.working.inputs).toEqual([
      { label: '2 × x', value: 1000, unit: 'money' },
      { label: '1 × y', value: 1700, unit: 'money' },
    ]);
    expect(bound).toMatchObject({ label: 'Cannot be less than', value: 2500, unit: 'money' });
    expect(bound?.working.inputs[1]).toMatchObject({ value: 8, unit: '%' }); // 200 over 2500
    const [opened, blanks, kept] = waste?.working.inputs.map((i) => Number(i.value)) ?? [];
    expect(waste?.value).toBe((opened ?? 0) - (blanks ?? 0) - (kept ?? 0));
  });

  it('have no bound while blanks are missing, and count volume where no price is known', () => {
    const figures = cutFigures({ ...plan, bound: null, byVolume: true }, input);
    expect(figures.map((f) => [f.id, f.unit])).toEqual([
      ['cut.cost', 'cm3'],
      ['cut.waste', 'cm3'],
    ]);
  });
});
