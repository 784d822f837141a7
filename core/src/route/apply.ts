import { endForEnd, placedIn, STOCK, type Placement, type Skin } from '../pattern/index.js';
import { across } from './stretch.js';
import type { Effect } from './effect.js';
import type { Operation } from './operation.js';
import { STRENGTHS } from '../stiffness/index.js';
import { EMPTY_SHOP, type MadeOf, type PieceIn, type Shop, type SurfaceRef, type Wood } from './shop.js';

/** The shop after an operation. Woods that it does not touch are the same objects as before. */
export const applied = (shop: Shop, operation: Operation): Shop =>
  operation.effects.reduce((now, effect) => withEffect(now, effect, operation), shop);

function withEffect(shop: Shop, effect: Effect, operation: Operation): Shop {
  switch (effect.do) {
    case 'stock':
      return { ...shop, woods: [...shop.woods, effect.wood] };
    case 'cut':
      return changed(shop, effect.wood, (wood) => withSkin(wood, effect.skin));
    case 'flat':
      return changed(shop, effect.wood, (wood) =>
        withBody(wood, { flats: [...wood.body.flats, effect.flat] }),
      );
    case 'drill':
      return changed(shop, effect.wood, (wood) =>
        withBody(wood, { drilled: [...wood.body.drilled, effect.hole] }),
      );
    case 'fix':
      return changed(shop, effect.wood, (wood) => ({ ...wood, fixed: [...wood.fixed, effect.fixed] }));
    case 'treat':
      return changed(shop, effect.wood, (wood) => treated(wood, effect));
    case 'dry':
      return changed(shop, effect.wood, (wood) => ({
        ...wood,
        moisture: effect.moisture,
        untrue: surfacesOf(wood),
      }));
    case 'hold': {
      const { held } = effect;
      const now = { ...shop, held };
      return held && effect.untrue
        ? changed(now, held.wood, (wood) => ({ ...wood, untrue: surfacesOf(wood) }))
        : now;
    }
    case 'look':
      return shop;
    case 'wait':
      return { ...shop, waits: [...shop.waits, effect.wait] };
    case 'free':
      return freed(shop, effect, operation.id);
    case 'split':
      return split(shop, effect, operation.id);
    case 'another':
      return another(shop, effect);
    case 'join':
      return joined(shop, effect, operation.id);
  }
}

/** The shop after operations that were done one after the other on nothing. */
export const appliedAll = (operations: readonly Operation[]): Shop => operations.reduce(applied, EMPTY_SHOP);

const changed = (shop: Shop, id: string, change: (wood: Wood) => Wood): Shop => ({
  ...shop,
  woods: shop.woods.map((wood) => (wood.id === id ? change(wood) : wood)),
});

const withBody = (wood: Wood, body: Partial<Wood['body']>): Wood => ({
  ...wood,
  body: { ...wood.body, ...body },
});

/** A cut runs true from then on: it was made about the axis in use. */
const withSkin = (wood: Wood, skin: Skin): Wood => withBody(wood, { skins: [...wood.body.skins, skin] });

/** Every turned surface a wood has; its stock's own never runs true. */
const surfacesOf = (wood: Wood): string[] => wood.body.skins.map((s) => s.id);

/** Sanding takes away what was left for it, on the stretch that is sanded. */
function treated(wood: Wood, { treated: own, takes }: Extract<Effect, { do: 'treat' }>): Wood {
  const skins = wood.body.skins.map((skin) =>
    own.on.of === 'skin' && own.on.id === skin.id ? sanded(skin, own.on, takes) : skin,
  );
  return { ...withBody(wood, { skins }), treated: [...wood.treated, own] };
}

function sanded(skin: Skin, { x0, x1 }: SurfaceRef, takes: number): Skin {
  if (takes === 0) return skin;
  const [a, b] = [x0 - skin.axis.at[0], x1 - skin.axis.at[0]].map((x) => x * skin.axis.along[0]);
  const [low, high] = [Math.min(a ?? 0, b ?? 0), Math.max(a ?? 0, b ?? 0)];
  const fat = skin.fat.flatMap((f) => {
    const inside = { x0: Math.max(f.x0, low), x1: Math.min(f.x1, high), mm: Math.max(0, f.mm - takes) };
    if (inside.x1 <= inside.x0) return [f];
    return [{ ...f, x1: inside.x0 }, inside, { ...f, x0: inside.x1 }].filter((s) => s.x1 > s.x0);
  });
  return { ...skin, fat };
}

/** Each side of a parting keeps the frame of the wood; it is bounded by the plane. */
function split(shop: Shop, { wood: id, at, into }: Extract<Effect, { do: 'split' }>, by: string): Shop {
  const whole = shop.woods.find((w) => w.id === id);
  if (!whole) return shop;
  const back = endForEnd(at, 0);
  const sides = ([at, back] as const).map((plane) =>
    withBody(whole, { flats: [...whole.body.flats, { id: by, at: plane }] }),
  );
  const along = (piece: PieceIn) =>
    (piece.at.at[0] + piece.at.along[0] - at.at[0]) * at.along[0] < 0 ? 0 : 1;
  const woods = into.flatMap((name, i) => {
    const side = sides[i];
    if (name === null || !side) return [];
    const pieces = whole.pieces.filter((p) => along(p) === i);
    return [{ ...side, id: name, by, pieces }];
  });
  const kept = into.find((name) => name !== null);
  return {
    ...shop,
    woods: shop.woods.flatMap((w) => (w.id === id ? woods : [w])),
    held: stillHeld(shop, id, at, into),
    waits: shop.waits.map((w) => (w.wood === id && kept ? { ...w, wood: kept } : w)),
  };
}

