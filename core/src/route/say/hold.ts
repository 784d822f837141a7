import type { Lengths, Operation } from '../operation.js';
import type { Grip, Held, Shop } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { axisFigures, axisOf, woodFor, type AxisSaid } from './place.js';

interface Holding extends Manner {
  wood: string;
  /** what it is held by, as one word of its id */
  by: string;
  pass?: string;
  place: Held['place'];
  axis?: AxisSaid;
  drive: Grip;
  tail: Grip | null;
  /** what was turned before runs true in this hold: same centres, same mandrel */
  keepsTrue: boolean;
}

/** The wood is taken hold of, on the lathe, in a vise, on the bench. */
export function hold(
  shop: Shop,
  { wood, by, pass, place, axis = {}, drive, tail, keepsTrue, ...manner }: Holding,
  lengths: Lengths,
): Operation {
  const id = idOf('hold', by, pass ?? wood);
  return operationOf(
    {
      kind: place === 'drill press' ? 'clamp' : drive.by === 'fed by hand' ? 'feed by hand' : 'take hold',
      subject: by,
      pass: pass ?? wood,
      on: [wood],
      said: axisFigures(axis),
      effects: [
        {
          do: 'hold',
          held: { wood, place, axis: axisOf(woodFor(shop, wood), axis, lengths), drive, tail, by: id },
          untrue: !keepsTrue,
        },
      ],
    },
    manner,
  );
}

/** The tailstock goes away; what drives must hold alone from then on. */
export function tailAway(shop: Shop, manner: Manner, pass?: string): Operation {
  const { held } = shop;
  if (!held) throw new Error('Nothing is on the lathe that the tailstock could leave.');
  const whole = pass === undefined ? held.wood : `${held.wood}:${pass}`;
  const id = idOf('hold', 'tail away', whole);
  return operationOf(
    {
      kind: 'tail away',
      subject: 'tail away',
      pass: whole,
      on: [held.wood],
      said: [],
      effects: [{ do: 'hold', held: { ...held, tail: null, by: id }, untrue: false }],
    },
    manner,
  );
}

/** It comes off. */
export const takeOff = (wood: string, manner: Manner, pass?: string): Operation =>
  operationOf(
    {
      kind: 'take off',
      subject: 'off',
      pass: pass === undefined ? wood : `${wood}:${pass}`,
      on: [wood],
      said: [],
      effects: [{ do: 'hold', held: null, untrue: false }],
    },
    manner,
  );
