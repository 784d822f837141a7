import { isDay } from '../../measure/index.js';
import { equilibriumMoisture } from '../../material/index.js';
import type { Air } from '../../workshop/index.js';
import { leastSquares } from './oval.js';

/** One weighing of a piece or bundle. */
export interface Weighing {
  /** `2026-03-02` */
  day: string;
  grams: number;
}

export interface DryingInput {
  weighings: Weighing[];
  /** measured at the first weighing, %; null when nobody measured */
  startMoisture: number | null;
  air: Air;
  /** moisture at which it may be turned, % */
  target: number;
}

/** What the weights say. Days count from the first weighing. */
export interface DryingForecast {
  /** weight without water, g */
  dryWeight: number;
  /** moisture that the air leaves, % */
  equilibrium: number;
  /** days after which 1/e of what will go is still there */
  timeConstant: number;
  /** moisture at the last weighing by the curve, % */
  moisture: number;
  /** how fast it loses moisture then, % a day */
  loss: number;
  /** moisture by the curve at the first weighing, % */
  start: number;
  ready: ReadyDay | null;
  /** how the dry weight is known */
  by: string;
}

/** Days from the first weighing until the target, with where it may lie (about 19 in 20). */
interface ReadyDay {
  days: number;
  earliest: number;
  latest: number | null;
}

export type DryingRead = { ok: true; forecast: DryingForecast } | { ok: false; why: string };

const DAY = 86_400_000;

/** Days between two days. */
export const daysBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / DAY;

export const dayAfter = (from: string, days: number): string =>
  new Date(Date.parse(from) + days * DAY).toISOString().slice(0, 10);

/** A scale is trusted to this much of the weight, or to a gram. */
const SCALE = 0.002;

/** More than this above the weighing before is not the scale: something got wet, or it is another piece. */
const RISE = 0.01;

/** Sentences for weighings that cannot be of drying wood. */
export function weighingProblems(weighings: readonly Weighing[]): { field: string; why: string }[] {
  return weighings.flatMap((w, i) => {
    const before = weighings[i - 1];
    const field = `weighings.${i}.grams`;
    if (!isDay(w.day))
      return [{ field: `weighings.${i}.day`, why: `“${w.day}” is no day. Give it like 2026-02-14.` }];
    if (!before) return [];
    if (w.day <= before.day)
      return [
        {
          field: `weighings.${i}.day`,
          why: `${w.day} does not come after ${before.day}. Enter weighings in order, one a day.`,
        },
      ];
    if (w.grams > before.grams * (1 + RISE))
      return [
        {
          field,
          why: `${w.grams} g on ${w.day} is more than ${before.grams} g on ${before.day}. Drying wood gets lighter: weigh again, or begin a new bundle if it got wet or pieces were added.`,
        },
      ];
    return [];
  });
}

interface Curve {
  end: number;
  amplitude: number;
  error: number;
}

/**
 * Fits first-order drying, W(t) = W∞ + A e^(−t/τ), to weighings by least squares: for each τ the rest is
 * linear, τ is found by search on its logarithm. With the moisture at the start measured, the dry
 * weight and so W∞ (from the air's equilibrium moisture) are known and only A and τ are fitted;
 * otherwise W∞ is fitted too and taken as the equilibrium. The range of the day comes from the range
 * of τ whose error is not significantly larger (profile likelihood, four variances).
 */
export function dryingForecast({ weighings, startMoisture, air, target }: DryingInput): DryingRead {
  const first = weighings[0];
  const last = weighings[weighings.length - 1];
  const need = startMoisture === null ? 4 : 2;
  if (!first || !last || weighings.length < need)
    return {
      ok: false,
      why:
        startMoisture === null
          ? `Four weighings make a curve when the moisture at the start is not known; there ${weighings.length === 1 ? 'is one' : `are ${weighings.length}`}.`
          : 'Two weighings make a curve. Weigh it again in a few days.',
    };
  const equilibrium = equilibriumMoisture(air.temperature, air.humidity);
  const points = weighings.map((w) => ({ t: daysBetween(first.day, w.day), w: w.grams }));
  const end =
    startMoisture === null ? null : (first.grams / (1 + startMoisture / 100)) * (1 + equilibrium / 100);
  const fit = (logTau: number) => curveOf(points, Math.exp(logTau), end);
  const best = leastOver(fit);
  const curve = fit(best);
  if (!curve || curve.amplitude <= 0)
    return {
      ok: false,
      why: 'The weights do not fall, so there is no drying to follow. It may be as dry as this air makes it.',
    };
  const free = points.length - (end === null ? 3 : 2);
  const scale = Math.max(1, SCALE * first.grams);
  const variance = Math.max(scale * scale, free > 0 ? curve.error / free : 0);
  const within = rangeOver(fit, best, curve.error + 4 * variance);
  const tau = Math.exp(best);
  const days = daysBetween(first.day, last.day);
  const dryWeight = curve.end / (1 + equilibrium / 100);
  const moistureAt = (t: number) =>
    ((curve.end + curve.amplitude * Math.exp(-t / tau)) / dryWeight - 1) * 100;
  const moisture = moistureAt(days);
  return {
    ok: true,
    forecast: {
      dryWeight,
      equilibrium,
      timeConstant: tau,
      moisture,
      loss: (moisture - equilibrium) / tau,
      start: moistureAt(0),
      ready: readyOf(fit, best, within, equilibrium, target),
      by:
        end === null
          ? 'the curve’s end and the moisture this air leaves'
          : 'the moisture measured at the start',
    },
  };
}

