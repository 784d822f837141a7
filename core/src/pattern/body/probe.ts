import { hasWood, type Body } from './body.js';
import { drilledStretch, skinReach, type Reach } from './reach.js';
import type { Vector } from './space.js';

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
  skins: Reach[];
  drilled: Reach[];
}

const reachesOf = ({ skins, drilled }: Body): Reaches => ({
  skins: skins.map(skinReach),
  drilled: drilled.map(drilledStretch),
});

function within(body: Body, reaches: Reaches, x0: number, x1: number): Body {
  const felt = (reach: Reach | undefined) =>
    reach !== undefined && reach[1] >= x0 - ROOM && reach[0] <= x1 + ROOM;
  return {
    ...body,
    skins: body.skins.filter((_, i) => felt(reaches.skins[i])),
    drilled: body.drilled.filter((_, i) => felt(reaches.drilled[i])),
  };
}
