import { errorFunction, median } from 'simple-statistics';

/** Whether readings drift from piece to piece. */
export interface Trend {
  /** median change per piece (Theil–Sen slope), mm */
  slope: number;
  /** two-sided significance of the Mann–Kendall test */
  p: number;
  drifts: boolean;
  /** there are enough readings to tell either way */
  told: boolean;
}

/** Below this many readings no trend can be told from chance. */
const LEAST_READINGS = 5;
const SIGNIFICANT = 0.05;

/**
 * Mann–Kendall test for a trend (Mann 1945, Kendall 1975): S counts rising less falling pairs,
 * var S = [n(n−1)(2n+5) − Σ t(t−1)(2t+5)] / 18 over tied groups t, and z = (S ∓ 1)/√var. The size of the
 * drift is the Theil–Sen slope, the median of all pair slopes.
 *
 * @param values readings, mm
 * @param at their places in the order of making
 */
export function trendOf(values: readonly number[], at: readonly number[]): Trend {
  const n = values.length;
  const slopes: number[] = [];
  let s = 0;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const rise = (values[j] ?? 0) - (values[i] ?? 0);
      const run = (at[j] ?? 0) - (at[i] ?? 0);
      if (run === 0) continue;
      s += Math.sign(rise * run);
      slopes.push(rise / run);
    }
  const variance = (n * (n - 1) * (2 * n + 5) - tiedTerm(values)) / 18;
  const z = s === 0 || variance <= 0 ? 0 : (s - Math.sign(s)) / Math.sqrt(variance);
  const p = 2 * (1 - normalBelow(Math.abs(z)));
  return {
    slope: slopes.length === 0 ? 0 : median(slopes),
    p,
    drifts: n >= LEAST_READINGS && p < SIGNIFICANT,
    told: n >= LEAST_READINGS,
  };
}

function tiedTerm(values: readonly number[]): number {
  const groups = new Map<number, number>();
  for (const v of values) groups.set(v, (groups.get(v) ?? 0) + 1);
  return [...groups.values()].reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0);
}

/** Standard normal distribution function, Φ(z) = (1 + erf(z/√2)) / 2. */
const normalBelow = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;
