import { HERE, plus, round, times, type Drilled } from '../../pattern/index.js';
import type { Lengths, Operation } from '../operation.js';
import { saying, type Said } from '../said.js';
import type { Datum, Shop, Wood } from '../shop.js';
import { operationOf, type Manner } from './operationOf.js';
import { placeAlong, placeOf, reachAlong, surfaceAt, woodFor } from './place.js';

interface Boring extends Manner {
  kind: 'drill' | 'ream';
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
  { kind, wood, subject, pass, from, steps, pointAngle, tape, ...manner }: Boring,
  lengths: Lengths,
): Operation {
  const said: Said[] = steps.flatMap(({ diameter, depth, endDiameter }) => [
    saying('bit', diameter),
    saying('deep', depth, from),
    ...(endDiameter === undefined ? [] : [saying('reamed to', endDiameter)]),
  ]);
  const at = placeOf(woodFor(shop, wood), from, lengths);
  const hole = { id: ['bore', subject, pass].filter(Boolean).join(':'), at, steps, pointAngle };
  return operationOf(
    {
      kind,
      subject,
      ...(pass === undefined ? {} : { pass }),
      on: [wood],
      said: [...said, saying('point, degrees', pointAngle), ...taped(tape)],
      effects: [{ do: 'drill', wood, hole }],
    },
    manner,
  );
}

const taped = (mm: number | undefined): Said[] => (mm === undefined ? [] : [saying('tape at', mm)]);

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

/** Directions in which it is looked how high the wood stands under a bit, degrees. */
const RIM = [0, 45, 90, 135, 180, 225, 270, 315];
/** And at which shares of its radius. */
const SHARES = [0.25, 0.5, 0.75, 1];

/** How far the wood reaches anywhere under a bit, in the direction it comes from, mm from the axis. */
function highestUnder(wood: Wood, x: number, angle: number, radius: number): number {
  const [away, aside] = [round(HERE, angle), round(HERE, angle + 90)];
  const under = (degrees: number, r: number) => {
    const turn = (degrees * Math.PI) / 180;
    const from = plus([x + r * Math.cos(turn), 0, 0], times(aside, r * Math.sin(turn)));
    return reachAlong(wood, from, away);
  };
  const all = RIM.flatMap((degrees) => SHARES.map((share) => under(degrees, share * radius)));
  return Math.max(surfaceAt(wood, x, angle).r, ...all);
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
  // on a slope wood stands higher beside the middle of the bit, which goes through that as well, and comes out so
  const before = highestUnder(wood, x, angle, diameter / 2) - near.r;
  const behind = depth === undefined ? highestUnder(wood, x, angle + 180, diameter / 2) - far.r : 0;
  const away = round(HERE, angle);
  const hole: Drilled = {
    id: `bore:${subject}`,
    at: { at: plus(near.point, times(away, before)), along: times(away, -1), facing: [1, 0, 0] },
    steps: [{ diameter, depth: before + deep + behind }],
    pointAngle: 180,
  };
  return operationOf(
    {
      kind: 'drill across',
      subject,
      on: [id],
      said: [
        saying('across at', at, from),
        saying('round, degrees', angle),
        saying('bit', diameter),
        ...(depth === undefined ? [] : [saying('deep from the surface', depth)]),
        ...taped(beyond === undefined ? undefined : deep + beyond),
      ],
      effects: [{ do: 'drill', wood: id, hole }],
    },
    manner,
  );
}
