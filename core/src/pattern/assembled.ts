import { joinSides } from './joins.js';
import { outlineOf } from './outline.js';
import type { Part, PartJoin, PatternBody } from './pattern.js';

/**
 * A part where it stands in the put-together item: its reference end at `x`, running on from there, or
 * back when it is `turned` end for end. Parts that no join holds stand in line after the others.
 */
export interface PlacedPart {
  part: Part;
  x: number;
  turned: boolean;
  length: number;
  joined: boolean;
}

/** What is needed of a body to put it together. */
type Item = Pick<PatternBody, 'parts' | 'joins'>;

/** Gap before a part that is not joined to those before it, mm. */
const APART = 12;

/** The item put together along one axis, the first part's reference end at 0. mm. */
export function assembled(body: Item): PlacedPart[] {
  const [first] = body.parts;
  const placed = new Map<string, PlacedPart>([[first.id, at(first, 0, false, true)]]);
  const joins = [...(body.joins ?? [])];
  // each round places what hangs on something placed; as many rounds as parts are enough
  for (let round = 0; round < body.parts.length; round++)
    for (const join of joins) {
      const part = hungOn(body, join, placed);
      if (part) placed.set(part.part.id, part);
    }
  let end = Math.max(...[...placed.values()].map(highest));
  return body.parts.map((part) => {
    const stands = placed.get(part.id);
    if (stands) return stands;
    const apart = at(part, end + APART, false, false);
    end = highest(apart);
    return apart;
  });
}

const at = (part: Part, x: number, turned: boolean, joined: boolean): PlacedPart => ({
  part,
  x,
  turned,
  joined,
  length: outlineOf(part.turnings[0]).length,
});

/** Farthest point of a placed part along the item. */
const highest = ({ x, turned, length }: PlacedPart): number => (turned ? x : x + length);

/** Direction in which the part's own x runs in the item. */
const direction = (turned: boolean): 1 | -1 => (turned ? -1 : 1);

function hungOn(body: Item, join: PartJoin, placed: ReadonlyMap<string, PlacedPart>): PlacedPart | null {
  const sides = joinSides(body, join);
  if (!sides) return null;
  const inner = placed.get(sides.inner.id);
  const outer = placed.get(sides.outer.id);
  if ((inner && outer) || (!inner && !outer)) return null;
  const meets = meetingOf(body, join);
  if (!meets) return null;
  // in a pin join the two parts run on from each other when the pin's end faces the hole's mouth
  const flips = meets.opposite ? 0 : 1;
  const base = inner ?? outer;
  if (!base) return null;
  const turned = flips === 1 ? !base.turned : base.turned;
  const [own, other] = inner ? [meets.inner, meets.outer] : [meets.outer, meets.inner];
  const spot = base.x + direction(base.turned) * own;
  const part = inner ? sides.outer : sides.inner;
  return at(part, spot - direction(turned) * other, turned, true);
}

/** The same spot of the item in both parts' own x, and whether their directions agree there. */
function meetingOf(body: Item, join: PartJoin): { inner: number; outer: number; opposite: boolean } | null {
  const sides = joinSides(body, join);
  if (!sides) return null;
  const innerLength = outlineOf(sides.inner.turnings[0]).length;
  const outerLength = outlineOf(sides.outer.turnings[0]).length;
  if (join.kind === 'ring on shaft' || join.kind === 'cord through')
    return { inner: join.at?.mm ?? innerLength / 2, outer: outerLength / 2, opposite: true };
  const tip = join.inner.end === 'reference' ? 0 : innerLength;
  const deep = sides.peg?.length.mm ?? join.depth.mm;
  const bottom = sides.hole.from === 'reference' ? deep : outerLength - deep;
  return { inner: tip, outer: bottom, opposite: join.inner.end !== sides.hole.from };
}
