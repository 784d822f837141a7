import { pointAt } from '../arc.js';
import {
  type Body,
  type Drilled,
  drilledReach,
  drilledRadius,
  type Flat,
  hasWood,
  type Skin,
} from './body.js';
import { HERE, outOf, plus, round, times, type Placement, type Vector } from './space.js';

/** A point on the surface of a body: where, which way is out of the wood, and what made it. */
export interface SurfacePoint {
  at: Vector;
  out: Vector;
  by: string;
  /** of a turned surface, the element it is of */
  elementId?: string;
}

/** Shares of each line or arc at which it is looked at: never its ends, where two surfaces meet. */
const SHARES = [0.04, 0.2, 0.35, 0.5, 0.65, 0.8, 0.96];
/** Degrees round an axis; odd ones, so that no hole lies just between. */
const ANGLES = Array.from({ length: 24 }, (_, i) => 15 * i + 3.7);
/** How near to a surface wood is looked for, mm. */
const NEAR = 1e-3;
/** Rings on a flat, mm apart. */
const RING = 1.5;

/**
 * Points all over the surface of a body, each line and arc of each profile at seven places round the whole
 * turn; of surfaces that another cut has taken away there are none.
 */
export function surfacePoints(body: Body): SurfacePoint[] {
  const all = [
    ...body.skins.flatMap(skinPoints),
    ...body.drilled.flatMap(drilledPoints),
    ...body.flats.flatMap((flat) => flatPoints(flat, reachOf(body))),
    ...formPoints(body),
  ];
  return all.filter((p) => isThere(body, p));
}

const isThere = (body: Body, { at, out }: SurfacePoint): boolean =>
  hasWood(body, plus(at, times(out, -NEAR))) && !hasWood(body, plus(at, times(out, NEAR)));

function skinPoints(skin: Skin): SurfacePoint[] {
  const sign = skin.side === 'outside' ? 1 : -1;
  return skin.profile.flatMap((segment) =>
    SHARES.flatMap((t) => {
      const { x, r, dx, dr } = pointAt(segment, t);
      const length = Math.hypot(dx, dr);
      const fat = skin.fat.find((f) => x >= f.x0 && x <= f.x1)?.mm ?? 0;
      const [nx, nr] = [(-dr / length) * sign, (dx / length) * sign];
      return ANGLES.map((angle) => ({
        ...about(skin.axis, angle, x, r + sign * fat, nx, nr),
        by: skin.id,
        elementId: segment.elementId,
      }));
    }),
  );
}

/** A point and a direction of the half plane of an axis, turned to an angle. */
function about(axis: Placement, angle: number, x: number, r: number, nx: number, nr: number) {
  const radial = round(axis, angle);
  return {
    at: plus(plus(axis.at, times(axis.along, x)), times(radial, r)),
    out: plus(times(axis.along, nx), times(radial, nr)),
  };
}

function drilledPoints(hole: Drilled): SurfacePoint[] {
  const reach = drilledReach(hole);
  const bottom = hole.steps.at(-1)?.depth ?? 0;
  const cone = reach > bottom ? SHARES.map((t) => bottom + t * (reach - bottom)) : [];
  const depths = [...SHARES.map((t) => t * bottom), ...cone];
  const walls = depths.flatMap((x) => {
    const r = drilledRadius(hole, x);
    return r < 0.05 ? [] : ANGLES.map((angle) => ({ ...about(hole.at, angle, x, r, 0, -1), by: hole.id }));
  });
  if (hole.pointAngle < 180) return walls;
  const flat = [0, 0.3, 0.7].flatMap((share) =>
    ANGLES.map((angle) => ({
      ...about(hole.at, angle, reach, share * drilledRadius(hole, reach), -1, 0),
      by: hole.id,
    })),
  );
  return [...walls, ...flat];
}

function flatPoints(flat: Flat, reach: number): SurfacePoint[] {
  const rings = Array.from({ length: Math.ceil(reach / RING) }, (_, i) => (i + 0.5) * RING);
  return rings.flatMap((r) => ANGLES.map((angle) => ({ ...about(flat.at, angle, 0, r, 1, 0), by: flat.id })));
}

/** No place of a body lies farther from any of its flats, mm; what is drawn has no limit of its own. */
function reachOf(body: Body): number {
  const { form } = body;
  if (form.kind === 'joined') return Math.max(0, ...form.of.map((part) => 2 * reachOf(part.body)));
  if (form.kind === 'boundless')
    return Math.max(0, ...body.skins.flatMap((s) => s.profile.flatMap((p) => [p.r0, p.r1, p.x1 - p.x0])));
  return Math.hypot(form.across, form.length);
}

/** What still stands of the stock's own surface: its sides and its two sawn ends. */
function formPoints({ form }: Body): SurfacePoint[] {
  if (form.kind === 'boundless') return [];
  if (form.kind === 'joined')
    return form.of.flatMap(({ body, at, id }) =>
      surfacePoints(body).map((p) => ({
        ...p,
        at: outOf(p.at, at),
        out: plus(outOf(p.out, at), times(at.at, -1)),
        by: p.by === STOCK ? id : p.by,
      })),
    );
  const ends = [0, form.length].flatMap((x) =>
    Array.from({ length: Math.ceil(form.across / 2 / RING) }, (_, i) => (i + 0.5) * RING).flatMap((r) =>
      ANGLES.map((angle) => ({
        ...about(HERE, angle, x, r, x === 0 ? -1 : 1, 0),
        by: STOCK,
      })),
    ),
  );
  const along = Array.from({ length: Math.ceil(form.length / RING) }, (_, i) => (i + 0.5) * RING);
  const sides = along.flatMap((x) => ANGLES.map((angle) => sidePoint(form, x, angle)));
  return [...ends, ...sides];
}

/** What was never cut belongs to the stock. */
export const STOCK = 'stock';

function sidePoint(
  form: Exclude<Body['form'], { kind: 'joined' | 'boundless' }>,
  x: number,
  degrees: number,
) {
  const angle = (degrees * Math.PI) / 180;
  const [y, z] = [Math.sin(angle), Math.cos(angle)];
  const half = form.across / 2;
  const radius =
    form.kind === 'square'
      ? half / Math.max(Math.abs(y), Math.abs(z))
      : form.kind === 'octagon'
        ? half / Math.max(Math.abs(y), Math.abs(z), (Math.abs(y) + Math.abs(z)) / Math.SQRT2)
        : form.kind === 'oval'
          ? 1 / Math.hypot(y / half, z / ((form.short ?? form.across) / 2))
          : half;
  // near enough to square to the side for telling wood from air beside it
  const out: Vector = [0, y, z];
  return { at: [x, y * radius, z * radius] as Vector, out, by: STOCK };
}
