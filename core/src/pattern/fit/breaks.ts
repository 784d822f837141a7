import { momentsOf, Moments, type FittedCurve, type Point } from './moments.js';

// asked for every point of every curve that is tried
const { max, min, log } = Math;

/** A stretch of points, `from` up to but not including `to`, and the curve laid through it. */
export interface Stretch {
  from: number;
  to: number;
  curve: FittedCurve;
}

/** Blocks that the coarse search looks at: enough for a groove of a millimetre on a whole handle. */
const BLOCKS = 480;

/** Fewest points that make a line or an arc. */
const LINE_LEAST = 2;
const ARC_LEAST = 5;

/** Parameters that a line and an arc cost, their break included. */
const LINE_COST = 3;
const ARC_COST = 4;

/**
 * Cuts a sampled line into straights and arcs: of all ways to cut it the one with the least squares
 * over the noise plus ln n for every parameter it uses (Schwarz, Ann. Statist. 6, 1978), found exactly
 * over blocks of points by dynamic programming (Bellman) and then refined point by point.
 * @param thrift share of that price which is asked: below 1 finds more, and what is only noise
 */
export function stretchesOf(points: readonly Point[], noise: number, thrift = 1): Stretch[] {
  const size = max(1, Math.ceil(points.length / BLOCKS));
  const blocks = blocksOf(points, size);
  const penalty = thrift * log(points.length);
  // a block that straddles a step lies between its two sides: left alone it costs less than a curve
  const variance = max(noise * noise, 1e-6) / size;
  const cuts = coarseCuts(blocks, variance, penalty).map((b) => min(points.length, b * size));
  const refined = refine(points, cuts, noise, 2 * size);
  return withoutTips(points, refined)
    .slice(1)
    .map((to, i, ends): Stretch => {
      const from = ends[i - 1] ?? 0;
      return { from, to, curve: bestCurve(momentsOf(points, from, to), noise * noise, penalty) };
    });
}

/** A traced line of so many points does not end in an element of a few of them, and of this share of its length. */
const MANY = 250;
const TIP_POINTS = 8;
const TIP_OF_POINTS = 1 / 60;
const TIP_SHARE = 0.015;

/** Cuts without those that leave a tip, where a trace frays out: it goes with what is beside it. */
function withoutTips(points: readonly Point[], cuts: readonly number[]): number[] {
  if (points.length < MANY) return [...cuts];
  const length = points.at(-1)?.x ?? 0;
  const few = max(TIP_POINTS, points.length * TIP_OF_POINTS);
  const isTip = (from: number, to: number) =>
    to - from < few && (points[to - 1]?.x ?? 0) - (points[from]?.x ?? 0) < TIP_SHARE * length;
  const last = points.length;
  return cuts.filter((cut) => cut === 0 || cut === last || !(isTip(0, cut) || isTip(cut, last)));
}

function blocksOf(points: readonly Point[], size: number): Point[] {
  return Array.from({ length: Math.ceil(points.length / size) }, (_, b) => {
    const own = points.slice(b * size, (b + 1) * size);
    const mean = (key: 'x' | 'r') => own.reduce((sum, p) => sum + p[key], 0) / own.length;
    return { x: mean('x'), r: mean('r') };
  });
}

/** Block indices where the line is cut, both ends included; cuts around a lone block become one. */
function coarseCuts(blocks: readonly Point[], variance: number, penalty: number): number[] {
  const n = blocks.length;
  const cost = new Float64Array(n + 1).fill(Infinity);
  const came = new Int32Array(n + 1);
  cost[0] = 0;
  for (let from = 0; from < n; from++) {
    const origin = blocks[from];
    const base = cost[from] ?? Infinity;
    if (!origin) continue;
    const moments = new Moments(origin);
    for (let to = from + 1; to <= n; to++) {
      const block = blocks[to - 1];
      if (block) moments.add(block);
      const own = costOf(moments, variance, penalty);
      if (base + own < (cost[to] ?? Infinity)) {
        cost[to] = base + own;
        came[to] = from;
      }
      // once neither line nor arc holds by far, no longer stretch from here will; what noise alone adds,
      // one for every block, says nothing against it
      if (own - moments.count > 40 * penalty && to - from > 12) break;
    }
  }
  const cuts = [n];
  for (let at = n; at > 0; at = came[at] ?? 0) cuts.unshift(came[at] ?? 0);
  return withoutLoners(cuts);
}

function costOf(moments: Moments, variance: number, penalty: number): number {
  if (moments.count < LINE_LEAST) return penalty * LINE_COST * 0.6;
  const line = moments.line().squares / variance + penalty * LINE_COST;
  if (moments.count < ARC_LEAST) return line;
  const arc = moments.circle();
  return arc ? min(line, arc.squares / variance + penalty * ARC_COST) : line;
}

function withoutLoners(cuts: readonly number[]): number[] {
  const last = cuts.length - 1;
  return cuts.filter((cut, i) => i === 0 || i === last || cut - (cuts[i - 1] ?? 0) > 1);
}

/** The curve that explains a stretch best for what it costs. */
export function bestCurve(moments: Moments, variance: number, penalty: number): FittedCurve {
  const line = moments.line();
  const arc = moments.count >= ARC_LEAST ? moments.circle() : null;
  if (!arc) return line;
  const gain = (line.squares - arc.squares) / variance;
  return gain > penalty * (ARC_COST - LINE_COST) ? arc : line;
}

/** Moves every cut to where its two neighbours fit best, twice over. */
function refine(points: readonly Point[], coarse: readonly number[], noise: number, reach: number): number[] {
  const cuts = [...new Set(coarse)];
  for (let sweep = 0; sweep < 3; sweep++)
    for (let i = 1; i < cuts.length - 1; i++) {
      const [left = 0, at = 0, right = points.length] = [cuts[i - 1], cuts[i], cuts[i + 1]];
      cuts[i] = cutCosts(points, left, right, at, reach, noise).best;
    }
  return cuts;
}

/** The best place to cut between two others, and the cost of the places round it. */
export function cutCosts(
  points: readonly Point[],
  left: number,
  right: number,
  around: number,
  reach: number,
  noise: number,
): { best: number; costs: Map<number, number> } {
  const from = max(left + LINE_LEAST, around - reach);
  const to = min(right - LINE_LEAST, around + reach);
  const penalty = log(points.length);
  const costs = new Map<number, number>();
  const before = momentsOf(points, left, from);
  for (let cut = from; cut <= to; cut++) {
    costs.set(cut, costOf(before, noise * noise, penalty));
    const next = points[cut];
    if (next) before.add(next);
  }
  const end = points[right - 1] ?? { x: 0, r: 0 };
  const after = new Moments(end);
  for (let i = right - 1; i >= to; i--) after.add(points[i] ?? end);
  for (let cut = to; cut >= from; cut--) {
    costs.set(cut, (costs.get(cut) ?? 0) + costOf(after, noise * noise, penalty));
    const previous = points[cut - 1];
    if (previous) after.add(previous);
  }
  let best = around;
  let least = costs.get(around) ?? Infinity;
  for (const [cut, cost] of costs)
    if (cost < least) {
      best = cut;
      least = cost;
    }
  return { best, costs };
}
