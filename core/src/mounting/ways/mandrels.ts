import { len } from '../../measure/index.js';
import { mandrelFor, washerOf } from '../../workshop/index.js';
import { awayFromHole, fitsOf, liveCentre, plainMount, type WayOfHolding } from '../mount.js';
import { fixture, lacking } from '../lack.js';
import { drawnIn } from './drawBar.js';

/** A mandrel that takes the kit's thread runs true with the hardware: flush stays flush. */
export const onMandrel: WayOfHolding = ({ mandrelThread: thread, kitEnd }, workshop) => {
  if (thread === undefined) return [];
  const mandrel = mandrelFor(workshop, thread);
  const live = liveCentre(workshop);
  const washer = washerOf(workshop);
  const mount = plainMount({
    kind: 'mandrel',
    label: `On the ${thread} mandrel`,
    why: 'It runs true with the hardware, so that the base stays flush all round.',
    headstock: mandrel?.name ?? `mandrel for ${thread}`,
    tailstock: live?.name ?? null,
    ...(kitEnd ? { headstockEnd: kitEnd } : {}),
    wasteTail: workshop.allowances.wasteTail,
    reach: (mandrel?.reach ?? 0) + (washer?.length ?? 0),
    ...lacking(
      !mandrel && {
        words: `a mandrel for ${thread}`,
        adds: { list: 'mandrels', entry: { name: `${thread} mandrel`, takes: thread, reach: 35 } },
      },
    ),
    ...fitsOf(mandrel, live),
    stack: [
      ...(mandrel ? [{ what: mandrel.name, length: mandrel.reach }] : []),
      ...(washer ? [{ what: washer.name, length: washer.length }] : []),
    ],
    fixtures: washer ? [`${washer.name} between flange and wood`] : [],
    reversal: 'It stays on until the tip is finished; only then the tailstock goes away.',
  });
  return [{ mount, suits: 0 }];
};

const LEAST_DOWEL = 8;
const DOWEL_RANGE = 0.5;

/** A blind hole over a wooden dowel in the spindle's taper, drawn in by a bar. */
export const onDowel: WayOfHolding = (wish, workshop) => {
  const hole = wish.holes?.find((h) => !h.through && (h.steps[0]?.diameter.mm ?? 0) >= LEAST_DOWEL);
  const across = hole?.steps[0]?.diameter.mm;
  if (!hole || across === undefined || wish.mandrelThread !== undefined) return [];
  const dowel = workshop.fixtures?.find(
    (f) => f.kind === 'dowel' && Math.abs(f.diameter - across) <= DOWEL_RANGE,
  );
  const drawn = drawnIn(dowel, workshop);
  const mount = plainMount({
    kind: 'dowel',
    label: 'On a dowel in its hole',
    why: `A dowel turned to the hole of ${len(across)} holds it by friction, and the outside runs true with the hole.`,
    headstock: dowel?.name ?? 'a turned dowel',
    tailstock: liveCentre(workshop)?.name ?? null,
    headstockEnd: hole.from,
    wasteTail: workshop.allowances.wasteTail,
    reach: dowel?.length ?? 0,
    stack: dowel ? [{ what: dowel.name, length: dowel.length }] : [],
    fixtures: drawn.fixtures,
    ...lacking(
      !dowel &&
        fixture(`a dowel of ${len(across)}`, {
          name: 'Turned dowel',
          kind: 'dowel',
          diameter: across,
          length: 40,
        }),
      drawn.lack,
    ),
    ...fitsOf(dowel, liveCentre(workshop)),
    reversal: awayFromHole(wish) === hole.from ? 'The tip is finished last, the live centre away.' : '',
  });
  return [{ mount, suits: 4.5 }];
};
