import * as fc from 'fast-check';
import {
  carrierOf,
  countWords,
  itemsMade,
  restedAt,
  sharedOut,
  type ItemsMade,
  type WantedItems,
} from './delivery.js';
import type { PieceSummary } from './pieceSummary.js';
import type { OrderedStep } from './holds.js';

const step = (id: string, partId: string, rest: Partial<OrderedStep> = {}): OrderedStep => ({
  id,
  partId,
  title: id,
  locks: [],
  wait: null,
  ...rest,
});
const summary = (piece: number, rest: Partial<PieceSummary> = {}): PieceSummary => ({
  piece,
  stepsDone: 2,
  rejected: false,
  failed: false,
  step: null,
  lockedBy: null,
  waits: [],
  meanwhile: [],
  ...rest,
});

const lots = [
  { partId: 'body', first: 1, count: 2 },
  { partId: 'stem', first: 3, count: 2 },
  { partId: 'body', first: 5, count: 1 },
];
const steps = [step('cut', 'body'), step('turn', 'stem'), step('glue', 'stem', { takes: ['body'] })];

describe('items of a batch', () => {
  it('are counted by the part that others are joined to', () => {
    expect(carrierOf(lots, steps)).toBe('stem');
    const made = itemsMade(
      lots,
      steps,
      [1, 2, 3, 4, 5].map((n) => summary(n, n === 4 ? { step: 2 } : {})),
    );
    expect(made).toEqual({ good: [1], open: [2], stopped: [], rejected: [] });
  });

  it('are counted by their only part where nothing is joined, spares on top', () => {
    const alone = [step('cut', 'body')];
    const made = itemsMade([lots[0]!, { partId: 'body', first: 3, count: 1 }], alone, [
      summary(1),
      summary(2, { rejected: true }),
      summary(3),
    ]);
    expect(made).toEqual({ good: [1, 3], open: [], stopped: [], rejected: [2] });
  });

  it('are not good where a check did not hold, though all is done', () => {
    const made = itemsMade([lots[0]!], [step('cut', 'body')], [summary(1, { failed: true }), summary(2)]);
    expect(made).toEqual({ good: [2], open: [], stopped: [1], rejected: [] });
  });
});

const line = (wanted: number, due: string | null = null, given: number[] = []): WantedItems => ({
  wanted,
  due,
  given,
});
const made = (good: number[], open: number[] = [], stopped: number[] = []): ItemsMade => ({
  good,
  open,
  stopped,
  rejected: [],
});

describe('sharing out', () => {
  it('gives the lower numbers to whoever is due first, those without a day last', () => {
    const stands = sharedOut([line(2), line(2, '2026-03-20'), line(1, '2026-03-10')], made([1, 2, 4], [3]));
    expect(stands).toEqual([
      { ready: [], coming: 1, stopped: 0, short: 1 },
      { ready: [2, 4], coming: 0, stopped: 0, short: 0 },
      { ready: [1], coming: 0, stopped: 0, short: 0 },
    ]);
  });

  it('leaves what was handed over where it went', () => {
    const stands = sharedOut([line(2, '2026-03-10'), line(3, '2026-03-20', [1, 2])], made([1, 2, 3, 4, 5]));
    expect(stands[0]).toEqual({ ready: [3, 4], coming: 0, stopped: 0, short: 0 });
    expect(stands[1]).toEqual({ ready: [5], coming: 0, stopped: 0, short: 0 });
  });

  it('gives each item once, and says of each wanted one where it is', () => {
    const wanted = fc.record({
      wanted: fc.integer({ min: 1, max: 9 }),
      due: fc.option(fc.constantFrom('2026-03-10', '2026-04-01')),
      given: fc.constant([]),
    });
    fc.assert(
      fc.property(
        fc.array(wanted, { maxLength: 6 }),
        fc.nat(20),
        fc.nat(10),
        fc.nat(4),
        (lines, good, open, held) => {
          const counts = (from: number, n: number) => Array.from({ length: n }, (_, i) => from + i + 1);
          const stands = sharedOut(
            lines,
            made(counts(0, good), counts(good, open), counts(good + open, held)),
          );
          const ready = stands.flatMap((s) => s.ready);
          expect(new Set(ready).size).toBe(ready.length);
          stands.forEach((s, i) =>
            expect(s.ready.length + s.coming + s.stopped + s.short).toBe(lines[i]?.wanted),
          );
          const asked = lines.reduce((sum, l) => sum + l.wanted, 0);
          expect(ready).toHaveLength(Math.min(good, asked));
          expect(stands.reduce((sum, s) => sum + s.short, 0)).toBe(Math.max(0, asked - good - open - held));
        },
      ),
    );
  });
});

it('writes counts as on a label', () => {
  expect(countWords([3, 1, 2, 6, 8, 9])).toBe('1 to 3, 6, 8, 9');
  expect(countWords([])).toBe('');
});

it('waits for the longest cure of what is done', () => {
  const cures = [
    step('glue', 'stem', { wait: { minutes: 60, what: 'glue' } }),
    step('coat', 'stem', { wait: { minutes: 1440, what: 'coat' } }),
    step('wax', 'stem', { wait: { minutes: 15, what: 'wax' } }),
  ];
  const done = new Map([
    ['glue', 0],
    ['coat', 3_600_000],
  ]);
  expect(restedAt({ done }, cures, 0)).toBe(25 * 3_600_000);
  expect(restedAt({ done: new Map() }, cures, 0)).toBeNull();
  // a finish that cures before it is used keeps no step waiting
  type Rested = Parameters<typeof restedAt>[1][number];
  const use = { do: 'wait', wait: { on: 'blank', what: 'the finish', minutes: { use: 10_080 } } };
  const oiled = { id: 'oil', wait: null, operation: { kind: 'dry', effects: [use] } } as unknown as Rested;
  expect(restedAt({ done: new Map([['oil', 0]]) }, [...cures, oiled], 0)).toBe(168 * 3_600_000);
  // nor does one that is put on while it turns: it cures from the last coat
  const coat = (id: string) =>
    ({ id, wait: null, operation: { kind: 'coat', effects: [] } }) as unknown as Rested;
  const polished = new Map([
    ['first', 0],
    ['second', 60_000],
  ]);
  expect(restedAt({ done: polished }, [coat('first'), coat('second')], 120)).toBe(121 * 60_000);
});
