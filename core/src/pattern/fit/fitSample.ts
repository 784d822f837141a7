import { dim } from '../../measure/index.js';
import type { Element } from '../element.js';
import { outlineOf, type Outline } from '../outline.js';
import type { Turning } from '../pattern.js';
import { radiusAt } from '../radius.js';
import { cutCosts, stretchesOf, type Stretch } from './breaks.js';
import { curveAt, type Point } from './moments.js';
import { noiseOf, outliersOf, type Outlier } from './noise.js';
import { asymmetryOf, inOrder, radiusOf, type Asymmetry, type SamplePoint } from './sample.js';

/** A place where two elements meet: where it was found, and between where it may as well lie. */
interface FoundBreak {
  x: number;
  from: number;
  to: number;
  unsure: boolean;
}

/** A sample as elements, with what is known about how good it is. All mm. */
export interface FittedSample {
  turning: Turning;
  outline: Outline;
  /** root of the mean square of measured − fitted radius, and the largest */
  error: number;
  largest: { x: number; off: number };
  noise: number;
  breaks: FoundBreak[];
  outliers: Outlier[];
  asymmetry: Asymmetry;
}

/** Noise of stations read by calliper, too few to tell it from the form, mm on the radius. */
const STATION_NOISE = 0.05;
const FEW = 40;

/**
 * Lays elements through a sampled line. The points' x begins at the sample's reference end. Outliers
 * are left aside and named. Throws a RangeError with a sentence for fewer than three points.
 * @param unsure how far each radius may be off by its instrument, mm: a photo errs by a part of a pixel
 * in the same way over whole stretches, which its noise does not show
 */
export function fitSample(sampled: readonly SamplePoint[], unsure = 0): FittedSample {
  const ordered = inOrder(sampled);
  const first = ordered[0];
  if (!first || ordered.length < 3)
    throw new RangeError(
      `A sample needs at least three measured places; this one has ${ordered.length}. Measure more.`,
    );
  const all: Point[] = ordered.map((p) => ({ x: p.x - first.x, r: radiusOf(p) }));
  const noise = Math.max(unsure, all.length < FEW ? STATION_NOISE : noiseOf(all));
  const outliers = outliersOf(all, noise);
  const points = all.filter((_, i) => !outliers.has(i));
  const stretches = stretchesOf(points, noise);
  const turning = turningOf(points, stretches, noise);
  const outline = outlineOf(turning);
  return {
    turning,
    outline,
    ...errorOf(points, outline),
    noise,
    breaks: stretches.slice(1).map((s, i) => breakBetween(points, stretches[i] ?? s, s, noise)),
    outliers: [...outliers.values()],
    asymmetry: asymmetryOf(ordered),
  };
}

function errorOf(points: readonly Point[], outline: Outline): Pick<FittedSample, 'error' | 'largest'> {
  let squares = 0;
  let largest = { x: 0, off: 0 };
  for (const { x, r } of points) {
    const off = r - radiusAt(outline, Math.min(outline.length, x));
    squares += off * off;
    if (Math.abs(off) > Math.abs(largest.off)) largest = { x, off };
  }
  return { error: Math.sqrt(squares / Math.max(1, points.length)), largest };
}

/** A cut may as well lie wherever the fit is worse by less than this (two standard deviations). */
const AS_WELL = 4;
/** A break known to fewer spacings than this is a sure one. */
const SURE_SPACINGS = 4;

function breakBetween(points: readonly Point[], a: Stretch, b: Stretch, noise: number): FoundBreak {
  const reach = Math.floor(Math.min(a.to - a.from, b.to - b.from) / 2);
  const { costs } = cutCosts(points, a.from, b.to, b.from, reach, noise);
  const least = Math.min(...costs.values());
  const near = [...costs].filter(([, cost]) => cost - least < AS_WELL).map(([cut]) => cut);
  const at = (i: number) => points[Math.min(points.length - 1, Math.max(0, i))]?.x ?? 0;
  const from = at(Math.min(b.from, ...near) - 1);
  const to = at(Math.max(b.from, ...near));
  const spacing = (at(points.length) - at(0)) / Math.max(1, points.length - 1);
  return { x: meetingX(points, a, b), from, to, unsure: to - from > SURE_SPACINGS * spacing };
}

