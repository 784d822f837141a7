import { len } from '../../measure/index.js';
import { fromOf, fromWords } from '../figure.js';
import type { Datum } from '../shop.js';

/** From where to where along the wood, as a rule is laid: what begins at the end itself goes so far over it. mm */
export function stretchWords(x0: number, x1: number, datum: Datum): string {
  const where = x0 < AT_END ? `over ${len(x1)}` : `between ${len(x0)} and ${len(x1)}`;
  return `${where} ${fromWords(fromOf(datum))}`;
}

/** Nearer than so a place is the end, mm. */
const AT_END = 0.05;
