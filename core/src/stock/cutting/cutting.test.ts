import fc from 'fast-check';
import loadHighs from 'highs';
import { sawingOf, newWorkshop } from '../../workshop/index.js';
import {
  blankVolume,
  cutFindings,
  layoutProblems,
  rejectRate,
  sawListOf,
  solverOf,
  studyCutting,
  studyKey,
  withSpare,
  type CutDemand,
  type CutInput,
  type CutPlan,
  type CutStock,
} from '../index.js';
import { fitsInto } from './cutInput.js';
import { type SolveLinear } from '../linear.js';

const sawing = { ...sawingOf(newWorkshop('UTC', 'mm')), ripKerf: 3, crossKerf: 2.5, surfacing: 0 };
let solve: SolveLinear;
beforeAll(async () => {
  solve = solverOf(await loadHighs.default());
});

const want = (id: string, section: number, length: number, count: number): CutDemand => ({
  id,
  label: id,
  materialId: 'ash',
  section,
  length,
  count,
  octagon: false,
});
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
const bar = (id: string, length: number, cost: number, pieces = 1): CutStock =>
  board(id, { form: 'square', thickness: 40, width: 40, length, cost, pieces });

/** Every blank inside its board, none overlapping, none in unusable wood, and as many as are wanted. */
function expectSound(plan: CutPlan, input: CutInput) {
  for (const cut of plan.cuts) {
    const stock = input.stock.find((s) => s.id === cut.stockId) as CutStock;
    expect(layoutProblems(cut, stock, input.demand, input.sawing)).toEqual([]);
    expect(cut.blankVolume + cut.offcutVolume).toBeLessThanOrEqual(cut.stockVolume + 1e-6);
  }
  for (const d of input.demand) {
    const made = plan.cuts
      .flatMap((c) => c.blanks)
      .filter((b) => b.demandId === d.id)
      .reduce((sum, b) => sum + b.layers, 0);
    const missing = plan.missing.find((m) => m.demandId === d.id)?.count ?? 0;
    expect(made + missing).toBe(d.count);
  }
}

