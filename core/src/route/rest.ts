import {
  hasWood,
  outOf,
  plus,
  round,
  times,
  type Body,
  type Placement,
  type Vector,
} from '../pattern/index.js';
import { applied } from './apply.js';
import { smooths, takenFrom } from './cutNeeds.js';
import { lengthOfForm } from './datum.js';
import type { Effect } from './effect.js';
import { doesOf } from './kinds/operationKinds.js';
import type { Operation } from './operation.js';
import { woodOf, type OpId, type Shop, type Wood } from './shop.js';
import { overlap } from './stretch.js';

/**
 * What of a route is still to be done on woods that stand in some state: what the wood shows to be done already is left
 * out, and what holds it is taken up where the state leaves it.
 * @param seen what leaves no trace and was done: marks, trials, measurements
 */
export function restOf(
  operations: readonly Operation[],
  from: Shop,
  seen: ReadonlySet<OpId>,
): { rest: Operation[]; end: Shop } {
  const rest: Operation[] = [];
  let shop = from;
  let holds: Operation[] = [];
  const take = (operation: Operation) => {
    rest.push(operation);
    shop = applied(shop, operation);
  };
  for (const operation of operations) {
    if (doesOf(operation.kind) === 'hold') {
      holds = replaces(operation) ? [operation] : [...holds, operation];
      continue;
    }
    if (isDone(operation, shop, seen, rest)) continue;
    holdsBefore(operation, holds, shop).forEach(take);
    take(operation);
  }
  if (holds.length > 0 && rest.length > 0 && letsGo(holds.at(-1)) && shop.held !== null)
    holds.slice(-1).forEach(take);
  return { rest, end: shop };
}

/** The holds that an operation is done in and that are not taken yet; what is done on the bench wants it off. */
function holdsBefore(operation: Operation, holds: readonly Operation[], { held }: Shop): Operation[] {
  const last = holds.at(-1);
  if (letsGo(last)) return held === null || !last ? [] : [last];
  if (!isHeld(operation)) return [];
  return holds.slice(holds.findIndex((h) => h.id === held?.by) + 1);
}

/** Whether something must hold the wood while it is done. */
const isHeld = ({ kind, effects }: Operation): boolean =>
  doesOf(kind) === 'part' ||
  effects.some(
    (e) =>
      (e.do === 'cut' && e.turning) ||
      (e.do === 'treat' && e.turning) ||
      (e.do === 'flat' && e.sawn !== true) ||
      e.do === 'drill',
  );

/** The tail that goes away goes on from the hold before; all else is a hold of its own, or none. */
const replaces = (operation: Operation): boolean => operation.kind !== 'tail away';

const letsGo = (operation: Operation | undefined): boolean =>
  operation?.effects.some((e) => e.do === 'hold' && e.held === null) === true;

function isDone(
  operation: Operation,
  shop: Shop,
  seen: ReadonlySet<OpId>,
  rest: readonly Operation[],
): boolean {
  if (operation.effects.every((e) => e.do === 'look')) return seen.has(operation.id);
  return operation.effects.every((effect) => stands(effect, shop, operation.id, rest));
}

/** Whether the state shows what an effect would make. */
function stands(effect: Effect, shop: Shop, by: OpId, rest: readonly Operation[]): boolean {
  if (effect.do === 'stock') return shop.woods.some((w) => w.id === effect.wood.id);
  if (effect.do === 'free') return woodOf(shop, effect.into) !== undefined;
  if (effect.do === 'join')
    return (
      woodOf(shop, effect.into) !== undefined &&
      effect.of.every((o) => o.wood === effect.into || woodOf(shop, o.wood) === undefined)
    );
  if (effect.do === 'another') return woodOf(shop, effect.wood) !== undefined;
  if (effect.do === 'hold') return false;
  if (effect.do === 'wait') return true;
  const wood = woodOf(shop, effect.wood);
  // a wood that is not there any more was parted into others
  if (!wood) return shop.woods.length > 0;
  switch (effect.do) {
    case 'cut':
      return takenFrom(wood.body, effect.skin) === null && !smooths(wood.body, effect.skin);
    case 'flat':
      return !standsBeyond(wood, effect.flat.at);
    case 'drill':
      return isBored(wood.body, effect.hole);
    case 'split':
      return isSplit(wood, effect, shop);
    case 'fix':
      return wood.fixed.some((f) => f.id === effect.fixed.id);
    case 'treat':
      return isTreated(shop, effect, by, rest);
    case 'dry':
      return wood.moisture === effect.moisture;
    case 'look':
      return true;
  }
}

/** How far beyond a plane wood is felt for, and how far apart, mm. */
const BEYOND = 0.1;
const PITCH = 1.5;

function standsBeyond(wood: Wood, at: Placement): boolean {
  const reach = lengthOfForm(wood);
  const most = Math.abs(at.along[0]) > 0.9 ? reach / 2 : reach;
  for (let r = 0; r < most; r += PITCH)
    for (let angle = 3; angle < 363; angle += 30)
      if (hasWood(wood.body, plus(outOf([BEYOND, 0, 0], at), times(round(at, angle), r)))) return true;
  return false;
}

/** Just inside of every step of a hole, where it begins and where it ends, no wood is left. */
function isBored(body: Body, { at, steps }: Extract<Effect, { do: 'drill' }>['hole']): boolean {
  return steps.every(({ diameter, endDiameter = diameter, depth }, i) => {
    const begins = steps[i - 1]?.depth ?? 0;
    const places: [number, number][] = [
      [begins + INSIDE, diameter / 2 - INSIDE],
      [depth - INSIDE, endDiameter / 2 - INSIDE],
    ];
    return places.every(([x, r]) =>
      [33, 153, 273].every((angle) => !hasWood(body, inHole(at, x, Math.max(0, r), angle))),
    );
  });
}

/** So far inside of what a bit leaves, mm. */
const INSIDE = 0.15;

const inHole = (at: Placement, depth: number, r: number, angle: number): Vector =>
  plus(outOf([depth, 0, 0], at), times(round(at, angle), r));

/** Both sides go by their names already, or nothing stands on the side that is waste. */
function isSplit(wood: Wood, { at, into }: Extract<Effect, { do: 'split' }>, shop: Shop): boolean {
  const [low, high] = into;
  if (low !== null && high !== null)
    return woodOf(shop, low) !== undefined && woodOf(shop, high) !== undefined;
  const out: Placement = low === null ? { ...at, along: times(at.along, -1) } : at;
  return !standsBeyond(wood, out);
}

/** A surface keeps what was put on it until it is cut again. */
function isTreated(
  { woods }: Shop,
  { treated }: Extract<Effect, { do: 'treat' }>,
  by: OpId,
  rest: readonly Operation[],
): boolean {
  const again = rest.some((o) => o.effects.some((e) => e.do === 'cut' && e.skin.id === treated.on.id));
  // what was put on a ring went with it when that came free
  const all = woods.flatMap((w) => w.treated);
  return (
    !again && all.some((t) => t.by === by && t.on.id === treated.on.id && overlap(t.on, treated.on) > -0.01)
  );
}
