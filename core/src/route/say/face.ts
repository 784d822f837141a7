import { endForEnd, times } from '../../pattern/index.js';
import { across } from '../stretch.js';
import { fromOf } from '../figure.js';
import type { Lengths, Operation } from '../operation.js';
import type { Datum, Shop } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { placeOf, reachAlong, woodFor } from './place.js';

interface Facing extends Manner {
  wood: string;
  subject: string;
  /** the datum the flat is measured from, and how far into the wood it lies */
  from: Datum;
  mm: number;
  /** sawn on the bench: fence and stop hold it */
  sawn?: boolean;
}

/** An end made flat and square to its axis, so far from what stands there now. */
export function face(
  shop: Shop,
  { wood, subject, from, mm, sawn = false, ...manner }: Facing,
  lengths: Lengths,
): Operation {
  const id = idOf('face', subject);
  const place = placeOf(woodFor(shop, wood), from, lengths);
  const at = endForEnd(across(place, mm), 0);
  return {
    ...operationOf(
      {
        kind: 'cut',
        doing: 'face',
        subject,
        on: [wood],
        said: [{ name: 'face to', mm, from }],
        figure: { is: 'off the end', mm, from: fromOf(from) },
        effects: [{ do: 'flat', wood, flat: { id, at }, ...(sawn ? { sawn } : {}) }],
        purpose: sawn ? 'handle' : 'turn',
      },
      manner,
    ),
    id,
  };
}

interface Flatting extends Manner {
  wood: string;
  subject: string;
  /** from the point where the axis of the hold crosses the wood's own, towards the tool, mm */
  above: number;
}

/** A flat cut across the axis the work turns about, such as the rim of a bowl. */
export function flatAcross(shop: Shop, { wood, subject, above, ...manner }: Flatting): Operation {
  const id = idOf('face', subject);
  const { held } = shop;
  if (!held) throw new Error('A flat is cut across the axis of a hold, and nothing is held.');
  const back = reachAlong(woodFor(shop, wood), held.axis.at, times(held.axis.along, -1));
  return {
    ...operationOf(
      {
        kind: 'cut',
        doing: 'face',
        subject,
        on: [wood],
        said: [{ name: 'flat above the axis', mm: above, from: null }],
        figure: { is: 'back to rim', mm: above + back },
        effects: [{ do: 'flat', wood, flat: { id, at: across(held.axis, above) } }],
        purpose: 'turn',
      },
      manner,
    ),
    id,
  };
}
