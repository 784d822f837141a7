import type { Segment } from '../pattern/index.js';
import {
  backwards,
  boxOf,
  chained,
  pointOn,
  pointsOn,
  type Box,
  type Drawing,
  type DrawnLine,
  type Stroke,
} from './drawnLine.js';
import { FileProblem, limitPieces } from './fileProblem.js';

/** A half profile taken from a drawing: segments in order of x from the reference end, x = 0 there. */
export interface ImportedProfile {
  segments: Segment[];
  startDiameter: number;
  /** how it was read, in words */
  readAs: string;
  leftAside: string[];
}

/** Two sides that differ by less than this are each other's mirror, mm. */
const ALIKE = 0.05;

/**
 * Finds the profile in a drawing: a whole silhouette (closed and symmetrical: its upper half is
 * taken), a half profile closed along the axis, or an open half profile with the axis drawn as a line
 * that is called so, or that begins and ends on its axis. Throws a FileProblem with what would do.
 */
export function profileOf(drawing: Drawing): ImportedProfile {
  const lines = chained(drawing.lines);
  limitPieces(lines.reduce((sum, line) => sum + line.strokes.length, 0));
  const axis = lines.find((line) => line.axis);
  const candidates = lines.filter((line) => !line.axis && line.strokes.length > 0);
  const line = candidates.reduce<DrawnLine | null>(
    (largest, l) => (sizeOf(l) > (largest ? sizeOf(largest) : 0) ? l : largest),
    null,
  );
  if (!line)
    throw new FileProblem('There is no line in the drawing. Draw the profile as a path of lines and arcs.');
  const leftAside = [...drawing.leftAside];
  if (candidates.length > 1) leftAside.push(`${candidates.length - 1} smaller lines`);
  const found =
    (axis ? alongAxis(line, axis) : null) ?? wholeSilhouette(line) ?? closedHalf(line) ?? openHalf(line);
  if (!found)
    throw new FileProblem(
      'It cannot be told where the axis is. Draw the whole silhouette, or close the half profile along the axis, or draw the axis as a line named “axis”.',
    );
  return { ...inOrder(found.strokes), readAs: found.readAs, leftAside };
}

interface Half {
  strokes: Stroke[];
  readAs: string;
}

const sizeOf = ({ strokes }: DrawnLine): number => {
  const { left, right, low, high } = boxOf(strokes);
  return Math.hypot(right - left, high - low);
};

/** Turns a drawing so that a line from (x, y) in the direction (cos, sin) becomes the axis. */
function laid(strokes: readonly Stroke[], x: number, y: number, angle: number): Stroke[] {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const to = (px: number, py: number): [number, number] => [
    (px - x) * c + (py - y) * s,
    -(px - x) * s + (py - y) * c,
  ];
  return strokes.map(({ x0, y0, x1, y1, bulge }) => {
    const [a, b] = to(x0, y0);
    const [d, e] = to(x1, y1);
    return { x0: a, y0: b, x1: d, y1: e, bulge };
  });
}

function alongAxis(line: DrawnLine, axis: DrawnLine): Half | null {
  const [stroke] = axis.strokes;
  if (!stroke) return null;
  const flips =
    Math.abs(stroke.x1 - stroke.x0) < Math.abs(stroke.y1 - stroke.y0)
      ? stroke.y1 < stroke.y0
      : stroke.x1 < stroke.x0;
  const angle = Math.atan2(stroke.y1 - stroke.y0, stroke.x1 - stroke.x0) + (flips ? Math.PI : 0);
  const strokes = laid(line.strokes, stroke.x0, stroke.y0, angle);
  return { strokes: upperHalf(strokes, line.closed), readAs: 'a half profile over the axis that is drawn' };
}

function wholeSilhouette(line: DrawnLine): Half | null {
  if (!line.closed) return null;
  const box = boxOf(line.strokes);
  const [cx, cy] = [(box.left + box.right) / 2, (box.low + box.high) / 2];
  // lying first, since that is how we draw; the longer way when both would do
  const ways = [
    { angle: 0, long: box.right - box.left },
    { angle: Math.PI / 2, long: box.high - box.low },
  ].sort((a, b) => b.long - a.long);
  for (const { angle } of ways) {
    const strokes = laid(line.strokes, cx, cy, angle);
    if (isMirrored(strokes))
      return {
        strokes: upperHalf(strokes, true),
        readAs: `a whole silhouette, ${angle === 0 ? 'lying' : 'standing'}`,
      };
  }
  return null;
}

