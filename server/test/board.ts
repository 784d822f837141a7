import type { NewStockItem } from '@compas/core';

/** An ash board as it comes in. */
export const board: NewStockItem = {
  kind: 'board',
  label: 'Ash board',
  place: 'rack',
  price: null,
  reorderAt: null,
  materialId: 'ash',
  moisture: 9,
  origin: '',
  offcut: false,
  thickness: { mm: 52 },
  width: { mm: 150 },
  length: { mm: 1500 },
  zones: [],
};
