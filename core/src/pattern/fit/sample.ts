/**
 * A measured place of a sample: its radius on two opposite sides of the axis, mm. Measured by calliper
 * both are half the diameter.
 */
export interface SamplePoint {
  x: number;
  up: number;
  down: number;
}

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

/** Points in order of x, those at one x taken together. */
export function inOrder(points: readonly SamplePoint[]): SamplePoint[] {
  const sorted = [...points].sort((a, b) => a.x - b.x);
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
}

export const pointsOf = ({ x, up, down }: Trace): SamplePoint[] =>
  x.map((at, i) => ({ x: at, up: up[i] ?? 0, down: down[i] ?? 0 }));

/** Points as a trace, thinned to so many evenly and rounded to a micrometre. */
export function traceOf(points: readonly SamplePoint[], most = 5000): Trace {
  const every = Math.max(1, Math.ceil(points.length / most));
  const kept = points.filter((_, i) => i % every === 0 || i === points.length - 1);
  const list = (key: keyof SamplePoint) => kept.map((p) => Math.round(p[key] * 1000) / 1000);
  return { x: list('x'), up: list('up'), down: list('down') };
}
