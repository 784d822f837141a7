import {
  aboutAxis,
  bodyBetween,
  hasWood,
  HERE,
  outOf,
  roundTo,
  sameLine,
  skinRadius,
  type Body,
  type Skin,
} from '../pattern/index.js';
import { carriedNeeds } from './carried.js';
import { heldNeeds } from './holdNeeds.js';
import { there, unmet, type Need } from './need.js';
import type { Effect } from './effect.js';
import { kindRow } from './kinds/operationKinds.js';
import type { Operation } from './operation.js';
import { GRIPS, woodOf, type Grip, type Shop, type Wood } from './shop.js';
import { aroundAt, inWood, overlap, stretchOf, type Stretch } from './stretch.js';

/** Nothing is turned that does not turn, about another axis than it turns about, or that nothing holds. */
export function cutNeeds(
  { wood: id, skin, through, turning, lightly }: Extract<Effect, { do: 'cut' }>,
  shop: Shop,
  operation: Operation,
): Need[] {
  const wood = woodOf(shop, id);
  if (!wood) return there(shop, id, '');
  const needs = turning
    ? [
        ...heldNeeds(shop, id, skin.axis),
        ...alignedNeeds(wood, skin, operation),
        ...joinedNeeds(shop, skin),
        ...pressedNeeds(shop, id, skin, !lightly && pressesHard(operation)),
      ]
    : [];
  const taken = takenFrom(wood.body, skin);
  if (taken === null && !smooths(wood.body, skin))
    needs.push(
      unmet('There is nothing here to cut.', 'The wood is already as small as that.', 'Leave the cut out.'),
    );
  else if (taken !== null)
    needs.push(...clearNeeds(shop, wood, taken, skin), ...treatedNeeds(wood, skin, taken, through));
  return needs;
}

/** What was roughed to its size, as wide as the stock allows, is planed smooth: that takes nothing which could be measured. */
export function smooths(body: Body, skin: Skin): boolean {
  if (skin.leaves === 'roughed') return false;
  const along = body.skins.filter((s) => sameLine(s.axis, skin.axis) !== null);
  const radiusOf = (s: Skin, x: number) => skinRadius(s, aboutAxis(outOf([x, 0, 0], skin.axis), s.axis).x);
  return skin.profile.every(({ x0, x1 }) =>
    // at its ends the neighbours begin
    [0.1, 0.5, 0.9].every((share) => {
      const x = x0 + share * (x1 - x0);
      const r = skinRadius(skin, x) ?? Infinity;
      const last = along.findLast((s) => Math.abs((radiusOf(s, x) ?? -Infinity) - r) < SAME);
      return last?.leaves === 'roughed';
    }),
  );
}

/** Radii nearer than this are one, mm. */
const SAME = 0.02;

/** What is roughed and parted presses hard. */
const pressesHard = ({ kind }: Operation): boolean => kindRow(kind).presses === 'hard';

/** A hollow is cut from its middle outwards; outside it begins as far out as the wood stands. */
function pressedNeeds(shop: Shop, id: string, skin: Skin, hard: boolean): Need[] {
  const on = inWood(stretchOf(skin), skin.axis);
  if (!on) return [];
  const r = skin.side === 'inside' ? Math.max(...skin.profile.map((s) => Math.max(s.r0, s.r1))) : undefined;
  return carriedNeeds(shop, id, {
    force: hard ? 'heavy' : 'light',
    on,
    ...(r === undefined ? {} : { r }),
  });
}

/** After a new hold what was cut before does not run true; sizes are cut on what does. */
function alignedNeeds(wood: Wood, skin: Skin, { kind }: Operation): Need[] {
  const stretch = inWood(stretchOf(skin), skin.axis);
  const under = wood.body.skins.filter((s) => {
    const own = inWood(stretchOf(s), s.axis);
    return s.side === 'outside' && own !== null && stretch !== null && overlap(own, stretch) > 0;
  });
  const last = under.at(-1);
  if (kindRow(kind).does === 'rough' || skin.side === 'inside' || stretch === null) return [];
  if (!last && clipsCorners(wood, skin)) return [];
  if (!last)
    return [unmet('It is not round here yet.', 'Raw stock does not run true.', 'Rough it to round first.')];
  if (wood.untrue.includes(last.id))
    return [
      unmet(
        'What is cut here does not run true.',
        'It was glued, dried or held anew since it was turned.',
        'True it with a light cut first.',
      ),
    ];
  return [{ met: true, by: last.id, need: 'it is round there first' }];
}

/** Corners of a square that is left are clipped before anything there is round. */
const clipsCorners = ({ body: { form } }: Wood, { profile }: Skin): boolean =>
  form.kind === 'square' && profile.every((s) => Math.min(s.r0, s.r1) >= form.across / 2 - 1e-6);

