import {
  len,
  MM_PER_INCH,
  parseLength,
  type Dimension,
  type ParsedLength,
  type Units,
} from '../measure/index.js';
import type { Bit, BitKind } from './workshop.js';

/** Number sizes 1 to 60, thousandths and tenths of an inch × 10 000, ASME B94.11M. */
const NUMBERS = [
  2280, 2210, 2130, 2090, 2055, 2040, 2010, 1990, 1960, 1935, 1910, 1890, 1850, 1820, 1800, 1770, 1730, 1695,
  1660, 1610, 1590, 1570, 1540, 1520, 1495, 1470, 1440, 1405, 1360, 1285, 1200, 1160, 1130, 1110, 1100, 1065,
  1040, 1015, 995, 980, 960, 935, 890, 860, 820, 810, 785, 760, 730, 700, 670, 635, 595, 550, 520, 465, 430,
  420, 410, 400,
];

/** Letter sizes A to Z, thousandths of an inch, ASME B94.11M. */
const LETTERS = [
  234, 238, 242, 246, 250, 257, 261, 266, 272, 277, 281, 290, 295, 302, 316, 323, 332, 339, 348, 358, 368,
  377, 386, 397, 404, 413,
];

const NUMBER = /^(?:#|no\.?\s*)(\d{1,2})$/i;
const LETTER = /^[a-z]$/i;

/**
 * Reads the size of a bit as it is stamped: a length in any unit, a number size (`#7`), a letter (`F`).
 * @returns the dimension in mm with what was typed, or a sentence that says what would do
 */
export function bitSize(text: string, assume: Units): ParsedLength {
  const typed = text.trim();
  const number = NUMBER.exec(typed);
  if (number) {
    const inch = NUMBERS[Number(number[1]) - 1];
    return inch === undefined
      ? { ok: false, why: `"${typed}" is not a number size Compas knows. They run from #1 to #60.` }
      : { ok: true, dimension: { mm: (inch / 10_000) * MM_PER_INCH, typed: `#${number[1]}` } };
  }
  if (LETTER.test(typed)) {
    const letter = typed.toUpperCase();
    const inch = LETTERS[letter.charCodeAt(0) - 65] ?? 0;
    return { ok: true, dimension: { mm: (inch / 1000) * MM_PER_INCH, typed: letter } };
  }
  return parseLength(text, assume);
}

/** What is stamped on a bit beside its diameter: a number, a letter; nothing for plain lengths. */
export function bitMark({ typed = '' }: Dimension): string {
  return NUMBER.test(typed) || LETTER.test(typed) ? typed : '';
}

const FRACTION = /^\d+(?:[ -]\d+)?\/\d+(?=\s*(?:"|″|in|$))/;

/**
 * The size that is stamped on a bit, whatever the reader's units: an inch fraction as it was typed, whole twentieths of a
 * millimetre in millimetres. What is neither has its length.
 */
export function stampedSize({ mm, typed = '' }: Dimension): string {
  const fraction = FRACTION.exec(typed.trim())?.[0];
  if (fraction !== undefined) return `${fraction}″`;
  return Math.abs(mm * 20 - Math.round(mm * 20)) < 1e-9 ? `${Number(mm.toFixed(2))} mm` : len(mm);
}

/** A set of bits as it hangs in an index. */
export interface BitIndex {
  id: string;
  words: string;
  kind: BitKind;
  sizes: Dimension[];
}

const fractions = (from: number, to: number): Dimension[] =>
  Array.from({ length: to - from + 1 }, (_, i) => fraction(from + i));

function fraction(sixtyFourths: number): Dimension {
  let [over, under] = [sixtyFourths, 64];
  while (over % 2 === 0) [over, under] = [over / 2, under / 2];
  return { mm: (sixtyFourths / 64) * MM_PER_INCH, typed: `${over}/${under}"` };
}

const sized = (text: string): Dimension => {
  const read = bitSize(text, 'mm');
  return read.ok ? read.dimension : { mm: 0 };
};

/** The usual indexes, to be taken whole; what is missing from one's own is taken away again. */
export const BIT_INDEXES: BitIndex[] = [
  {
    id: 'metric',
    words: 'metric twist, 1 to 13 by halves',
    kind: 'twist',
    sizes: Array.from({ length: 25 }, (_, i) => ({ mm: 1 + i / 2 })),
  },
  { id: 'inch', words: 'inch twist, 1/16 to 1/2 by 64ths', kind: 'twist', sizes: fractions(4, 32) },
  {
    id: 'number',
    words: 'number twist, #1 to #60',
    kind: 'twist',
    sizes: NUMBERS.map((_, i) => sized(`#${i + 1}`)),
  },
  {
    id: 'letter',
    words: 'letter twist, A to Z',
    kind: 'twist',
    sizes: LETTERS.map((_, i) => sized(String.fromCharCode(65 + i))),
  },
  {
    id: 'brad',
    words: 'metric brad point, 3 to 12',
    kind: 'brad point',
    sizes: Array.from({ length: 10 }, (_, i) => ({ mm: 3 + i })),
  },
];

/** Usual reach of a jobber bit: about ten diameters and its tip, mm. Typical. */
const reachOf = (mm: number): number => Math.round(25 + 8 * mm);

/** Bits of an index that the workshop has not got yet, in its kind, with usual reaches. */
export const bitsOfIndex = (index: BitIndex, owned: readonly Bit[]): Bit[] =>
  index.sizes
    .filter(({ mm }) => !owned.some((b) => b.kind === index.kind && Math.abs(b.diameter.mm - mm) < 1e-6))
    .map((diameter) => ({
      id: `${index.id}-${(diameter.typed ?? String(diameter.mm)).replace(/[^\w.-]/g, '_')}`,
      kind: index.kind,
      diameter,
      length: reachOf(diameter.mm),
    }));
