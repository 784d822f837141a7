import {
  type Body,
  endForEnd,
  HERE,
  hasWood,
  outOf,
  placedIn,
  plus,
  round,
  times,
  type Placement,
} from '../pattern/index.js';
import { bodyOfPart, sourceOf } from './operation.js';
import type { Datum, OpId, PieceIn, Wood } from './shop.js';
import { across, type Stretch } from './stretch.js';

/** Where a datum lies in its wood: a frame whose x runs from it into the wood, and what made it. */
export interface DatumPlace {
  at: Placement;
  by: OpId;
  words: string;
}

/** How near to an end wood is looked for, mm. */
const NEAR = 0.05;

/**
 * The datum as it stands now; null while there is none: an end that is still inside its waste cannot be
 * measured from.
 * @param lengthOf finished length of a part, mm
 */
export function datumPlace(
  wood: Wood,
  datum: Datum,
  lengthOf: (partId: string) => number,
): DatumPlace | null {
  switch (datum.kind) {
    case 'end':
      return endNow(wood, datum.side);
    case 'flat': {
      const flat = wood.body.flats.find((f) => f.id === datum.id);
      return flat ? { at: endForEnd(flat.at, 0), by: flat.id, words: 'the rim' } : null;
    }
    case 'finished': {
      const piece = wood.pieces.find((p) => p.partId === datum.partId && p.n === datum.n);
      if (!piece) return null;
      const far = datum.end === 'far';
      const at = far ? endForEnd(piece.at, lengthOf(piece.partId)) : piece.at;
      const by = cutBy(ownWood(wood, piece), at);
      return by === null ? null : { at, by, words: `the finished ${datum.end} end` };
    }
  }
}

/** Which end of the wood's frame is out farthest now: its sawn end, or what it was faced or parted to. */
export function endNow(wood: Wood, side: 'low' | 'high'): DatumPlace {
  const sign = side === 'low' ? -1 : 1;
  const faces = wood.body.flats.filter((f) => f.at.along[0] * sign > 1 - 1e-9);
  const inmost = faces.reduce<(typeof faces)[number] | null>(
    (best, f) => (best === null || f.at.at[0] * sign < best.at.at[0] * sign ? f : best),
    null,
  );
  const [low, high] = ends(wood.body.form);
  const sawnAt = side === 'low' ? low : high;
  const x = inmost ? inmost.at.at[0] : sawnAt;
  const at: Placement = side === 'low' ? across(HERE, x) : endForEnd(HERE, x);
  const which = side === 'low' ? 'first' : 'second';
  return {
    at,
    by: inmost?.id ?? wood.by,
    words: inmost ? `the faced ${which} end` : `the sawn ${which} end`,
  };
}

/** Both ends of what a body was made of before it was cut, along its frame, mm. */
function ends(form: Body['form']): [low: number, high: number] {
  if (form.kind === 'boundless') return [0, 0];
  if (form.kind !== 'joined') return [0, form.length];
  const all = form.of.flatMap(({ body, at }) => ends(body.form).map((x) => outOf([x, 0, 0], at)[0]));
  return [Math.min(...all), Math.max(...all)];
}

/** From where to where a wood reached before it was cut, along its frame, mm. */
export function reachOfForm({ body }: Wood): Stretch {
  const [x0, x1] = ends(body.form);
  return { x0, x1 };
}

/** How long a wood was before it was cut, mm. */
export function lengthOfForm(wood: Wood): number {
  const { x0, x1 } = reachOfForm(wood);
  return x1 - x0;
}

/** The wood as it is of one piece alone: what it was joined to may stand beyond its ends. */
function ownWood(wood: Wood, piece: PieceIn): Wood {
  const { form } = wood.body;
  if (form.kind !== 'joined') return wood;
  const source = sourceOf(wood, piece);
  const part = form.of.find((o) => o.id === source);
  if (!part) return wood;
  const flats = part.body.flats.map((f) => ({ ...f, at: placedIn(f.at, part.at) }));
  const body = bodyOfPart(wood.body, source);
  return { ...wood, body: { ...body, flats: [...flats, ...body.flats] } };
}

/** What cut the wood off at a place, or null while wood still stands beyond it. */
function cutBy(wood: Wood, at: Placement): OpId | null {
  const beyond = [0, 0.4, 1, 2].flatMap((r) =>
    [0, 120, 240].map((angle) => plus(outOf([-NEAR, 0, 0], at), times(round(at, angle), r))),
  );
  if (beyond.some((p) => hasWood(wood.body, p))) return null;
  const flat = wood.body.flats.find((f) => Math.abs(f.at.at[0] - at.at[0]) < NEAR);
  if (flat) return flat.id;
  const skin = wood.body.skins.findLast(
    (s) => s.side === 'outside' && s.profile.some((p) => Math.min(p.r0, p.r1) < NEAR),
  );
  return skin?.id ?? wood.by;
}
