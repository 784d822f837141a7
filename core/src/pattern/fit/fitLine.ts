import { cutCosts, stretchesOf, type Stretch } from './breaks.js';
import { isMoved, meant, unlevelled, type Measure } from './elementsOf.js';
import { drawnStretches, rungsOf } from './ladder.js';
import type { Point } from './moments.js';
import type { Outlier } from './noise.js';
import { mayBeASide, piecesOf, type Piece } from './piece.js';
import { withoutSlips } from './slips.js';
import { laidTogether } from './together.js';

/** A place where two elements meet: where it was found, and between where it may as well lie. */
export interface FoundBreak {
  x: number;
  from: number;
  to: number;
  unsure: boolean;
}

/** A way to draw a sample by so many curves, and the error that it leaves, mm on the radius. */
export interface Rung {
  curves: number;
  error: number;
}

/** What a traced line is found to be. */
export interface FittedLine {
  pieces: Piece[];
  /** the points without the slips */
  points: Point[];
  outliers: Outlier[];
  breaks: FoundBreak[];
  /** from fewest curves to most; and by how many it is drawn */
  rungs: Rung[];
  curves: number;
}

/** More curves than a turner would draw are looked for at this share of their price, and so many at most. */
const GENEROUS = 0.3;
const MOST_CURVES = 40;

/** Pieces through a traced line, by as many curves as can be felt or as are asked for. */
export function fitLine(all: readonly Point[], noise: number, curves?: number): FittedLine {
  const { points, found, outliers } = withoutSlips(all, noise);
  const ladder = ladderOf(points, found, noise);
  const stretches = ladder.find((rung) => rung.length === curves) ?? drawnStretches(points, found, noise);
  const pieces = laidOver(points, stretches, noise);
  return {
    pieces,
    points,
    outliers,
    breaks: pieces.slice(1).flatMap(({ x0 }) => breakNear(points, stretches, x0, noise)),
    rungs: ladder.map((rung) => ({ curves: rung.length, error: leftBy(rung, points.length) })),
    curves: stretches.length,
  };
}

/** The places between which the points are cut nearest to where two pieces meet. */
function breakNear(
  points: readonly Point[],
  stretches: readonly Stretch[],
  x: number,
  noise: number,
): FoundBreak[] {
  const cuts = stretches.slice(1).map((b, i) => ({ a: stretches[i] ?? b, b }));
  const away = ({ b }: { b: Stretch }) => Math.abs((points[b.from]?.x ?? 0) - x);
  const [first, ...others] = cuts;
  if (!first) return [];
  const { a, b } = others.reduce((best, cut) => (away(cut) < away(best) ? cut : best), first);
  return [breakBetween(points, a, b, { noise, x })];
}

export const measureOf = (points: readonly Point[], noise: number): Measure => ({
  spacing: (points.at(-1)?.x ?? 0) / Math.max(1, points.length - 1),
  noise,
});

/** Pieces through the points, without the steps that are none: each is let go that the points do not ask for. */
function laidOver(points: readonly Point[], stretches: readonly Stretch[], noise: number): Piece[] {
  let found = laidTogether(points, piecesOf(points, stretches, noise), noise);
  const { spacing } = measureOf(points, noise);
  for (let i = 1; i < found.length; i++) {
    const [before, piece] = [found[i - 1], found[i]];
    if (!before || !piece || !mayBeASide(before, piece, noise, spacing)) continue;
    const r = (before.r1 + piece.r0) / 2;
    const joined = found.with(i - 1, { ...before, r1: r }).with(i, { ...piece, r0: r, step: false });
    const laid = laidTogether(points, joined, noise);
    if (!isMoved(points, { x0: before.x0, x1: piece.x1 }, found, laid)) found = laid;
  }
  return laidAsMeant(points, found, noise);
}

/** Pieces laid as they were found, and then as they are meant. */
function laidAsMeant(points: readonly Point[], found: readonly Piece[], noise: number): Piece[] {
  const drawn = meant(found, measureOf(points, noise));
  const laid = laidTogether(points, drawn, noise);
  const kept = unlevelled(points, found, drawn, laid);
  return kept.every((piece, i) => piece === drawn[i]) ? laid : laidTogether(points, kept, noise);
}

/** Every number of curves by which the line can be drawn, from one to what generosity finds. */
function ladderOf(points: readonly Point[], found: readonly Stretch[], noise: number): Stretch[][] {
  const drawn = rungsOf(points, found, noise);
  const generous = stretchesOf(points, noise, GENEROUS);
  const finer = rungsOf(points, generous, noise).filter(
    (rung) => rung.length > found.length && rung.length <= MOST_CURVES,
  );
  return [...finer, ...drawn].reverse();
}

const leftBy = (rung: readonly Stretch[], points: number): number =>
  Math.sqrt(rung.reduce((sum, s) => sum + s.curve.squares, 0) / Math.max(1, points));

/** A cut may as well lie wherever the fit is worse by less than this (two standard deviations). */
const AS_WELL = 4;
/** A break known to fewer spacings than this is a sure one. */
const SURE_SPACINGS = 4;

function breakBetween(
  points: readonly Point[],
  a: Stretch,
  b: Stretch,
  { noise, x }: { noise: number; x: number },
): FoundBreak {
  const reach = Math.floor(Math.min(a.to - a.from, b.to - b.from) / 2);
  const { costs } = cutCosts(points, a.from, b.to, b.from, reach, noise);
  const least = Math.min(...costs.values());
  const near = [...costs].filter(([, cost]) => cost - least < AS_WELL).map(([cut]) => cut);
  const at = (i: number) => points[Math.min(points.length - 1, Math.max(0, i))]?.x ?? 0;
  const from = at(Math.min(b.from, ...near) - 1);
  const to = at(Math.max(b.from, ...near));
  const spacing = (at(points.length) - at(0)) / Math.max(1, points.length - 1);
  return { x, from, to, unsure: to - from > SURE_SPACINGS * spacing };
}
