import type { Point } from './moments.js';
import { radiusAlong, type Piece } from './piece.js';
import type { Feature } from './sample.js';

/** A measured station, and what was seen there. */
export interface Station extends Point {
  is?: Feature | undefined;
}

/** What was taken for a ridge or a hollow because one station stands out between two. */
export interface Guess {
  x: number;
  taken: 'bead' | 'cove';
}

/** Stations as pieces, and what of them was not seen but taken so. Lengths in mm. */
export interface FromStations {
  pieces: Piece[];
  guesses: Guess[];
  /** places where pieces meet that nobody named, with the stations beside them */
  unnamed: { x: number; from: number; to: number }[];
}

/** Two stations no further apart than this, at different radii, are the two sides of a step, mm. */
const STEP_WIDTH = 0.5;
const STEP_HEIGHT = 0.1;

/** Price of a line and of an arc, in squares of the noise: what Schwarz asks of so few points. */
const LINE_PRICE = 6;
const ARC_PRICE = 9;
/** Fewest stations on an arc that nobody named, its ends included. */
const ARC_LEAST = 5;

/**
 * Pieces through stations that were measured on purpose: each begins and ends at a station, at the radius
 * that was measured there. A crown, a bottom or a groove that was named is one piece from edge to edge; where
 * no edge was named, its neighbours are its edges. Between them stations are joined by the fewest lines and
 * arcs that leave each within its noise (dynamic programming over the stations, Bellman). One station that
 * stands out between two alike is taken for a bead or a cove, and named as a guess.
 */
export function stationPieces(stations: readonly Station[], noise: number): FromStations {
  const steps = stepsAmong(stations);
  const features = featuresOf(stations, steps);
  const named = namedPlaces(stations, steps, features);
  const spans: Span[] = [];
  for (let at = 0; at < stations.length - 1;) {
    const feature = features.find((f) => f.from === at);
    if (feature) {
      spans.push({ ...feature, kind: 'feature' });
      at = feature.to;
    } else if (steps.has(at + 1)) at += 1;
    else {
      const end = named.find((n) => n > at) ?? stations.length - 1;
      spans.push(...fewest(stations, at, end, noise));
      at = end;
    }
  }
  const { kept, guesses } = withGuesses(stations, spans, noise, steps);
  const pieces = kept.map((span): Piece => ({ ...pieceOf(stations, span), step: steps.has(span.from) }));
  const unnamed = kept
    .slice(1)
    .filter(({ from }) => !named.includes(from))
    .map(({ from }) => ({
      x: xAt(stations, from),
      from: xAt(stations, from - 1),
      to: xAt(stations, from + 1),
    }));
  return { pieces, guesses, unnamed };
}

/** A piece from one station to another, by index; a feature has its crown or bottom at `peak`. */
interface Span {
  from: number;
  to: number;
  kind: 'line' | 'arc' | 'feature';
  peak?: number;
}

interface NamedFeature {
  from: number;
  to: number;
  peak: number;
}

const xAt = (stations: readonly Station[], i: number): number => stations[i]?.x ?? 0;

/** Indices of stations that are the far side of a step. */
function stepsAmong(stations: readonly Station[]): Set<number> {
  const far = stations.flatMap((s, i) => {
    const before = stations[i - 1];
    const step = before && s.x - before.x <= STEP_WIDTH && Math.abs(s.r - before.r) >= STEP_HEIGHT;
    return step ? [i] : [];
  });
  return new Set(far);
}

const isPeak = (station: Station | undefined): boolean => station?.is !== undefined && station.is !== 'edge';

/** Crowns, bottoms and grooves with their edges: those named, else the stations beside them. */
function featuresOf(stations: readonly Station[], steps: ReadonlySet<number>): NamedFeature[] {
  return stations.flatMap((station, peak) => {
    if (!isPeak(station)) return [];
    return [{ peak, from: edgeFrom(stations, steps, peak, -1), to: edgeFrom(stations, steps, peak, 1) }];
  });
}

/** The edge of a feature to one side: that which was named up its flank; else its neighbour. */
function edgeFrom(
  stations: readonly Station[],
  steps: ReadonlySet<number>,
  peak: number,
  by: 1 | -1,
): number {
  const last = stations.length - 1;
  const radius = (i: number) => stations[i]?.r ?? 0;
  const away = Math.sign(radius(peak + by) - radius(peak));
  for (let at = peak + by; at >= 0 && at <= last; at += by) {
    if (stations[at]?.is === 'edge') return at;
    // a step, an end, the next feature or the end of its flank closes it as well; then its neighbour is its edge
    if (isPeak(stations[at]) || at === 0 || at === last || steps.has(by > 0 ? at + 1 : at)) break;
    if (Math.sign(radius(at + by) - radius(at)) !== away) break;
  }
  return Math.min(last, Math.max(0, peak + by));
}

/** Stations at which a piece must end: both ends, sides of steps, edges, and the edges of features. */
function namedPlaces(
  stations: readonly Station[],
  steps: ReadonlySet<number>,
  features: readonly NamedFeature[],
): number[] {
  const named = new Set([0, stations.length - 1, ...features.flatMap(({ from, to }) => [from, to])]);
  for (const far of steps) named.add(far - 1).add(far);
  stations.forEach(({ is }, i) => is === 'edge' && named.add(i));
  return [...named].sort((a, b) => a - b);
}

