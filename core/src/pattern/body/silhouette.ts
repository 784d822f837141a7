import { drilledReach, drilledRadius, hasWood, skinRadius, type Body } from './body.js';
import { beyond, HERE, into, plus, round, sameLine, times, type Placement, type Vector } from './space.js';

/** How far the wood reaches from its axis at a place, and how far it is open there from within, mm. */
export interface SilhouettePoint {
  x: number;
  outside: number;
  inside: number;
}

/** What is straight up for somebody who stands in front of the lathe, degrees from where he stands. */
const UP = 90;
/** How near to an edge both of its sides are looked at, mm. */
const BESIDE = 1e-4;
/** Steps in which the outermost wood is looked for where it is not round about its own axis, mm. */
const COARSE = 0.5;
const FINE = 0.005;

/**
 * A body as it stands on the lathe, seen from the front: its outline above the axis, its holes along the axis in
 * section. One run of points for each lump that hangs together along the axis, x of the body's frame rising.
 * @param pitch how far apart points lie at most, mm; every edge has points of its own
 */
export function bodySilhouette(body: Body, pitch: number): SilhouettePoint[][] {
  const runs: SilhouettePoint[][] = [];
  let open: SilhouettePoint[] | null = null;
  for (const x of placesOf(body, pitch)) {
    const outside = reachUp(body, x);
    if (outside <= 0) {
      open = null;
      continue;
    }
    if (open === null) runs.push((open = []));
    open.push({ x, outside, inside: Math.min(outside, openAt(body, x)) });
  }
  return runs.filter((run) => run.length > 1);
}

/** Places along the axis: both sides of every edge, and between them no farther apart than the pitch. */
function placesOf(body: Body, pitch: number): number[] {
  const edges = [...new Set(edgesOf(body).map((x) => Number(x.toFixed(4))))].sort((a, b) => a - b);
  const places = edges.flatMap((x, i) => {
    const next = edges[i + 1];
    const room = next === undefined ? 0 : next - x;
    const steps = Math.max(0, Math.ceil(room / pitch) - 1);
    const between = Array.from({ length: steps }, (_, k) => x + ((k + 1) / (steps + 1)) * room);
    return [x - BESIDE, x + BESIDE, ...between];
  });
  return places.sort((a, b) => a - b);
}

function edgesOf({ form, skins, flats, drilled }: Body): number[] {
  const along = (at: Placement, x: number) => at.at[0] + x * at.along[0];
  return [
    ...formEdges(form),
    ...skins.flatMap(({ axis, profile }) => profile.flatMap((s) => [along(axis, s.x0), along(axis, s.x1)])),
    ...flats.map((f) => f.at.at[0]),
    ...drilled.flatMap((hole) =>
      [0, ...hole.steps.map((s) => s.depth), drilledReach(hole)].map((x) => along(hole.at, x)),
    ),
  ];
}

function formEdges(form: Body['form']): number[] {
  if (form.kind === 'boundless') return [];
  if (form.kind !== 'joined') return [0, form.length];
  return form.of.flatMap(({ body, at }) => edgesOf(body).map((x) => at.at[0] + x * at.along[0]));
}

/** The outermost wood straight up from the axis, mm; 0 where there is none. */
function reachUp(body: Body, x: number): number {
  const up = round(HERE, UP);
  const at = (r: number): Vector => plus([x, 0, 0], times(up, r));
  const limit = limitOf(body, x, up);
  if (limit <= 0) return 0;
  // about its own axis the least of all limits is where the wood ends
  if (hasWood(body, at(limit - FINE))) return limit;
  for (let r = limit; r > 0; r -= COARSE) {
    if (!hasWood(body, at(r))) continue;
    let [solid, air] = [r, Math.min(limit, r + COARSE)];
    while (air - solid > FINE) {
      const middle = (solid + air) / 2;
      if (hasWood(body, at(middle))) solid = middle;
      else air = middle;
    }
    return solid;
  }
  return 0;
}

/** No wood stands higher than this: what stock, flats and cuts about the body's own axis leave. mm */
function limitOf({ form, skins, flats }: Body, x: number, up: Vector): number {
  let limit = formLimit(form, x, up);
  for (const { at } of flats) {
    const rise = up[1] * at.along[1] + up[2] * at.along[2];
    const behind = -beyond([x, 0, 0], at);
    if (rise > 1e-9) limit = Math.min(limit, behind / rise);
    else if (rise > -1e-9 && behind < 0) return 0;
  }
  for (const skin of skins) {
    const own = skin.side === 'outside' ? sameLine(HERE, skin.axis) : null;
    if (!own) continue;
    const radius = skinRadius(skin, beyond([x, 0, 0], skin.axis));
    if (radius !== null) limit = Math.min(limit, radius);
  }
  return limit;
}

function formLimit(form: Body['form'], x: number, up: Vector): number {
  if (form.kind === 'boundless') return Infinity;
  if (form.kind !== 'joined') return x < 0 || x > form.length ? 0 : form.across / 2;
  return Math.max(
    0,
    ...form.of.map(({ body, at }) => {
      const p = into([x, 0, 0], at);
      const tip = into(plus([x, 0, 0], up), at);
      const own: Vector = [0, tip[1] - p[1], tip[2] - p[2]];
      return limitOf(body, p[0], own);
    }),
  );
}

/** How wide a hole along the axis is at a place, mm; of two that are glued the one fills the other's. */
function openAt({ form, drilled }: Body, x: number): number {
  const inner =
    form.kind === 'joined' ? form.of.map(({ body, at }) => openAt(body, into([x, 0, 0], at)[0])) : [];
  const own = drilled.map((hole) =>
    sameLine(HERE, hole.at) ? drilledRadius(hole, beyond([x, 0, 0], hole.at)) : 0,
  );
  return Math.max(inner.length === 0 ? 0 : Math.min(...inner), ...own, 0);
}
