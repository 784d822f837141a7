import type { Order, OrderLine } from '../src/api/orders.js';

/** A line of an order that nobody makes yet. */
export const line = (number: number, rest: Partial<OrderLine> = {}): OrderLine => ({
  number,
  patternId: 'p1',
  patternName: 'Stopper',
  pieces: 6,
  batchId: null,
  choices: '',
  given: [],
  ready: [],
  coming: 0,
  stopped: 0,
  short: 6,
  plannedEnd: null,
  ...rest,
});
/** An order of the inn, for a Friday. */
export const order = (id: string, rest: Partial<Order> = {}): Order => ({
  id,
  customer: 'The inn',
  due: '2026-03-20',
  version: 3,
  closed: false,
  lines: [],
  ...rest,
});