/** Between centres nothing is cut through: both halves would close on the tool. */
function joinedNeeds({ held }: Shop, skin: Skin): Need[] {
  if (!held?.tail || GRIPS[held.drive.by] === 'holds' || skin.side === 'inside') return [];
  const grips = [held.drive.on, held.tail.on].map((on) => (on.x0 + on.x1) / 2);
  const [low, high] = [Math.min(...grips), Math.max(...grips)];
  const thin = skin.profile
    .flatMap((s) => [
      { x: s.x0, r: s.r0 },
      { x: s.x1, r: s.r1 },
    ])
    .some(({ x, r }) => {
      const at = skin.axis.at[0] + skin.axis.along[0] * x;
      return at > low && at < high && r < LEAST_NIB;
    });
  return thin
    ? [
        unmet(
          'It is cut through between the centres.',
          'The two halves close on the tool, and the free one flies.',
          'Leave a nib, stop the lathe, saw the nib and pare it.',
        ),
      ]
    : [];
}

/** Radius that still carries the work between two centres, mm. */
const LEAST_NIB = 2;

/** Places along a line or arc, and round it, at which it is asked whether it takes wood away. */
const PLACES = 8;
const ROUND = [3, 48, 93, 138, 183, 228, 273, 318];
/** How deep below the cut, or outside of it, wood is looked for, mm. */
const DEPTHS = [0.02, 1];
const DEEPEST = 1;
const HAIR = 1e-6;

/** The body as it is felt where a skin cuts. */
function near(body: Body, skin: Skin): Body {
  const stretch = inWood(stretchOf(skin), skin.axis);
  return stretch ? bodyBetween(body, stretch.x0, stretch.x1) : body;
}

/** Where all is round one direction stands for all. */
const directions = (round: boolean): readonly number[] => (round ? ROUND.slice(0, 1) : ROUND);

/** Within which radius a body is round about the axis of a skin; 0 where it is not. mm */
const turnsWith = (body: Body, { axis }: Skin): number =>
  sameLine(HERE, axis) === null ? 0 : (roundTo(body) ?? 0);

/** Stretch of its axis in which a skin takes something away, or null. mm */
export function takenFrom(body: Body, skin: Skin): Stretch | null {
  const sign = skin.side === 'outside' ? 1 : -1;
  const local = near(body, skin);
  const turns = turnsWith(local, skin);
  const takes = (x: number): boolean => {
    const radius = skinRadius(skin, x);
    if (radius === null) return false;
    return directions(radius + DEEPEST < turns).some((angle) =>
      DEPTHS.some(
        (deep) =>
          radius + sign * deep > 0 && hasWood(local, aroundAt(skin.axis, angle, x, radius + sign * deep)),
      ),
    );
  };
  // a hair inside of its ends, where the neighbour's surface begins
  const at = ({ x0, x1 }: Stretch, i: number) => x0 + HAIR + (i / PLACES) * (x1 - x0 - 2 * HAIR);
  const xs = skin.profile
    .filter((s) => s.x1 > s.x0)
    .flatMap((s) => Array.from({ length: PLACES + 1 }, (_, i) => at(s, i)));
  const first = xs.findIndex(takes);
  if (first < 0) return null;
  return { x0: xs[first] ?? 0, x1: xs[xs.findLastIndex(takes)] ?? 0 };
}

/** Nothing is cut that lies under what grips. */
function clearNeeds(shop: Shop, wood: Wood, taken: Stretch, skin: Skin): Need[] {
  const { held } = shop;
  const stretch = inWood(taken, skin.axis);
  if (held?.wood !== wood.id || !stretch || skin.side === 'inside') return [];
  return [held.drive, ...(held.tail ? [held.tail] : [])].flatMap((grip) =>
    isUnder(grip, stretch, skin)
      ? [
          unmet(
            `The cut runs under ${grip.words}.`,
            'What grips the wood there would be cut into, or the wood would come loose.',
            'End the cut clear of it, or hold the work elsewhere.',
          ),
        ]
      : [],
  );
}

/** A centre sits in an end face: what it needs is that enough of the face is left. */
function isUnder(grip: Grip, stretch: Stretch, skin: Skin): boolean {
  if (grip.on.of === 'fixed' || grip.on.of === 'hole') return false;
  if (grip.on.x1 - grip.on.x0 > 0.01) return overlap(stretch, grip.on) > 0.01;
  const { x } = aboutAxis([grip.on.x0, 0, 0], skin.axis);
  const left = skinRadius(skin, x);
  return left !== null && left < LEAST_FACE;
}

/** Radius of end face that a centre needs, mm. */
const LEAST_FACE = 2.5;

function treatedNeeds(wood: Wood, skin: Skin, taken: Stretch, through: 'nothing' | 'treated'): Need[] {
  const stretch = inWood(taken, skin.axis);
  if (!stretch || through === 'treated') return [];
  // what is hollowed does not go through the outside, nor the other way round
  const otherSide = (id: string) => wood.body.skins.some((s) => s.id === id && s.side !== skin.side);
  return wood.treated
    .filter((t) => t.on.of === 'skin' && !otherSide(t.on.id) && overlap(stretch, t.on) > 0.01)
    .slice(0, 1)
    .map((t) =>
      unmet(
        `The cut goes through what is ${t.how} already.`,
        'It would have to be done again.',
        'Cut first, or say that a fresh surface is meant.',
      ),
    );
}
