import type { Units } from './dimension.js';
import { formatLength } from './formatLength.js';

/**
 * Sentences that contain lengths carry them as marks, ⟦16.2⟧ in mm, so that one sentence can be
 * read in every unit. `len` writes a mark, `speak` reads the sentence out in units, `sentenceParts`
 * gives the pieces for a screen that stacks fractions.
 */
export const len = (mm: number): string => `⟦${String(Number(mm.toFixed(4)))}⟧`;

const MARK = /⟦(-?[\d.]+(?:e-?\d+)?)⟧/g;

/** The sentence with every length written out in the given units. */
export const speak = (sentence: string, units: Units): string =>
  sentence.replace(MARK, (_, mm: string) => formatLength(Number(mm), units));

/** Words and lengths (mm) of a sentence in order. */
export function sentenceParts(sentence: string): (string | number)[] {
  return sentence
    .split(MARK)
    .map((part, i) => (i % 2 === 1 ? Number(part) : part))
    .filter((part) => part !== '');
}
