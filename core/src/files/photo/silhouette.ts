import type { SamplePoint } from '../../pattern/index.js';
import { FileProblem } from '../fileProblem.js';
import { parted, type Apartness } from './apart.js';
import { groundOf, type Ground } from './ground.js';
import { largestPatch, type Patch } from './largest.js';
import { shrunk, type Picture, type SmallPicture } from './picture.js';

/** Two points of the picture a known distance apart, pixels and mm. */
export interface ScaleMarks {
  a: { x: number; y: number };
  b: { x: number; y: number };
  distance: number;
}

export interface SilhouetteWish {
  picture: Picture;
  marks: ScaleMarks;
  /** above 1 takes in less of what is doubtful, below 1 more */
  strictness: number;
  onProgress?: (share: number, doing: string) => void;
}

/** The silhouette of a sample: both edges along its axis in mm, and the axis in the picture. */
export interface Silhouette {
  points: SamplePoint[];
  mmPerPixel: number;
  axis: { x0: number; y0: number; x1: number; y1: number };
  /** lean of the axis against the picture, degrees */
  tilt: number;
}

/** A straight line in the large picture: a point and a unit direction, pixels. */
interface Line {
  x: number;
  y: number;
  ux: number;
  uy: number;
}

/** Most places measured along the sample. */
const PLACES = 2400;
const FEWEST_PIXELS = 60;

/**
 * Finds a sample on a plain ground and measures both its edges square to its axis: the light of the
 * ground is evened out, the sample parted from it by colour (so that its shadow stays behind), its axis
 * taken from the middle between the edges, and each edge read where the colour is half-way between
 * inside and outside. Throws a FileProblem when there is no sample or no scale.
 */
export function silhouetteOf(wish: SilhouetteWish): Silhouette {
  const { picture, marks, strictness, onProgress = () => undefined } = wish;
  const mmPerPixel = scaleOf(marks);
  onProgress(0.05, 'looking at the ground');
  const small = shrunk(picture);
  const ground = groundOf(small);
  onProgress(0.35, 'parting the sample from it');
  const { apart, values, threshold } = parted(small, ground);
  const patch = largestPatch(values, small.width, small.height, threshold * strictness);
  if (!patch || patch.count < FEWEST_PIXELS)
    throw new FileProblem(
      'No sample stands out from the ground. Lay it on a plain sheet of another colour, in even light.',
    );
  onProgress(0.6, 'finding its axis');
  const reader = readerOf(picture, small, ground, apart);
  let line = lineOf(patch, small.block);
  // the middle between the edges is the true axis: measured once coarsely, laid anew, measured again
  for (const places of [160, 400]) line = relaid(line, edgesAlong(reader, patch, small, line, places));
  onProgress(0.75, 'measuring its edges');
  const edges = edgesAlong(reader, patch, small, line, PLACES);
  onProgress(1, 'done');
  const ends: [number, number] = [
    endBeyond(reader, line, edges[0]?.s ?? 0, -1, small.block),
    endBeyond(reader, line, edges.at(-1)?.s ?? 0, 1, small.block),
  ];
  return resultOf(edges, ends, line, mmPerPixel);
}

function scaleOf({ a, b, distance }: ScaleMarks): number {
  const pixels = Math.hypot(b.x - a.x, b.y - a.y);
  if (pixels < 20)
    throw new FileProblem(
      'The two marks lie on the same spot. Mark two points far apart, such as the ends of a ruler.',
    );
  if (!(distance > 0)) throw new FileProblem('Give the distance between the two marks.');
  return distance / pixels;
}

const lineOf = ({ x, y, ux, uy }: Patch, block: number): Line => {
  // the reference end lies to the left, or at the top
  const flip = Math.abs(ux) >= Math.abs(uy) ? ux < 0 : uy < 0;
  return { x: x * block, y: y * block, ux: flip ? -ux : ux, uy: flip ? -uy : uy };
};

