import type { Material, NewStockItem, StockItem } from '@compas/core';

/** Sizes of a stock item in the order they are said, mm. */
export function sizesOf(item: StockItem | NewStockItem): number[] {
  switch (item.kind) {
    case 'board':
      return [item.thickness.mm, item.width.mm, item.length.mm];
    case 'square':
      return [item.side.mm, item.side.mm, item.length.mm];
    case 'rod':
      return [item.diameter.mm, item.length.mm];
    case 'tip':
      return [item.thickEnd.mm, item.thinEnd.mm, item.length.mm];
    case 'log':
      return [item.buttDiameter.mm, item.topDiameter.mm, item.length.mm];
    case 'blank':
      return item.form === 'square'
        ? [item.size.mm, item.size.mm, item.length.mm]
        : [item.size.mm, item.length.mm];
    case 'consumable':
      return [];
  }
}

/** What stands before the sizes, where they could be taken for something else. */
export const formOf = (item: StockItem | NewStockItem): string =>
  item.kind === 'rod'
    ? 'round '
    : item.kind === 'blank' && item.form !== 'square'
      ? `${item.form} `
      : item.kind === 'log' || item.kind === 'tip'
        ? 'thick end, thin end, length '
        : '';

export const unitOf = (item: StockItem): string => (item.kind === 'consumable' ? item.unit : 'pieces');

export const amountWords = (amount: number, unit: string): string =>
  `${Number(amount.toFixed(2))} ${amount === 1 && unit.endsWith('s') ? unit.slice(0, -1) : unit}`;

export const materialName = (materials: readonly Material[], id: string): string =>
  materials.find((m) => m.id === id)?.name ?? id;
