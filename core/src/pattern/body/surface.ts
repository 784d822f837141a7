import { pointAt, type Segment } from '../arc.js';
import {
  type Body,
  type Drilled,
  drilledReach,
  drilledRadius,
  type Flat,
  type SawnForm,
  type Skin,
} from './body.js';
import { probeOf, type Probe } from './probe.js';
import { onAxis, type Roundness } from './roundness.js';
import { HERE, outOf, plus, round, times, type Placement, type Vector } from './space.js';

/** Is shown points of a surface: where, and which way is out of the wood. */
type Visit = (at: Vector, out: Vector) => void;

/** One surface of a body by what made it, whether any of it still stands or not. */
export interface Patch {
  by: string;
  /** of a turned surface, the element it is of */
  elementId?: string;
  visit: (point: Visit) => void;
}

/** Shares of each line or arc at which it is looked at: never its ends, where two surfaces meet. */
const SHARES = [0.04, 0.2, 0.35, 0.5, 0.65, 0.8, 0.96];
/** Degrees round an axis; odd ones, so that no hole lies just between. */
const ANGLES = Array.from({ length: 24 }, (_, i) => 15 * i + 3.7);
/** Where the flats of the stock may still stand it is looked at near a flat, near a corner, and between. */
const OF_ROUND = [3.7, 63.7, 123.7, 183.7, 243.7, 303.7];
const ONCE = [3.7];

/** In which directions round an axis a surface is looked at that lies at x of it and so far from it, degrees. */
type Angles = (axis: Placement, x: number, r: number) => readonly number[];
/** How near to a surface wood is looked for, mm. */
const NEAR = 1e-3;
/** Rings on a flat, mm apart. */
const RING = 1.5;
/** Faces are not looked at on round numbers: what is drawn ends on those, and on an edge both sides are right. mm */
const OFF_EDGE = 0.0137;
/** What is sawn along the wood is looked at in so many places of its length. */
const ALONG = 30;

/**
 * Every surface of a body: each line and arc of each profile, its holes, its flats and what it was sawn to.
 * @param round where all is round about the frame's axis, so that one direction stands for all
 */
export function patchesOf(body: Body, round: Roundness | null = null): Patch[] {
  const angles = anglesOf(round);
  return [
    ...body.skins.flatMap((skin) => skinPatches(skin, angles)),
    ...body.drilled.map((hole) => ({
      by: hole.id,
      visit: (point: Visit) => drilledPoints(hole, angles, point),
    })),
    ...body.flats.map((flat) => ({
      by: flat.id,
      visit: (point: Visit) => flatPoints(flat, body, angles, point),
    })),
    ...formPatches(body, angles),
  ];
}

/** A step along a normal may lead so far beside the place that is looked at, mm. */
const BESIDE = 0.5;

function anglesOf(round: Roundness | null): Angles {
  if (round === null) return () => ANGLES;
  const { within, faced, aside } = round;
  return (axis, x, r) => {
    if (!onAxis(axis)) return ANGLES;
    const at = axis.at[0] + x * axis.along[0];
    for (const [x0, x1] of aside) if (at > x0 - BESIDE && at < x1 + BESIDE) return ANGLES;
    if (r < within - BESIDE) return ONCE;
    return faced ? ANGLES : r < within ? ONCE : OF_ROUND;
  };
}

/** Whether a point of a surface still is one: wood just within and none just outside. */
export const isThere = (has: Probe, at: Vector, out: Vector): boolean =>
  has(plus(at, times(out, -NEAR))) && !has(plus(at, times(out, NEAR)));

const skinPatches = (skin: Skin, angles: Angles): Patch[] =>
  skin.profile.map((segment) => ({
    by: skin.id,
    elementId: segment.elementId,
    visit: (point) => segmentPoints(skin, segment, angles, point),
  }));

function segmentPoints({ side, axis, fat }: Skin, segment: Segment, angles: Angles, point: Visit): void {
  const sign = side === 'outside' ? 1 : -1;
  for (const t of SHARES) {
    const { x, r, dx, dr } = pointAt(segment, t);
    const length = Math.hypot(dx, dr);
    const left = fat.find((f) => x >= f.x0 && x <= f.x1)?.mm ?? 0;
    around(axis, angles, [x, r + sign * left], [(-dr / length) * sign, (dx / length) * sign], point);
  }
}

