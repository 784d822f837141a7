import { noFigure, type KindRow } from './kindRow.js';

const LOOKED = { purpose: 'handle', work: 'bench work', says: [], figure: noFigure } as const;
const TRIED = { ...LOOKED, does: 'try', called: null, stage: 'turn' } as const;

/** What leaves the wood as it is, and what time does to it. */
export const LOOKING = {
  /** in a block with the hole that it goes into */
  'try a peg': TRIED,
  /** hardware is held against what it meets */
  'try the fit': TRIED,
  'look the whole over': { ...TRIED, stage: 'assemble', purpose: 'use' },
  measure: {
    ...LOOKED,
    does: 'measure',
    called: 'measure',
    stage: 'twins',
    unheld: { place: 'bench', holding: 'calliper' },
  },
  dry: { ...LOOKED, does: 'dry', called: 'dry', stage: 'surface' },
  /** in somebody's own words: what it does to the wood is not known */
  'own step': { ...LOOKED, does: 'own', called: 'own step', stage: 'turn' },
} as const satisfies Record<string, KindRow>;
