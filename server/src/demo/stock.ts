import {
  dayAfter,
  dim,
  equilibriumMoisture,
  type DryingBundle,
  type NewStockItem,
  type Price,
} from '@compas/core';

interface DemoStock {
  item: NewStockItem;
  amount: number;
}

const price = (minor: number, per: Price['per']): Price => ({ minor, currency: 'EUR', per });

const wood = (
  materialId: string,
  label: string,
  place: string,
  cost: Price | null,
  moisture: number,
  origin = '',
) => ({
  materialId,
  label,
  place,
  price: cost,
  moisture,
  origin,
  reorderAt: null,
  offcut: false,
});

const board = (
  base: ReturnType<typeof wood>,
  [thickness, width, length]: [number, number, number],
  zones: { from: number; to: number; low: number; high: number; why: string }[] = [],
): NewStockItem => ({
  ...base,
  kind: 'board',
  thickness: dim(thickness),
  width: dim(width),
  length: dim(length),
  zones,
});

const YARD = price(185_000, 'm³');

/** Shelves worth looking at: boards with knots, squares, rods, horn and antler, a fresh log, things that run out. */
export const demoStock = (now: number): DemoStock[] => {
  const day = (days: number) => new Date(now + days * 86_400_000).toISOString().slice(0, 10);
  return [
    {
      amount: 1,
      item: board(
        wood('ash', 'Ash board, wide', 'rack 1', YARD, 10.5, 'yard in the valley'),
        [52, 210, 1850],
        [{ from: 620, to: 720, low: 60, high: 120, why: 'knot' }],
      ),
    },
    {
      amount: 2,
      item: board(
        wood('ash', 'Ash board, narrow', 'rack 1', YARD, 10.5, 'yard in the valley'),
        [52, 130, 1500],
      ),
    },
    {
      amount: 1,
      item: board(
        wood('maple', 'Maple plank', 'rack 2', price(240_000, 'm³'), 9.8),
        [63, 190, 1400],
        [
          { from: 0, to: 90, low: 0, high: 190, why: 'end check' },
          { from: 880, to: 960, low: 130, high: 190, why: 'bark pocket' },
        ],
      ),
    },
    {
      amount: 1,
      item: board(wood('maple', 'Maple plank, short', 'rack 2', price(240_000, 'm³'), 9.8), [52, 165, 900]),
    },
    {
      amount: 1,
      item: board(wood('walnut', 'Walnut board', 'rack 2', price(390_000, 'm³'), 11), [52, 175, 1200]),
    },
    {
      amount: 1,
      item: board(wood('beech', 'Beech board', 'rack 3', price(120_000, 'm³'), 11.5), [65, 240, 2000]),
    },
    {
      amount: 9,
      item: {
        ...wood('cherry', 'Cherry squares 45', 'bin 4', price(310, 'piece'), 10),
        kind: 'square',
        side: dim(45),
        length: dim(600),
        reorderAt: 10,
      },
    },
    {
      amount: 5,
      item: {
        ...wood('ash', 'Ash rods 32', 'bin 5', price(450, 'm'), 10),
        kind: 'rod',
        diameter: dim(32),
        length: dim(1000),
      },
    },
    {
      amount: 3,
      item: {
        ...wood(
          'antler',
          'Shed antler tips',
          'drawer 2',
          price(600, 'piece'),
          12,
          'picked up in the deer park',
        ),
        kind: 'tip',
        thickEnd: dim(34),
        thinEnd: dim(14),
        length: dim(190),
      },
    },
    {
      amount: 4,
      item: {
        ...wood('horn', 'Horn rolls', 'drawer 2', price(480, 'piece'), 12),
        kind: 'tip',
        thickEnd: dim(30),
        thinEnd: dim(26),
        length: dim(130),
      },
    },
    {
      amount: 1,
      item: {
        ...wood(
          'birch',
          'Birch log from the lane',
          'yard, under the roof',
          price(1_800, 'piece'),
          72,
          'storm-felled, the lane behind Quillhaven',
        ),
        kind: 'log',
        buttDiameter: dim(245),
        topDiameter: dim(225),
        length: dim(1250),
        pith: { x: 18, y: 7 },
        sapwood: dim(0),
        felled: day(-12),
      },
    },
    {
      amount: 1,
      item: {
        ...wood(
          'apple',
          'Apple log, old orchard',
          'yard, under the roof',
          null,
          60,
          'orchard behind the chapel, grubbed up',
        ),
        kind: 'log',
        buttDiameter: dim(190),
        topDiameter: dim(160),
        length: dim(800),
        pith: { x: -14, y: 10 },
        sapwood: dim(18),
        felled: day(-20),
      },
    },
    {
      amount: 14,
      item: {
        ...wood('apple', 'Apple blanks 35 × 120', 'bin 1', price(180, 'piece'), 11),
        kind: 'blank',
        form: 'square',
        size: dim(35),
        length: dim(120),
        batchId: null,
      },
    },
    {
      amount: 1,
      item: {
        ...board(
          wood('ash', 'Ash board, offcut 420', 'offcut rack', price(200, 'piece'), 10.2),
          [49, 96, 420],
        ),
        offcut: true,
      } as NewStockItem,
    },
    consumable('Slow epoxy', 'glue', 'ml', 500, price(4, 'piece'), 50, day(-200), day(9)),
    consumable('Hard wax oil', 'finish', 'ml', 750, price(5, 'piece'), 100, day(-40), day(400)),
    consumable('P240 sheets', 'abrasive', 'sheets', 25, price(60, 'piece'), 10, null, null),
    consumable('P320 sheets', 'abrasive', 'sheets', 25, price(60, 'piece'), 10, null, null),
  ];
};