/** A point and a direction of the half plane of an axis, turned all round it. */
function around(
  axis: Placement,
  angles: Angles,
  [x, r]: readonly [number, number],
  [nx, nr]: readonly [number, number],
  point: Visit,
): void {
  for (const angle of angles(axis, x, r)) {
    const radial = round(axis, angle);
    point(
      plus(plus(axis.at, times(axis.along, x)), times(radial, r)),
      plus(times(axis.along, nx), times(radial, nr)),
    );
  }
}

function drilledPoints(hole: Drilled, angles: Angles, point: Visit): void {
  const reach = drilledReach(hole);
  const bottom = hole.steps.at(-1)?.depth ?? 0;
  const cone = reach > bottom ? SHARES.map((t) => bottom + t * (reach - bottom)) : [];
  for (const x of [...SHARES.map((t) => t * bottom), ...cone]) {
    const r = drilledRadius(hole, x);
    if (r >= 0.05) around(hole.at, angles, [x, r], [0, -1], point);
  }
  if (hole.pointAngle < 180) return;
  for (const share of [0, 0.3, 0.7])
    around(hole.at, angles, [reach, share * drilledRadius(hole, reach)], [-1, 0], point);
}

function flatPoints(flat: Flat, body: Body, angles: Angles, point: Visit): void {
  const end = Math.abs(flat.at.along[0]) > 0.99;
  const reach = end ? widthOf(body) : reachOf(body);
  const ring = end ? RING : Math.max(RING, reach / ALONG);
  for (let r = ring / 2 - OFF_EDGE; r < reach; r += ring) around(flat.at, angles, [0, r], [1, 0], point);
}

/** No place of a body lies farther from any of its flats, mm; what is drawn has no limit of its own. */
function reachOf(body: Body): number {
  const { form } = body;
  if (form.kind === 'joined') return Math.max(0, ...form.of.map((part) => 2 * reachOf(part.body)));
  const skins = body.skins.flatMap((s) => s.profile.flatMap((p) => [p.r0, p.r1]));
  if (form.kind === 'boundless')
    return Math.max(0, ...skins, ...body.skins.map(({ profile }) => lengthOf(profile)));
  return Math.hypot(form.across, form.length);
}

/** No place of a body lies farther from its axis, mm. */
function widthOf({ form, skins }: Body): number {
  if (form.kind === 'joined') return Math.max(0, ...form.of.map(({ body }) => reachOf(body)));
  if (form.kind === 'boundless')
    return Math.max(0, ...skins.flatMap((s) => s.profile.flatMap((p) => [p.r0, p.r1])));
  return form.across * Math.SQRT1_2;
}

const lengthOf = (profile: readonly Segment[]): number => (profile.at(-1)?.x1 ?? 0) - (profile[0]?.x0 ?? 0);

/** What still stands of the stock's own surface: its sides and its two sawn ends. */
function formPatches({ form }: Body, angles: Angles): Patch[] {
  if (form.kind === 'boundless') return [];
  if (form.kind === 'joined')
    return form.of.flatMap(({ body, at, id }) => {
      const has = probeOf(body);
      return patchesOf(body).map((patch) => ({
        ...patch,
        by: patch.by === STOCK ? id : patch.by,
        visit: (point: Visit) =>
          patch.visit((p, out) => {
            if (isThere(has, p, out)) point(outOf(p, at), plus(outOf(out, at), times(at.at, -1)));
          }),
      }));
    });
  return [{ by: STOCK, visit: (point) => sawnPoints(form, angles, point) }];
}

function sawnPoints(form: SawnForm, angles: Angles, point: Visit): void {
  for (const x of [0, form.length])
    for (let r = RING / 2 - OFF_EDGE; r < form.across / 2; r += RING)
      around(HERE, angles, [x, r], [x === 0 ? -1 : 1, 0], point);
  const step = Math.max(RING, form.length / ALONG);
  for (let x = step / 2; x < form.length; x += step)
    for (const angle of angles(HERE, x, form.across)) sidePoint(form, x, angle, point);
}

/** What was never cut belongs to the stock. */
export const STOCK = 'stock';

function sidePoint(form: SawnForm, x: number, degrees: number, point: Visit): void {
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
  point([x, y * radius, z * radius], out);
}
