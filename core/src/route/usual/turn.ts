import type { Bench } from './bench.js';
import { drillAt } from './drill.js';
import { mark, shape, tryOn } from './shape.js';

/**
 * Rounded, bored where that is wanted, marked, shaped, tried: all that is done in one hold before the surface.
 * @param beforeCut what has to be done before an element is as thin as it is drawn
 */
export function turn(bench: Bench, beforeCut: (elementId: string) => void = () => {}): void {
  drillAt(bench, 'after rounding');
  mark(bench);
  shape(bench, beforeCut);
  drillAt(bench, 'after shaping');
  tryOn(bench);
}
