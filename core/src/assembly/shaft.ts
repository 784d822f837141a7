import {
  assembled,
  joinSides,
  outlineOf,
  type Part,
  type PartEnd,
  type PatternBody,
  type PlacedPart,
} from '../pattern/index.js';
import { partsMeet } from './partsMeet.js';

/** A part that another one is glued onto before it is turned, and the straight stretch by which both are then held. */
export interface Shaft {
  joinId: string;
  partId: string;
  name: string;
  /** end of the other part at which it stands out */
  end: PartEnd;
  /** it comes out at the other end too, so that no centre goes in there */
  through: boolean;
  /** the straight stretch: its element, mm across, and from where to where, mm from the other part's reference end */
  elementId: string;
  diameter: number;
  x0: number;
  x1: number;
}

/** Room between the work and what holds the shaft, and the least length that is held, mm: bench practice, typical. */
const CLEAR = 3;
const LEAST_HELD = 12;

/**
 * What a part can be glued onto and turned on: one shaft in each, glued in a bore along the axis, with a straight
 * stretch beside the part that jaws can close on. Null where it has none.
 */
export function shaftOf(part: Part, body: PatternBody): Shaft | null {
  if (part.turnings.length > 1) return null;
  const placed = assembled(body);
  const own = placed.find((p) => p.part.id === part.id);
  const found = (body.joins ?? []).flatMap((join) => {
    const sides = joinSides(body, join);
    if (!own || sides?.outer.id !== part.id || sides.inner.perItem !== part.perItem) return [];
    const shaft = placed.find((p) => p.part.id === sides.inner.id);
    if (!shaft?.joined || !partsMeet(sides, [], []).glued) return [];
    const held = heldBeside(shaft, own);
    if (!held) return [];
    const ends = [0, shaft.length].map((x) => fromPart(x, shaft, own));
    const other = held.end === 'reference' ? Math.max(...ends) > own.length : Math.min(...ends) < 0;
    return [
      {
        joinId: join.id,
        partId: sides.inner.id,
        name: sides.inner.name.toLowerCase(),
        through: sides.hole.through || other,
        ...held,
      },
    ];
  });
  return found.length === 1 ? (found[0] ?? null) : null;
}

/** A place of one part, mm from its reference end, as it lies along another. */
const fromPart = (x: number, of: PlacedPart, along: PlacedPart): number =>
  (of.x + (of.turned ? -x : x) - along.x) * (along.turned ? -1 : 1);

/** The longest straight stretch of a shaft that stands clear of the part on it. */
function heldBeside(
  shaft: PlacedPart,
  own: PlacedPart,
): Pick<Shaft, 'end' | 'elementId' | 'diameter' | 'x0' | 'x1'> | null {
  const straight = outlineOf(shaft.part.turnings[0]).spans.filter((s) => s.element.kind === 'cylinder');
  const stretches = straight.flatMap(({ element, startDiameter: diameter, ...span }) => {
    const ends = [span.x0, span.x1].map((x) => fromPart(x, shaft, own));
    const [low, high] = [Math.min(...ends), Math.max(...ends)];
    const beside = { elementId: element.id, diameter };
    return [
      { ...beside, end: 'reference' as const, x0: low, x1: Math.min(high, -CLEAR) },
      { ...beside, end: 'far' as const, x0: Math.max(low, own.length + CLEAR), x1: high },
    ];
  });
  const longest = stretches.sort((a, b) => b.x1 - b.x0 - (a.x1 - a.x0))[0];
  return longest && longest.x1 - longest.x0 >= LEAST_HELD ? longest : null;
}
