import { len, type Figure, type Finding } from '../measure/index.js';
import type { StockForm } from '../mounting/index.js';
import type { Allowances } from '../workshop/index.js';

/** What a blank must hold: the finished piece and what is lost to holding it. */
export interface BlankWish {
  partId: string;
  largestDiameter: number;
  finishedLength: number;
  wasteDrive: number;
  wasteTail: number;
  /** pieces made end to end from one blank */
  perBlank: number;
  pieces: number;
  /** side of a square that stays in the piece, and what is planed off on the way to it: nothing is turned from more */
  squareLeft?: { side: number; planing: number };
  /** what it is made of, where that has no corners */
  stock?: CornerlessStock;
}

/** Stock that is no square: turned or grown round, dried oval, or as it was found. */
type CornerlessStock = Exclude<StockForm, 'square'>;

/** A blank and how it is made ready. All lengths mm. */
export interface Blank {
  /** side of the square; of stock without corners how far it must reach across at least */
  section: number;
  length: number;
  perBlank: number;
  count: number;
  octagon: Octagon;
  /** widest way across, the circle the spinning blank sweeps */
  diagonal: number;
  /** what it is made of, where that has no corners */
  stock?: CornerlessStock;
}

/** Octagon sawn from a square: what is clipped off each corner, and the width of its flats. */
export interface Octagon {
  clipLeg: number;
  flat: number;
}

/**
 * Regular octagon from a square of side S: the leg clipped off each corner is S(1 − 1/√2) and the
 * flats are S(√2 − 1) wide (elementary geometry; leg × √2 = flat).
 */
export const octagonOf = (side: number): Octagon => ({
  clipLeg: side * (1 - Math.SQRT1_2),
  flat: side * (Math.SQRT2 - 1),
});

/** How deep the cut lies below a corner that points up in a V cradle, mm: half the flat, for it is cut at 45°. */
export const belowCorner = ({ flat }: Octagon): number => flat / 2;

/**
 * Blank for a part: S ≥ D + skim + 2e with skim on the diameter and centring error e; length =
 * finished lengths + waste at both ends + a parting between (and after the last) piece. Both are
 * rounded up to a whole millimetre, since nobody saws finer. Where a square stays in the piece S is its side and
 * what is planed off it.
 */
export function blankFor(wish: BlankWish, allowances: Allowances): { blank: Blank; figures: Figure[] } {
  const { skim, centring, parting } = allowances;
  const left = wish.squareLeft;
  const section = left
    ? left.side + left.planing
    : Math.ceil(wish.largestDiameter + skim + 2 * centring - 1e-9);
  const bare = wish.perBlank * (wish.finishedLength + parting) + wish.wasteDrive + wish.wasteTail;
  const length = Math.ceil(bare - 1e-9);
  const count = Math.ceil(wish.pieces / wish.perBlank);
  const blank: Blank = {
    section,
    length,
    perBlank: wish.perBlank,
    count,
    octagon: octagonOf(section),
    diagonal: section * (wish.stock ? WIDEST[wish.stock] : Math.SQRT2),
    ...(wish.stock ? { stock: wish.stock } : {}),
  };
  return { blank, figures: figuresOf(wish, allowances, blank) };
}

/** How much wider than at its thinnest stock without corners is at most; of what is oval or grown that is typical, unchecked. */
const WIDEST: Record<CornerlessStock, number> = { round: 1, oval: 1.25, irregular: Math.SQRT2 };

const ACROSS: Record<CornerlessStock, string> = {
  round: 'Blank, diameter',
  oval: 'Blank, across its short way',
  irregular: 'Blank, across at its thinnest',
};

function figuresOf(wish: BlankWish, allowances: Allowances, blank: Blank): Figure[] {
  const habit = 'allowances of the workshop';
  return [
    {
      id: 'blank.section',
      label: wish.stock ? ACROSS[wish.stock] : 'Blank, square',
      value: blank.section,
      unit: 'mm',
      working: {
        rule:
          wish.squareLeft === undefined
            ? 'Largest diameter + skim + twice the centring error, rounded up to a whole millimetre.'
            : 'The square that stays in the piece, and what is planed off its faces.',
        source: wish.squareLeft
          ? 'the drawing; what planing takes is bench practice, typical, unchecked'
          : habit,
        inputs: wish.squareLeft
          ? [
              { label: 'square left in the piece', value: wish.squareLeft.side, unit: 'mm' },
              { label: 'planed off both faces', value: wish.squareLeft.planing, unit: 'mm' },
            ]
          : [
              { label: 'largest diameter', value: wish.largestDiameter, unit: 'mm' },
              { label: 'skim on the diameter', value: allowances.skim, unit: 'mm' },
              { label: 'centring error', value: allowances.centring, unit: 'mm' },
            ],
      },
    },
    {
      id: 'blank.length',
      label: 'Blank, length',
      value: blank.length,
      unit: 'mm',
      working: {
        rule: 'Pieces in the blank × (finished length + parting) + waste at drive and tail, rounded up.',
        source: habit,
        inputs: [
          { label: 'finished length', value: wish.finishedLength, unit: 'mm' },
          { label: 'pieces in a blank', value: wish.perBlank, unit: 'pieces' },
          { label: 'parting', value: allowances.parting, unit: 'mm' },
          { label: 'waste at the drive', value: wish.wasteDrive, unit: 'mm' },
          { label: 'waste at the tail', value: wish.wasteTail, unit: 'mm' },
        ],
      },
    },
    {
      id: 'blank.count',
      label: 'Blanks to cut',
      value: blank.count,
      unit: 'pieces',
      working: {
        rule: 'Pieces ordered ÷ pieces in a blank, rounded up.',
        source: 'arithmetic',
        inputs: [
          { label: 'pieces', value: wish.pieces, unit: 'pieces' },
          { label: 'pieces in a blank', value: wish.perBlank, unit: 'pieces' },
        ],
      },
    },
    // a square that stays keeps its corners
    ...(wish.stock || wish.squareLeft ? [] : [clipFigure(blank)]),
  ];
}

const clipFigure = ({ octagon, section }: Blank): Figure => ({
  id: 'blank.clip',
  label: 'Off below each corner',
  value: belowCorner(octagon),
  unit: 'mm',
  working: {
    rule: 'Side × (√2 − 1) ÷ 2: half the flat of a regular octagon, as deep as its cut lies below a corner in a V cradle.',
    source: 'geometry of the octagon',
    inputs: [
      { label: 'side of the blank', value: section, unit: 'mm' },
      { label: 'gone of each face', value: octagon.clipLeg, unit: 'mm' },
    ],
  },
});

/** Whether the piece keeps to the length its owner allows; too long is also wrong. */
export function lengthFindings(
  partId: string,
  finishedLength: number,
  longest: number | undefined,
): Finding[] {
  if (longest === undefined || finishedLength <= longest + 1e-6) return [];
  return [
    {
      id: `pattern.longest.${partId}`,
      severity: 'warn',
      stage: 'pattern',
      partId,
      what: `It stands ${len(finishedLength)} tall; the most allowed is ${len(longest)}.`,
      why: 'It would no longer fit where it is kept.',
      remedy: `Take ${len(finishedLength - longest)} out of the longest element.`,
    },
  ];
}
