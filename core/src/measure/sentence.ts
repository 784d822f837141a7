import type { Units } from './dimension.js';
import { formatFine, formatLength } from './formatLength.js';

/**
 * Sentences that contain lengths carry them as marks in mm, ⟦16.2⟧, so that one sentence can be read
 * in every unit. `len` writes a mark, `fine` one that is read to a hundredth of a millimetre (for
 * deviations and spreads), `speak` reads the sentence out, `sentenceParts` gives the pieces for a
 * screen that stacks fractions.
 */
export const len = (mm: number): string => `⟦${String(Number(mm.toFixed(4)))}⟧`;
export const fine = (mm: number): string => `⟦~${String(Number(mm.toFixed(4)))}⟧`;
/** A tolerance, mm: to a tenth where it is tenths, else finely, for half of one must not read as a whole. */
export const asTolerance = (mm: number): string =>
  Math.abs(mm * 10 - Math.round(mm * 10)) < 1e-6 ? len(mm) : fine(mm);

const MARK = /⟦(~?)(-?[\d.]+(?:e-?\d+)?)⟧/g;

/** A length within a sentence. */
export interface SpokenLength {
  mm: number;
  fine: boolean;
}

/** The sentence with every length written out in the given units. */
export const speak = (sentence: string, units: Units): string =>
  sentence.replace(MARK, (_, isFine: string, mm: string) =>
    isFine ? formatFine(Number(mm), units) : formatLength(Number(mm), units),
  );

/** Words and lengths of a sentence in order. */
export function sentenceParts(sentence: string): (string | SpokenLength)[] {
  const parts: (string | SpokenLength)[] = [];
  let at = 0;
  for (const match of sentence.matchAll(MARK)) {
    if (match.index > at) parts.push(sentence.slice(at, match.index));
    parts.push({ mm: Number(match[2]), fine: match[1] === '~' });
    at = match.index + match[0].length;
  }
  if (at < sentence.length) parts.push(sentence.slice(at));
  return parts;
}

/** Words that begin a sentence or stand alone on a button. */
export const capitalised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
