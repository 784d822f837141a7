import type { Bench } from './bench.js';
import { drillAt } from './drill.js';
import { mark, shape, tryOn } from './shape.js';

/** Rounded, bored where that is wanted, marked, shaped, tried: all that is done in one hold before the surface. */
export function turn(bench: Bench): void {
  drillAt(bench, 'after rounding');
  mark(bench);
  shape(bench);
  drillAt(bench, 'after shaping');
  tryOn(bench);
}
