import {
  HERE,
  sameLine,
  seenFrom,
  skinRadius,
  skinReach,
  type Body,
  type Placement,
  type SawnForm,
  type Skin,
} from '../pattern/index.js';

/** An axis that lies so much across the wood turns nothing along it. */
const ALONG = 0.9;

const isAlong = ({ side, axis }: Skin): boolean => side === 'outside' && Math.abs(axis.along[0]) > ALONG;

/** Where along its frame a cut is widest and thinnest, and its radius there, mm. */
interface Extremes {
  widest: { x: number; r: number };
  thinnest: { x: number; r: number };
}

/** A cut is never changed: where it is widest and thinnest is worked out once. */
const known = new WeakMap<Skin, Extremes>();

/** A cut is widest and thinnest at an end of one of its stretches, or amid it. */
function extremesOf(skin: Skin): Extremes {
  const found = known.get(skin);
  if (found) return found;
  const { at, along } = skin.axis;
  const extremes: Extremes = { widest: { x: 0, r: 0 }, thinnest: { x: 0, r: Infinity } };
  for (const { x0, x1 } of skin.profile)
    for (const own of [x0, (x0 + x1) / 2, x1]) {
      const [x, r] = [at[0] + own * along[0], skinRadius(skin, own) ?? 0];
      if (r > extremes.widest.r) extremes.widest = { x, r };
      if (r < extremes.thinnest.r) extremes.thinnest = { x, r };
    }
  known.set(skin, extremes);
  return extremes;
}

/** How far wood lies from an axis at a place of the frame, mm. */
export type Reach = (x: number) => number;

/** What a body was cut to along an axis. */
export interface Cuts {
  /** how far what it was cut from reaches from the axis, mm; 0 where there is none */
  stock: Reach;
  skins: {
    skin: Skin;
    /** where along the frame it is felt */
    from: number;
    to: number;
    /** where its own axis begins, and which way it runs */
    at: number;
    sign: number;
    /** how far its axis lies from the one that is asked for */
    off: Reach;
    extremes: Extremes;
  }[];
}

/** A body is never changed: what it was cut to about the axis that was asked last is worked out once. */
const lastAsked = new WeakMap<Body, { axis: Placement; cuts: Cuts }>();

/** What a body was cut to along an axis, as far as that lies along it. */
export function cutsOf(body: Body, axis: Placement): Cuts {
  const last = lastAsked.get(body);
  if (last && (last.axis === axis || sameLine(last.axis, axis))) return last.cuts;
  const cuts = cutsAbout(body, axis);
  lastAsked.set(body, { axis, cuts });
  return cuts;
}

const cutsAbout = (body: Body, axis: Placement): Cuts => ({
  stock: stockReach(body, axis),
  skins: body.skins.filter(isAlong).map((skin) => {
    const [from, to] = skinReach(skin);
    const { at, along } = skin.axis;
    return {
      skin,
      from,
      to,
      at: at[0],
      sign: 1 / along[0],
      off: apart(skin.axis, axis),
      extremes: extremesOf(skin),
    };
  }),
});

/** Of joined bodies each is as it was cut before. */
function stockReach(body: Body, axis: Placement): Reach {
  const { form } = body;
  if (form.kind === 'boundless') return () => 0;
  if (form.kind !== 'joined') {
    const [corner, off] = [cornerOf(body, form), apart(HERE, axis)];
    return (x) => (x < 0 || x > form.length ? 0 : corner + off(x));
  }
  const parts = form.of
    .filter(({ at }) => Math.abs(at.along[0]) > ALONG)
    .map(({ body: own, at }) => ({ at, reach: reachOf(cutsOf(own, seenFrom(axis, at))) }));
  return (x) => Math.max(0, ...parts.map(({ at, reach }) => reach((x - at.at[0]) / at.along[0])));
}

/** How far the wood at a place reaches at most, mm. */
export const reachOf =
  ({ stock, skins }: Cuts): Reach =>
  (x) =>
    skins.reduce((r, { skin, from, to, off, at, sign }) => {
      const own = x < from || x > to ? null : skinRadius(skin, (x - at) * sign);
      return own === null ? r : Math.min(r, own + off(x));
    }, stock(x));

/** How far the corners of stock lie from its middle, those that were sawn off taken away. mm */
function cornerOf({ flats }: Body, { kind, across }: SawnForm): number {
  const half = across / 2;
  if (kind === 'octagon') return half / Math.cos(Math.PI / 8);
  if (kind !== 'square') return half;
  const off = flats
    .filter(({ at }) => Math.min(Math.abs(at.along[1]), Math.abs(at.along[2])) > 0.1)
    .map(({ at }) => Math.hypot(at.at[1], at.at[2]));
  // a corner that four saw cuts clip lies where such a cut meets the side
  return off.length < 4 ? half * Math.SQRT2 : Math.hypot(half, Math.SQRT2 * Math.max(...off) - half);
}

const NOTHING: Reach = () => 0;

/** How far apart two axes are at a place of the frame; nothing where they are one. mm */
function apart(a: Placement, b: Placement): Reach {
  if (a === b || sameLine(a, b)) return NOTHING;
  const passing = ({ at, along }: Placement, x: number, k: 1 | 2) =>
    at[k] + (along[k] * (x - at[0])) / along[0];
  return (x) => Math.hypot(passing(a, x, 1) - passing(b, x, 1), passing(a, x, 2) - passing(b, x, 2));
}
