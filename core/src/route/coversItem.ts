import type { Finding } from '../measure/index.js';
import { assembled, outOf, type PatternBody, type PlacedPart } from '../pattern/index.js';
import type { PieceIn, Shop } from './shop.js';

/** How far a joined part may lie from where it is drawn, mm along the item. */
const ASIDE = 0.2;

/**
 * Whether the parts of an item stand to one another as they are drawn, as geometry: what is drawn as one thing is one
 * wood at the end, each part where it belongs.
 * @param branches parts that become one thing, the one that carries the others first
 */
export function coversItem(
  end: Shop,
  body: PatternBody,
  branches: readonly (readonly string[])[],
): Finding[] {
  const placed = assembled(body);
  return branches.flatMap(([rootId = '', ...others]) => {
    const wood = end.woods.find((w) => w.pieces.some((p) => p.partId === rootId && p.n === 1));
    const carrier = wood?.pieces.find((p) => p.partId === rootId && p.n === 1);
    const drawn = placed.find((p) => p.part.id === rootId);
    if (!wood || !carrier || !drawn) return [];
    return others.flatMap((partId) => {
      const goal = placed.find((p) => p.part.id === partId);
      const own = wood.pieces.filter((p) => p.partId === partId);
      if (!goal) return [];
      if (own.length === 0) return [apart(goal, drawn)];
      return own.some((piece) => standsAs(piece, carrier, goal, drawn)) ? [] : [elsewhere(goal, drawn)];
    });
  });
}

/** Both ends of the part lie as far from the carrier's reference end as they are drawn. */
function standsAs(piece: PieceIn, carrier: PieceIn, goal: PlacedPart, drawn: PlacedPart): boolean {
  return [0, goal.length].every((x) => {
    const made = (outOf([x, 0, 0], piece.at)[0] - carrier.at.at[0]) * carrier.at.along[0];
    const wanted = (goal.x + (goal.turned ? -x : x) - drawn.x) * (drawn.turned ? -1 : 1);
    return Math.abs(made - wanted) < ASIDE;
  });
}

const apart = ({ part }: PlacedPart, root: PlacedPart): Finding => ({
  id: `route.item.${part.id}`,
  severity: 'stop',
  stage: 'assemble',
  partId: part.id,
  what: `${part.name} and ${root.part.name} are drawn as one and joined by nothing.`,
  why: 'At the end they are two woods.',
  remedy: 'Join them, or take the join out of the pattern.',
});

const elsewhere = ({ part }: PlacedPart, root: PlacedPart): Finding => ({
  id: `route.item.at.${part.id}`,
  severity: 'stop',
  stage: 'assemble',
  partId: part.id,
  what: `${part.name} does not come to stand on ${root.part.name} as it is drawn.`,
  why: 'By the join as it is made it lies elsewhere along the item.',
  remedy: 'Look at the depth of the hole and the place of the join.',
});
