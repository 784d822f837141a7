import { dice } from './dice.js';

// taken once: where they are asked for by name each time, drawing takes several times as long
const { abs, acos, ceil, cos, floor, hypot, max, sin, sqrt, PI } = Math;

/**
 * The growth rings of a piece as they lie round its axis: the pith of the tree lies beside the piece, and every
 * ring is a round about it. mm, radians
 */
export interface Rings {
  /** from the axis to the pith */
  pith: number;
  /** where the pith lies, behind the work: 0 is straight behind, below it at π/2 */
  turned: number;
  /** from one ring to the next */
  pitch: number;
  /** how much each ring is off its place, in parts of the pitch; as many as are drawn again and again */
  off: readonly number[];
  /** rings run out along the piece: mm on each mm */
  lean: number;
  /** and are never quite straight */
  wave: { height: number; length: number; phase: number };
}

/** Rings of one piece, drawn by its name: no two pieces of a batch have the same. */
export function ringsOf(seed: string, largestRadius: number): Rings {
  const roll = dice(seed);
  const between = (least: number, most: number) => least + (most - least) * roll();
  const pitch = largestRadius / between(4, 7);
  return {
    pith: largestRadius * between(2.2, 4.5),
    // so that the crowns of the ovals lie where they are seen
    turned: -between(0.4, 0.95),
    pitch,
    off: Array.from({ length: 13 }, () => between(-0.28, 0.28)),
    lean: between(-0.02, 0.02),
    wave: { height: pitch * between(0.1, 0.35), length: between(50, 130), phase: between(0, 2 * PI) },
  };
}

/** How thick the work is at a place. mm */
export interface Place {
  x: number;
  r: number;
}

export type Line = [x: number, y: number][];

/**
 * The rings as the surface cuts them, seen from the front above the axis. A ring of radius d about a pith at
 * distance P meets a round of radius r where d² = r² + P² + 2 P r cos(t + φ) (law of cosines, t counted from the
 * front up): on a straight that is a line along the axis, on a crown it closes to an oval.
 * @returns lines of x along the piece and y above the axis, mm
 */
export function ringLines(profile: readonly Place[], rings: Rings): Line[] {
  const { pith, pitch } = rings;
  const most = max(0, ...profile.map((p) => p.r));
  const lines: Line[] = [];
  const [first, last] = [floor((pith - most) / pitch), ceil((pith + most) / pitch) + 1];
  for (let k = first; k <= last; k++)
    for (const side of [1, -1] as const) lines.push(...oneRing(profile, rings, k, side));
  return lines;
}

function oneRing(profile: readonly Place[], rings: Rings, k: number, side: 1 | -1): Line[] {
  const { pith, turned } = rings;
  const lines: Line[] = [];
  let line: Line = [];
  let before: { x: number; r: number; c: number } | null = null;
  const end = () => {
    if (line.length > 1) lines.push(line);
    line = [];
  };
  for (const { x, r } of profile) {
    const d = distanceOf(rings, k, x);
    const c = r > 0 ? (d * d - r * r - pith * pith) / (2 * pith * r) : 2;
    // where it comes to or leaves the surface both of its sides meet: the oval is closed
    if (before && before.c > 1 !== c > 1) {
      const share = (1 - before.c) / (c - before.c);
      const at = { x: before.x + share * (x - before.x), r: before.r + share * (r - before.r) };
      const y = at.r * sin(-turned);
      if (-turned >= 0 && -turned <= PI / 2) line.push([at.x, y]);
    }
    before = { x, r, c };
    const t = abs(c) > 1 ? NaN : side * acos(c) - turned;
    if (t >= 0 && t <= PI / 2) line.push([x, r * sin(t)]);
    else end();
  }
  end();
  return lines;
}

/** Radius of a ring at a place, mm. */
function distanceOf({ pitch, off, lean, wave }: Rings, k: number, x: number): number {
  const own = off[((k % off.length) + off.length) % off.length] ?? 0;
  return (k + own) * pitch + lean * x + wave.height * sin((2 * PI * x) / wave.length + wave.phase);
}

/**
 * Rings in a plane along the axis, `front` of it: above the axis up to `high`, below it down to `low` (below 0). The plane
 * cuts them at d² = (y − P sin φ)² + (front + P cos φ)². mm
 * @returns lines of x along the piece and y above the axis, mm
 */
export function planeLines(
  places: readonly number[],
  { front, low, high }: { front: number; low: number; high: number },
  rings: Rings,
): Line[] {
  const { pith, pitch, turned } = rings;
  const [up, back] = [pith * sin(turned), front + pith * cos(turned)];
  const [first, last] = [floor(back / pitch), ceil(hypot(max(high, -low) + pith, back) / pitch)];
  const lines: Line[] = [];
  for (let k = first; k <= last; k++)
    for (const side of [1, -1] as const) {
      const line: Line = places.flatMap((x): Line => {
        const d = distanceOf(rings, k, x);
        const y = d <= back ? NaN : up + side * sqrt(d * d - back * back);
        return y > low && y < high ? [[x, y]] : [];
      });
      if (line.length > 1) lines.push(line);
    }
  return lines;
}
