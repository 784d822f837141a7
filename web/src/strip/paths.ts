import { holeBoundary, pointAt, type Hole, type Outline, type Segment } from '@compas/core';
import type { Frame } from './frame.js';

/** Points of a piece of the outline, enough on arcs that no corner shows. */
function pointsOf(segment: Segment): { x: number; r: number }[] {
  const steps = segment.bulge === 0 ? 1 : 28;
  return Array.from({ length: steps + 1 }, (_, i) => pointAt(segment, i / steps));
}

const join = (points: [number, number][]): string =>
  points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' L');

/** Closed path of the half between axis and outline; `side` 1 is above the axis, −1 below. */
export function halfPath(outline: Pick<Outline, 'segments' | 'length'>, frame: Frame, side: 1 | -1): string {
  const edge = outline.segments
    .flatMap(pointsOf)
    .map(({ x, r }): [number, number] => [frame.at(x), frame.up(side * r)]);
  return `M${join([[frame.at(0), frame.axis], ...edge, [frame.at(outline.length), frame.axis]])}Z`;
}

/** Closed path round the whole piece, above and below the axis, with its end faces. */
export function wholePath(outline: Pick<Outline, 'segments'>, frame: Frame): string {
  const edge = outline.segments.flatMap(pointsOf);
  const side = (sign: 1 | -1) => edge.map(({ x, r }): [number, number] => [frame.at(x), frame.up(sign * r)]);
  return `M${join([...side(1), ...side(-1).reverse()])}Z`;
}

/** Open path of the outline's edge. */
export function edgePath(segments: readonly Segment[], frame: Frame, side: 1 | -1): string {
  return segments.length === 0
    ? ''
    : `M${join(segments.flatMap(pointsOf).map(({ x, r }) => [frame.at(x), frame.up(side * r)]))}`;
}

/** Closed path of a hole below the axis. */
export function holePath(hole: Hole, length: number, frame: Frame): string {
  const boundary = holeBoundary(hole, length);
  const first = boundary[0];
  if (!first) return '';
  const edge: [number, number][] = [
    [first.x0, first.r0],
    ...boundary.map((s): [number, number] => [s.x1, s.r1]),
  ];
  const last = edge.at(-1)?.[0] ?? 0;
  const points = [[first.x0, 0] as [number, number], ...edge, [last, 0] as [number, number]];
  return `M${join(points.map(([x, r]) => [frame.at(x), frame.up(-r)]))}Z`;
}