describe('one length', () => {
  it('needs no kerf after a piece that ends at the bar’s end', () => {
    expect(fitsInto(302.5, 150, 2.5)).toBe(2);
    expect(fitsInto(302.4, 150, 2.5)).toBe(1);
    const [plan] = studyCutting(
      { demand: [want('a', 40, 150, 2)], stock: [bar('x', 302.5, 100)], sawing },
      solve,
    );
    expect(plan).toMatchObject({ cost: 100, opened: 1, missing: [], proven: true, bound: 100 });
  });

  it('finds the two bars that first-fit decreasing needs three for', () => {
    // room 100: 50+30+20 and 40+30+30 fill two bars; first-fit decreasing leaves 50+40 | 30+30+30 | 20
    const lengths: [string, number, number][] = [
      ['a', 50, 1],
      ['b', 40, 1],
      ['c', 30, 3],
      ['d', 20, 1],
    ];
    const input = {
      demand: lengths.map(([id, l, n]) => want(id, 40, l, n)),
      stock: [bar('x', 100, 100, 3)],
      sawing: { ...sawing, crossKerf: 0 },
    };
    const [plan] = studyCutting(input, solve);
    expect(plan).toMatchObject({ cost: 200, proven: true });
    expect(plan?.compared.cost).toBe(300);
    expectSound(plan as CutPlan, input);
  });

  it('opens the stock that costs least, and says what is missing when there is too little', () => {
    const demand = [want('a', 40, 90, 4)];
    const [cheap] = studyCutting(
      { demand, stock: [bar('dear', 400, 900), bar('short', 190, 200, 2)], sawing },
      solve,
    );
    expect(cheap).toMatchObject({ cost: 400, opened: 2 });
    const [few] = studyCutting({ demand, stock: [bar('short', 190, 200)], sawing }, solve);
    expect(few).toMatchObject({ missing: [{ demandId: 'a', count: 2 }], bound: null, proven: false });
  });

  it('costs never less than an exhaustive search by hand finds', () => {
    const lengths = fc.array(fc.integer({ min: 20, max: 60 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(lengths, fc.integer({ min: 60, max: 130 }), (pieces, room) => {
        const demand = pieces.map((l, i) => want(`d${i}`, 40, l, 1));
        const input = { demand, stock: [bar('x', room, 100, pieces.length)], sawing };
        const [plan] = studyCutting(input, solve);
        expect(plan?.cost).toBe(100 * fewestBars(pieces, room, 2.5));
        expect(plan?.proven).toBe(true);
        expectSound(plan as CutPlan, input);
      }),
      { numRuns: 25 },
    );
  });
});

/** Tries every way of putting pieces into bars, one after another. */
function fewestBars(pieces: readonly number[], room: number, kerf: number): number {
  const go = (rest: readonly number[], bars: readonly number[]): number => {
    const [piece, ...more] = rest;
    if (piece === undefined) return bars.length;
    const options = bars.flatMap((left, i) =>
      left + kerf >= piece + kerf && left >= piece
        ? [
            go(
              more,
              bars.map((b, j) => (j === i ? left - piece - kerf : b)),
            ),
          ]
        : [],
    );
    return Math.min(...options, go(more, [...bars, room - piece - kerf]));
  };
  return go(pieces, []);
}

describe('boards', () => {
  it('give strips across their thickness when they are thick enough', () => {
    const input = { demand: [want('a', 40, 240, 12)], stock: [board('x', { thickness: 83 })], sawing };
    const [plan] = studyCutting(input, solve);
    // 126 = 3 × 40 + 2 × 3; 83 = 2 × 40 + 3; 500 ≥ 2 × 240 + 2.5
    expect(plan).toMatchObject({ opened: 1, missing: [] });
    expectSound(plan as CutPlan, input);
  });

  it('keep out of unusable wood and lose nothing beside it', () => {
    const zones = [{ from: 200, to: 260, low: 0, high: 60, why: 'knot' }];
    const input = { demand: [want('a', 40, 120, 12)], stock: [board('x', { zones })], sawing };
    const plans = studyCutting(input, solve);
    for (const plan of plans) expectSound(plan, input);
    // rip first: strips at 0 and 43 lose the knot (1 + 1 and 1 + 1 pieces), the third gives 4
    const ripped = plans.find((p) => p.order === 'rip-first');
    expect(12 - (ripped?.missing[0]?.count ?? 0)).toBe(8 + 0);
  });

  it('are never cut dearer than a saw without a plan does it', () => {
    const rough = { thickness: 30, width: 92, endTrim: 10, rough: true };
    const zones = [{ from: 178, to: 218, low: 20, high: 45, why: 'knot' }];
    const input: CutInput = {
      demand: [
        [40, 3],
        [40, 3],
        [169, 11],
        [40, 7],
      ].map(([length = 0, count = 0], i) => want(`d${i}`, 20, length, count)),
      stock: [
        board('s0', { ...rough, length: 736, cost: 100, zones }),
        board('s1', { ...rough, length: 660, cost: 101 }),
      ],
      sawing: { ...sawing, surfacing: 1.5 },
    };
    const [plan] = studyCutting(input, solve);
    expectSound(plan as CutPlan, input);
    expect([plan?.missing, plan?.cost]).toEqual([[], 100]);
  }, 60_000);

  it('stay sound whatever is asked of them, and never cost less than their bound', () => {
    const piece = fc.record({
      section: fc.integer({ min: 20, max: 45 }),
      length: fc.integer({ min: 40, max: 260 }),
      count: fc.integer({ min: 1, max: 12 }),
    });
    const stock = fc.record({
      thickness: fc.integer({ min: 30, max: 95 }),
      width: fc.integer({ min: 60, max: 200 }),
      length: fc.integer({ min: 300, max: 900 }),
      cost: fc.integer({ min: 100, max: 2000 }),
      knot: fc.integer({ min: 0, max: 250 }),
    });
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 4 }),
        fc.array(stock, { minLength: 1, maxLength: 4 }),
        (pieces, boards) => {
          const input: CutInput = {
            demand: pieces.map((p, i) => want(`d${i}`, p.section, p.length, p.count)),
            stock: boards.map(({ knot, ...b }, i) =>
              board(`s${i}`, {
                ...b,
                endTrim: 10,
                rough: true,
                zones: knot > 50 ? [{ from: knot, to: knot + 40, low: 20, high: 45, why: 'knot' }] : [],
              }),
            ),
            sawing: { ...sawing, surfacing: 1.5 },
          };
          for (const plan of studyCutting(input, solve)) {
            expectSound(plan, input);
            if (plan.bound !== null) expect(plan.cost).toBeGreaterThanOrEqual(plan.bound);
            if (plan.missing.length === 0 && plan.compared.missing.length === 0)
              expect(plan.cost).toBeLessThanOrEqual(plan.compared.cost);
          }
        },
      ),
      { numRuns: 12 },
    );
  }, 120_000);

  it('of a hundred pieces come within one board of the bound', () => {
    const demand = [0, 1, 2, 3, 4].map((i) => want(`d${i}`, 28 + 4 * i, 90 + 37 * i, 20));
    const stock = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9].map((i) =>
      board(`s${i}`, {
        thickness: 52 + (i % 2) * 30,
        width: 130 + 11 * i,
        length: 900 + 40 * i,
        cost: 2000 + 150 * i,
      }),
    );
    const input = { demand, stock, sawing };
    const [plan] = studyCutting(input, solve);
    expectSound(plan as CutPlan, input);
    const dearest = Math.max(...stock.map((s) => s.cost ?? 0));
    expect((plan?.cost ?? 0) - (plan?.bound ?? 0)).toBeLessThanOrEqual(
      Math.max(dearest, 0.01 * (plan?.bound ?? 0)),
    );
  }, 60_000);
});

