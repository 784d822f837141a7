import {
  endForEnd,
  hasWood,
  HERE,
  plus,
  round,
  times,
  type Placement,
  type Vector,
} from '../../pattern/index.js';
import { datumPlace, lengthOfForm } from '../datum.js';
import type { Lengths } from '../operation.js';
import { saying, type Said } from '../said.js';
import { woodOf, type Datum, type Shop, type Wood } from '../shop.js';

/** The wood an operation is done to; a route that names one that is not there cannot be said. */
export function woodFor(shop: Shop, id: string): Wood {
  const wood = woodOf(shop, id);
  if (!wood) throw new Error(`There is no wood ${id} on the bench.`);
  return wood;
}

/**
 * A datum's frame, x running into the wood. One that does not exist yet is taken where it will be, so that
 * playing can say so.
 */
export function placeOf(wood: Wood, datum: Datum, lengths: Lengths): Placement {
  const found = datumPlace(wood, datum, lengths);
  if (found) return found.at;
  if (datum.kind === 'finished') {
    const piece = wood.pieces.find((p) => p.partId === datum.partId && p.n === datum.n);
    if (piece) return datum.end === 'reference' ? piece.at : endForEnd(piece.at, lengths(piece.partId));
  }
  return HERE;
}

/** Words of an axis and the figures it is found by. */
export interface AxisSaid {
  /** where it crosses the wood's own axis, from a datum; the ends when not said */
  at?: { mm: number; from: Datum };
  shift?: number;
  /** degrees round the wood's own axis, 0 towards the turner */
  direction?: number;
  /** 90 stands across */
  lean?: number;
}

/** The axis in the wood's frame, built from its figures alone. */
export function axisOf(wood: Wood, said: AxisSaid, lengths: Lengths): Placement {
  const x = said.at ? placeAlong(wood, said.at.from, said.at.mm, lengths) : 0;
  const away = round(HERE, said.direction ?? 0);
  const lean = ((said.lean ?? 0) * Math.PI) / 180;
  return {
    at: plus([x, 0, 0], times(away, said.shift ?? 0)),
    along: plus([Math.cos(lean), 0, 0], times(away, Math.sin(lean))),
    facing: plus([-Math.sin(lean), 0, 0], times(away, Math.cos(lean))),
  };
}

export const axisFigures = ({ at, shift, direction, lean }: AxisSaid): Said[] => [
  ...(at ? [saying('axis at', at.mm, at.from)] : []),
  ...(shift === undefined ? [] : [saying('axis off by', shift)]),
  ...(direction === undefined ? [] : [saying('axis towards, degrees', direction)]),
  ...(lean === undefined ? [] : [saying('axis leans, degrees', lean)]),
];

/** x in the wood's frame of a place so far from a datum, mm. */
export function placeAlong(wood: Wood, datum: Datum, mm: number, lengths: Lengths): number {
  const { at, along } = placeOf(wood, datum, lengths);
  return at[0] + along[0] * mm;
}

/** The outermost wood at x in a direction round the axis, mm from the axis (to a hundredth). */
export function surfaceAt(wood: Wood, x: number, degrees: number): { point: Vector; r: number } {
  const away = round(HERE, degrees);
  const r = reachAlong(wood, [x, 0, 0], away);
  return { point: plus([x, 0, 0], times(away, r)), r };
}

/** How far the outermost wood lies from a place across the axis, in a direction, mm (to a hundredth). */
export function reachAlong(wood: Wood, from: Vector, away: Vector): number {
  const { form } = wood.body;
  const most = form.kind === 'joined' || form.kind === 'boundless' ? lengthOfForm(wood) : form.across;
  const at = (r: number) => plus(from, times(away, r));
  let [solid, air] = [0, most];
  for (let r = most; r > 0; r -= 0.5)
    if (hasWood(wood.body, at(r))) {
      solid = r;
      break;
    } else air = r;
  while (air - solid > 0.001) {
    const middle = (air + solid) / 2;
    if (hasWood(wood.body, at(middle))) solid = middle;
    else air = middle;
  }
  return solid;
}