/** Moisture by a forecast, so many days after the first weighing, %. */
export const moistureOn = (f: DryingForecast, days: number): number =>
  f.equilibrium + (f.start - f.equilibrium) * Math.exp(-days / f.timeConstant);

function curveOf(points: readonly { t: number; w: number }[], tau: number, end: number | null): Curve | null {
  const fading = points.map((p) => Math.exp(-p.t / tau));
  if (end !== null) {
    const amplitude =
      points.reduce((s, p, i) => s + (p.w - end) * (fading[i] ?? 0), 0) /
      fading.reduce((s, f) => s + f * f, 0);
    return { end, amplitude, error: errorOf(points, fading, end, amplitude) };
  }
  const solved = leastSquares(points.map((p, i) => ({ f: [1, fading[i] ?? 0], y: p.w })));
  if (!solved) return null;
  const [fitted = 0, amplitude = 0] = solved;
  return fitted <= 0 ? null : { end: fitted, amplitude, error: errorOf(points, fading, fitted, amplitude) };
}

const errorOf = (
  points: readonly { w: number }[],
  fading: readonly number[],
  end: number,
  a: number,
): number => points.reduce((s, p, i) => s + (p.w - end - a * (fading[i] ?? 0)) ** 2, 0);

/** Time constants that are looked at: half a day to five years. */
const LOG_FROM = Math.log(0.5);
const LOG_TO = Math.log(1800);
const STEPS = 160;

type Fit = (logTau: number) => Curve | null;

/** The best logarithm of the time constant: a grid, then golden section round its best place. */
function leastOver(fit: Fit): number {
  const error = (x: number) => fit(x)?.error ?? Infinity;
  const step = (LOG_TO - LOG_FROM) / STEPS;
  let best = LOG_FROM;
  for (let i = 1; i <= STEPS; i++) if (error(LOG_FROM + i * step) < error(best)) best = LOG_FROM + i * step;
  let [low, high] = [Math.max(LOG_FROM, best - step), Math.min(LOG_TO, best + step)];
  const golden = (Math.sqrt(5) - 1) / 2;
  while (high - low > 1e-7) {
    const a = high - golden * (high - low);
    const b = low + golden * (high - low);
    if (error(a) < error(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** Where the error stays below a limit on both sides of the best place. */
function rangeOver(fit: Fit, best: number, limit: number): { low: number; high: number | null } {
  const step = (LOG_TO - LOG_FROM) / STEPS;
  const below = (x: number) => (fit(x)?.error ?? Infinity) <= limit;
  const edge = (direction: 1 | -1): number | null => {
    let inside = best;
    while (below(inside + direction * step)) {
      inside += direction * step;
      if (inside < LOG_FROM || inside > LOG_TO) return null;
    }
    let outside = inside + direction * step;
    for (let i = 0; i < 30; i++) {
      const middle = (inside + outside) / 2;
      if (below(middle)) inside = middle;
      else outside = middle;
    }
    return outside;
  };
  return { low: edge(-1) ?? LOG_FROM, high: edge(1) };
}

function readyOf(
  fit: Fit,
  best: number,
  range: { low: number; high: number | null },
  equilibrium: number,
  target: number,
): ReadyDay | null {
  const at = (logTau: number): number | null => {
    const curve = fit(logTau);
    if (!curve || target <= equilibrium) return null;
    const wanted = (curve.end / (1 + equilibrium / 100)) * (1 + target / 100) - curve.end;
    return Math.max(0, -Math.exp(logTau) * Math.log(wanted / curve.amplitude));
  };
  const days = at(best);
  if (days === null) return null;
  const other = [at(range.low), range.high === null ? null : at(range.high)];
  const known = [days, ...other.filter((d) => d !== null)];
  return {
    days,
    earliest: Math.min(...known),
    latest: range.high === null ? null : Math.max(...known),
  };
}
