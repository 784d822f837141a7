import { noFigure, type KindRow } from './kindRow.js';

/** What is drawn on the wood. Its figures come from outside of the wood: a gauge, a stick. */
export const MARKING = {
  'mark centres': {
    does: 'mark',
    called: null,
    stage: 'stock',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: noFigure,
  },
  'mark off': {
    does: 'mark',
    called: null,
    stage: 'mark',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: noFigure,
  },
} as const satisfies Record<string, KindRow>;
