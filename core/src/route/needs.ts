import {
  drilledRadius,
  hasWood,
  HERE,
  into,
  outOf,
  plus,
  round,
  skinRadius,
  times,
  type Placement,
} from '../pattern/index.js';
import { carriedNeeds } from './carried.js';
import { cutNeeds } from './cutNeeds.js';
import { datumPlace } from './datum.js';
import { heldNeeds, holdNeeds } from './holdNeeds.js';
import { there, unmet, type Need } from './need.js';
import type { Effect } from './effect.js';
import type { Lengths, Operation } from './operation.js';
import { cutsOf, reachOf } from './outsides.js';
import { GRIPS, woodOf, type OpId, type Purpose, type Shop, type SurfaceRef, type Wood } from './shop.js';
import { overlap } from './stretch.js';
import { surfaceNeed } from './surfaces.js';

/** All that an operation needs, from its figures, its woods and each of its effects. */
export function needsOf(operation: Operation, shop: Shop, lengths: Lengths): Need[] {
  return [
    ...operation.on.flatMap((id) => waitNeeds(shop, id, operation.purpose)),
    ...operation.said.flatMap((said) =>
      said.from ? datumNeeds(said.wood ?? operation.on[0] ?? '', shop, said.name, said.from, lengths) : [],
    ),
    ...effectNeeds(operation.effects, shop, operation),
  ];
}

/** Later effects of one operation build on its earlier ones, so only what the shop itself must have is asked. */
function effectNeeds(effects: readonly Effect[], shop: Shop, operation: Operation): Need[] {
  return effects.flatMap((effect) => {
    switch (effect.do) {
      case 'cut':
        return cutNeeds(effect, shop, operation);
      case 'flat':
      case 'drill':
        return boredNeeds(effect, shop);
      case 'split':
        return splitNeeds(effect, shop);
      case 'free':
        return freeNeeds(effect, shop);
      case 'hold':
        return holdNeeds(effect, shop);
      case 'treat':
        return treatNeeds(effect, shop);
      case 'look':
        return effect.on.flatMap((on) => lookNeeds(shop, effect.wood, on));
      case 'another':
        return there(shop, effect.like, 'the first of its kind is made');
      case 'join':
        return effect.of.flatMap(({ wood }) => there(shop, wood, 'it is joined'));
      case 'fix':
        return fixNeeds(effect, shop);
      case 'dry':
        return there(shop, effect.wood, 'it is on the bench');
      case 'stock':
      case 'wait':
        return [];
    }
  });
}

/** What goes into the wood needs its hole, open where it goes in. */
function fixNeeds({ wood: id, fixed: { at }, enters }: Extract<Effect, { do: 'fix' }>, shop: Shop): Need[] {
  const wood = woodOf(shop, id);
  if (!wood || !enters) return there(shop, id, 'it is on the bench');
  const mouth = outOf([JUST_IN, 0, 0], at);
  const hole = wood.body.drilled.findLast(
    (d) => Math.abs(d.at.along[0]) > 0.99 && drilledRadius(d, into(mouth, d.at)[0]) > 0,
  );
  return hole
    ? [{ met: true, by: hole.id, need: 'its hole is drilled first' }]
    : [
        unmet(
          'There is no hole for it to go into.',
          'Its hole is drilled later, or from another end.',
          'Drill its hole first.',
        ),
      ];
}

/** A hole is felt for so far behind its mouth, mm. */
const JUST_IN = 0.3;

function waitNeeds(shop: Shop, id: string, purpose: Purpose): Need[] {
  return shop.waits.flatMap((wait) => {
    const minutes = wait.minutes[purpose];
    if (wait.wood !== id || minutes === undefined) return [];
    return [{ met: true as const, by: wait.by, need: wait.what, minutes }];
  });
}

function datumNeeds(
  wood: string,
  shop: Shop,
  name: string,
  datum: Parameters<typeof datumPlace>[1],
  lengths: Lengths,
): Need[] {
  const found = woodOf(shop, wood);
  const place = found && datumPlace(found, datum, lengths);
  if (place)
    return [
      {
        met: true,
        by: place.by,
        need: `it is measured from ${place.words}`,
        ...(datum.kind === 'end' ? { uses: endKey(wood, datum.side, place.by) } : {}),
      },
    ];
  return [
    unmet(
      `${name} is measured from an end that is not there.`,
      'The end is still inside its waste, or in another wood.',
      'Measure from the end that stands now.',
    ),
  ];
}

/** An end of a wood as it stands: sawn, or faced by something. */
export const endKey = (wood: string, side: 'low' | 'high', by: OpId): string => `${wood}/${side}/${by}`;

/** A hole and a flat are made in wood that is there, held by something. */
function boredNeeds(effect: Extract<Effect, { do: 'flat' | 'drill' }>, shop: Shop): Need[] {
  const { held } = shop;
  const wood = woodOf(shop, effect.wood);
  if (!wood) return there(shop, effect.wood, '');
  if (effect.do === 'flat' && effect.sawn) return there(shop, effect.wood, 'it is sawn to size first');
  const holding: Need =
    held?.wood === effect.wood
      ? { met: true, by: held.by, need: 'it is held so', uses: held.by }
      : unmet('Nothing holds it.', 'The wood is in no vise and on no lathe.', 'Hold it first.');
  if (effect.do === 'flat') return [holding, ...(held?.place === 'lathe' ? tailHolds(shop) : [])];
  const mouth = effect.hole.at;
  const ring = (effect.hole.steps[0]?.diameter ?? 0) / 2 - 0.1;
  // the bit's rim meets wood within its own radius, also on the edge of a square, and first on the high side of a slope
  const bottom = (effect.hole.steps.at(-1)?.depth ?? 0) - 0.3;
  const meets = [33, 0, 180].some((angle) =>
    [0.6, ring + 0.6, bottom].some((deep) =>
      hasWood(wood.body, plus(outOf([deep, 0, 0], mouth), times(round(mouth, angle), ring))),
    ),
  );
  const open = [-0.2, -0.6].every((x) => !hasWood(wood.body, outOf([x, 0, 0], mouth)));
  if (!meets || !open)
    return [
      holding,
      unmet(
        'The hole does not begin at the wood’s surface.',
        'Its depth is counted from a surface that is not there.',
        'Count the depth from the surface that stands now.',
      ),
    ];
  return [holding];
}