/** Where two neighbouring curves meet: their crossing when it lies by the cut, else the cut itself. */
function meetingX(points: readonly Point[], a: Stretch, b: Stretch): number {
  const low = points[b.from - 1]?.x ?? 0;
  const high = points[b.from]?.x ?? low;
  const reach = 2 * (high - low);
  const gap = (x: number) => curveAt(b.curve, x) - curveAt(a.curve, x);
  let [from, to] = [low - reach, high + reach];
  if (gap(from) * gap(to) > 0) return (low + high) / 2;
  for (let i = 0; i < 40; i++) {
    const middle = (from + to) / 2;
    if (gap(from) * gap(middle) <= 0) to = middle;
    else from = middle;
  }
  return (from + to) / 2;
}

/** A stretch with its ends: radii as its own curve has them. */
interface Piece {
  stretch: Stretch;
  x0: number;
  x1: number;
  r0: number;
  r1: number;
}

function turningOf(points: readonly Point[], stretches: readonly Stretch[], noise: number): Turning {
  const end = points.at(-1)?.x ?? 0;
  const meets = stretches.slice(1).map((s, i) => meetingX(points, stretches[i] ?? s, s));
  const pieces = stretches.map((stretch, i): Piece => {
    const x0 = meets[i - 1] ?? 0;
    const x1 = meets[i] ?? end;
    const at = (x: number) => Math.max(0, curveAt(stretch.curve, x));
    return { stretch, x0, x1, r0: at(x0), r1: at(x1) };
  });
  levelled(pieces, noise);
  const elements: Element[] = [];
  const nextId = () => `e${elements.length + 1}`;
  pieces.forEach((piece, i) => {
    const before = pieces[i - 1];
    if (before && Math.abs(before.r1 - piece.r0) > 1e-9)
      elements.push({ kind: 'shoulder', id: nextId(), endDiameter: diameter(piece.r0) });
    elements.push(elementOf(piece, nextId(), noise));
  });
  return { id: 'turning1', startDiameter: diameter(pieces[0]?.r0 ?? 0), elements };
}

const round = (mm: number): number => Math.round(mm * 1000) / 1000;
const diameter = (r: number) => dim(round(2 * r));

/** A line counts as level when it rises by less than the noise can tell. */
const isLevel = ({ stretch, r0, r1 }: Piece, noise: number): boolean =>
  stretch.curve.kind === 'line' &&
  Math.abs(r1 - r0) < Math.max(0.03, (4 * noise) / Math.sqrt(Math.max(1, stretch.to - stretch.from)));

/** Makes level lines level, and lets neighbours share their radius unless there is a step. */
function levelled(pieces: Piece[], noise: number): void {
  for (const piece of pieces)
    if (isLevel(piece, noise)) piece.r0 = piece.r1 = round((piece.r0 + piece.r1) / 2);
  const stepLeast = Math.max(0.15, 5 * noise);
  pieces.slice(1).forEach((piece, i) => {
    const before = pieces[i];
    if (!before || Math.abs(piece.r0 - before.r1) > stepLeast) return;
    const fixed = isLevel(before, noise) ? before.r1 : isLevel(piece, noise) ? piece.r0 : null;
    const shared = round(fixed ?? (piece.r0 + before.r1) / 2);
    if (!isLevel(before, noise)) before.r1 = shared;
    if (!isLevel(piece, noise)) piece.r0 = shared;
  });
}

/** Ends of a ridge or a hollow may differ by this share of its length and still be meant alike. */
const LEVEL_SHARE = 0.02;

function elementOf({ stretch, x0, x1, r0, r1 }: Piece, id: string, noise: number): Element {
  const length = dim(round(x1 - x0));
  const { curve } = stretch;
  if (curve.kind === 'line')
    return Math.abs(r1 - r0) < 1e-9
      ? { kind: 'cylinder', id, length }
      : { kind: 'taper', id, length, endDiameter: diameter(r1) };
  const crest = curve.side === 'out' ? curve.cr + curve.radius : curve.cr - curve.radius;
  const comesBack =
    Math.abs(r1 - r0) < Math.max(0.06, 3 * noise, LEVEL_SHARE * (x1 - x0)) && curve.cx > x0 && curve.cx < x1;
  if (comesBack && Math.abs(crest - r0) <= (x1 - x0) / 2)
    return curve.side === 'out'
      ? { kind: 'bead', id, length, crown: diameter(Math.max(crest, r0)) }
      : { kind: 'cove', id, length, bottom: diameter(Math.max(0, Math.min(crest, r0))) };
  const radius = Math.max(curve.radius, leastRadius(x1 - x0, r1 - r0));
  return { kind: 'arc', id, length, endDiameter: diameter(r1), radius: dim(round(radius)), side: curve.side };
}

/** Least radius of an arc over l that falls by h without bulging past its lower end, (l² + h²)/2l, and a hair. */
const leastRadius = (l: number, h: number): number => ((l * l + h * h) / (2 * l)) * 1.002;
