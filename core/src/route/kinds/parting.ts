import { fromOf } from '../figure.js';
import { saidAs, type KindRow } from './kindRow.js';
import { cutOff } from './sawing.js';

/** What comes off while it turns. */
export const PARTING = {
  'part off': {
    does: 'part',
    called: 'part off',
    stage: 'turn',
    purpose: 'turn',
    work: 'turning',
    says: ['cut off at'],
    figure: cutOff,
  },
  'cut waste away': {
    does: 'part',
    called: 'cut the waste away',
    stage: 'turn',
    purpose: 'turn',
    work: 'turning',
    says: ['cut off at'],
    figure: cutOff,
  },
  'free a ring': {
    does: 'part',
    called: 'free the rings',
    stage: 'turn',
    purpose: 'turn',
    work: 'turning',
    says: ['ring from', 'ring to', 'ring inside ⌀'],
    figure: (told) => {
      const [inside, from, to] = [
        saidAs(told, 'ring inside ⌀'),
        saidAs(told, 'ring from'),
        saidAs(told, 'ring to'),
      ];
      if (!inside || !from?.from || !to) return undefined;
      return {
        is: 'inside of the ring',
        mm: inside.mm,
        at: { from: fromOf(from.from), mm: from.mm, to: to.mm },
      };
    },
  },
} as const satisfies Record<string, KindRow>;
