import fc from 'fast-check';
import loadHighs from 'highs';
import { sawingOf, newWorkshop } from '../../workshop/index.js';
import { dim } from '../../measure/index.js';
import {
  blankCosts,
  bookCut,
  cutStockOf,
  layoutProblems,
  sawListOf,
  solverOf,
  studyCutting,
  type CutDemand,
  type CutInput,
  type CutStock,
  type StockItem,
} from '../index.js';
import { reachOf, stockVolume } from './cutInput.js';
import type { SolveLinear } from '../linear.js';

const sawing = { ...sawingOf(newWorkshop('UTC', 'mm')), ripKerf: 3, crossKerf: 2, surfacing: 0, endTrim: 0 };
let solve: SolveLinear;
beforeAll(async () => {
  solve = solverOf(await loadHighs.default());
});
const want = (id: string, section: number, length: number, count: number): CutDemand => ({
  id,
  label: id,
  materialId: 'horn',
  section,
  length,
  count,
  octagon: false,
});
const wood = {
  materialId: 'horn',
  moisture: null,
  origin: '',
  offcut: false,
  place: '',
  price: null,
  reorderAt: null,
};
const tip = (thick: number, thin: number, length: number): StockItem => ({
  ...wood,
  id: 'tip',
  label: 'Horn tip',
  kind: 'tip',
  thickEnd: dim(thick),
  thinEnd: dim(thin),
  length: dim(length),
});
const stocked = (item: StockItem, amount: number, cost: number): CutStock => {
  const found = cutStockOf(item, { amount, cost }, sawing);
  if (!found) throw new Error(`${item.label} is not cut`);
  return found;
};

describe('a roll or a tip', () => {
  it('reaches as far as it is thick enough: 30 to 10 over 200 is 20 thick at half of it', () => {
    const stock = stocked(tip(30, 10, 200), 1, 800);
    expect([10, 20, 25, 30, 31].map((s) => reachOf(stock, s))).toEqual([200, 100, 50, 0, 0]);
    // entered the other way round it is the same
    expect(reachOf(stocked(tip(10, 30, 200), 1, 800), 20)).toBe(100);
    // a frustum: π/12 · 200 · (900 + 300 + 100)
    expect(stockVolume(stock)).toBeCloseTo((Math.PI / 12) * 200 * 1300, 6);
  });

  it('is cut to length from its thick end, as long as it is thick enough', () => {
    const input = { demand: [want('peg', 20, 30, 5)], stock: [stocked(tip(30, 10, 200), 2, 1600)], sawing };
    const plan = studyCutting(input, solve)[0]!;
    // 100 of it are thick enough: 30 + 2 + 30 + 2 + 30 = 94, so three of each
    expect(plan).toMatchObject({ opened: 2, missing: [], cost: 1600 });
    expect(plan.cuts.map((c) => c.blanks.length).sort()).toEqual([2, 3]);
    expect(plan.cuts.flatMap((c) => c.offcuts)).toEqual([]);
    const words = sawListOf(plan, input);
    expect(words.map((w) => w.title)).toContain('Centre finder');
    expect(words.map((w) => w.title)).not.toContain('Marking gauge');
    const booked = bookCut(plan.cuts[0]!, tip(30, 10, 200) as never, 800, input.demand, false);
    expect(booked[0]?.item).toMatchObject({ kind: 'blank', form: 'round', size: { mm: 20 } });
  });

  it('never gives a blank where it is thinner, whatever is asked', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 50 }),
        fc.integer({ min: 4, max: 40 }),
        fc.integer({ min: 60, max: 400 }),
        fc.array(fc.tuple(fc.integer({ min: 5, max: 45 }), fc.integer({ min: 15, max: 90 })), {
          minLength: 1,
          maxLength: 3,
        }),
        (thick, thin, length, sizes) => {
          const demand = sizes.map(([s, l], i) => want(`d${i}`, s, l, 2));
          const stock = [stocked(tip(thick, thin, length), 3, 900)];
          for (const plan of studyCutting({ demand, stock, sawing }, solve)) {
            for (const cut of plan.cuts) {
              expect(layoutProblems(cut, stock[0]!, demand, sawing)).toEqual([]);
              for (const b of cut.blanks) {
                const section = demand.find((d) => d.id === b.demandId)?.section ?? 0;
                const [wide, narrow] = [Math.max(thick, thin), Math.min(thick, thin)];
                const there = wide - ((wide - narrow) * (b.x + b.length)) / length;
                expect(there).toBeGreaterThanOrEqual(section - 0.1);
              }
            }
          }
        },
      ),
      { numRuns: 60 },
    ));
});

describe('pieces that all cost the same', () => {
  const bar = (cost: number): CutStock => ({
    id: 'bar',
    label: 'bar',
    form: 'square',
    materialId: 'horn',
    pieces: 20,
    thickness: 40,
    width: 40,
    length: 1000,
    zones: [],
    rough: false,
    endTrim: 0,
    cost,
  });
  // too many mixes to list them all, so that only the relaxation bounds
  const demand = [want('a', 40, 210, 14), want('b', 40, 330, 15), want('c', 40, 470, 13)];
  const input = (cost: number): CutInput => ({ demand, stock: [bar(cost)], sawing });

  it('are bounded by so many whole pieces', () => {
    for (const plan of studyCutting(input(2500), solve)) {
      expect((plan.bound ?? 1) % 2500).toBe(0);
      expect(plan.proven).toBe(plan.cost === plan.bound);
    }
    // wood alone: 14·210 + 15·330 + 13·470 with kerfs fills 14.05 bars, so that 15 are the least
    const rip = studyCutting(input(2500), solve).find((p) => p.order === 'rip-first');
    expect(rip).toMatchObject({ cost: 37_500, bound: 37_500, proven: true });
  });

  it('say what a blank costs, as it will be booked', () => {
    const plan = studyCutting(input(2500), solve)[0]!;
    const each = blankCosts(plan, input(2500));
    const whole = demand.reduce((sum, d) => sum + (each.get(d.id) ?? 0) * d.count, 0);
    expect(whole).toBeCloseTo(plan.cost, 6);
    const parent = {
      ...wood,
      id: 'bar',
      label: 'bar',
      kind: 'square' as const,
      side: dim(40),
      length: dim(1000),
    };
    const booked = plan.cuts.flatMap((cut) => bookCut(cut, parent, 2500, demand, false));
    const ofA = booked.filter((b) => b.item.label.startsWith('a,'));
    expect(ofA.reduce((sum, b) => sum + b.cost, 0) / 14).toBeCloseTo(each.get('a') ?? 0, 0);
    expect(blankCosts({ ...plan, byVolume: true }, input(2500)).size).toBe(0);
  });
});
