import { dim, type NewStockItem, type StockItem } from '@compas/core';
import type { FieldLabel } from '../saving/fieldWords.js';

const WOOD = {
  label: '',
  place: '',
  price: null,
  reorderAt: null,
  materialId: 'ash',
  moisture: null,
  origin: '',
  offcut: false,
};

/** What a new item of a kind begins as. */
export const FRESH: Record<StockItem['kind'], NewStockItem> = {
  board: { ...WOOD, kind: 'board', thickness: dim(52), width: dim(150), length: dim(1500), zones: [] },
  square: { ...WOOD, kind: 'square', side: dim(50), length: dim(600) },
  rod: { ...WOOD, kind: 'rod', diameter: dim(30), length: dim(1000) },
  tip: { ...WOOD, kind: 'tip', thickEnd: dim(35), thinEnd: dim(20), length: dim(150), materialId: 'antler' },
  log: {
    ...WOOD,
    kind: 'log',
    buttDiameter: dim(220),
    topDiameter: dim(200),
    length: dim(1000),
    pith: { x: 0, y: 0 },
    sapwood: dim(0),
    felled: null,
    moisture: 60,
  },
  blank: { ...WOOD, kind: 'blank', form: 'square', size: dim(45), length: dim(150), batchId: null },
  consumable: {
    kind: 'consumable',
    label: '',
    place: '',
    price: null,
    reorderAt: null,
    what: 'glue',
    unit: 'ml',
    opened: null,
    expires: null,
  },
};

/** Sizes of the kinds, in the order they are measured. */
export const SIZES: { key: string; label: string }[] = [
  { key: 'thickness', label: 'Thickness' },
  { key: 'width', label: 'Width' },
  { key: 'side', label: 'Side' },
  { key: 'diameter', label: 'Diameter' },
  { key: 'size', label: 'Across' },
  { key: 'thickEnd', label: 'Thick end' },
  { key: 'thinEnd', label: 'Thin end' },
  { key: 'buttDiameter', label: 'Butt, inside the bark' },
  { key: 'topDiameter', label: 'Top, inside the bark' },
  { key: 'sapwood', label: 'Sapwood, thick' },
  { key: 'length', label: 'Length' },
];

/** The other fields: what they are called, and the unit of a number. */
export const STOCK_WORDS = {
  label: { label: 'What it is called' },
  materialId: { label: 'Material' },
  price: { label: 'Price' },
  moisture: { label: 'Moisture, %' },
  reorderAt: { label: 'Order again below' },
  place: { label: 'Where it lies' },
  origin: { label: 'Where it is from' },
  felled: { label: 'Felled on' },
  opened: { label: 'Opened on' },
  expires: { label: 'Good until' },
  zones: { label: 'Places that cannot be used' },
  x: { label: 'Pith to the right', unit: 'mm' },
  y: { label: 'Pith upwards', unit: 'mm' },
  offcut: { label: 'An offcut' },
  form: { label: 'Form of the blank' },
  what: { label: 'What' },
  unit: { label: 'Counted in' },
} satisfies Record<string, FieldLabel>;

/** What a field of a stock item is called on its form. */
export function stockLabel(path: readonly string[]): FieldLabel | undefined {
  const key = path.at(-1) ?? '';
  const words: Record<string, FieldLabel> = STOCK_WORDS;
  return words[key] ?? SIZES.find((s) => s.key === key);
}
