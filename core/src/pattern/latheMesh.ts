import { chordPoints } from './arc.js';
import { boreAt, holeBoundary } from './hole.js';
import type { Outline } from './outline.js';
import type { Hole } from './pattern.js';
import { ownSegments } from './radius.js';

/** Triangles of a turned part: x y z of each vertex (axis along x), three indices a triangle. mm. */
export interface Mesh {
  positions: Float32Array;
  indices: Uint32Array;
}

/** A ring of the mesh: radius about the axis, clipped by a square of half side `flats` where there is one. */
interface Ring {
  x: number;
  r: number;
  flats?: number;
}

const LEAST_SIDES = 24;
const MOST_SIDES = 2048;

/**
 * Closed surface of a part less its axial holes: the loop round its half section revolved, chords
 * within `chordError` mm of the true surface. Every edge belongs to two triangles. Cross holes are not
 * cut. Squares left in the blank keep their corners.
 */
export function latheMesh(outline: Outline, holes: readonly Hole[], chordError: number): Mesh {
  const loop = [...outside(outline, chordError), ...inside(outline, holes)];
  const largest = Math.max(1, ...loop.map((p) => p.r));
  const each = 2 * Math.acos(Math.max(0, 1 - chordError / largest));
  // a multiple of eight, so that the corners of a square lie on vertices
  const sides = Math.min(MOST_SIDES, Math.max(LEAST_SIDES, Math.ceil(Math.PI / 4 / each) * 8));
  return revolved(loop, sides);
}

function outside(outline: Outline, chordError: number): Ring[] {
  const squares = outline.squares ?? [];
  const rings: Ring[] = [];
  const add = (ring: Ring) => {
    const last = rings.at(-1);
    if (!last || Math.hypot(last.x - ring.x, last.r - ring.r) > 1e-7) rings.push(ring);
  };
  const first = outline.segments[0];
  for (const span of outline.spans) {
    const square = squares.find((s) => s.elementId === span.element.id);
    const own = ownSegments(outline, span.element.id);
    const feet = square ? own.filter((s) => !(s.bulge === 0 && s.x1 > s.x0)) : own;
    const before = square
      ? feet.filter((s) => s.x0 < (square.corners[0]?.x0 ?? 0) + 1e-9 && s.r1 > s.r0)
      : own;
    if (span === outline.spans[0] && first && !square) add({ x: first.x0, r: first.r0 });
    for (const s of before) chordPoints(s, chordError).forEach(add);
    if (!square) continue;
    const flats = square.side / 2;
    for (const corner of square.corners) {
      add({ x: corner.x0, r: corner.r0, flats });
      chordPoints(corner, chordError).forEach((p) => add({ x: p.x, r: p.r, flats }));
    }
    feet.filter((s) => !before.includes(s)).forEach((s) => chordPoints(s, chordError).forEach(add));
  }
  return rings;
}

/** Back along the bores from the far end to the reference end; on the axis where nothing is bored. */
function inside(outline: Outline, holes: readonly Hole[]): Ring[] {
  const places = new Set([0, outline.length]);
  for (const hole of holes)
    for (const s of holeBoundary(hole, outline.length)) {
      places.add(Math.min(outline.length, Math.max(0, s.x0)));
      places.add(Math.min(outline.length, Math.max(0, s.x1)));
    }
  const sorted = [...places].sort((a, b) => b - a);
  const beside = 1e-9;
  const rings: Ring[] = [];
  for (const x of sorted)
    for (const at of [x + beside, x - beside]) {
      if (at < 0 || at > outline.length) continue;
      const r = boreAt(holes, outline, at);
      const last = rings.at(-1);
      if (!last || Math.hypot(last.x - x, last.r - r) > 1e-6) rings.push({ x, r: r < 1e-7 ? 0 : r });
    }
  return rings;
}

function revolved(loop: readonly Ring[], sides: number): Mesh {
  const positions: number[] = [];
  // a ring on the axis is one vertex
  const starts = loop.map((ring) => {
    const start = positions.length / 3;
    if (ring.r === 0) positions.push(ring.x, 0, 0);
    else
      for (let k = 0; k < sides; k++) {
        const angle = (2 * Math.PI * k) / sides;
        const [c, s] = [Math.cos(angle), Math.sin(angle)];
        const clip = ring.flats === undefined ? Infinity : ring.flats / Math.max(Math.abs(c), Math.abs(s));
        const r = Math.min(ring.r, clip);
        positions.push(ring.x, r * c, r * s);
      }
    return start;
  });
  const indices: number[] = [];
  loop.forEach((ring, i) => {
    const j = (i + 1) % loop.length;
    const next = loop[j];
    const [a = 0, b = 0] = [starts[i], starts[j]];
    if (!next || (ring.r === 0 && next.r === 0)) return;
    for (let k = 0; k < sides; k++) {
      const m = (k + 1) % sides;
      if (ring.r === 0) indices.push(a, b + m, b + k);
      else if (next.r === 0) indices.push(a + k, a + m, b);
      else indices.push(a + k, a + m, b + k, a + m, b + m, b + k);
    }
  });
  return { positions: new Float32Array(positions), indices: new Uint32Array(indices) };
}
