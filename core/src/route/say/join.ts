import { HERE, type Placement } from '../../pattern/index.js';
import { across } from '../stretch.js';
import type { Effect } from '../effect.js';
import type { Lengths, Operation } from '../operation.js';
import { saying, type Said } from '../said.js';
import type { Datum, Purpose, Shop } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { placeOf, woodFor } from './place.js';

/** What cures, and how long until each purpose, minutes. */
interface Cure {
  what: string;
  minutes: Partial<Record<Purpose, number>>;
}

const curing = (wood: string, by: string, cure: Cure | undefined): Effect[] =>
  cure ? [{ do: 'wait', wait: { wood, by, ...cure } }] : [];

interface Fixing extends Manner {
  wood: string;
  subject: string;
  kitId?: string;
  from: Datum;
  /** it goes into a hole; else it sits on the outside */
  enters?: boolean;
  cure?: Cure;
}

/** Hardware goes into the wood, flush with what stands there now. */
export function fix(
  shop: Shop,
  { wood, subject, kitId, from, enters = false, cure, ...manner }: Fixing,
  lengths: Lengths,
): Operation {
  const by = idOf('join', subject);
  const at = placeOf(woodFor(shop, wood), from, lengths);
  return operationOf(
    {
      kind: 'fit in',
      subject,
      on: [wood],
      said: [saying('flush with', 0, from)],
      effects: [
        {
          do: 'fix',
          wood,
          fixed: { id: subject, ...(kitId === undefined ? {} : { kitId }), at, by },
          ...(enters ? { enters } : {}),
        },
        ...curing(wood, by, cure),
      ],
    },
    manner,
  );
}

interface Gluing extends Manner {
  subject: string;
  into: string;
  /** the wood whose frame goes on, and the one that enters it */
  outer: string;
  inner: string;
  /** the end of the outer that is entered, and how deep */
  from: Datum;
  deep: number;
  /** the end of the inner that enters */
  enters: Datum;
  cure?: Cure;
}

/** Two woods are one from then on; the one that enters runs on from the other. */
export function glue(
  shop: Shop,
  { subject, into, outer, inner, from, deep, enters, cure, ...manner }: Gluing,
  lengths: Lengths,
): Operation {
  const mouth = placeOf(woodFor(shop, outer), from, lengths);
  const tip = placeOf(woodFor(shop, inner), enters, lengths);
  const said: Said[] = [
    saying('goes in', deep, from),
    { name: 'by its end', mm: 0, from: enters, wood: inner },
  ];
  return operationOf(
    {
      kind: 'glue in',
      subject,
      on: [outer, inner],
      said,
      effects: [
        {
          do: 'join',
          into,
          of: [
            { wood: outer, at: HERE },
            { wood: inner, at: entering(mouth, tip, deep) },
          ],
        },
        ...curing(into, idOf('join', subject), cure),
      ],
    },
    manner,
  );
}

interface Sliding extends Manner {
  subject: string;
  into: string;
  /** the wood whose frame goes on, and the one that goes over it */
  shaft: string;
  ring: string;
  /** the end of the shaft that is measured from, and how far from it the middle of the ring comes to lie */
  from: Datum;
  at: number;
  /** the end of the ring that looks to that end, and half the ring's length */
  looks: Datum;
  half: number;
  keeps?: 'shaft' | 'ring';
  cure?: Cure;
}

/** One wood is slid over the other as far as its place; they are one from then on. The frame of the one that `keeps` it goes on. */
export function slide(
  shop: Shop,
  { subject, into, shaft, ring, from, at, looks, half, keeps = 'shaft', cure, ...manner }: Sliding,
  lengths: Lengths,
): Operation {
  const end = placeOf(woodFor(shop, shaft), from, lengths);
  const near = placeOf(woodFor(shop, ring), looks, lengths);
  const sign = Math.sign(end.along[0]) * Math.sign(near.along[0]);
  const x = across(end, at - half).at[0] - sign * near.at[0];
  return operationOf(
    {
      kind: 'slide on',
      subject,
      on: keeps === 'shaft' ? [shaft, ring] : [ring, shaft],
      said: [
        { name: 'its middle', mm: at, from, ...(keeps === 'ring' ? { wood: shaft } : {}) },
        { name: 'half as long as', mm: half, from: looks, wood: ring },
      ],
      effects: [
        {
          do: 'join',
          into,
          of:
            keeps === 'shaft'
              ? [
                  { wood: shaft, at: HERE },
                  { wood: ring, at: { at: [x, 0, 0], along: [sign, 0, 0], facing: [0, 0, 1] } },
                ]
              : [
                  { wood: ring, at: HERE },
                  { wood: shaft, at: { at: [-sign * x, 0, 0], along: [sign, 0, 0], facing: [0, 0, 1] } },
                ],
        },
        ...curing(into, idOf('join', subject), cure),
      ],
    },
    manner,
  );
}

/** Where the inner wood's frame lies in the outer's when its tip stands so deep in the mouth. */
function entering(mouth: Placement, tip: Placement, deep: number): Placement {
  const bottom = across(mouth, deep);
  // the tip looks against the mouth: along of the one runs back along the other
  const sign = -Math.sign(tip.along[0]) * Math.sign(mouth.along[0]);
  const x = bottom.at[0] - sign * tip.at[0];
  return { at: [x, 0, 0], along: [sign, 0, 0], facing: [0, 0, 1] };
}
