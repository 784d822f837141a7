import { drilledReach, hasWood, type Body, type Skin } from './body.js';
import type { Placement, Vector } from './space.js';

/** A body that is asked about many places. */
export type Probe = (p: Vector) => boolean;

/** How wide the slices are that remember what can cut into them, mm. */
const SLICE = 3;
/** Beyond every skin and hole by so much nothing of it is felt, mm. */
const ROOM = 1e-6;

/**
 * `hasWood` for many places of one body: what was cut and drilled along its frame is looked up by the slice it lies
 * in, so that a place is held against its neighbours only, not against every cut of the piece.
 */
export function probeOf(body: Body): Probe {
  const { form } = body;
  if (form.kind === 'joined') return (p) => hasWood(body, p);
  const slices = new Map<number, Body>();
  const reaches = reachesOf(body);
  return (p) => {
    const slice = Math.floor(p[0] / SLICE);
    let near = slices.get(slice);
    if (!near) slices.set(slice, (near = within(body, reaches, slice * SLICE, (slice + 1) * SLICE)));
    return hasWood(near, p);
  };
}

/** A body with only what can be felt between two places of its frame; what stands across it is felt everywhere. mm */
export const bodyBetween = (body: Body, x0: number, x1: number): Body =>
  body.form.kind === 'joined' ? body : within(body, reachesOf(body), x0, x1);

interface Reaches {
  skins: [number, number][];
  drilled: [number, number][];
}

/** A cut is never changed, and goes on from body to body: from where to where it reaches is worked out once. */
const reachOfSkin = new WeakMap<Skin, [number, number]>();

function skinReach(skin: Skin): [number, number] {
  let reach = reachOfSkin.get(skin);
  if (!reach) {
    const { axis, profile } = skin;
    reach = along(axis, profile[0]?.x0 ?? 0, profile[profile.length - 1]?.x1 ?? 0);
    reachOfSkin.set(skin, reach);
  }
  return reach;
}

const reachesOf = ({ skins, drilled }: Body): Reaches => ({
  skins: skins.map(skinReach),
  drilled: drilled.map((hole) => along(hole.at, 0, drilledReach(hole))),
});

const EVERYWHERE: [number, number] = [-Infinity, Infinity];

/** From where to where a stretch of an axis lies in the frame; an axis that does not lie along it reaches everywhere. */
function along({ at, along: runs }: Placement, x0: number, x1: number): [number, number] {
  if (Math.abs(runs[0]) < 1 - 1e-12) return EVERYWHERE;
  const [a, b] = [at[0] + x0 * runs[0], at[0] + x1 * runs[0]];
  return a < b ? [a, b] : [b, a];
}

function within(body: Body, reaches: Reaches, x0: number, x1: number): Body {
  const felt = (reach: [number, number] | undefined) =>
    reach !== undefined && reach[1] >= x0 - ROOM && reach[0] <= x1 + ROOM;
  return {
    ...body,
    skins: body.skins.filter((_, i) => felt(reaches.skins[i])),
    drilled: body.drilled.filter((_, i) => felt(reaches.drilled[i])),
  };
}