/** Whether every point of the upper side has one of the lower side below it. */
function isMirrored(strokes: readonly Stroke[]): boolean {
  const points = strokes.flatMap((s) => pointsOn(s, 16));
  const places = points.filter((_, i) => i % Math.max(1, Math.floor(points.length / 60)) === 0);
  return places.every(([x, y]) => distanceTo(strokes, x, -y) < ALIKE);
}

function distanceTo(strokes: readonly Stroke[], x: number, y: number): number {
  let least = Infinity;
  for (const s of strokes) {
    const points = pointsOn(s, 24);
    for (let i = 1; i < points.length; i++) {
      const [ax, ay] = points[i - 1] ?? [0, 0];
      const [bx, by] = points[i] ?? [0, 0];
      const square = (bx - ax) ** 2 + (by - ay) ** 2;
      const t =
        square === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square));
      least = Math.min(least, Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay)));
    }
  }
  return least;
}

/** The half at and above y = 0, arcs cut where they cross it. */
function upperHalf(strokes: readonly Stroke[], closed: boolean): Stroke[] {
  const kept = strokes.flatMap(cutAtAxis).filter((s) => {
    const [, y] = pointOn(s, 0.5);
    return y > 1e-7;
  });
  if (!closed) return kept;
  // begin where the loop leaves the axis, so that the half is one run
  const start = kept.findIndex((s, i) => {
    const before = kept[(i + kept.length - 1) % kept.length];
    return !before || Math.hypot(before.x1 - s.x0, before.y1 - s.y0) > 1e-6;
  });
  return start <= 0 ? kept : [...kept.slice(start), ...kept.slice(0, start)];
}

function cutAtAxis(s: Stroke): Stroke[] {
  const cuts = s.bulge === 0 ? straightCuts(s) : arcCuts(s);
  const ends = [0, ...cuts.filter((t) => t > 1e-9 && t < 1 - 1e-9).sort((a, b) => a - b), 1];
  return ends.slice(1).map((t1, i) => {
    const t0 = ends[i] ?? 0;
    const [x0, y0] = pointOn(s, t0);
    const [x1, y1] = pointOn(s, t1);
    const snap = (y: number) => (Math.abs(y) < 1e-7 ? 0 : y);
    return { x0, y0: snap(y0), x1, y1: snap(y1), bulge: Math.tan((t1 - t0) * Math.atan(s.bulge)) };
  });
}

const straightCuts = ({ y0, y1 }: Stroke): number[] => (y0 * y1 < 0 ? [y0 / (y0 - y1)] : []);

/** Where an arc crosses y = 0, by halving between points of different sides. */
function arcCuts(s: Stroke): number[] {
  const steps = 24;
  const cuts: number[] = [];
  const y = (t: number) => pointOn(s, t)[1];
  for (let i = 0; i < steps; i++) {
    let [a, b] = [i / steps, (i + 1) / steps];
    if (y(a) === 0) cuts.push(a);
    if (y(a) * y(b) >= 0) continue;
    for (let k = 0; k < 60; k++) {
      const middle = (a + b) / 2;
      if (y(a) * y(middle) <= 0) b = middle;
      else a = middle;
    }
    cuts.push((a + b) / 2);
  }
  return cuts;
}

/** A closed line with one straight edge as long as itself along a side of its box: that is the axis. */
function closedHalf(line: DrawnLine): Half | null {
  if (!line.closed) return null;
  const box = boxOf(line.strokes);
  const edge = line.strokes.find((s) => s.bulge === 0 && isSide(s, box));
  if (!edge) return null;
  const standing = Math.abs(edge.y1 - edge.y0) > Math.abs(edge.x1 - edge.x0);
  const angle = standing ? Math.PI / 2 : 0;
  const strokes = laid(line.strokes, edge.x0, edge.y0, angle).filter(
    (s) => !(s.bulge === 0 && Math.abs(s.y0) < 1e-6 && Math.abs(s.y1) < 1e-6),
  );
  const below = strokes.some((s) => pointOn(s, 0.5)[1] < -1e-6);
  const up = below ? strokes.map((s) => ({ ...s, y0: -s.y0, y1: -s.y1, bulge: -s.bulge })) : strokes;
  return { strokes: upperHalf(up, true), readAs: 'a half profile closed along its axis' };
}

