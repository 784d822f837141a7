import { endForEnd, times, type Placement } from '../../pattern/index.js';
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

/**
 * What is measured over all when a flat stands so far above the axis of the wood: from its back to the flat. mm
 * @throws Error where nothing is held
 */
export function overAll(shop: Shop, wood: string, above: number): number {
  const { at, along } = axisHeld(shop);
  return above + reachAlong(woodFor(shop, wood), at, times(along, -1));
}

function axisHeld({ held }: Shop): Placement {
  if (!held) throw new Error('A flat is cut across the axis of a hold, and nothing is held.');
  return held.axis;
}

/** A flat cut across the axis the work turns about, such as the rim of a bowl. */
export function flatAcross(shop: Shop, { wood, subject, above, ...manner }: Flatting): Operation {
  const id = idOf('face', subject);
  const over = overAll(shop, wood, above);
  return operationOf(
    {
      kind: 'face a rim',
      subject,
      on: [wood],
      said: [saying('flat above the axis', above), saying('over all, back to rim', over)],
      effects: [{ do: 'flat', wood, flat: { id, at: across(axisHeld(shop), above) } }],
    },
    manner,
  );
}
