import type { Dimension } from '../measure/index.js';
import type { Price } from './price.js';

/** A rectangle of a board that cannot be used: along it from/to, across it low/high, mm. */
export interface Zone {
  from: number;
  to: number;
  low: number;
  high: number;
  why: string;
}

interface StockBase {
  id: string;
  /** what it is called on the shelf; every piece of it alike */
  label: string;
  /** where it lies */
  place: string;
  /** what one piece cost when it came in; null when nobody knows */
  price: Price | null;
  /** below this many it is to be ordered again; null when nobody minds */
  reorderAt: number | null;
}

interface WoodBase extends StockBase {
  materialId: string;
  /** % of dry weight; null when not measured */
  moisture: number | null;
  /** which tree, whose land, what it was before */
  origin: string;
  /** what was left of a piece that was cut */
  offcut: boolean;
}

export interface Board extends WoodBase {
  kind: 'board';
  thickness: Dimension;
  width: Dimension;
  length: Dimension;
  zones: Zone[];
}

interface SquareStock extends WoodBase {
  kind: 'square';
  side: Dimension;
  length: Dimension;
}

export interface Rod extends WoodBase {
  kind: 'rod';
  diameter: Dimension;
  length: Dimension;
}

/** A roll of horn or a tip of antler: tapered and seldom straight. */
interface Tip extends WoodBase {
  kind: 'tip';
  thickEnd: Dimension;
  thinEnd: Dimension;
  length: Dimension;
}

export interface Log extends WoodBase {
  kind: 'log';
  /** diameters inside the bark */
  buttDiameter: Dimension;
  topDiameter: Dimension;
  length: Dimension;
  /** where the pith lies from the middle of the butt, mm */
  pith: { x: number; y: number };
  sapwood: Dimension;
  /** `2026-02-14`, or null when nobody knows */
  felled: string | null;
}

export const BLANK_FORMS = ['square', 'octagon', 'round'] as const;
export type BlankForm = (typeof BLANK_FORMS)[number];

export const CONSUMABLE_KINDS = ['glue', 'finish', 'abrasive'] as const;
export type ConsumableKind = (typeof CONSUMABLE_KINDS)[number];

export const CONSUMABLE_UNITS = ['ml', 'g', 'sheets', 'm', 'pieces'] as const;
export type ConsumableUnit = (typeof CONSUMABLE_UNITS)[number];

/** A blank ready to be marked and mounted: square or round of a size. */
interface BlankStock extends WoodBase {
  kind: 'blank';
  form: BlankForm;
  size: Dimension;
  length: Dimension;
  /** batch that it was cut for */
  batchId: string | null;
}

interface Consumable extends StockBase {
  kind: 'consumable';
  what: ConsumableKind;
  unit: ConsumableUnit;
  opened: string | null;
  expires: string | null;
}

export type StockItem = Board | SquareStock | Rod | Tip | Log | BlankStock | Consumable;

/** Kinds of stock in the order they lie on the shelf, and what they are called. */
export const STOCK_KINDS: Record<StockItem['kind'], { one: string; many: string }> = {
  board: { one: 'board', many: 'Boards' },
  square: { one: 'square', many: 'Squares' },
  rod: { one: 'rod', many: 'Rods' },
  blank: { one: 'blank', many: 'Blanks' },
  log: { one: 'log', many: 'Logs' },
  tip: { one: 'roll or tip', many: 'Rolls and tips' },
  consumable: { one: 'consumable', many: 'Abrasive, finish, glue' },
};
export type WoodStock = Exclude<StockItem, Consumable>;

type WithoutId<I> = I extends StockItem ? Omit<I, 'id'> : never;

/** A stock item that has no id yet. */
export type NewStockItem = WithoutId<StockItem>;

/** Amount of one piece in mm³; a cone's frustum where the ends differ; 0 for consumables. */
export function volumeOf(item: StockItem): number {
  switch (item.kind) {
    case 'board':
      return item.thickness.mm * item.width.mm * item.length.mm;
    case 'square':
      return item.side.mm ** 2 * item.length.mm;
    case 'rod':
      return (Math.PI / 4) * item.diameter.mm ** 2 * item.length.mm;
    case 'tip':
      return frustum(item.thickEnd.mm, item.thinEnd.mm, item.length.mm);
    case 'log':
      return frustum(item.buttDiameter.mm, item.topDiameter.mm, item.length.mm);
    case 'blank':
      return SECTION[item.form] * item.size.mm ** 2 * item.length.mm;
    case 'consumable':
      return 0;
  }
}

/** What one piece is across at its narrowest and long, mm; null of what has no one size. */
export function pieceSizeOf(item: NewStockItem): { across: number; length: number } | null {
  switch (item.kind) {
    case 'board':
      return { across: Math.min(item.thickness.mm, item.width.mm), length: item.length.mm };
    case 'square':
      return { across: item.side.mm, length: item.length.mm };
    case 'rod':
      return { across: item.diameter.mm, length: item.length.mm };
    case 'blank':
      return { across: item.size.mm, length: item.length.mm };
    case 'tip':
    case 'log':
    case 'consumable':
      return null;
  }
}

/** Area of a section of width 1: a square, its octagon 2(√2 − 1), its round. */
const SECTION = { square: 1, octagon: 2 * (Math.SQRT2 - 1), round: Math.PI / 4 };

/** Volume of a cone's frustum: diameters of its ends, its length. */
export const frustum = (a: number, b: number, length: number): number =>
  (Math.PI / 12) * length * (a * a + a * b + b * b);
