import { len } from '../../measure/index.js';
import type { Fixture, Workshop } from '../../workshop/index.js';
import { awayFromHole, fitsOf, liveCentre, plainMount, type MountWish, type WayOfHolding } from '../mount.js';
import { spacersFor, type StackItem } from '../stack.js';
import { drawnIn } from './drawBar.js';

/** A mandrel that takes the kit's thread runs true with the hardware: flush stays flush. */
export const onMandrel: WayOfHolding = ({ mandrelThread: thread }, workshop) => {
  if (thread === undefined) return [];
  const mandrel = workshop.mandrels.find((m) => m.takes === thread);
  const live = liveCentre(workshop);
  const washer = workshop.fixtures?.find((f) => f.kind === 'washer');
  const mount = plainMount({
    kind: 'mandrel',
    label: `On the ${thread} mandrel`,
    why: 'It runs true with the hardware, so that the base stays flush all round.',
    headstock: mandrel?.name ?? `mandrel for ${thread}`,
    tailstock: live?.name ?? null,
    wasteTail: workshop.allowances.wasteTail,
    reach: (mandrel?.reach ?? 0) + (washer?.length ?? 0),
    missing: mandrel ? [] : [`a mandrel for ${thread}`],
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

/** What the nut of a through mandrel can take up, mm. */
const NUT_TRAVEL = 10;
/** How much thinner than its hole a mandrel may be, mm. */
const LOOSE = 0.4;

/** A rod through a through hole: bushings at both ends, spacers until the nut closes. */
export const onThroughMandrel: WayOfHolding = (wish, workshop) => {
  const bore = wish.holes?.find((h) => h.through);
  const across = bore?.steps.at(-1)?.diameter.mm;
  if (!bore || across === undefined) return [];
  const rods = (workshop.fixtures ?? []).filter((f) => f.kind === 'through mandrel');
  const rod = rods
    .filter((f) => f.diameter <= across + 1e-6 && f.diameter >= across - LOOSE)
    .sort((a, b) => a.length - b.length)
    .find((f) => f.length >= wish.outline.length);
  const { stack, missing, fixtures } = rod
    ? throughStack(wish, rod, workshop)
    : {
        stack: [],
        missing: [`a through mandrel of ${len(across)}, at least ${len(wish.outline.length)} long`],
        fixtures: [],
      };
  const mount = plainMount({
    kind: 'through mandrel',
    label: 'On a through mandrel',
    why: 'The outside runs true with the hole from end to end, and both ends are reached.',
    headstock: rod?.name ?? 'through mandrel',
    tailstock: liveCentre(workshop)?.name ?? null,
    reach: stack.reduce((sum, s) => sum + s.length, 0),
    missing: [...missing, ...(liveCentre(workshop) ? [] : ['a live centre'])],
    stack,
    fixtures,
    ...fitsOf(rod, liveCentre(workshop)),
    reversal: 'Both ends are free: nothing to reverse. Square them to the rod before the nut is closed.',
  });
  return [{ mount, suits: 1 }];
};

/** Bushings and spacers beside the work: together as long as the rod, to within what the nut moves. */
function throughStack(wish: MountWish, rod: Fixture, workshop: Workshop) {
  const fixtures = workshop.fixtures ?? [];
  const bushings = fixtures.filter((f) => f.kind === 'bushing').slice(0, 2);
  const gap = rod.length - wish.outline.length - bushings.reduce((sum, b) => sum + b.length, 0);
  const { spacers, left } = spacersFor(
    gap,
    fixtures.filter((f) => f.kind === 'spacer'),
  );
  const stack: StackItem[] = [...bushings, ...spacers].map((f) => ({ what: f.name, length: f.length }));
  const open = left > NUT_TRAVEL;
  return {
    stack,
    fixtures: [...bushings, ...spacers].map((f) => f.name),
    missing: [
      ...(bushings.length < 2 ? ['two bushings'] : []),
      ...(gap < 0 ? [`a through mandrel ${len(-gap)} longer`] : []),
      ...(open
        ? [`a spacer of about ${len(left - NUT_TRAVEL / 2)}, for the stack stays open by ${len(left)}`]
        : []),
    ],
  };
}

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
    missing: [...(dowel ? [] : [`a dowel of ${len(across)}`]), ...drawn.missing],
    ...fitsOf(dowel, liveCentre(workshop)),
    reversal: awayFromHole(wish) === hole.from ? 'The tip is finished last, the live centre away.' : '',
  });
  return [{ mount, suits: 4.5 }];
};
