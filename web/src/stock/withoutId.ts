import type { NewStockItem, StockItem } from '@compas/core';

/** What is known of an item, to be saved under its id. */
export function withoutId(item: StockItem): NewStockItem {
  const { id: _id, ...rest } = item;
  return rest;
}