function isSide(s: Stroke, box: Box): boolean {
  const [wide, high] = [box.right - box.left, box.high - box.low];
  const flat = Math.abs(s.y1 - s.y0) < 1e-6 && Math.abs(s.x1 - s.x0) > 0.98 * wide;
  const up = Math.abs(s.x1 - s.x0) < 1e-6 && Math.abs(s.y1 - s.y0) > 0.98 * high;
  const on = (v: number, a: number, b: number) => Math.min(Math.abs(v - a), Math.abs(v - b)) < 1e-6;
  return (flat && on(s.y0, box.low, box.high)) || (up && on(s.x0, box.left, box.right));
}

/** An open line that begins and ends at the same lowest (or leftmost) level: there is the axis. */
function openHalf(line: DrawnLine): Half | null {
  const [first, last] = [line.strokes[0], line.strokes.at(-1)];
  if (!first || !last) return null;
  const box = boxOf(line.strokes);
  const ends = { x0: first.x0, y0: first.y0, x1: last.x1, y1: last.y1 };
  for (const { angle, a, b, low, high } of [
    { angle: 0, a: ends.y0, b: ends.y1, low: box.low, high: box.high },
    { angle: Math.PI / 2, a: -ends.x0, b: -ends.x1, low: -box.right, high: -box.left },
  ]) {
    if (Math.abs(a - b) > ALIKE) continue;
    const strokes = laid(line.strokes, ends.x0, ends.y0, angle);
    if (Math.abs(a - low) < ALIKE)
      return { strokes: upperHalf(strokes, false), readAs: 'a half profile that ends on its axis' };
    if (Math.abs(a - high) < ALIKE)
      return {
        strokes: upperHalf(
          strokes.map((s) => ({ ...s, y0: -s.y0, y1: -s.y1, bulge: -s.bulge })),
          false,
        ),
        readAs: 'a half profile that ends on its axis',
      };
  }
  return null;
}

/** Strokes as segments from x = 0, faces at both ends taken as the start and the end diameter. */
function inOrder(strokes: readonly Stroke[]): { segments: Segment[]; startDiameter: number } {
  const [first, last] = [strokes[0], strokes.at(-1)];
  if (!first || !last) throw new FileProblem('The profile has no line above its axis.');
  const run = first.x0 <= last.x1 ? [...strokes] : backwards(strokes);
  const isFace = (s: Stroke) => s.bulge === 0 && Math.abs(s.x1 - s.x0) < 1e-6;
  while (run.length > 1 && run[0] && isFace(run[0]) && run[0].y0 < 1e-6) run.shift();
  while (run.length > 1 && isFace(run.at(-1) ?? first) && (run.at(-1)?.y1 ?? 1) < 1e-6) run.pop();
  const origin = run[0]?.x0 ?? 0;
  const segments = run.map((s, i) => {
    if (s.x1 < s.x0 - 1e-6 || overhangs(s))
      throw new FileProblem(
        `The line turns back ${(s.x0 - origin).toFixed(2)} mm from its beginning. A turned profile only goes on; take undercuts out of it.`,
        `Piece ${i + 1}`,
      );
    return {
      elementId: `e${i + 1}`,
      x0: s.x0 - origin,
      r0: s.y0,
      x1: s.x1 - origin,
      r1: s.y1,
      bulge: s.bulge,
    };
  });
  return { segments, startDiameter: 2 * (segments[0]?.r0 ?? 0) };
}

/** An arc that bulges past its ends goes back on itself. */
function overhangs(s: Stroke): boolean {
  if (s.bulge === 0) return false;
  const xs = pointsOn(s, 32).map(([x]) => x);
  return xs.some((x, i) => i > 0 && x < (xs[i - 1] ?? x) - 1e-4);
}
