import { HERE } from '../../pattern/index.js';
import { across } from '../stretch.js';
import { fromOf } from '../figure.js';
import type { Lengths, Operation } from '../operation.js';
import type { Datum, Shop } from '../shop.js';
import { operationOf, type Manner } from './operationOf.js';
import { placeAlong, woodFor } from './place.js';

interface Parting extends Manner {
  wood: string;
  subject: string;
  from: Datum;
  mm: number;
  /** what the side before and the side after the cut are called; null is waste */
  into: [low: string | null, high: string | null];
  /** by light cuts to the middle, not by parting straight down */
  lightly?: true;
}

/** The wood is cut in two, square to its axis: parted on the lathe, or its nib sawn on the bench. */
export function part(
  shop: Shop,
  { wood, subject, from, mm, into, lightly, ...manner }: Parting,
  lengths: Lengths,
): Operation {
  const at = across(HERE, placeAlong(woodFor(shop, wood), from, mm, lengths));
  return operationOf(
    {
      kind: 'part',
      subject,
      on: [wood],
      said: [{ name: 'cut off at', mm, from }],
      figure: { is: 'cut off', mm, from: fromOf(from) },
      effects: [{ do: 'split', wood, at, into, ...(lightly ? { lightly } : {}) }],
      purpose: 'turn',
    },
    manner,
  );
}
