import {
  drilledRadius,
  into as intoFrame,
  outlineOf,
  outOf,
  type JoinSides,
  type Part,
  type Skin,
} from '../../pattern/index.js';
import { applied } from '../apply.js';
import { surfaceBy } from '../surfaces.js';
import { look } from '../say/check.js';
import { glue, slide } from '../say/join.js';
import { Writer } from '../say/writer.js';
import type { Effect } from '../effect.js';
import type { Lengths, Operation, Route } from '../operation.js';
import type { Datum, PieceIn, Shop, SurfaceRef, Wood } from '../shop.js';
import { reachOf } from './bench.js';
import type { JoinToMake } from './joinToMake.js';
import { each } from './minutes.js';

/** Which of its part's pieces in the item a side of a join is. */
type Spot = Pick<PieceIn, 'partId' | 'n'>;

/** How the whole is looked at when it is together. */
export interface LookOver {
  title: string;
  words: string[];
  minutes: number;
}

/** Glued work may be handled after so long, minutes: bench practice, typical. */
const HANDLED = 60;

/**
 * The parts of an item put together, from the shop in which the first piece of each is finished: both sides are felt
 * for where they meet, then they are one. At the end the whole is looked over.
 */
export function joinItem(
  root: Part,
  joins: readonly JoinToMake[],
  from: Shop,
  lengths: Lengths,
  over: LookOver,
): Route {
  const writer = new Writer(lengths, from);
  const copies = fetched(joins, from);
  joins.forEach((join, i) =>
    writer.say(joinOf(writer.shop, join, { from, lengths, copies: i === 0 ? copies : [] })),
  );
  const whole = woodWith(writer.shop, { partId: root.id, n: 1 });
  writer.say({
    ...look('look the whole over', {
      wood: whole?.id ?? '',
      subject: root.id,
      on: [],
      ...over,
      minutes: each(over.minutes),
    }),
  });
  return writer.route;
}

/** Further pieces of a part that the item has several of: made as the first was. */
function fetched(joins: readonly JoinToMake[], from: Shop): Effect[] {
  const most = new Map<string, number>();
  for (const { sides, inner, outer } of joins)
    for (const [part, n] of [
      [sides.inner, inner],
      [sides.outer, outer],
    ] as const)
      most.set(part.id, Math.max(n, most.get(part.id) ?? 1));
  return [...most].flatMap(([partId, count]) => {
    const like = woodWith(from, { partId, n: 1 })?.id;
    if (like === undefined) return [];
    return Array.from({ length: count - 1 }, (_, i): Effect => ({
      do: 'another',
      like,
      wood: `${like}, ${i + 2}`,
      n: i + 2,
    }));
  });
}

/** Where a join is made. */
export interface JoinSite {
  /** the shop before anything was joined: where the surfaces of a part have their names */
  from: Shop;
  lengths: Lengths;
  /** further pieces that come to the bench with this join */
  copies: readonly Effect[];
  /** the wood of the outer part keeps its name and frame: it is worked on afterwards */
  goesOn?: boolean;
}

/** One join as an operation: both sides are felt for where they meet, then they are one. */
export function joinOf(
  now: Shop,
  join: JoinToMake,
  { from, lengths, copies, goesOn = false }: JoinSite,
): Operation {
  const { sides, pass } = join;
  const fetch: Operation = {
    ...look('cord', { wood: '', subject: '', on: [], title: '' }),
    effects: [...copies],
  };
  const shop = applied(now, fetch);
  const inner = { partId: sides.inner.id, n: join.inner };
  const outer = { partId: sides.outer.id, n: join.outer };
  const made = madeJoin(shop, join, { inner, outer, goesOn }, lengths);
  const felt = [...feltOn(shop, outer, holeOf(from, sides)), ...feltOn(shop, inner, shaftOf(from, join))];
  return {
    ...made,
    subject: sides.join.id,
    id: `join:${sides.join.id}${pass === null ? '' : `:${pass}`}`,
    effects: [...copies, ...felt, ...made.effects],
  };
}

/** What is done to both woods; a cord holds them without making them one. */
function madeJoin(
  shop: Shop,
  { sides, how, title, words, minutes, cureMinutes, pass }: JoinToMake,
  { inner, outer, goesOn }: { inner: Spot; outer: Spot; goesOn: boolean },
  lengths: Lengths,
): Operation {
  const [own, other] = [woodWith(shop, inner), woodWith(shop, outer)];
  const subject = `${sides.join.id}${pass === null ? '' : `:${pass}`}`;
  const manner = { title, words: [...words], minutes: each(minutes), subject };
  if (!own || !other || own === other || how === 'corded')
    return look('cord', { ...manner, wood: other?.id ?? '', on: [] });
  const into = goesOn ? other.id : `${other.id} with ${own.id}`;
  const cure =
    cureMinutes === null
      ? {}
      : {
          cure: {
            what: 'the glue cures',
            minutes: { handle: Math.min(HANDLED, cureMinutes), turn: cureMinutes, use: cureMinutes },
          },
        };
  if (how === 'slides on')
    return slide(
      shop,
      {
        ...manner,
        into,
        shaft: own.id,
        ring: other.id,
        from: endOf(own, inner, 'reference'),
        at: sides.join.at?.mm ?? lengths(inner.partId) / 2,
        looks: endOf(other, outer, 'reference'),
        half: lengths(outer.partId) / 2,
        keeps: goesOn ? 'ring' : 'shaft',
        ...cure,
      },
      lengths,
    );
  return glue(
    shop,
    {
      ...manner,
      into,
      outer: other.id,
      inner: own.id,
      from: endOf(other, outer, sides.hole.from),
      deep: sides.peg?.length.mm ?? sides.join.depth.mm,
      enters: endOf(own, inner, sides.join.inner.end),
      ...cure,
    },
    lengths,
  );
}

