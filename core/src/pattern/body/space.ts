/** A point or a direction in the frame of a wood or a part: x along it, z towards the turner, mm. */
export type Vector = readonly [x: number, y: number, z: number];

export const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Vector, k: number): Vector => [a[0] * k, a[1] * k, a[2] * k];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/**
 * A frame within another: its origin `at`, its own x `along`, its own z `facing`. Both directions have the
 * length 1 and stand square to each other; its own y is facing × along.
 */
export interface Placement {
  at: Vector;
  along: Vector;
  facing: Vector;
}

/** The frame itself. */
export const HERE: Placement = { at: [0, 0, 0], along: [1, 0, 0], facing: [0, 0, 1] };

const asideOf = ({ along, facing }: Placement): Vector => cross(facing, along);

/** A direction of a placed frame, as the outer frame sees it. */
const turnedOut = (v: Vector, placement: Placement): Vector =>
  plus(plus(times(placement.along, v[0]), times(asideOf(placement), v[1])), times(placement.facing, v[2]));

/** A point of a placed frame, as the outer frame sees it. */
export const outOf = (p: Vector, placement: Placement): Vector => plus(placement.at, turnedOut(p, placement));

/** A point of the outer frame, as a placed frame sees it. */
export function into(p: Vector, placement: Placement): Vector {
  const from = minus(p, placement.at);
  return [dot(from, placement.along), dot(from, asideOf(placement)), dot(from, placement.facing)];
}

/** A placement within a placed frame, as the outer frame sees it. */
export const placedIn = (inner: Placement, outer: Placement): Placement => ({
  at: outOf(inner.at, outer),
  along: turnedOut(inner.along, outer),
  facing: turnedOut(inner.facing, outer),
});

/** A placement seen from within another one of the same outer frame. */
export const seenFrom = (placement: Placement, viewer: Placement): Placement => ({
  at: into(placement.at, viewer),
  along: into(plus(placement.along, viewer.at), viewer),
  facing: into(plus(placement.facing, viewer.at), viewer),
});

/** Direction round a frame's own x: `degrees` from facing, as the outer frame sees it. */
export function round(placement: Placement, degrees: number): Vector {
  const angle = (degrees * Math.PI) / 180;
  return plus(times(placement.facing, Math.cos(angle)), times(asideOf(placement), Math.sin(angle)));
}

/** How far a point lies beyond a frame's origin along its own x, mm. */
export const beyond = (p: Vector, { at, along }: Placement): number =>
  (p[0] - at[0]) * along[0] + (p[1] - at[1]) * along[1] + (p[2] - at[2]) * along[2];

/** A point in the half plane of an axis: how far along it and how far from it. */
export function aboutAxis(p: Vector, axis: Placement): { x: number; r: number } {
  const [dx, dy, dz] = [p[0] - axis.at[0], p[1] - axis.at[1], p[2] - axis.at[2]];
  const x = dx * axis.along[0] + dy * axis.along[1] + dz * axis.along[2];
  // what is left across it, not the difference of two squares: on the axis that would be a micrometre off
  const [ex, ey, ez] = [dx - x * axis.along[0], dy - x * axis.along[1], dz - x * axis.along[2]];
  return { x, r: Math.sqrt(ex * ex + ey * ey + ez * ez) };
}

/** Two placements turn about the same line, in the same or the opposite direction; x of the one in the other. */
export function sameLine(a: Placement, b: Placement): { shift: number; opposite: boolean } | null {
  const along = dot(a.along, b.along);
  if (1 - Math.abs(along) > 1e-9) return null;
  const { x, r } = aboutAxis(b.at, a);
  return r > 1e-6 ? null : { shift: x, opposite: along < 0 };
}

/** The same place, the far end first: x runs back from a point so far along. */
export const endForEnd = (placement: Placement, length: number): Placement => ({
  at: plus(placement.at, times(placement.along, length)),
  along: times(placement.along, -1),
  facing: placement.facing,
});
