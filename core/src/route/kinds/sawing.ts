import { fromOf, type OperationFigure } from '../figure.js';
import { saidAs, type KindRow, type Told } from './kindRow.js';

const AGAINST_THE_STOP = { place: 'saw', holding: 'fence and stop' } as const;

/** What a saw does: to stock, and to what comes off the lathe. */
export const SAWING = {
  'saw out': {
    does: 'saw',
    called: 'saw',
    stage: 'stock',
    purpose: 'handle',
    work: 'sawing',
    unheld: AGAINST_THE_STOP,
    says: ['sawn', 'across', 'length'],
    figure: (told) => {
      const across = saidAs(told, 'sawn') ?? saidAs(told, 'across');
      const length = saidAs(told, 'length');
      return (
        across && {
          is: 'across',
          mm: across.mm,
          ...(length ? { beside: [{ is: 'long', mm: length.mm }] } : {}),
        }
      );
    },
  },
  'clip the corners': {
    does: 'saw',
    called: 'clip the corners',
    stage: 'stock',
    purpose: 'handle',
    work: 'clipping',
    unheld: { place: 'saw', holding: 'corner cradle' },
    says: ['off below each corner'],
    figure: (told) => {
      const below = saidAs(told, 'off below each corner');
      return below && { is: 'below the corner', mm: below.mm };
    },
  },
  'square an end': {
    does: 'face',
    called: 'square the ends',
    stage: 'stock',
    purpose: 'handle',
    work: 'sawing',
    unheld: AGAINST_THE_STOP,
    says: ['face to'],
    figure: offTheEnd,
  },
  'saw a nib': {
    does: 'part',
    called: 'saw the nibs',
    stage: 'turn',
    purpose: 'turn',
    work: 'bench work',
    says: ['cut off at'],
    figure: cutOff,
  },
  'saw to length': {
    does: 'part',
    called: 'saw to length',
    stage: 'turn',
    purpose: 'turn',
    work: 'sawing',
    says: ['cut off at'],
    figure: cutOff,
  },
} as const satisfies Record<string, KindRow>;

/** How much goes, and at which end. */
export function offTheEnd(told: Told): OperationFigure | undefined {
  const off = saidAs(told, 'face to');
  return off?.from ? { is: 'off the end', mm: off.mm, at: { from: fromOf(off.from), mm: 0 } } : undefined;
}

/** Where it is cut off, from the end that the rule is laid on. */
export function cutOff(told: Told): OperationFigure | undefined {
  const at = saidAs(told, 'cut off at');
  return at?.from ? { is: 'cut off', mm: at.mm, from: fromOf(at.from) } : undefined;
}
