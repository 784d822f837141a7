import { endForEnd, times } from '../../pattern/index.js';
import { across } from '../stretch.js';
import type { Lengths, Operation } from '../operation.js';
import { saying } from '../said.js';
import type { Datum, Shop } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { placeOf, reachAlong, woodFor } from './place.js';

interface Facing extends Manner {
  kind: 'square an end' | 'face an end';
  wood: string;
  subject: string;
  /** the datum the flat is measured from, and how far into the wood it lies */
  from: Datum;
  mm: number;
}

/** An end made flat and square to its axis, so far from what stands there now: sawn against a stop, or faced as it is held. */
export function face(
  shop: Shop,
  { kind, wood, subject, from, mm, ...manner }: Facing,
  lengths: Lengths,
): Operation {
  const id = idOf('face', subject);
  const place = placeOf(woodFor(shop, wood), from, lengths);
  const at = endForEnd(across(place, mm), 0);
  return operationOf(
    {
      kind,
      subject,
      on: [wood],
      said: [saying('face to', mm, from)],
      effects: [
        { do: 'flat', wood, flat: { id, at }, ...(kind === 'square an end' ? { sawn: true as const } : {}) },
      ],
    },
    manner,
  );
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
  return operationOf(
    {
      kind: 'face a rim',
      subject,
      on: [wood],
      said: [saying('flat above the axis', above), saying('over all, back to rim', above + back)],
      effects: [{ do: 'flat', wood, flat: { id, at: across(held.axis, above) } }],
    },
    manner,
  );
}