const consumable = (
  label: string,
  what: 'abrasive' | 'finish' | 'glue',
  unit: 'sheets' | 'ml',
  amount: number,
  cost: Price,
  reorderAt: number,
  opened: string | null,
  expires: string | null,
): DemoStock => ({
  amount,
  item: { kind: 'consumable', label, place: 'cupboard', price: cost, reorderAt, what, unit, opened, expires },
});

/** Weights as a scale shows them: the law of drying with a gram or two of a draughty day. */
function weights(first: string, dryGrams: number, start: number, tau: number, days: readonly number[]) {
  const end = equilibriumMoisture(19, 52);
  return days.map((d, i) => ({
    day: dayAfter(first, d),
    grams: Math.round(
      dryGrams * (1 + (end + (start - end) * Math.exp(-d / tau)) / 100) + [0, 3, -2, 2, -3, 1, 0, 2][i % 8]!,
    ),
  }));
}

/** Three bundles at three moments: just laid down, half dry, nearly there. */
export const demoBundles = (now: number): DryingBundle[] => {
  const day = (days: number) => new Date(now + days * 86_400_000).toISOString().slice(0, 10);
  const bundle = (
    label: string,
    materialId: string,
    pieces: number,
    rest: Pick<DryingBundle, 'school' | 'target' | 'startMoisture' | 'weighings'>,
  ): DryingBundle => ({
    label,
    itemId: null,
    materialId,
    pieces,
    air: null,
    ...rest,
  });
  return [
    bundle('Birch rolling pins, roughed', 'birch', 6, {
      school: 'dry',
      target: 11.5,
      startMoisture: 58,
      weighings: weights(day(-34), 3100, 58, 16, [0, 4, 9, 15, 22, 29, 33]),
    }),
    bundle('Cherry dibbers', 'cherry', 10, {
      school: 'half-dry',
      target: 12,
      startMoisture: null,
      weighings: weights(day(-21), 2150, 48, 13, [0, 3, 7, 11, 16, 20]),
    }),
    bundle('Apple finials, green', 'apple', 8, {
      school: 'green',
      target: 12,
      startMoisture: 62,
      weighings: weights(day(-3), 640, 62, 11, [0, 2]),
    }),
  ];
};
