import fc from 'fast-check';
import { dim } from '../../measure/index.js';
import {
  balanceOf,
  bookCut,
  costOf,
  expiryFindings,
  holdingsOf,
  reorderFindings,
  takeProblem,
  type Board,
  type BoardCut,
  type LedgerKind,
} from '../index.js';
import { shareCost, type LedgerEntry } from './ledger.js';

let id = 0;
const entry = (
  itemId: string,
  kind: LedgerKind,
  amount: number,
  cost: number,
  cuttingId: string | null = null,
) =>
  ({
    id: String(id++),
    at: '2026-03-02T09:00:00Z',
    itemId,
    kind,
    amount,
    cost,
    note: '',
    cuttingId,
  }) satisfies LedgerEntry;

describe('ledger', () => {
  it('adds up: what came is what is there, was used or lost', () => {
    const entries = [
      entry('ash', 'received', 3, 9_000),
      entry('ash', 'cut', -1, -3_000, 'c1'),
      entry('blanks', 'cut', 24, 3_000, 'c1'),
      entry('blanks', 'used', -10, -1_250),
      entry('ash', 'lost', -1, -3_000),
    ];
    const balance = balanceOf(entries);
    expect(balance.byKind).toEqual({ received: 9_000, cut: 0, used: -1_250, lost: -3_000, corrected: 0 });
    expect(balance).toMatchObject({ worth: 4_750, wrong: [], openCuttings: [] });
    expect(holdingsOf(entries).get('blanks')).toEqual({ amount: 14, cost: 1_750 });
  });

  it('finds a cutting that loses cost, and a shelf with less than nothing', () => {
    const balance = balanceOf([entry('a', 'cut', -1, -500, 'c'), entry('b', 'cut', 4, 499, 'c')]);
    expect(balance).toMatchObject({ wrong: ['a'], openCuttings: ['c'] });
  });

  it('leaves no cost on an empty shelf however amounts are taken', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 12 }),
        (cost, takes) => {
          const holding = { amount: takes.reduce((a, b) => a + b, 0), cost };
          for (const take of takes) {
            const share = costOf(holding, take);
            expect(Number.isInteger(share)).toBe(true);
            holding.amount -= take;
            holding.cost -= share;
            expect(holding.cost).toBeGreaterThanOrEqual(0);
          }
          expect(holding).toEqual({ amount: 0, cost: 0 });
        },
      ),
    );
    expect(takeProblem('Ash', { amount: 2, cost: 5 }, 3)).toBe(
      'There are 2 of “Ash”, not 3. Take fewer, or correct the amount first.',
    );
  });

  it('parts a cost so that the shares add up to it', () => {
    expect(shareCost(100, [1, 1, 1])).toEqual([34, 33, 33]);
    expect(shareCost(10, [0, 0])).toEqual([5, 5]);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10_000_000 }),
        fc.array(fc.double({ min: 0, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 9 }),
        (total, weights) => {
          const shares = shareCost(total, weights);
          expect(shares.reduce((a, b) => a + b, 0)).toBe(total);
          const sum = weights.reduce((a, b) => a + b, 0);
          if (sum > 0)
            shares.forEach((s, i) =>
              expect(Math.abs(s - (total * (weights[i] ?? 0)) / sum)).toBeLessThan(1.001),
            );
        },
      ),
    );
  });
});

describe('booking a cut', () => {
  const parent: Board = {
    id: 'b',
    kind: 'board',
    label: 'Ash from the yard',
    place: 'rack 2',
    price: null,
    reorderAt: null,
    materialId: 'ash',
    moisture: 10,
    origin: 'the storm tree',
    offcut: false,
    thickness: dim(45),
    width: dim(130),
    length: dim(600),
    zones: [],
  };
  const demand = [
    {
      id: 'd',
      label: '6 × Handle',
      materialId: 'ash',
      section: 40,
      length: 200,
      count: 6,
      octagon: true,
      batchId: 'x',
    },
  ];
  const cut: BoardCut = {
    stockId: 'b',
    order: 'rip-first',
    strips: [],
    blanks: [0, 1, 2].map((i) => ({ demandId: 'd', x: 205 * i, y: 0, length: 200, width: 40, layers: 2 })),
    offcuts: [{ x: 0, y: 45, length: 500.37, width: 85, thickness: 45, pieces: 1, round: false }],
    stockVolume: 1,
    blankVolume: 1,
    offcutVolume: 1,
  };

  it('makes labelled blanks that keep where the wood is from, and carry its cost', () => {
    const [blanks, offcut] = bookCut(cut, parent, 1_201, demand, false);
    expect(blanks).toMatchObject({
      amount: 6,
      cost: 1_201,
      item: {
        kind: 'blank',
        form: 'octagon',
        label: '6 × Handle, from Ash from the yard',
        origin: 'the storm tree',
        moisture: 10,
        batchId: 'x',
      },
    });
    expect(offcut).toMatchObject({
      amount: 1,
      cost: 0,
      item: { kind: 'board', offcut: true, length: { mm: 500.3 } },
    });
  });

  it('gives offcuts a share by volume when the workshop counts them', () => {
    const booked = bookCut(cut, parent, 10_000, demand, true);
    const blanks = 6 * 40 * 40 * 200;
    const rest = 500.37 * 85 * 45;
    expect(booked[0]?.cost).toBe(Math.round((10_000 * blanks) / (blanks + rest)));
    expect(booked.reduce((sum, b) => sum + b.cost, 0)).toBe(10_000);
  });
});

describe('what runs out', () => {
  it('is said below the amount, not at it', () => {
    const kept = { id: 'g', label: 'Epoxy', unit: 'ml', reorderAt: 50, holding: { amount: 50, cost: 0 } };
    expect(reorderFindings([kept])).toEqual([]);
    expect(reorderFindings([{ ...kept, holding: { amount: 49, cost: 0 } }])[0]?.what).toBe(
      'Epoxy: 49 ml left.',
    );
    expect(reorderFindings([{ ...kept, reorderAt: null, holding: { amount: 0, cost: 0 } }])).toEqual([]);
  });
  it('and what grows old', () => {
    const glue = { id: 'g', label: 'Epoxy', expires: '2026-03-10', amount: 5 };
    expect(expiryFindings([glue], '2026-03-01')[0]?.what).toBe('Epoxy is good until 2026-03-10.');
    expect(expiryFindings([glue], '2026-03-11')[0]?.what).toBe(
      'Epoxy has been past its day since 2026-03-10.',
    );
    expect(expiryFindings([glue], '2026-01-01')).toEqual([]);
  });
});