describe('saw list', () => {
  it('makes each setting once, from wide to narrow and long to short', () => {
    const demand = [want('a', 40, 120, 3), want('b', 30, 90, 4), { ...want('c', 40, 90, 2), octagon: true }];
    const input = { demand, stock: [board('x'), board('y')], sawing };
    for (const plan of studyCutting(input, solve)) {
      const list = sawListOf(plan, input);
      for (const work of ['rip', 'crosscut'] as const) {
        const sets = list.filter((s) => s.work === work).map((s) => s.set ?? 0);
        expect(new Set(sets).size).toBe(sets.length);
        expect(sets).toEqual([...sets].sort((p, q) => q - p));
      }
      const clip = list.find((s) => s.work === 'clip');
      // half of a flat of 40 (√2 − 1)
      expect(clip?.set).toBeCloseTo(20 * (Math.SQRT2 - 1), 9);
      expect(clip?.from).toEqual([{ label: 'c', pieces: 2, note: '' }]);
      const cutting = list.find((s) => s.work === (plan.order === 'rip-first' ? 'rip' : 'crosscut'));
      expect(list.indexOf(cutting as (typeof list)[number])).toBe(0);
    }
  });
});

describe('findings and spares', () => {
  it('say why a blank cannot be cut and what would do', () => {
    const find = (demand: CutDemand[], stock: CutStock[], more = {}) =>
      cutFindings({ demand, stock, sawing: { ...sawing, ...more } })[0];
    expect(find([want('a', 60, 90, 1)], [board('x')])?.what).toBe(
      'a: the blank needs ⟦60⟧; the thickest stock, x, is ⟦40⟧ once its faces are planed.',
    );
    expect(find([want('a', 40, 900, 1)], [board('x')])?.what).toContain(
      'the longest stock that is thick enough, x, gives ⟦500⟧',
    );
    expect(find([want('a', 40, 90, 1)], [board('x', { materialId: 'oak' })])?.severity).toBe('stop');
    expect(find([want('a', 40, 90, 1)], [board('x')], { ripKerf: 45 })?.remedy).toContain('width of the cut');
    expect(find([want('a', 40, 90, 1)], [board('x')])).toBeUndefined();
  });

  it('learn how many to cut more from what was rejected', () => {
    expect(rejectRate(0, 0)).toBeCloseTo(0.05, 12);
    expect(rejectRate(180, 9)).toBeCloseTo(0.05, 12);
    expect(withSpare(want('a', 40, 90, 19), 0.05).count).toBe(20);
    expect(blankVolume(want('a', 40, 90, 1))).toBe(144_000);
  });
});

