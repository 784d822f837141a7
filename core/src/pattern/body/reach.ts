import { drilledReach, type Drilled, type Skin } from './body.js';
import type { Placement } from './space.js';

/** From where to where along the frame of a body something is felt, mm. */
export type Reach = readonly [x0: number, x1: number];

const EVERYWHERE: Reach = [-Infinity, Infinity];

/** A cut is never changed, and goes on from body to body: from where to where it reaches is worked out once. */
const known = new WeakMap<Skin | Drilled, Reach>();

function once<T extends Skin | Drilled>(cut: T, reach: (cut: T) => Reach): Reach {
  const found = known.get(cut) ?? reach(cut);
  known.set(cut, found);
  return found;
}

/** Where along the frame a skin is felt, mm. */
export const skinReach = (skin: Skin): Reach => once(skin, reachOfSkin);

/** Where along the frame a drilled hole is felt, mm. */
export const drilledStretch = (hole: Drilled): Reach => once(hole, reachOfHole);

/** What is turned away about an axis across the frame is felt however far from it; a hollow no farther than it is wide. */
function reachOfSkin({ side, axis, profile }: Skin): Reach {
  const x0 = profile[0]?.x0 ?? 0;
  const x1 = profile.at(-1)?.x1 ?? 0;
  if (side === 'outside' && Math.abs(axis.along[0]) < 1 - 1e-12) return EVERYWHERE;
  // no arc stands out from its chord by more than half of it
  const widest = profile.map((s) => Math.max(s.r0, s.r1) + Math.hypot(s.x1 - s.x0, s.r1 - s.r0) / 2);
  return aboutReach(axis, x0, x1, Math.max(0, ...widest));
}

function reachOfHole(hole: Drilled): Reach {
  const widest = hole.steps.map((s) => Math.max(s.diameter, s.endDiameter ?? 0) / 2);
  return aboutReach(hole.at, 0, drilledReach(hole), Math.max(0, ...widest));
}

/** Where along the frame a cylinder lies: a ring of radius r about an axis reaches r·sin(angle between axis and frame) to either side. */
function aboutReach({ at, along }: Placement, x0: number, x1: number, r: number): Reach {
  const lies = Math.abs(along[0]);
  const side = lies < 1 - 1e-12 ? r * Math.sqrt(1 - lies * lies) : 0;
  const [a, b] = [at[0] + x0 * along[0], at[0] + x1 * along[0]];
  return [Math.min(a, b) - side, Math.max(a, b) + side];
}
