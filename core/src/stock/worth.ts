import { volumeOf, type StockItem } from './stockItem.js';

/**
 * What one piece is worth at a price, minor units, rounded.
 * @param density g/cm³, for prices by weight
 * @returns null when there is no price, or it is for something the piece does not have
 */
export function worthOf(item: StockItem, density: number | null): number | null {
  const { price } = item;
  if (price === null) return null;
  if (price.per === 'piece') return price.minor;
  if (item.kind === 'consumable') return null;
  const metres = item.length.mm / 1000;
  switch (price.per) {
    case 'm':
      return Math.round(price.minor * metres);
    case 'm²':
      return item.kind === 'board' ? Math.round(price.minor * metres * (item.width.mm / 1000)) : null;
    case 'm³':
      return Math.round((price.minor * volumeOf(item)) / 1e9);
    case 'kg':
      return density === null ? null : Math.round((price.minor * volumeOf(item) * density) / 1e6);
  }
}
