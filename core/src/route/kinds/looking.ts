import { noFigure, type KindRow } from './kindRow.js';

/** What leaves the wood as it is, and what time does to it. */
export const LOOKING = {
  /** in a block with the hole that it goes into */
  'try a peg': {
    does: 'try',
    called: null,
    stage: 'turn',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: noFigure,
  },
  /** hardware is held against what it meets */
  'try the fit': {
    does: 'try',
    called: null,
    stage: 'turn',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: noFigure,
  },
  'look the whole over': {
    does: 'try',
    called: null,
    stage: 'assemble',
    purpose: 'use',
    work: 'bench work',
    says: [],
    figure: noFigure,
  },
  measure: {
    does: 'measure',
    called: 'measure',
    stage: 'twins',
    purpose: 'handle',
    work: 'bench work',
    unheld: { place: 'bench', holding: 'calliper' },
    says: [],
    figure: noFigure,
  },
  dry: {
    does: 'dry',
    called: 'dry',
    stage: 'surface',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: noFigure,
  },
  /** in somebody's own words: what it does to the wood is not known */
  'own step': {
    does: 'own',
    called: 'own step',
    stage: 'turn',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: noFigure,
  },
} as const satisfies Record<string, KindRow>;
