/**
 * A measured place of a sample: its radius on two opposite sides of the axis, mm. Measured by calliper
 * both are half the diameter.
 */
export interface SamplePoint {
  x: number;
  up: number;
  down: number;
  /** what was seen there */
  is?: Feature | undefined;
}

/** What a station is, and how that is said. */
export const FEATURES = {
  edge: 'edge',
  crown: 'crown of a bead',
  bottom: 'bottom of a cove',
  groove: 'bottom of a V groove',
} as const;
export type Feature = keyof typeof FEATURES;

/** How a sample was measured. */
export const SAMPLED_BY = ['stations', 'trace', 'photo'] as const;
export type SampledBy = (typeof SAMPLED_BY)[number];

/** The limits of what is taken in. */
export const MOST_SAMPLE_POINTS = 20_000;

export const radiusOf = (p: SamplePoint): number => (p.up + p.down) / 2;

/** How far the two sides differ: the axis of the wood is not that of the shape, or it is worn on one side. */
export interface Asymmetry {
  /** root of the mean square of half the difference of the sides, mm */
  typical: number;
  largest: { x: number; off: number };
}

/** The tips are left out: there a line across grazes the edge. */
const TIP_SHARE = 0.02;

/** Half the difference of the two sides, along the sample. mm. */
export function asymmetryOf(points: readonly SamplePoint[]): Asymmetry {
  let squares = 0;
  let largest = { x: points[0]?.x ?? 0, off: 0 };
  const [from, to] = [points[0]?.x ?? 0, points.at(-1)?.x ?? 0];
  const tip = TIP_SHARE * (to - from);
  for (const { x, up, down } of points) {
    if (x < from + tip || x > to - tip) continue;
    const off = (up - down) / 2;
    squares += off * off;
    if (Math.abs(off) > Math.abs(largest.off)) largest = { x, off };
  }
  return { typical: Math.sqrt(squares / Math.max(1, points.length)), largest };
}

/** Points in order of x; those at one x stay in the order in which they were measured. */
export const byPlace = (points: readonly SamplePoint[]): SamplePoint[] =>
  [...points].sort((a, b) => a.x - b.x);

/** Points in order of x, those at one x taken together. */
export function inOrder(points: readonly SamplePoint[]): SamplePoint[] {
  const sorted = byPlace(points);
  const ordered: SamplePoint[] = [];
  for (const p of sorted) {
    const last = ordered.at(-1);
    if (last && p.x - last.x < 1e-9) {
      last.up = (last.up + p.up) / 2;
      last.down = (last.down + p.down) / 2;
    } else ordered.push({ ...p });
  }
  return ordered;
}

/** A sample as it is kept: places along it and the radii on two sides, lists of one length, mm. */
export interface Trace {
  x: number[];
  up: number[];
  down: number[];
  /** what was seen, by the index of the place */
  seen?: { at: number; is: Feature }[];
}

export function pointsOf({ x, up, down, seen = [] }: Trace): SamplePoint[] {
  const points: SamplePoint[] = x.map((at, i) => ({ x: at, up: up[i] ?? 0, down: down[i] ?? 0 }));
  for (const { at, is } of seen) {
    const point = points[at];
    if (point) point.is = is;
  }
  return points;
}

/** Points as a trace, thinned to so many evenly and rounded to a micrometre. */
export function traceOf(points: readonly SamplePoint[], most = 5000): Trace {
  const every = Math.max(1, Math.ceil(points.length / most));
  const kept = points.filter((_, i) => i % every === 0 || i === points.length - 1);
  const list = (key: 'x' | 'up' | 'down') => kept.map((p) => Math.round(p[key] * 1000) / 1000);
  const seen = kept.flatMap(({ is }, at) => (is ? [{ at, is }] : []));
  return { x: list('x'), up: list('up'), down: list('down'), ...(seen.length > 0 ? { seen } : {}) };
}
