import { fromOf, type Along, type OperationFigure } from '../figure.js';
import { noFigure, type KindRow, type Told } from './kindRow.js';

const TREATED = {
  stage: 'surface',
  purpose: 'turn',
  unheld: { place: 'bench', holding: 'finishing' },
  says: ['from', 'to'],
} as const;
const SANDED = {
  ...TREATED,
  does: 'sanded',
  called: 'sand',
  work: 'sanding',
  says: ['from', 'to', 'takes off the radius'],
  figure: sanded,
} as const;

/** What is done to the skin of the wood. */
export const TREATING = {
  sand: SANDED,
  'sand a further axis': SANDED,
  'sand a ring': SANDED,
  'sand inside': { ...SANDED, figure: noFigure },
  burnish: {
    ...TREATED,
    does: 'burnished',
    called: 'burnish',
    work: 'bench work',
    figure: banded,
  },
  texture: { ...TREATED, does: 'textured', called: 'texture', work: 'bench work', figure: banded },
  burn: { ...TREATED, does: 'burnt', called: 'burn', work: 'bench work', figure: banded },
  dye: { ...TREATED, does: 'dyed', called: 'dye', work: 'bench work', figure: banded },
  coat: {
    ...TREATED,
    does: 'coated',
    called: 'finish',
    purpose: 'coat',
    work: 'coating',
    figure: noFigure,
  },
} as const satisfies Record<string, KindRow>;

/** Grit by grit it is the grit, over the zone that gets it. */
function sanded(told: Told): OperationFigure | undefined {
  const grit = told.timers[0]?.label;
  const at = zoneOf(told);
  return grit === undefined ? undefined : { is: 'grit', text: grit, ...(at ? { at } : {}) };
}

/** A line, a band or a colour is where it lies; what begins at an end goes so far over it. */
function banded(told: Told): OperationFigure | undefined {
  const zone = zoneOf(told);
  if (!zone) return undefined;
  const { mm, to, from } = zone;
  return mm < AT_END ? { is: 'from its end', mm: to, from } : { is: 'band', mm, to, from };
}

/** Nearer than so a place is the end, mm. */
const AT_END = 0.05;

/** From the first place that gets it to the last. */
function zoneOf({ said }: Told): Required<Along> | undefined {
  const [first, last] = [said.find((s) => s.name === 'from'), said.findLast((s) => s.name === 'to')];
  return first?.from && last ? { from: fromOf(first.from), mm: first.mm, to: last.mm } : undefined;
}

export type TreatKind = keyof typeof TREATING;
