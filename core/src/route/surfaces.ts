import { aboutAxis, bodyBetween, hasWood, into, skinRadius, type Body, type Skin } from '../pattern/index.js';
import { unmet, type Need } from './need.js';
import { woodOf, type OpId, type Shop, type SurfaceRef, type Wood } from './shop.js';
import { aroundAt, inWood } from './stretch.js';

/** What made a surface, or null when it is not there. */
export function surfaceBy(wood: Wood, on: SurfaceRef): OpId | null {
  if (on.of === 'fixed') return wood.fixed.find((f) => f.id === on.id)?.by ?? null;
  if (on.of === 'stock') return wood.by;
  return madeBy(wood.body, on);
}

/** Surfaces of woods that were glued are found in them, where they lie. */
function madeBy(body: Body, on: SurfaceRef): OpId | null {
  const own = ownSurface(body, on);
  if (own !== null || body.form.kind !== 'joined') return own;
  for (const part of body.form.of) {
    const [a, b] = [on.x0, on.x1].map((x) => into([x, 0, 0], part.at)[0]) as [number, number];
    const found = madeBy(part.body, { ...on, x0: Math.min(a, b), x1: Math.max(a, b) });
    if (found !== null) return found;
  }
  return null;
}

function ownSurface(body: Body, on: SurfaceRef): OpId | null {
  switch (on.of) {
    case 'fixed':
    case 'stock':
      return null;
    case 'hole':
      return body.drilled.some((d) => d.id === on.id) ? on.id : null;
    case 'flat':
      return body.flats.some((f) => f.id === on.id) ? on.id : null;
    case 'skin': {
      const skin = body.skins.find((s) => s.id === on.id);
      return skin && stands(body, skin, on) ? skin.id : null;
    }
  }
}

/** Where round the axis it is looked at, degrees: quarters first, then all that a cut beside the axis may have left. */
const ROUND = [33, 123, 213, 303, ...Array.from({ length: 24 }, (_, i) => 3 + 15 * i)];

/** The skin is still the outside of the wood over the stretch, on one side of it at least. */
function stands(body: Body, skin: Skin, { x0, x1 }: SurfaceRef): boolean {
  if (skin.side === 'inside' || inWood({ x0, x1 }, skin.axis) === null) return true;
  const local = bodyBetween(body, x0, x1);
  return [0.1, 0.5, 0.9].every((share) => {
    const { x } = aboutAxis([x0 + share * (x1 - x0), 0, 0], skin.axis);
    const radius = skinRadius(skin, x);
    return (
      radius !== null &&
      ROUND.some(
        (angle) =>
          hasWood(local, aroundAt(skin.axis, angle, x, radius - 0.02)) &&
          !hasWood(local, aroundAt(skin.axis, angle, x, radius + 0.02)),
      )
    );
  });
}

/** A surface is there. */
export function surfaceNeed(shop: Shop, id: string, on: SurfaceRef, need: string): Need {
  const wood = woodOf(shop, id);
  const by = wood ? surfaceBy(wood, on) : null;
  if (by !== null) return { met: true, by, need };
  return unmet(
    'This surface is not there.',
    'It is cut later, or has been cut away.',
    'Cut it first, or take what stands now.',
  );
}