const woodWith = (shop: Shop, { partId, n }: Spot): Wood | undefined =>
  shop.woods.find((w) => w.pieces.some((p) => p.partId === partId && p.n === n));

const pieceIn = (wood: Wood, { partId, n }: Spot): PieceIn | undefined =>
  wood.pieces.find((p) => p.partId === partId && p.n === n);

/** An end of a piece as a datum: the side of its wood that it looks to. */
function endOf(wood: Wood, spot: Spot, end: 'reference' | 'far'): Datum {
  const runs = pieceIn(wood, spot)?.at.along[0] ?? 1;
  return { kind: 'finished', ...spot, end, side: (end === 'reference') === runs > 0 ? 'low' : 'high' };
}

/** A surface of a part by its name, and where it is felt, mm from the part's reference end. */
interface Felt {
  of: 'hole' | 'skin';
  id: string;
  x0: number;
  x1: number;
}

/** The hole that something goes into, as it was drilled. */
function holeOf(from: Shop, { outer, hole }: JoinSides): Felt {
  const length = outlineOf(outer.turnings[0]).length;
  const x = hole.from === 'reference' ? JUST_IN : length - JUST_IN;
  const wood = woodWith(from, { partId: outer.id, n: 1 });
  const piece = wood && pieceIn(wood, { partId: outer.id, n: 1 });
  const found =
    piece &&
    wood.body.drilled.findLast(
      (d) =>
        Math.abs(d.at.along[0]) > 0.99 &&
        drilledRadius(d, intoFrame(outOf([x, 0, 0], piece.at), d.at)[0]) > 0,
    );
  return { of: 'hole', id: found?.id ?? hole.id, x0: x, x1: x };
}

/** What goes into the hole, or what it is slid over, as it was turned. */
function shaftOf(from: Shop, { sides: { inner, join, peg }, how }: JoinToMake): Felt {
  const { length } = outlineOf(inner.turnings[0]);
  const deep = (peg?.length.mm ?? join.depth.mm) / 2;
  const x =
    how === 'slides on' ? (join.at?.mm ?? length / 2) : join.inner.end === 'reference' ? deep : length - deep;
  const wood = woodWith(from, { partId: inner.id, n: 1 });
  const piece = wood && pieceIn(wood, { partId: inner.id, n: 1 });
  // where two features meet amid the join it is felt a little aside, on one of them
  for (const aside of [0, ASIDE, -ASIDE]) {
    const at = piece ? outOf([x + aside, 0, 0], piece.at)[0] : 0;
    const found = wood && skinAt(wood, at);
    if (found) return { of: 'skin', id: found.id, x0: x + aside - NEAR, x1: x + aside + NEAR };
  }
  return { of: 'skin', id: `shape:${inner.id}`, x0: x - NEAR, x1: x + NEAR };
}

/** The turned surface that stands at a place of a wood, mm along its frame. */
const skinAt = (wood: Wood, at: number): Skin | undefined =>
  wood.body.skins.findLast((skin) => {
    const { x0, x1 } = reachOf(skin);
    const on = { of: 'skin' as const, id: skin.id, x0: at - NEAR, x1: at + NEAR };
    return skin.side === 'outside' && x0 <= on.x0 && x1 >= on.x1 && surfaceBy(wood, on) !== null;
  });

/** A surface of a part is felt where it lies in its wood now. */
function feltOn(shop: Shop, spot: Spot, { of, id, x0, x1 }: Felt): Effect[] {
  const wood = woodWith(shop, spot);
  const piece = wood && pieceIn(wood, spot);
  if (!piece) return [];
  const [a, b] = [x0, x1].map((x) => outOf([x, 0, 0], piece.at)[0]) as [number, number];
  const on: SurfaceRef = { of, id, x0: Math.min(a, b), x1: Math.max(a, b) };
  return [{ do: 'look', wood: wood.id, on: [on] }];
}

/** A hole is felt for so far behind its mouth, and a skin so far to both sides, mm. */
const JUST_IN = 0.3;
const NEAR = 0.2;
const ASIDE = 1;
