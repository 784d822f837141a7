import { fromOf } from '../figure.js';
import { noFigure, saidAs, type KindRow } from './kindRow.js';

const JOINED = {
  does: 'join',
  called: 'join',
  stage: 'assemble',
  purpose: 'handle',
  work: 'joining',
} as const;

/** What is put together. */
export const JOINING = {
  /** hardware goes into the wood or over it; its figure is the kit's */
  'fit in': { ...JOINED, says: ['flush with'], figure: noFigure },
  'glue in': {
    ...JOINED,
    says: ['goes in', 'by its end'],
    figure: (told) => {
      const deep = saidAs(told, 'goes in');
      return deep && { is: 'goes in', mm: deep.mm };
    },
  },
  'slide on': {
    ...JOINED,
    says: ['its middle', 'half as long as'],
    figure: (told) => {
      const middle = saidAs(told, 'its middle');
      return middle?.from ? { is: 'its middle', mm: middle.mm, from: fromOf(middle.from) } : undefined;
    },
  },
  cord: { ...JOINED, says: [], figure: noFigure },
} as const satisfies Record<string, KindRow>;
