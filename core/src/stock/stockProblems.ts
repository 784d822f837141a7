import { isDay, type Dimension } from '../measure/index.js';
import type { Board, Log, NewStockItem } from './stockItem.js';

/** A field of a stock item that cannot be, with what would do. */
export interface StockProblem {
  field: string;
  why: string;
}

/** Longest and thickest that is taken for real: anything above lost its unit or its point, mm. */
const LONGEST = 12_000;
const THICKEST = 1_500;

/** What a stock item's sizes say against each other; empty when they can be. */
export function stockProblems(item: NewStockItem): StockProblem[] {
  const early = [...dayProblems(item), ...priceProblems(item)];
  if (early.length > 0) return early;
  if (item.kind === 'consumable')
    return item.opened !== null && item.expires !== null && item.expires < item.opened
      ? [
          {
            field: 'expires',
            why: `It is good until ${item.expires}, before it was opened on ${item.opened}. Check the two days.`,
          },
        ]
      : [];
  const sizes = sizeProblems(item);
  if (sizes.length > 0) return sizes;
  if (item.kind === 'board') return boardProblems(item);
  if (item.kind === 'log') return logProblems(item);
  return [];
}

/** Days that the calendar does not have. */
function dayProblems(item: NewStockItem): StockProblem[] {
  const days: [string, string | null][] =
    item.kind === 'log'
      ? [['felled', item.felled]]
      : item.kind === 'consumable'
        ? [
            ['opened', item.opened],
            ['expires', item.expires],
          ]
        : [];
  return days.flatMap(([field, day]) =>
    day === null || isDay(day) ? [] : [{ field, why: `“${day}” is no day. Give it like 2026-02-14.` }],
  );
}

/** A price for something that the piece does not have would be worth nothing without a word. */
function priceProblems(item: NewStockItem): StockProblem[] {
  const per = item.price?.per ?? 'piece';
  if (item.kind === 'consumable' && per !== 'piece')
    return [
      {
        field: 'price',
        why: `A price per ${per} does not fit what is counted in ${item.unit}. Give the price of one of them, per piece.`,
      },
    ];
  if (per === 'm²' && item.kind !== 'board')
    return [
      { field: 'price', why: `Only boards have a price per m². Give it per piece, / m, / m³ or / kg.` },
    ];
  return [];
}

const SIZES = [
  'thickness',
  'width',
  'side',
  'diameter',
  'thickEnd',
  'thinEnd',
  'buttDiameter',
  'topDiameter',
  'size',
  'length',
];

function sizeProblems(item: NewStockItem): StockProblem[] {
  const held = item as unknown as Record<string, Dimension | undefined>;
  return SIZES.flatMap((field) => {
    const size = held[field];
    if (size === undefined) return [];
    const most = field === 'length' ? LONGEST : THICKEST;
    if (size.mm <= 0)
      return [{ field, why: `The ${words(field)} is ${said(size)}. Give more than nothing.` }];
    if (size.mm > most)
      return [
        {
          field,
          why: `The ${words(field)} is ${said(size)}, more than ${mm(most)}. Is a decimal point or a unit missing?`,
        },
      ];
    return [];
  });
}

const words = (field: string): string => field.replace(/([A-Z])/g, ' $1').toLowerCase();
const mm = (value: number): string => `${Number(value.toFixed(1))} mm`;
const said = (size: Dimension): string => size.typed ?? mm(size.mm);

function boardProblems(board: Omit<Board, 'id'>): StockProblem[] {
  return board.zones.flatMap((z, i) => {
    const field = `zones.${i}`;
    if (z.from >= z.to || z.low >= z.high)
      return [
        {
          field,
          why: `Unusable zone ${i + 1} ends before it begins. Give from and to along the board, and low and high across it.`,
        },
      ];
    if (z.from >= board.length.mm || z.low >= board.width.mm || z.to <= 0 || z.high <= 0)
      return [
        {
          field,
          why: `Unusable zone ${i + 1} lies off the board, which is ${said(board.length)} long and ${said(board.width)} wide.`,
        },
      ];
    return [];
  });
}

function logProblems(log: Omit<Log, 'id'>): StockProblem[] {
  const problems: StockProblem[] = [];
  const off = Math.hypot(log.pith.x, log.pith.y);
  const radius = log.buttDiameter.mm / 2;
  if (off >= radius)
    problems.push({
      field: 'pith',
      why: `The pith lies ${mm(off)} from the middle, outside the log of ${said(log.buttDiameter)}. Measure it from the middle of the butt: less than ${mm(radius)}.`,
    });
  if (log.sapwood.mm >= radius)
    problems.push({
      field: 'sapwood',
      why: `The sapwood is ${said(log.sapwood)} thick, which leaves no heartwood in ${said(log.buttDiameter)}. Give the width of the pale ring.`,
    });
  return problems;
}
