import { HERE } from '../../pattern/index.js';
import { across } from '../stretch.js';
import type { Lengths, Operation } from '../operation.js';
import { saying } from '../said.js';
import type { Datum, Shop } from '../shop.js';
import { operationOf, type Manner } from './operationOf.js';
import { placeAlong, woodFor } from './place.js';

interface Parting extends Manner {
  kind: 'part off' | 'cut waste away' | 'saw a nib' | 'saw to length';
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
  { kind, wood, subject, from, mm, into, lightly, ...manner }: Parting,
  lengths: Lengths,
): Operation {
  const at = across(HERE, placeAlong(woodFor(shop, wood), from, mm, lengths));
  return operationOf(
    {
      kind,
      subject,
      on: [wood],
      said: [saying('cut off at', mm, from)],
      effects: [{ do: 'split', wood, at, into, ...(lightly ? { lightly } : {}) }],
    },
    manner,
  );
}
