import { HERE, round, times, type Drilled } from '../../pattern/index.js';
import { fromOf, type Along, type OperationFigure } from '../figure.js';
import type { Lengths, Operation, Said } from '../operation.js';
import type { Datum, Shop } from '../shop.js';
import { operationOf, type Manner } from './operationOf.js';
import { placeAlong, placeOf, surfaceAt, woodFor } from './place.js';

interface Boring extends Manner {
  wood: string;
  subject: string;
  pass?: string;
  /** the end it is bored from: depths are counted from what stands there now */
  from: Datum;
  steps: Drilled['steps'];
  pointAngle: number;
  /** where the tape goes, from the bit's point, mm */
  tape?: number;
}

/** A hole along the axis, from an end. */
export function bore(
  shop: Shop,
  { wood, subject, pass, from, steps, pointAngle, tape, ...manner }: Boring,
  lengths: Lengths,
): Operation {
  const said: Said[] = steps.flatMap(({ diameter, depth, endDiameter }) => [
    { name: 'bit', mm: diameter, from: null },
    { name: 'deep', mm: depth, from },
    ...(endDiameter === undefined ? [] : [{ name: 'reamed to', mm: endDiameter, from: null }]),
  ]);
  const at = placeOf(woodFor(shop, wood), from, lengths);
  const hole = { id: ['bore', subject, pass].filter(Boolean).join(':'), at, steps, pointAngle };
  return operationOf(
    {
      kind: 'bore',
      subject,
      ...(pass === undefined ? {} : { pass }),
      on: [wood],
      said: [...said, { name: 'point, degrees', mm: pointAngle, from: null }, ...taped(tape)],
      figure: figureOf(tape, steps.at(-1)?.diameter),
      effects: [{ do: 'drill', wood, hole }],
      purpose: 'turn',
    },
    manner,
  );
}

/** How deep it goes is read off the tape; right through it is the bit that matters. mm */
function figureOf(
  tape: number | undefined,
  bit: number | undefined,
  at?: Along,
): OperationFigure | undefined {
  const where = at ? { at } : {};
  if (tape !== undefined) return { is: 'tape', mm: tape, ...where };
  return bit === undefined ? undefined : { is: 'bit', mm: bit, ...where };
}

const taped = (mm: number | undefined): Said[] =>
  mm === undefined ? [] : [{ name: 'tape at', mm, from: null }];

interface CrossBoring extends Manner {
  wood: string;
  subject: string;
  from: Datum;
  /** its centre from the datum, mm */
  at: number;
  /** round the axis, degrees, 0 towards the turner */
  angle: number;
  diameter: number;
  /** from the surface it is begun on; right through when not said, mm */
  depth?: number;
  /** from its shoulder to where the tape goes: its point, and what it enters behind, mm */
  beyond?: number;
}

/** A hole across, begun on the surface that stands there now. */
export function boreAcross(
  shop: Shop,
  { wood: id, subject, from, at, angle, diameter, depth, beyond, ...manner }: CrossBoring,
  lengths: Lengths,
): Operation {
  const wood = woodFor(shop, id);
  const x = placeAlong(wood, from, at, lengths);
  const near = surfaceAt(wood, x, angle);
  const far = surfaceAt(wood, x, angle + 180);
  const deep = depth ?? near.r + far.r;
  const hole: Drilled = {
    id: `bore:${subject}`,
    at: { at: near.point, along: times(round(HERE, angle), -1), facing: [1, 0, 0] },
    steps: [{ diameter, depth: deep }],
    pointAngle: 180,
  };
  return operationOf(
    {
      kind: 'bore',
      subject,
      on: [id],
      said: [
        { name: 'across at', mm: at, from },
        { name: 'round, degrees', mm: angle, from: null },
        { name: 'bit', mm: diameter, from: null },
        ...(depth === undefined ? [] : [{ name: 'deep from the surface', mm: depth, from: null }]),
        ...taped(beyond === undefined ? undefined : deep + beyond),
      ],
      figure: figureOf(beyond === undefined ? undefined : deep + beyond, diameter, {
        from: fromOf(from),
        mm: at,
      }),
      effects: [{ do: 'drill', wood: id, hole }],
      purpose: 'turn',
    },
    manner,
  );
}