/** Places nearer to one another than this are one, mm. */
const SLACK = 0.01;

/** The ring goes on as a wood of its own; under it the other is cut as deep as the ring is wide inside. */
function freed(
  shop: Shop,
  { wood: id, axis, ring: { x0, x1, r }, into, piece }: Extract<Effect, { do: 'free' }>,
  by: string,
): Shop {
  const whole = shop.woods.find((w) => w.id === id);
  if (!whole) return shop;
  const profile = [{ elementId: '', x0, r0: r, x1, r1: r, bulge: 0 }];
  const cut = (side: Skin['side']): Skin => ({ id: by, axis, side, profile, fat: [] });
  const [low, high] = [endForEnd(across(axis, x0), 0), across(axis, x1)];
  const ends = [low.at[0], high.at[0]];
  // what was sanded and finished on the ring goes with it
  const lies = (on: SurfaceRef) => on.x0 > Math.min(...ends) - SLACK && on.x1 < Math.max(...ends) + SLACK;
  const ring: Wood = {
    ...withBody(withSkin(whole, cut('inside')), {
      flats: [...whole.body.flats, { id: `${by} low`, at: low }, { id: `${by} high`, at: high }],
    }),
    id: into,
    by,
    pieces: [piece],
    fixed: [],
    treated: whole.treated.filter((t) => lies(t.on)),
  };
  const cutBelow = changed(shop, id, (w) => ({
    ...withSkin(w, cut('outside')),
    treated: w.treated.filter((t) => !lies(t.on)),
  }));
  return { ...cutBelow, woods: [...cutBelow.woods, ring] };
}

/** What is gripped stays held; what was cut free of it is in the hand. */
function stillHeld(
  { held }: Shop,
  id: string,
  at: Placement,
  into: [string | null, string | null],
): Shop['held'] {
  if (held?.wood !== id) return held;
  const middle = (held.drive.on.x0 + held.drive.on.x1) / 2;
  const name = into[(middle - at.at[0]) * at.along[0] < 0 ? 0 : 1];
  return name === null ? null : { ...held, wood: name };
}

/** A second piece was made as the first was: it is the same wood under a name and number of its own. */
function another(shop: Shop, { like, wood, n }: Extract<Effect, { do: 'another' }>): Shop {
  const first = shop.woods.find((w) => w.id === like);
  if (!first) return shop;
  const waits = shop.waits.filter((w) => w.wood === like).map((w) => ({ ...w, wood }));
  const pieces = first.pieces.map((p) => ({ ...p, n }));
  return {
    ...shop,
    woods: [...shop.woods, { ...first, id: wood, pieces }],
    waits: [...shop.waits, ...waits],
  };
}

/** What is joined is taken to be as weak as its weakest, and as heavy as its heaviest. */
function weakest(all: readonly MadeOf[]): { madeOf?: MadeOf } {
  const [first, ...others] = all;
  if (!first) return {};
  const weak = (a: MadeOf, b: MadeOf) => (STRENGTHS[b.class].twist < STRENGTHS[a.class].twist ? b : a);
  const { class: of } = others.reduce(weak, first);
  return { madeOf: { class: of, density: Math.max(...all.map((m) => m.density)) } };
}

/** Woods that are glued are one from then on; their frames lie in that of the first. */
function joined(shop: Shop, { into, of }: Extract<Effect, { do: 'join' }>, by: string): Shop {
  const parts = of.flatMap(({ wood, at }) => {
    const found = shop.woods.find((w) => w.id === wood);
    return found ? [{ wood: found, at }] : [];
  });
  const one: Wood = {
    id: into,
    by,
    body: {
      form: { kind: 'joined', of: parts.map(({ wood, at }) => ({ id: wood.id, body: wood.body, at })) },
      skins: [],
      flats: [],
      drilled: [],
    },
    pieces: parts.flatMap(({ wood, at }) => wood.pieces.map((p) => ({ ...p, at: placedIn(p.at, at) }))),
    fixed: parts.flatMap(({ wood, at }) => wood.fixed.map((f) => ({ ...f, at: placedIn(f.at, at) }))),
    treated: [],
    untrue: [STOCK],
    moisture: parts.some(({ wood }) => wood.moisture === 'green') ? 'green' : 'dry',
    ...weakest(parts.flatMap(({ wood }) => wood.madeOf ?? [])),
  };
  const gone = new Set(of.map((o) => o.wood));
  return {
    woods: [...shop.woods.filter((w) => !gone.has(w.id)), one],
    held: shop.held && gone.has(shop.held.wood) ? null : shop.held,
    waits: shop.waits.map((w) => (gone.has(w.wood) ? { ...w, wood: into } : w)),
  };
}