/** The fewest lines and arcs from one station to another that leave those between within their noise. */
function fewest(stations: readonly Station[], first: number, last: number, noise: number): Span[] {
  const cost = [0];
  const best: Span[] = [];
  for (let to = first + 1; to <= last; to++)
    for (let from = first; from < to; from++) {
      const { span, price } = cheapest(stations, from, to, noise);
      const sum = (cost[from - first] ?? Infinity) + price;
      if (sum >= (cost[to - first] ?? Infinity)) continue;
      cost[to - first] = sum;
      best[to - first] = span;
    }
  const spans: Span[] = [];
  for (let at = last; at > first;) {
    const span = best[at - first] ?? { from: first, to: at, kind: 'line' };
    spans.unshift(span);
    at = span.from;
  }
  return spans;
}

function cheapest(stations: readonly Station[], from: number, to: number, noise: number) {
  const priceOf = (span: Span, price: number) => {
    const radius = radiusAlong(pieceOf(stations, span));
    const squares = stations.slice(from + 1, to).reduce((sum, s) => sum + (s.r - radius(s.x)) ** 2, 0);
    return { span, price: price + squares / (noise * noise) };
  };
  const line = priceOf({ from, to, kind: 'line' }, LINE_PRICE);
  if (to - from + 1 < ARC_LEAST) return line;
  const arc = priceOf({ from, to, kind: 'arc' }, ARC_PRICE);
  return arc.price < line.price ? arc : line;
}

/** Ends that differ by no more than this share of what stands out between them are meant alike. */
const ALIKE_SHARE = 0.35;

/** What is this many times as long as it is high is rather two tapers. */
const LONG = 8;

/** Two lines of two stations each that meet at one which stands out are one ridge or hollow, probably. */
function withGuesses(
  stations: readonly Station[],
  spans: readonly Span[],
  noise: number,
  steps: ReadonlySet<number>,
): { kept: Span[]; guesses: Guess[] } {
  const kept: Span[] = [];
  const guesses: Guess[] = [];
  for (const span of spans) {
    const before = kept.at(-1);
    const bare = (s: Span | undefined) => s?.kind === 'line' && s.to - s.from === 1;
    const peak = span.from;
    const [a, p, b] = [before?.from ?? 0, peak, span.to].map((i) => stations[i]?.r ?? 0);
    const meets = before?.to === peak && bare(before) && bare(span) && !steps.has(peak);
    const [left, right] = [(p ?? 0) - (a ?? 0), (p ?? 0) - (b ?? 0)];
    const high = Math.min(Math.abs(left), Math.abs(right));
    const short = xAt(stations, span.to) - xAt(stations, before?.from ?? 0) <= LONG * high;
    const standsOut = left * right > 0 && short && high > 4 * noise;
    const alike = Math.abs(left - right) <= ALIKE_SHARE * Math.max(Math.abs(left), Math.abs(right));
    if (!before || !meets || !standsOut || !alike || stations[peak]?.is === 'edge') {
      kept.push(span);
      continue;
    }
    kept[kept.length - 1] = { from: before.from, to: span.to, kind: 'feature', peak };
    guesses.push({ x: xAt(stations, peak), taken: left > 0 ? 'bead' : 'cove' });
  }
  return { kept, guesses };
}

/** A span with its ends at the radii that were measured there. */
function pieceOf(stations: readonly Station[], { from, to, kind, peak }: Span): Piece {
  const [a, b] = [stations[from], stations[to]];
  const [x0, r0, x1, r1] = [a?.x ?? 0, a?.r ?? 0, b?.x ?? 0, b?.r ?? 0];
  const piece: Piece = {
    kind: 'line',
    x0,
    r0,
    x1,
    r1,
    sagitta: 0,
    points: to - from + 1,
    step: false,
    level: r0 === r1,
  };
  if (kind === 'line') return piece;
  if (kind === 'arc') return { ...piece, kind: 'arc', sagitta: bestSagitta(stations, from, to, piece) };
  const top = stations[peak ?? from];
  const sagitta = offChord(piece, top ?? { x: x0, r: r0 });
  if (top?.is === 'groove') return { ...piece, kind: 'groove', sagitta, level: true };
  return { ...piece, kind: 'arc', sagitta, level: isAlike(piece, sagitta) };
}

/** A named ridge or hollow comes back to where it began when its ends are nearer each other than to its peak. */
const isAlike = ({ r0, r1 }: Piece, sagitta: number): boolean =>
  Math.abs(r1 - r0) <= ALIKE_SHARE * Math.abs(sagitta);

/** How far a point stands off the chord of a piece, across it, out above 0. */
function offChord({ x0, r0, x1, r1 }: Piece, { x, r }: Point): number {
  const chord = Math.hypot(x1 - x0, r1 - r0);
  return chord === 0 ? 0 : ((x1 - x0) * (r - r0) - (r1 - r0) * (x - x0)) / chord;
}

/** Sagitta of the arc through both ends that is nearest the stations between: of y ≈ 4s·t(1 − t) by least squares. */
function bestSagitta(stations: readonly Station[], from: number, to: number, piece: Piece): number {
  let [up, down] = [0, 0];
  for (const p of stations.slice(from + 1, to)) {
    const t = (p.x - piece.x0) / Math.max(1e-9, piece.x1 - piece.x0);
    const shape = 4 * t * (1 - t);
    up += shape * offChord(piece, p);
    down += shape * shape;
  }
  return down === 0 ? 0 : up / down;
}
