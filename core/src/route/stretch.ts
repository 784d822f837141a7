import { plus, round, times, type Placement, type Skin, type Vector } from '../pattern/index.js';

/** From one place to another along an axis, mm. */
export interface Stretch {
  x0: number;
  x1: number;
}

export const aroundAt = (axis: Placement, angle: number, x: number, r: number): Vector =>
  plus(plus(axis.at, times(axis.along, x)), times(round(axis, angle), Math.max(0, r)));

export const stretchOf = ({ profile }: Skin): Stretch => ({
  x0: profile[0]?.x0 ?? Infinity,
  x1: profile[profile.length - 1]?.x1 ?? -Infinity,
});
export const overlap = (a: Stretch, b: Stretch): number => Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0);

/** Least cosine of an axis that still lies along its wood: those that lean a little do. */
const ALONG = 0.9;

/** A stretch of an axis, as the wood's own frame sees it; null for an axis across. */
export function inWood({ x0, x1 }: Stretch, axis: Placement): Stretch | null {
  if (Math.abs(axis.along[0]) < ALONG) return null;
  const [a, b] = [x0, x1].map((x) => axis.at[0] + x * axis.along[0]) as [number, number];
  return { x0: Math.min(a, b), x1: Math.max(a, b) };
}

/** The plane across an axis at x, its direction along the axis. */
export const across = (axis: Placement, x: number): Placement => ({
  ...axis,
  at: plus(axis.at, times(axis.along, x)),
});
