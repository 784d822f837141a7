import { stretchesOf, type Stretch } from './breaks.js';
import { curveAt, isOn, momentsOf, type Point } from './moments.js';
import { drawnStretches } from './ladder.js';
import { outliersOf, type Outlier } from './noise.js';

/** A line without its slips, the stretches it has, and the slips. */
interface Cleaned {
  points: Point[];
  found: Stretch[];
  outliers: Outlier[];
}

/** So often the stretches are looked for again: leaving a slip out shows others, taking a rim in as well. */
const PASSES = 4;

/** A point within so many times the noise of a curve beside it is no slip. */
const NO_SLIP = 4;

/**
 * Leaves slips out of a sampled line and cuts what stays into stretches. What was taken for a slip and lies on
 * one of the curves that were found beside it is taken in again for good.
 */
export function withoutSlips(all: readonly Point[], noise: number): Cleaned {
  const slips = new Map<Point, Outlier>();
  const sure = new Set<Point>();
  for (const [i, slip] of outliersOf(all, noise)) slips.set(all[i] ?? NOWHERE, slip);
  let points: Point[] = [];
  let found: Stretch[] = [];
  for (let pass = 0; pass < PASSES; pass++) {
    points = all.filter((p) => !slips.has(p));
    found = stretchesOf(points, noise);
    const back = [...slips.keys()].filter((p) => isBeside(points, found, p, NO_SLIP * noise));
    const drawn = drawnStretches(points, found, noise);
    const more = [...slipsBetween(points, found, noise), ...slipsOff(points, drawn, noise)].filter(
      ([p]) => !sure.has(p),
    );
    if (back.length + more.length === 0) break;
    for (const p of back) {
      sure.add(p);
      slips.delete(p);
    }
    for (const [p, slip] of more) slips.set(p, slip);
  }
  return { points, found, outliers: [...slips.values()] };
}

const NOWHERE: Point = { x: 0, r: 0 };

/** Whether a point that was left out lies on the curve before it or on the one after it. */
function isBeside(points: readonly Point[], found: readonly Stretch[], p: Point, within: number): boolean {
  const next = points.findIndex(({ x }) => x > p.x);
  const after = next < 0 ? points.length - 1 : next;
  const beside = found.filter((s) => s.from <= after && s.to >= after);
  return beside.some((s) => s.to - s.from >= ENOUGH && isOn(s.curve, p, within));
}

/** A stretch of so few points, among others, is looked at as a slip; its neighbours have at least so many. */
const FEW = 3;
const ENOUGH = 6;

/** Neighbours that one curve explains to so many times the noise are one. */
const ONE = 1.3;

/**
 * Points that were cut out as stretches of their own although what lies on both sides of them is one curve,
 * or that stand at the very end of the line and no curve explains: slips that came in twos and threes.
 */
function slipsBetween(
  points: readonly Point[],
  stretches: readonly Stretch[],
  noise: number,
): Map<Point, Outlier> {
  const slips = new Map<Point, Outlier>();
  stretches.forEach((stretch, i) => {
    if (stretch.to - stretch.from > FEW) return;
    const [before, after] = [stretches[i - 1], stretches[i + 1]];
    const beside = [before, after].filter((s) => s !== undefined);
    if (beside.some((s) => s.to - s.from < ENOUGH)) return;
    if (before && after && !areOne(points, before, after, noise)) return;
    for (let at = stretch.from; at < stretch.to; at++) {
      const p = points[at] ?? NOWHERE;
      const offs = beside.map((s) => p.r - curveAt(s.curve, p.x));
      slips.set(p, { x: p.x, off: offs.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a)) });
    }
  });
  return slips;
}

/** A point this many times the noise off is a slip, unless more than a few beside it are off as well. */
const OFF = 4.5;

/** Points far off the curve they were counted to, and off both beside it, in runs too short to be a form. */
function slipsOff(points: readonly Point[], drawn: readonly Stretch[], noise: number): Map<Point, Outlier> {
  const slips = new Map<Point, Outlier>();
  drawn.forEach((stretch, i) => {
    const curves = [drawn[i - 1], stretch, drawn[i + 1]].flatMap((s) => (s ? [s.curve] : []));
    let run: Point[] = [];
    for (let at = stretch.from; at <= stretch.to; at++) {
      const p = at < stretch.to ? points[at] : undefined;
      if (p && !curves.some((curve) => isOn(curve, p, OFF * noise))) run.push(p);
      else {
        if (run.length <= FEW)
          for (const off of run) slips.set(off, { x: off.x, off: off.r - curveAt(stretch.curve, off.x) });
        run = [];
      }
    }
  });
  return slips;
}

function areOne(points: readonly Point[], a: Stretch, b: Stretch, noise: number): boolean {
  const both = momentsOf(points, a.from, a.to);
  for (let i = b.from; i < b.to; i++) {
    const point = points[i];
    if (point) both.add(point);
  }
  const squares = Math.min(both.line().squares, both.circle()?.squares ?? Infinity);
  return squares < ONE * ONE * noise * noise * both.count;
}
