import { fine, len } from '../../measure/index.js';
import { CHECK_BAR } from './longSheet.js';

/** Off by less than this over the whole length a print can be used, mm. */
const GOOD = 0.1;

/**
 * What a measured check bar says of a print: every length on it is off in the same proportion.
 * @param measured what the bar of 100 mm measures, mm
 * @param length the longest thing on the print, mm
 */
export function printedLength(measured: number, length: number): { good: boolean; words: string } {
  if (!(measured > 0)) return { good: false, words: 'Measure the bar: it has a length.' };
  const off = (measured / CHECK_BAR - 1) * length;
  if (Math.abs(off) <= GOOD)
    return { good: true, words: `Over ${len(length)} it is off by ${fine(Math.abs(off))}: use it.` };
  return {
    good: false,
    words: `Over ${len(length)} it is ${fine(Math.abs(off))} too ${off > 0 ? 'long' : 'short'}. Print it again at ${((CHECK_BAR / measured) * 100).toFixed(2)} % of what it was printed at, and measure again.`,
  };
}
