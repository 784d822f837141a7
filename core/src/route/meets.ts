import { drilledStretch, HERE, sameLine, type Skin } from '../pattern/index.js';
import type { Effect } from './effect.js';
import { kindRow } from './kinds/operationKinds.js';
import type { Operation } from './operation.js';
import { woodOf, type Shop, type Wood } from './shop.js';
import { inWood, overlap, stretchOf, type Stretch } from './stretch.js';

/** Why the tool meets wood on part of each turn only. */
export type MeetsInTurns = 'off its axis' | 'interrupted';

/**
 * How what is done meets the wood while it spins: about an axis that is not its own it swings out, over a hole across or a
 * corner that stays the tool is knocked. Null where it is met all round, and where nothing spins. Roughing a square is
 * nothing unusual.
 */
export function meetsInTurns({ kind, effects }: Operation, before: Shop): MeetsInTurns | null {
  const ways = effects.map((effect) => meets(effect, before, kind));
  return ways.find((way) => way === 'off its axis') ?? ways.find((way) => way !== null) ?? null;
}

function meets(effect: Effect, before: Shop, kind: Operation['kind']): MeetsInTurns | null {
  if (effect.do === 'hold')
    return effect.held?.place === 'lathe' && isOff(effect.held.axis) ? 'off its axis' : null;
  if (effect.do !== 'cut' && effect.do !== 'treat') return null;
  const { held } = before;
  if (!effect.turning || held?.place !== 'lathe' || held.wood !== effect.wood) return null;
  if (isOff(held.axis)) return 'off its axis';
  const wood = woodOf(before, effect.wood);
  if (!wood || effect.do !== 'cut' || kindRow(kind).does === 'rough') return null;
  const on = inWood(stretchOf(effect.skin), effect.skin.axis);
  return on && (isHoled(wood, on) || keepsCorners(wood, on, effect.skin)) ? 'interrupted' : null;
}

/** Whether an axis is another than the wood's own. */
const isOff = (axis: Skin['axis']): boolean => sameLine(HERE, axis) === null;

/** Least cosine of a hole that still runs along its wood. */
const ALONG = 0.5;

/** Whether a hole across lies in a stretch. */
const isHoled = ({ body }: Wood, on: Stretch): boolean =>
  body.drilled.some((hole) => {
    const [x0, x1] = drilledStretch(hole);
    return Math.abs(hole.at.along[0]) < ALONG && overlap(on, { x0, x1 }) > 0;
  });

/** Whether a cut clips corners that were never turned, and will stay. */
const keepsCorners = ({ body }: Wood, on: Stretch, skin: Skin): boolean =>
  body.form.kind === 'square' &&
  skin.side === 'outside' &&
  !body.skins.some((s) => {
    const own = s.side === 'outside' ? inWood(stretchOf(s), s.axis) : null;
    return own !== null && overlap(own, on) > (on.x1 - on.x0) / 2;
  });
