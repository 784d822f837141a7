import { newWorkshop, sawingOf, type StockItem } from '@compas/core';
import type { BatchSummary } from '../api/batches.js';
import type { HeldStock } from '../api/stock.js';
import { cuttable, wantedBlanks } from './cuttingInput.js';

const sawing = sawingOf(newWorkshop('UTC', 'mm'));

const part = (partId: string, change: object) =>
  ({
    partId,
    name: partId,
    materialId: 'ash',
    blank: { section: 43, length: 95, count: 10 },
    octagon: true,
    begun: 0,
    ...change,
  }) as BatchSummary['parts'][number];
const batch = (id: string, change: Partial<BatchSummary> = {}): BatchSummary =>
  ({
    id,
    name: `batch ${id}`,
    customer: 'C',
    patternId: 'p',
    pieces: 10,
    putAway: false,
    stepsDone: 0,
    rejected: 0,
    next: { kind: 'do' },
    parts: [part('p1', {})],
    ...change,
  }) as BatchSummary;

const held = (item: Partial<StockItem> & { kind: StockItem['kind'] }, amount = 1, cost = 1000): HeldStock => {
  const wood = {
    id: 'i',
    label: 'L',
    place: '',
    price: null,
    reorderAt: null,
    materialId: 'ash',
    moisture: 10,
    origin: '',
    offcut: false,
  };
  return { item: { ...wood, ...item } as StockItem, amount, cost, version: 1 };
};
const board = (change: object = {}) =>
  held({
    kind: 'board',
    thickness: { mm: 52 },
    width: { mm: 150 },
    length: { mm: 1000 },
    zones: [],
    ...change,
  });
const blanks = (batchId: string | null, amount: number) =>
  held({ kind: 'blank', form: 'square', size: { mm: 43 }, length: { mm: 95 }, batchId }, amount);

describe('what still has to be cut', () => {
  it('is what open batches want and the shelf does not have yet', () => {
    const batches = [batch('a'), batch('c', { putAway: true })];
    expect(wantedBlanks(batches, [], []).map((w) => [w.demand.id, w.demand.count])).toEqual([['a', 10]]);
    expect(wantedBlanks(batches, [blanks('a', 4), blanks('b', 9)], [])[0]?.demand.count).toBe(6);
    expect(wantedBlanks(batches, [blanks('a', 10)], [])).toEqual([]);
  });

  it('is there until all its blanks are cut, also while its first piece is made', () => {
    const begun = (count: number) => batch('a', { stepsDone: 3, parts: [part('p1', { begun: count })] });
    expect(wantedBlanks([begun(1)], [], [])[0]).toMatchObject({ demand: { count: 9 }, begun: 1, shelved: 0 });
    expect(wantedBlanks([begun(1)], [blanks('a', 7)], [])[0]).toMatchObject({
      demand: { count: 2 },
      shelved: 7,
    });
    expect(wantedBlanks([begun(10)], [], [])).toEqual([]);
  });

  it('comes with spares as the pattern was rejected before', () => {
    const made = [{ patternId: batch('a').patternId, made: 80, rejected: 9 }];
    const [first] = wantedBlanks([batch('a')], [], made);
    expect(first?.rate).toBeCloseTo(0.1, 12); // (9 + 1) / (80 + 20)
    expect(first?.spare.count).toBe(12); // 10 / 0.9, rounded up
    expect(wantedBlanks([batch('a', { patternId: 'other' })], [], made)[0]?.rate).toBeCloseTo(0.05, 12);
  });
});

describe('what it can be cut from', () => {
  const wanted = wantedBlanks([batch('a')], [], []).map((w) => w.demand);
  const labels = (stock: HeldStock[]) => cuttable(stock, wanted, sawing).dry.map((s) => s.label);

  it('is stock of the material that is dry and not promised to another batch, offcuts first', () => {
    const stock = [
      board({ label: 'new' }),
      board({ label: 'left over', offcut: true }),
      board({ label: 'oak', materialId: 'oak' }),
      blanks('b', 5),
      blanks(null, 3),
    ];
    expect(labels(stock)).toEqual(['left over', 'L', 'new']);
  });

  it('leaves wet stock on the drying shelf, and says so', () => {
    expect(
      cuttable([board({ label: 'wet', moisture: 40 }), board({ moisture: null })], wanted, sawing),
    ).toMatchObject({
      dry: [{ label: 'L' }],
      wet: ['wet'],
    });
  });

  it('is planed and trimmed when it is new, and costs its share', () => {
    const [rough] = cuttable([board()], wanted, sawing).dry;
    expect(rough).toMatchObject({ rough: true, endTrim: sawing.endTrim, cost: 1000, pieces: 1 });
    const [left] = cuttable([{ ...board({ offcut: true }), cost: 0 }], wanted, sawing).dry;
    expect(left).toMatchObject({ rough: false, endTrim: 0, cost: 0 });
    const [gift] = cuttable([{ ...board(), cost: 0 }], wanted, sawing).dry;
    expect(gift?.cost).toBeNull();
  });
});
