import { radiusOn, type Segment } from '../arc.js';
import { pointLength } from '../hole.js';
import { aboutAxis, beyond, into, type Placement, type Vector } from './space.js';

/** What stock was before anything was cut: so much across, centred on the axis of its frame, from x = 0 on. mm */
export interface SawnForm {
  kind: 'square' | 'octagon' | 'round' | 'oval' | 'irregular';
  /** flats of a square or octagon, diameter, long side of an oval, least clean round of an irregular piece */
  across: number;
  /** short side of an oval */
  short?: number;
  length: number;
}

/** Bodies glued together, each where it lies. */
export interface JoinedForm {
  kind: 'joined';
  of: { id: string; body: Body; at: Placement }[];
}

/** What a drawing begins as: wood everywhere. */
interface BoundlessForm {
  kind: 'boundless';
}

/** Wood turned away about an axis: what lies outside of the profile, or inside of a hollow. */
export interface Skin {
  id: string;
  axis: Placement;
  side: 'outside' | 'inside';
  /** exact and in order, x from the axis' own origin; says nothing of what lies before its first and after its last point */
  profile: Segment[];
  /** what stands above the profile until it is sanded away, mm on the radius */
  fat: { x0: number; x1: number; mm: number }[];
  /** what it leaves of the surface, where that is not what a cutting edge leaves */
  leaves?: 'roughed';
}

/** A drilled hole: `at` its mouth, along into the wood. mm */
export interface Drilled {
  id: string;
  at: Placement;
  steps: { diameter: number; depth: number; endDiameter?: number }[];
  /** full angle of the bit's point, degrees */
  pointAngle: number;
}

/** A flat: everything beyond it, along its direction, is gone. */
export interface Flat {
  id: string;
  at: Placement;
}

/**
 * One lump of wood as geometry: a form cut by exact profiles about axes placed anywhere in its frame, by
 * flats, and less what is drilled. Nothing is kept that can be asked of it.
 */
export interface Body {
  form: SawnForm | JoinedForm | BoundlessForm;
  skins: Skin[];
  flats: Flat[];
  drilled: Drilled[];
}

/** Whether there is wood at a point of the body's frame. */
export function hasWood(body: Body, p: Vector): boolean {
  if (!formHas(body.form, p)) return false;
  for (const flat of body.flats) if (beyond(p, flat.at) > 0) return false;
  for (const skin of body.skins) if (takesAway(skin, p)) return false;
  for (const hole of body.drilled) if (isDrilled(hole, p)) return false;
  return true;
}

function formHas(form: Body['form'], p: Vector): boolean {
  if (form.kind === 'boundless') return true;
  if (form.kind === 'joined') return form.of.some(({ body, at }) => hasWood(body, into(p, at)));
  const [x, y, z] = p;
  if (x < 0 || x > form.length) return false;
  const half = form.across / 2;
  switch (form.kind) {
    case 'square':
      return Math.abs(y) <= half && Math.abs(z) <= half;
    case 'octagon':
      return Math.abs(y) <= half && Math.abs(z) <= half && Math.abs(y) + Math.abs(z) <= half * Math.SQRT2;
    case 'oval':
      return (y / half) ** 2 + (z / ((form.short ?? form.across) / 2)) ** 2 <= 1;
    case 'round':
    case 'irregular':
      return Math.hypot(y, z) <= half;
  }
}

/** Asked for every skin of every place: what does not reach there is passed over before anything is worked out. */
function takesAway(skin: Skin, p: Vector): boolean {
  const { axis, profile, side } = skin;
  const x = beyond(p, axis);
  const [first] = profile;
  const last = profile[profile.length - 1];
  if (!first || !last || x < first.x0 || x > last.x1) return false;
  const radius = skinRadius(skin, x);
  if (radius === null) return false;
  const { r } = aboutAxis(p, axis);
  return side === 'outside' ? r > radius : r < radius;
}

/**
 * Radius of a skin at x of its axis with what is left for sanding, mm; null where it says nothing. At a step it
 * is the one that leaves more wood. Asked more often than all else: it makes no lists.
 */
export function skinRadius({ profile, side, fat }: Skin, x: number): number | null {
  const last = profile[profile.length - 1];
  if (!last || x > last.x1) return null;
  let radius: number | null = null;
  for (let i = firstReaching(profile, x); i < profile.length; i++) {
    const segment = profile[i];
    if (!segment || x < segment.x0) break;
    const r = radiusOn(segment, x);
    if (radius === null || (side === 'outside' ? r > radius : r < radius)) radius = r;
  }
  if (radius === null) return null;
  for (const left of fat)
    if (x >= left.x0 && x <= left.x1) return radius + (side === 'outside' ? left.mm : -left.mm);
  return radius;
}

/** The first stretch of a profile that ends at x or beyond it: found by halving, since they are in order. */
function firstReaching(profile: readonly Segment[], x: number): number {
  let [low, high] = [0, profile.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((profile[middle]?.x1 ?? Infinity) < x) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Radius of a drilled hole so far from its mouth, mm; 0 beyond its point and before its mouth. */
export function drilledRadius({ steps, pointAngle }: Drilled, depth: number): number {
  if (depth < 0) return 0;
  let from = 0;
  for (const step of steps) {
    if (depth <= step.depth) {
      const end = step.endDiameter ?? step.diameter;
      const share = step.depth === from ? 0 : (depth - from) / (step.depth - from);
      return (step.diameter + share * (end - step.diameter)) / 2;
    }
    from = step.depth;
  }
  const last = steps.at(-1);
  if (!last) return 0;
  const end = last.endDiameter ?? last.diameter;
  const point = pointLength(end, pointAngle);
  return point === 0 ? 0 : Math.max(0, (end / 2) * (1 - (depth - last.depth) / point));
}

/** How deep a hole reaches, its point included, mm. */
export const drilledReach = ({ steps, pointAngle }: Drilled): number => {
  const last = steps.at(-1);
  return last ? last.depth + pointLength(last.endDiameter ?? last.diameter, pointAngle) : 0;
};

function isDrilled(hole: Drilled, p: Vector): boolean {
  const { x, r } = aboutAxis(p, hole.at);
  return r < drilledRadius(hole, x);
}
