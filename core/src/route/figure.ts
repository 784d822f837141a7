import type { Datum } from './shop.js';

/** What a length is measured from, as it is found at the lathe, and how that is said. */
const FROM_WORDS = {
  'first end': 'from the first end',
  'second end': 'from the second end',
  'reference end': 'from the finished reference end',
  'far end': 'from the finished far end',
  rim: 'from the rim',
} as const;
type From = keyof typeof FROM_WORDS;

/**
 * What the one figure of an operation is: what is set, cut to, drilled to or sunk to, with the words it is read under from a
 * metre and a half away. The list is closed: a new kind of figure is a row here.
 */
const FIGURES = {
  across: 'blank, across',
  long: 'long',
  'below the corner': 'off below each corner',
  'gauge line': 'gauge lines at',
  notches: 'notches',
  tape: 'tape at',
  bit: 'bit',
  'mouth to bottom': 'reamed, mouth to bottom',
  mouth: 'mouth',
  'held by': 'held by',
  'at the drive': 'at the drive',
  'at the tail': 'at the tail',
  tailstock: 'tailstock',
  round: 'round to',
  tenon: 'tenon',
  'parted down': 'part down to',
  stub: 'stub',
  nib: 'nib',
  crown: 'crown',
  bottom: 'bottom',
  point: 'to a point, from ⌀',
  straight: 'straight at',
  'thinner end': 'down to',
  'off the end': 'off the end',
  'back to rim': 'over all, back to rim',
  depth: 'deep',
  'cut off': 'cut off',
  'inside of the ring': 'ring free at ⌀',
  'outside of the ferrule': 'outside of the ferrule',
  'what it meets': 'meets',
  'goes in': 'goes in',
  'its middle': 'its middle',
  grit: 'grit',
  grits: 'grits',
  band: 'stretch',
  'from its end': 'over',
} as const;
type FigureName = keyof typeof FIGURES;

/** A length along the wood, by a rule laid on an end; with `to` a stretch. mm */
export interface Along {
  from: From;
  mm: number;
  to?: number;
}

/**
 * A length (mm), a stretch (mm to mm) or words, and what it is measured from where that is not its own business: a diameter is
 * measured from nothing.
 */
export type SmallFigure = {
  is: FigureName;
  /** what hardware calls it, in the kit's own words */
  called?: string;
  from?: From;
} & ({ mm: number; to?: number } | { text: string });

/** The one figure of an operation, where along the wood it is worked, and what is read beside it: two small ones at most. */
export type OperationFigure = SmallFigure & { at?: Along; beside?: readonly SmallFigure[] };

/** The end or face that a datum is, whichever piece or cut it belongs to. */
export function fromOf(datum: Datum): From {
  switch (datum.kind) {
    case 'end':
      return datum.side === 'low' ? 'first end' : 'second end';
    case 'finished':
      return datum.end === 'reference' ? 'reference end' : 'far end';
    case 'flat':
      return 'rim';
  }
}

/** What stands over the figure. */
export const figureLabel = ({ is, called }: SmallFigure): string => called ?? FIGURES[is];

const AT_WORDS: Record<From, string> = {
  'first end': 'at the first end',
  'second end': 'at the second end',
  'reference end': 'at the finished reference end',
  'far end': 'at the finished far end',
  rim: 'at the rim',
};

/** What lies no way off an end, in words: no rule is laid to nothing. */
export const atWords = (from: From): string => AT_WORDS[from];

/** Where a length begins, in as few words as can be read from afar. */
export const fromWords = (from: From): string => FROM_WORDS[from];