/** Both edges at a place along the line, pixels: `up` to the left of its direction. */
interface Edges {
  s: number;
  up: number;
  down: number;
}

/** Reads how far the picture stands apart from the ground at a point of the large picture. */
type Reader = (x: number, y: number) => number;

function readerOf(picture: Picture, small: SmallPicture, ground: Ground, apart: Apartness): Reader {
  const { data, width, height } = picture;
  return (px, py) => {
    const x = Math.min(width - 2, Math.max(0, px - 0.5));
    const y = Math.min(height - 2, Math.max(0, py - 0.5));
    const i = Math.floor(x);
    const j = Math.floor(y);
    const u = x - i;
    const v = y - j;
    const at = 4 * (j * width + i);
    const below = at + 4 * width;
    const mix = (c: number) =>
      (1 - v) * ((1 - u) * (data[at + c] ?? 0) + u * (data[at + 4 + c] ?? 0)) +
      v * ((1 - u) * (data[below + c] ?? 0) + u * (data[below + 4 + c] ?? 0));
    const column = Math.min(small.width - 1, Math.floor(i / small.block));
    const g = Math.min(small.height - 1, Math.floor(j / small.block)) * small.width + column;
    return apart(mix(0), mix(1), mix(2), ground.red[g] ?? 0, ground.green[g] ?? 0, ground.blue[g] ?? 0);
  };
}

function edgesAlong(reader: Reader, patch: Patch, small: SmallPicture, line: Line, places: number): Edges[] {
  const { from, to } = extentOf(patch, small, line);
  const step = Math.max(1, (to - from) / places);
  const edges: Edges[] = [];
  for (let s = from + step / 2; s < to; s += step) {
    const coarse = coarseEdges(patch, small, line, s);
    if (!coarse) continue;
    const up = fineEdge(reader, line, s, coarse.up, 1, small.block);
    const down = fineEdge(reader, line, s, coarse.down, -1, small.block);
    if (up !== null && down !== null && up + down > 0) edges.push({ s, up, down });
  }
  return edges;
}

/** How far the patch reaches along the line, pixels of the large picture. */
function extentOf(patch: Patch, small: SmallPicture, line: Line): { from: number; to: number } {
  let [from, to] = [Infinity, -Infinity];
  for (let y = 0, i = 0; y < small.height; y++)
    for (let x = 0; x < small.width; x++, i++) {
      if (!patch.inside[i]) continue;
      const s = ((x + 0.5) * small.block - line.x) * line.ux + ((y + 0.5) * small.block - line.y) * line.uy;
      from = Math.min(from, s);
      to = Math.max(to, s);
    }
  return { from: from - small.block, to: to + small.block };
}

/** Where the patch begins and ends across the line at s: distances to both sides. */
function coarseEdges(patch: Patch, { width, height, block }: SmallPicture, line: Line, s: number) {
  const reach = Math.hypot(width, height) * block;
  const inside = (n: number) => {
    const x = Math.floor((line.x + s * line.ux + n * line.uy) / block);
    const y = Math.floor((line.y + s * line.uy - n * line.ux) / block);
    return x >= 0 && y >= 0 && x < width && y < height && patch.inside[y * width + x] === 1;
  };
  let [up, down] = [-Infinity, -Infinity];
  for (let n = 0; n < reach / 2; n += block / 2) {
    if (inside(n)) up = n;
    if (inside(-n)) down = n;
  }
  return up === -Infinity && down === -Infinity ? null : { up: Math.max(0, up), down: Math.max(0, down) };
}

/**
 * Edge to a part of a pixel: along the normal the apartness falls from its level inside to that of the
 * ground; the edge is where it is half-way, three neighbouring lines taken together against noise.
 */