const tailHolds = (shop: Shop): Need[] =>
  shop.held && shop.held.tail === null && GRIPS[shop.held.drive.by] !== 'holds'
    ? heldNeeds(shop, shop.held.wood, shop.held.axis)
    : [];

/** What is parted while it spins must be held on both sides or be free to fall from the one that is held. */
function splitNeeds({ wood: id, at, lightly }: Extract<Effect, { do: 'split' }>, shop: Shop): Need[] {
  const { held } = shop;
  const wood = woodOf(shop, id);
  if (!wood || held?.wood !== id || held.place !== 'lathe') return there(shop, id, 'it is there');
  if (held.tail && GRIPS[held.drive.by] !== 'holds')
    return [
      unmet(
        'It is parted off between centres while it spins.',
        'The two halves close on the tool, and the free one flies.',
        'Part to a nib, stop the lathe, saw the nib and pare it.',
      ),
    ];
  const stretch = at.at[0];
  const hanging = carriedNeeds(shop, id, {
    force: lightly ? 'light' : 'heavy',
    on: { x0: stretch - KERF, x1: stretch + KERF },
    r: partedAt(wood, held.axis, stretch),
  });
  if (hanging.length > 0) return hanging;
  return held.drive.on.of !== 'fixed' && held.drive.on.x0 < stretch && stretch < held.drive.on.x1
    ? [unmet('It is parted inside what grips it.', 'The tool would meet the jaws.', 'Part clear of them.')]
    : [{ met: true, by: held.by, need: 'it is held so', uses: held.by }];
}

/** Right beside where it is parted it may be as thin as it likes: there it is to come apart. mm */
const KERF = 0.3;

/** How far out parting begins: on the thinner side of a step. mm */
function partedAt(wood: Wood, axis: Placement, x: number): number {
  const reach = reachOf(cutsOf(wood.body, axis));
  return Math.min(reach(x - BESIDE), reach(x), reach(x + BESIDE));
}

/** Beside a place a step may lie, mm. */
const BESIDE = 0.01;

/** A ring is undercut while it turns; what it is made of must be round already. */
function freeNeeds({ wood: id, axis, ring }: Extract<Effect, { do: 'free' }>, shop: Shop): Need[] {
  const wood = woodOf(shop, id);
  if (!wood) return there(shop, id, '');
  const middle = (ring.x0 + ring.x1) / 2;
  const x = outOf([middle, 0, 0], axis)[0];
  const outside = wood.body.skins.findLast(
    (s) => s.side === 'outside' && skinRadius(s, into([x, 0, 0], s.axis)[0]) !== null,
  );
  const stands = outside ? skinRadius(outside, into([x, 0, 0], outside.axis)[0]) : null;
  return [
    ...heldNeeds(shop, id, axis),
    outside && stands !== null && stands > ring.r
      ? { met: true, by: outside.id, need: 'the ring is turned outside first' }
      : unmet(
          'There is no ring here to free.',
          'The wood is not round here, or already as thin as the inside of the ring.',
          'Turn the ring first.',
        ),
  ];
}

function treatNeeds({ wood: id, treated, turning }: Extract<Effect, { do: 'treat' }>, shop: Shop): Need[] {
  const wood = woodOf(shop, id);
  if (!wood) return there(shop, id, '');
  const before = wood.treated
    .filter((t) => t.on.id === treated.on.id && overlap(t.on, treated.on) > 0)
    .map((t): Need => ({ met: true, by: t.by, need: `it is ${t.how} first` }));
  const holding = turning ? heldNeeds(shop, id, shop.held?.axis ?? HERE) : [];
  return [
    ...holding,
    ...(turning ? carriedNeeds(shop, id, { force: 'rubbed', on: treated.on }) : []),
    ...bareNeeds(shop, id, treated.on),
    surfaceNeed(shop, id, treated.on, 'it is cut first'),
    ...before,
  ];
}

/** What is measured or tried is there, as it was last treated. */
function lookNeeds(shop: Shop, id: string, on: SurfaceRef): Need[] {
  const treated = woodOf(shop, id)?.treated.filter((t) => t.on.id === on.id && overlap(t.on, on) > 0) ?? [];
  return [
    surfaceNeed(shop, id, on, 'it is made first'),
    ...treated.map((t): Need => ({ met: true, by: t.by, need: `it is ${t.how} first` })),
  ];
}

/** What lies under jaws is neither sanded nor coated. */
function bareNeeds({ held }: Shop, id: string, on: SurfaceRef): Need[] {
  if (held?.wood !== id) return [];
  return [held.drive, ...(held.tail ? [held.tail] : [])].flatMap((grip) =>
    grip.on.of === on.of && grip.on.id === on.id && overlap(grip.on, on) > 0.01
      ? [
          unmet(
            `Part of it lies under ${grip.words}.`,
            'What grips the wood covers it, and would be soiled.',
            'Do it in another hold, or off the lathe.',
          ),
        ]
      : [],
  );
}
