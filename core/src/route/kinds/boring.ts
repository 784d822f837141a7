import { fromOf, type OperationFigure, type SmallFigure } from '../figure.js';
import { saidAs, type KindRow, type Told } from './kindRow.js';

/** What a bit and a reamer do. */
export const BORING = {
  drill: {
    does: 'bore',
    called: 'drill',
    stage: 'drill',
    purpose: 'turn',
    work: 'drilling',
    says: ['bit', 'deep', 'point, degrees', 'tape at'],
    figure: tapeOrBit,
  },
  'drill across': {
    does: 'bore',
    called: 'drill',
    stage: 'drill',
    purpose: 'turn',
    work: 'drilling',
    says: ['across at', 'round, degrees', 'bit', 'deep from the surface', 'tape at'],
    figure: (told) => {
      const at = saidAs(told, 'across at');
      const figure = tapeOrBit(told);
      return figure && at?.from ? { ...figure, at: { from: fromOf(at.from), mm: at.mm } } : figure;
    },
  },
  ream: {
    does: 'bore',
    called: 'ream',
    stage: 'drill',
    purpose: 'turn',
    work: 'drilling',
    says: ['bit', 'deep', 'reamed to', 'point, degrees'],
    figure: ({ said }) => {
      const end = said.findIndex((s) => s.name === 'reamed to');
      const [mouth, deep, bottom] = said.slice(end - 2, end + 1);
      if (end < 2 || !mouth || !deep?.from || !bottom) return undefined;
      return {
        is: 'mouth to bottom',
        mm: mouth.mm,
        to: bottom.mm,
        beside: [{ is: 'depth', mm: deep.mm, from: fromOf(deep.from) }],
      };
    },
  },
} as const satisfies Record<string, KindRow>;

/** How deep it goes is read off the tape, with the bit beside it; right through it is the bit that matters. */
function tapeOrBit(told: Told): OperationFigure | undefined {
  const [tape, bit] = [saidAs(told, 'tape at'), told.said.findLast((s) => s.name === 'bit')];
  if (!bit) return undefined;
  const small: SmallFigure = { is: 'bit', mm: bit.mm };
  return tape ? { is: 'tape', mm: tape.mm, beside: [small] } : small;
}