function fineEdge(
  reader: Reader,
  line: Line,
  s: number,
  coarse: number,
  side: 1 | -1,
  block: number,
): number | null {
  const half = Math.max(6, 3 * block);
  const count = 2 * half + 1;
  const values = Array.from({ length: count }, (_, i) => {
    const n = side * (coarse - half + i);
    const along = [-1, 0, 1].map((k) =>
      reader(line.x + (s + k) * line.ux + n * line.uy, line.y + (s + k) * line.uy - n * line.ux),
    );
    return along.reduce((sum, v) => sum + v, 0) / 3;
  });
  const third = Math.floor(half / 2);
  const mean = (part: number[]) => part.reduce((sum, v) => sum + v, 0) / Math.max(1, part.length);
  const inner = mean(values.slice(0, third));
  const outer = mean(values.slice(-third));
  if (inner <= outer * 1.2) return null;
  const level = (inner + outer) / 2;
  // from outside inwards, the first fall below the level that does not come back
  for (let i = count - 2; i >= 0; i--) {
    const [a, b] = [values[i] ?? 0, values[i + 1] ?? 0];
    if (a < level || (values[i - 1] ?? a) < level) continue;
    return coarse - half + i + (a - level) / Math.max(1e-9, a - b);
  }
  return null;
}

/** The line laid through the middle between the edges, by least squares over the places along it. */
function relaid(line: Line, edges: readonly Edges[]): Line {
  if (edges.length < 10) return line;
  const n = edges.length;
  const meanS = edges.reduce((sum, e) => sum + e.s, 0) / n;
  const middle = (e: Edges) => (e.up - e.down) / 2;
  const meanM = edges.reduce((sum, e) => sum + middle(e), 0) / n;
  const square = edges.reduce((sum, e) => sum + (e.s - meanS) ** 2, 0);
  const slope = edges.reduce((sum, e) => sum + (e.s - meanS) * (middle(e) - meanM), 0) / square;
  const [nx, ny] = [line.uy, -line.ux];
  const norm = Math.hypot(1, slope);
  return {
    x: line.x + meanS * line.ux + meanM * nx,
    y: line.y + meanS * line.uy + meanM * ny,
    ux: (line.ux + slope * nx) / norm,
    uy: (line.uy + slope * ny) / norm,
  };
}

/** Where the sample ends along its axis, beyond the outermost place that was measured. */
function endBeyond(reader: Reader, line: Line, s: number, side: 1 | -1, block: number): number {
  const half = Math.max(6, 3 * block);
  const values = Array.from({ length: 2 * half + 1 }, (_, i) => {
    const at = s + side * (i - half);
    return reader(line.x + at * line.ux, line.y + at * line.uy);
  });
  const level = ((values[0] ?? 0) + (values.at(-1) ?? 0)) / 2;
  for (let i = values.length - 2; i >= 0; i--) {
    const [a, b] = [values[i] ?? 0, values[i + 1] ?? 0];
    if (a >= level && b < level) return s + side * (i - half + (a - level) / (a - b));
  }
  return s;
}

function resultOf(
  edges: readonly Edges[],
  [from, to]: [number, number],
  line: Line,
  mmPerPixel: number,
): Silhouette {
  const [first, last] = [edges[0], edges.at(-1)];
  if (!first || !last || edges.length < 10)
    throw new FileProblem(
      'The edges of the sample are too faint to be measured. Use more even light and a plainer ground.',
    );
  const spot = (s: number) => ({ x: line.x + s * line.ux, y: line.y + s * line.uy });
  const [start, end] = [spot(from), spot(to)];
  const inside = edges.filter(({ s }) => s > from && s < to);
  const all = [{ ...first, s: from }, ...inside, { ...last, s: to }];
  return {
    points: all.map(({ s, up, down }) => ({
      x: (s - from) * mmPerPixel,
      up: up * mmPerPixel,
      down: down * mmPerPixel,
    })),
    mmPerPixel,
    axis: { x0: start.x, y0: start.y, x1: end.x, y1: end.y },
    tilt: (Math.atan2(line.uy, line.ux) * 180) / Math.PI,
  };
}
