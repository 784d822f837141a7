import { outlineOf, type Outline } from '../outline.js';
import type { Turning } from '../pattern.js';
import { radiiAt } from '../radius.js';
import { turningOf } from './elementsOf.js';
import { fitLine, measureOf, type FoundBreak, type Rung } from './fitLine.js';
import type { Point } from './moments.js';
import { noiseOf, type Outlier } from './noise.js';
import { asymmetryOf, byPlace, inOrder, radiusOf, type Asymmetry, type SamplePoint } from './sample.js';
import { stationPieces, type Guess } from './stations.js';

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
  /** by how many curves it can be drawn, from fewest to most, and by how many it is; none for stations */
  rungs: Rung[];
  curves: number;
  /** of stations: what nobody named and was taken for a ridge or a hollow */
  guesses: Guess[];
  /** it was measured at a few stations, so that what lies between two of them was not seen */
  stations: boolean;
}

/** How a sample is to be drawn. */
export interface FitWishes {
  /**
   * how far each radius may be off by its instrument, mm: a photo errs by a part of a pixel in the same
   * way over whole stretches, which its noise does not show
   */
  unsure?: number;
  /** by how many curves; as many as can be felt when not said */
  curves?: number;
}

/** Noise of stations read by calliper, too few to tell it from the form, mm on the radius. */
const STATION_NOISE = 0.05;
const FEW = 40;
/** So many places at most are stations when something was named at one. */
const MOST_STATIONS = 300;

/**
 * Lays elements through a sampled line. The points' x begins at the sample's reference end. Outliers
 * are left aside and named. A few places, or places of which it was said what they are, are stations: each
 * element ends at one. Throws a RangeError with a sentence for fewer than three points.
 */
export function fitSample(sampled: readonly SamplePoint[], wishes: FitWishes = {}): FittedSample {
  const ordered = byPlace(sampled);
  const first = ordered[0];
  if (!first || inOrder(sampled).length < 3)
    throw new RangeError(
      `A sample needs at least three measured places; this one has ${ordered.length}. Measure more.`,
    );
  const named = ordered.some(({ is }) => is !== undefined) && ordered.length <= MOST_STATIONS;
  return ordered.length < FEW || named ? fitStations(ordered, first.x) : fitTrace(ordered, first.x, wishes);
}

function fitTrace(
  ordered: readonly SamplePoint[],
  start: number,
  { unsure = 0, curves }: FitWishes,
): FittedSample {
  const once = inOrder(ordered);
  const all: Point[] = once.map((p) => ({ x: p.x - start, r: radiusOf(p) }));
  const noise = Math.max(unsure, noiseOf(all));
  const { pieces, points, ...found } = fitLine(all, noise, curves);
  const turning = turningOf(pieces, measureOf(points, noise));
  const outline = outlineOf(turning);
  return {
    ...found,
    turning,
    outline,
    ...errorOf(points, outline),
    noise,
    asymmetry: asymmetryOf(once),
    guesses: [],
    stations: false,
  };
}

function fitStations(ordered: readonly SamplePoint[], start: number): FittedSample {
  const stations = ordered.map((p) => ({ x: p.x - start, r: radiusOf(p), is: p.is }));
  const { pieces, guesses, unnamed } = stationPieces(stations, STATION_NOISE);
  const turning = turningOf(pieces, { spacing: 0, noise: 0 });
  const outline = outlineOf(turning);
  return {
    turning,
    outline,
    ...errorOf(stations, outline),
    noise: STATION_NOISE,
    breaks: unnamed.map((place) => ({ ...place, unsure: true })),
    outliers: [],
    asymmetry: asymmetryOf(ordered),
    rungs: [],
    curves: pieces.length,
    guesses,
    stations: true,
  };
}

/** What is left between a sample and an outline that was made of it. mm. */
export function leftOver(
  sampled: readonly SamplePoint[],
  outline: Outline,
): Pick<FittedSample, 'error' | 'largest'> {
  const ordered = byPlace(sampled);
  const start = ordered[0]?.x ?? 0;
  return errorOf(
    ordered.map((p) => ({ x: p.x - start, r: radiusOf(p) })),
    outline,
  );
}

/** What is left between measured radii and those of an outline; at a step the nearer side counts. mm. */
function errorOf(points: readonly Point[], outline: Outline): Pick<FittedSample, 'error' | 'largest'> {
  let squares = 0;
  let largest = { x: 0, off: 0 };
  for (const { x, r } of points) {
    const { before, after } = radiiAt(outline, Math.min(outline.length, x));
    const sides = [before, after].filter((side) => side > 0);
    const offs = (sides.length > 0 ? sides : [0]).map((side) => r - side);
    const off = offs.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a));
    squares += off * off;
    if (Math.abs(off) > Math.abs(largest.off)) largest = { x, off };
  }
  return { error: Math.sqrt(squares / Math.max(1, points.length)), largest };
}
