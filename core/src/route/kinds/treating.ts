import { fromOf, type OperationFigure, type SmallFigure } from '../figure.js';
import type { Datum } from '../shop.js';
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
  const zone = zoneOf(told);
  return grit === undefined
    ? undefined
    : { is: 'grit', text: grit, ...(zone ? { beside: [inZone(zone)] } : {}) };
}

const inZone = ({ x0, x1, from }: Zone): SmallFigure => ({ is: 'band', mm: x0, to: x1, from: fromOf(from) });

/** A line, a band or a colour is where it lies. */
function banded(told: Told): OperationFigure | undefined {
  const zone = zoneOf(told);
  return zone && inZone(zone);
}

/** From where to where along the wood, mm. */
interface Zone {
  x0: number;
  x1: number;
  from: Datum;
}

/** From the first place that gets it to the last. */
function zoneOf({ said }: Told): Zone | undefined {
  const [first, last] = [said.find((s) => s.name === 'from'), said.findLast((s) => s.name === 'to')];
  return first?.from && last ? { x0: first.mm, x1: last.mm, from: first.from } : undefined;
}

export type TreatKind = keyof typeof TREATING;
