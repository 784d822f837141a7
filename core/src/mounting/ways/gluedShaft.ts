import { len } from '../../measure/index.js';
import type { Workshop } from '../../workshop/index.js';
import { fitsOf, liveCentre, plainMount, type StandingShaft, type WayOfHolding } from '../mount.js';
import { fixture, lacking } from '../lack.js';
import { COLLET_RANGE, jawsOf } from './chucked.js';

/** Glued onto the finished part that it belongs on, and held by that: both run true to each other for good. */
export const onGluedShaft: WayOfHolding = ({ shaft }, workshop) => {
  if (!shaft) return [];
  const held = holderOf(shaft, workshop);
  const live = shaft.through ? undefined : liveCentre(workshop);
  const mount = plainMount({
    kind: 'glued shaft',
    label: `On its ${shaft.name}, glued first`,
    why: `The ${shaft.name} is finished, glued in, and held where it stands out: what is turned then runs true with it, however the bore came out.`,
    headstock: held?.words ?? `a collet of ${len(shaft.diameter)}`,
    tailstock: live?.name ?? null,
    headstockEnd: shaft.end,
    wasteTail: live ? workshop.allowances.wasteTail : 0,
    reach: (held?.length ?? 0) + beside(shaft),
    ...lacking(
      !held &&
        fixture(`a collet of ${len(shaft.diameter)}, or jaws that close on it`, {
          name: 'Collet',
          kind: 'collet',
          diameter: shaft.diameter,
          length: 30,
        }),
    ),
    fastest: held?.fastest ?? Infinity,
    ...fitsOf(held?.fits, live),
    stack: held ? [{ what: held.words, length: held.length }] : [],
    fixtures: held?.padded ? [`a turn of thin leather between the jaws and the ${shaft.name}`] : [],
  });
  return [{ mount, suits: 3.4 }];
};

/** How far the work stands off what holds the shaft, mm. */
const beside = ({ end, x0, x1 }: StandingShaft): number => (end === 'reference' ? -x1 : x0);

/** What closes on the shaft: a collet of its size, else jaws, which leave marks unless they are padded. */
function holderOf({ diameter, name }: StandingShaft, { fixtures = [], chucks }: Workshop) {
  const collet = fixtures.find((f) => f.kind === 'collet' && Math.abs(f.diameter - diameter) <= COLLET_RANGE);
  if (collet)
    return {
      words: `${collet.name}, on the ${name}`,
      length: collet.length,
      fastest: Infinity,
      fits: collet,
    };
  const jaws = jawsOf(chucks).find(
    ({ jaws: { gripLeast, gripMost } }) => diameter >= gripLeast && diameter <= gripMost,
  );
  if (!jaws) return null;
  const { chuck } = jaws;
  return {
    words: `${chuck.name}, ${jaws.jaws.name}, on the ${name}`,
    length: jaws.jaws.depth,
    fastest: chuck.fastest,
    fits: chuck,
    padded: true,
  };
}
