import { holeBoundary, type Hole, type Outline, type Segment } from '@compas/core';
import type { Frame } from './frame.js';

/** What of a frame a path is drawn by. */
type Scale = Pick<Frame, 'scale' | 'axis' | 'at' | 'up'>;

const px = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * One piece of the outline as a path command, arcs as arcs. `side` 1 is above the axis, −1 below;
 * `back` goes from its end to its beginning. An arc that bulges away from the axis above it, drawn from
 * left to right, runs clockwise on the screen; each turning round changes that.
 */
function piece(s: Segment, frame: Scale, side: 1 | -1, back: boolean): string {
  const [x, r] = back ? [s.x0, s.r0] : [s.x1, s.r1];
  const end = `${px(frame.at(x))},${px(frame.up(side * r))}`;
  if (s.bulge === 0) return `L${end}`;
  const chord = Math.hypot(s.x1 - s.x0, s.r1 - s.r0);
  const radius = px(((chord * (1 + s.bulge * s.bulge)) / (4 * Math.abs(s.bulge))) * frame.scale);
  const rightwards = frame.at(1) > frame.at(0) !== back;
  const clockwise = (s.bulge > 0 === (side === 1)) === rightwards;
  return `A${radius} ${radius} 0 ${Math.abs(s.bulge) > 1 ? 1 : 0} ${clockwise ? 1 : 0} ${end}`;
}

const edge = (segments: readonly Segment[], frame: Scale, side: 1 | -1): string =>
  segments.map((s) => piece(s, frame, side, false)).join('');

const start = (s: Segment, frame: Scale, side: 1 | -1): string =>
  `${px(frame.at(s.x0))},${px(frame.up(side * s.r0))}`;

/** Closed path of the half between axis and outline; `side` 1 is above the axis, −1 below. */
export function halfPath(outline: Pick<Outline, 'segments' | 'length'>, frame: Frame, side: 1 | -1): string {
  const first = outline.segments[0];
  if (!first) return '';
  const axis = px(frame.axis);
  return `M${px(frame.at(0))},${axis}L${start(first, frame, side)}${edge(outline.segments, frame, side)}L${px(frame.at(outline.length))},${axis}Z`;
}

/** Closed path round the whole piece, above and below the axis, with its end faces. */
export function wholePath(outline: Pick<Outline, 'segments'>, frame: Scale): string {
  const first = outline.segments[0];
  const last = outline.segments.at(-1);
  if (!first || !last) return '';
  const under = [...outline.segments].reverse().map((s) => piece(s, frame, -1, true));
  return `M${start(first, frame, 1)}${edge(outline.segments, frame, 1)}L${px(frame.at(last.x1))},${px(frame.up(-last.r1))}${under.join('')}Z`;
}

/** Open path of the outline's edge. */
export function edgePath(segments: readonly Segment[], frame: Frame, side: 1 | -1): string {
  const first = segments[0];
  return first ? `M${start(first, frame, side)}${edge(segments, frame, side)}` : '';
}

/** Closed path of a hole below the axis. */
export function holePath(hole: Hole, length: number, frame: Frame): string {
  const boundary = holeBoundary(hole, length);
  const first = boundary[0];
  const last = boundary.at(-1);
  if (!first || !last) return '';
  const corners = [
    [first.x0, 0],
    [first.x0, first.r0],
    ...boundary.map((s) => [s.x1, s.r1]),
    [last.x1, 0],
  ] as [number, number][];
  return `M${corners.map(([x, r]) => `${px(frame.at(x))},${px(frame.up(-r))}`).join('L')}Z`;
}
