import fc from 'fast-check';
import { newWorkshop } from '../workshop/index.js';
import { dim } from '../measure/index.js';
import { blankFor, stockProblems, volumeOf, type NewStockItem, type StockItem } from './index.js';
import { belowCorner, octagonOf } from './blank.js';

const allowances = newWorkshop('UTC', 'mm').allowances;

describe('blank', () => {
  const wish = {
    partId: 'p',
    largestDiameter: 40,
    finishedLength: 62,
    wasteDrive: 15,
    wasteTail: 10,
    perBlank: 1,
    pieces: 12,
  };

  it('adds skim, centring error, waste and parting', () => {
    const { blank } = blankFor(wish, allowances);
    expect(blank).toMatchObject({ section: 43, length: 91, count: 12 }); // 40+2+1; 62+4+25
    const two = blankFor({ ...wish, perBlank: 2, pieces: 13 }, allowances).blank;
    expect(two).toMatchObject({ length: 157, count: 7 }); // 2×66 + 25
  });

  it('of what has no corners is so much across, sweeps no corners and has none to clip', () => {
    const asked = (stock?: 'round' | 'oval' | 'irregular') =>
      blankFor({ ...wish, ...(stock ? { stock } : {}) }, allowances);
    const labels = (stock?: 'round' | 'oval' | 'irregular') => asked(stock).figures.map((f) => f.label);
    expect(labels()).toEqual(expect.arrayContaining(['Blank, square', 'Off below each corner']));
    for (const stock of ['round', 'oval', 'irregular'] as const) {
      expect(labels(stock).join()).not.toMatch(/square|corner/i);
      expect(asked(stock).blank.section).toBe(43);
    }
    expect(asked('round').blank.diagonal).toBe(43);
    expect(asked('oval').blank.diagonal).toBeGreaterThan(43);
    expect(asked().blank.diagonal).toBeCloseTo(60.811, 3);
  });

  it('an octagon has eight equal sides', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 300, noNaN: true }), (side) => {
        const { clipLeg, flat } = octagonOf(side);
        return (
          Math.abs(clipLeg * Math.SQRT2 - flat) < 1e-9 * side &&
          Math.abs(2 * clipLeg + flat - side) < 1e-9 * side
        );
      }),
    );
    expect(octagonOf(100).clipLeg).toBeCloseTo(29.289, 3);
    // by hand: the corner is 70.711 from the middle, the flat 50
    expect(belowCorner(octagonOf(100))).toBeCloseTo(20.711, 3);
  });
});

describe('stock as it is entered', () => {
  const wood = {
    label: 'L',
    place: '',
    price: null,
    reorderAt: null,
    materialId: 'ash',
    moisture: 10,
    origin: '',
    offcut: false,
  };
  const board = (change: object = {}) =>
    ({
      ...wood,
      kind: 'board',
      thickness: dim(50),
      width: dim(200),
      length: dim(2000),
      zones: [],
      ...change,
    }) as NewStockItem;
  const why = (item: NewStockItem) => stockProblems(item).map((p) => p.why)[0];

  it('has a volume by its form', () => {
    const of = (item: object) => volumeOf({ ...wood, id: 'i', ...item } as StockItem);
    expect(of({ kind: 'square', side: dim(40), length: dim(100) })).toBe(160_000);
    expect(of({ kind: 'rod', diameter: dim(20), length: dim(100) })).toBeCloseTo(31_415.93, 1);
    expect(of({ kind: 'tip', thickEnd: dim(30), thinEnd: dim(0), length: dim(100) })).toBeCloseTo(
      (Math.PI * 225 * 100) / 3,
      6,
    );
    const octagon = of({ kind: 'blank', form: 'octagon', size: dim(100), length: dim(1) });
    expect(octagon).toBeCloseTo(10_000 - 2 * octagonOf(100).clipLeg ** 2, 6); // four corners off the square
  });

  it('that cannot be gets a sentence', () => {
    expect(why(board())).toBeUndefined();
    expect(why(board({ width: dim(0) }))).toBe('The width is 0 mm. Give more than nothing.');
    expect(why(board({ thickness: { mm: 5200, typed: '5200' } }))).toContain(
      'Is a decimal point or a unit missing?',
    );
    const zone = { from: 10, to: 60, low: 0, high: 20, why: '' };
    expect(why(board({ zones: [{ ...zone, to: 5 }] }))).toContain('ends before it begins');
    expect(why(board({ zones: [{ ...zone, from: 2100, to: 2200 }] }))).toContain('lies off the board');
    const log = {
      ...wood,
      kind: 'log',
      buttDiameter: dim(200),
      topDiameter: dim(180),
      length: dim(900),
      felled: null,
    };
    expect(why({ ...log, pith: { x: 60, y: 90 }, sapwood: dim(0) } as NewStockItem)).toContain(
      'less than 100 mm',
    );
    expect(why({ ...log, pith: { x: 0, y: 0 }, sapwood: dim(120) } as NewStockItem)).toContain(
      'leaves no heartwood',
    );
    const glue = {
      kind: 'consumable',
      label: 'G',
      place: '',
      price: null,
      reorderAt: null,
      what: 'glue',
      unit: 'ml',
    };
    expect(why({ ...glue, opened: '2026-02-30', expires: null } as NewStockItem)).toContain('is no day');
    expect(
      why({ ...log, pith: { x: 0, y: 0 }, sapwood: dim(0), felled: '2026-13-01' } as NewStockItem),
    ).toContain('is no day');
    const price = { minor: 100, currency: 'EUR', per: 'm²' };
    expect(why({ ...glue, opened: null, expires: null, price } as NewStockItem)).toContain('counted in ml');
    expect(
      why({ ...wood, kind: 'square', side: dim(40), length: dim(500), price } as NewStockItem),
    ).toContain('Only boards');
    expect(why({ ...glue, opened: '2026-05-01', expires: '2026-04-01' } as NewStockItem)).toContain(
      'before it was opened',
    );
  });
});