describe('what is counted', () => {
  it('keeps offcuts that are long and wide enough, and counts the rest as waste', () => {
    const habits = { ...sawing, leastOffcutLength: 120, leastOffcutWidth: 30 };
    const input = {
      demand: [want('a', 40, 150, 2)],
      stock: [board('x', { width: 126, length: 500 })],
      sawing: habits,
    };
    const plan = studyCutting(input, solve).find((p) => p.order === 'rip-first');
    // one strip of 40: 2 × 150 and 195 over; beside it 126 − 43 = 83 whole
    const sizes = plan?.cuts[0]?.offcuts.map((o) => [o.length, o.width]);
    expect(sizes).toEqual([
      [195, 40],
      [500, 83],
    ]);
    const kerfs = 3 * 500 * 40 + 2 * 2.5 * 40 * 40;
    expect(plan?.waste).toBeCloseTo(kerfs, 6);
  });

  it('estimates stock without a price by the others of its material, and by volume when none has one', () => {
    const demand = [want('a', 40, 240, 12)];
    const stock = [board('known', { cost: 1000 }), board('gift', { cost: null, length: 1000 })];
    const [plan] = studyCutting({ demand, stock, sawing }, solve);
    expect(plan).toMatchObject({ estimated: ['gift'], byVolume: false, missing: [] });
    expect(plan?.cost).toBe(2000); // the longer board alone, at the rate of the other
    const [free] = studyCutting({ demand, stock: stock.map((s) => ({ ...s, cost: null })), sawing }, solve);
    expect(free).toMatchObject({ byVolume: true, estimated: [], cost: 5040 }); // 40 × 126 × 1000 mm³ in cm³
  });

  it('studies each material alone and adds them up', () => {
    const oak = { ...want('b', 40, 240, 6), materialId: 'oak' };
    const stock = [board('x'), board('y', { materialId: 'oak', cost: 1700 })];
    const [both] = studyCutting({ demand: [want('a', 40, 240, 6), oak], stock, sawing }, solve);
    expect(both).toMatchObject({ cost: 2700, bound: 2700, proven: true, opened: 2, missing: [] });
  });

  it('tells how far it has come', () => {
    const told: string[] = [];
    studyCutting(
      { demand: [want('a', 40, 240, 6)], stock: [board('x')], sawing },
      solve,
      ({ order, doing }) => told.push(`${order}: ${doing}`),
    );
    expect(told).toContain('rip-first: proving the cheapest');
    expect(told).toContain('crosscut-first: pricing ways of cutting');
  });

  it('has a key that changes with the input and not with the order of its fields', () => {
    const input = { demand: [want('a', 40, 240, 6)], stock: [board('x')], sawing };
    const turned = Object.fromEntries(Object.entries(input).reverse()) as unknown as CutInput;
    expect(studyKey(turned)).toBe(studyKey(input));
    expect(studyKey({ ...input, stock: [board('x', { length: 501 })] })).not.toBe(studyKey(input));
  });
});
