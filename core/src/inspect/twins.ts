import { capitalised, fine, type Finding } from '../measure/index.js';
import { judge, signed } from './judge.js';
import type { Judgement, Station } from './station.js';
import { trendOf, type Trend } from './trend.js';

/** A finished reading of a piece at a station. */
export interface StationReading {
  piece: number;
  stationId: string;
  mm: number;
}

export interface InspectedPiece {
  piece: number;
  rejected: boolean;
  /** what was tried or checked and did not hold, by the name of its step; null where all held */
  failed: string | null;
  /** null until every station has been measured */
  verdict: PieceVerdict | null;
  judgements: { station: Station; reading: number; judgement: Judgement }[];
  /** it was mended and keeps a size of its own */
  mended: boolean;
}

type PieceVerdict = 'good' | 'rework' | 'scrap' | 'odd one out';

/** Statistics of one station over the batch, mm. */
export interface StationSpread {
  station: Station;
  count: number;
  mean: number;
  /** sample standard deviation */
  deviation: number;
  least: number;
  most: number;
  trend: Trend;
}

export interface TwinsVerdict {
  pieces: InspectedPiece[];
  stations: StationSpread[];
  /** nothing measured, not all measured, twins, or not */
  state: 'unmeasured' | 'part measured' | 'twins' | 'not twins';
  headline: string;
  sentences: string[];
  cause: string | null;
}

/** A piece as it comes to be judged. */
interface Inspecting {
  piece: number;
  rejected: boolean;
  failed?: string | null;
  /** sizes that it keeps as they came out, by station, mm */
  keeps?: ReadonlyMap<string, number>;
}

/**
 * Are the pieces twins? Every piece that was not rejected is held against its stations; every
 * station gets its spread and trend; and the batch gets a verdict in words.
 */
export function inspectTwins(
  stations: readonly Station[],
  readings: readonly StationReading[],
  pieces: readonly Inspecting[],
): TwinsVerdict {
  const latest = latestReadings(readings);
  const inspected = pieces.map((piece) => inspectPiece(piece, stations, latest));
  const kept = inspected.filter((p) => !p.rejected);
  const spreads = stations.map((station) => spreadOf(station, kept, latest));
  const state = stateOf(kept);
  const cause = causeOf(spreads);
  return {
    pieces: inspected,
    stations: spreads,
    state,
    headline: headlineOf(state, kept),
    sentences: [...pieceSentences(inspected), ...spreads.flatMap(spreadSentence)],
    cause,
  };
}

const keyOf = (piece: number, stationId: string) => `${piece}/${stationId}`;

function latestReadings(readings: readonly StationReading[]): Map<string, number> {
  return new Map(readings.map((r) => [keyOf(r.piece, r.stationId), r.mm]));
}

function inspectPiece(
  { piece, rejected, failed = null, keeps = new Map<string, number>() }: Inspecting,
  stations: readonly Station[],
  latest: Map<string, number>,
): InspectedPiece {
  const judgements = stations.flatMap((station) => {
    const reading = latest.get(keyOf(piece, station.id));
    return reading === undefined
      ? []
      : [{ station, reading, judgement: judge(reading, keptSize(station, keeps), 'finished') }];
  });
  return {
    piece,
    rejected,
    failed,
    verdict: rejected ? 'scrap' : pieceVerdict(judgements, stations.length, failed !== null, keeps.size > 0),
    judgements,
    mended: keeps.size > 0,
  };
}

/** A station as it is wanted of a piece that keeps what it came out as. */
function keptSize(station: Station, keeps: ReadonlyMap<string, number>): Station {
  const mm = keeps.get(station.id);
  return mm === undefined ? station : { ...station, finished: mm, cutTo: mm };
}

/** Whatever the diameters say, a piece that failed a check or did not fit is not good. Thin where it mates is scrap; fat anywhere can be cut again; thin where it is only seen, or with a feature out of its place, is odd. */
function pieceVerdict(
  judgements: InspectedPiece['judgements'],
  stations: number,
  failed: boolean,
  mended: boolean,
): PieceVerdict | null {
  const has = (verdict: string, mating?: boolean) =>
    judgements.some(
      (j) => j.judgement.verdict === verdict && (mating === undefined || j.station.mating === mating),
    );
  if (has('thin', true)) return 'scrap';
  if (failed || has('fat')) return 'rework';
  if (has('thin') || has('off')) return 'odd one out';
  if (judgements.length < stations) return null;
  return mended ? 'odd one out' : 'good';
}

function spreadOf(
  station: Station,
  kept: readonly InspectedPiece[],
  latest: Map<string, number>,
): StationSpread {
  const measured = kept.flatMap(({ piece }) => {
    const mm = latest.get(keyOf(piece, station.id));
    return mm === undefined ? [] : [{ piece, mm }];
  });
  const values = measured.map((m) => m.mm);
  const mean = values.length === 0 ? NaN : values.reduce((a, b) => a + b, 0) / values.length;
  const squares = values.reduce((sum, v) => sum + (v - mean) ** 2, 0);
  return {
    station,
    count: values.length,
    mean,
    deviation: values.length > 1 ? Math.sqrt(squares / (values.length - 1)) : 0,
    least: Math.min(...values),
    most: Math.max(...values),
    trend: trendOf(
      values,
      measured.map((m) => m.piece),
    ),
  };
}

function stateOf(kept: readonly InspectedPiece[]): TwinsVerdict['state'] {
  if (kept.every((p) => p.judgements.length === 0 && p.failed === null)) return 'unmeasured';
  if (kept.some((p) => p.verdict !== null && p.verdict !== 'good')) return 'not twins';
  return kept.some((p) => p.verdict === null) ? 'part measured' : 'twins';
}

function headlineOf(state: TwinsVerdict['state'], kept: readonly InspectedPiece[]): string {
  const good = kept.filter((p) => p.verdict === 'good').length;
  switch (state) {
    case 'unmeasured':
      return 'Nothing is measured yet.';
    case 'part measured':
      return `So far twins: ${good} of ${kept.length} fully measured, all within tolerance.`;
    case 'twins':
      return `Twins: all ${kept.length} within tolerance.`;
    case 'not twins':
      return `Not twins yet: ${good} of ${kept.length} are good.`;
  }
}

const has = ({ judgements }: InspectedPiece, verdict: Judgement['verdict']): boolean =>
  judgements.some((j) => j.judgement.verdict === verdict);

function pieceSentences(pieces: readonly InspectedPiece[]): string[] {
  const list = (verdict: PieceVerdict) =>
    pieces.filter((p) => p.verdict === verdict && !p.rejected).map((p) => p.piece);
  const say = (numbers: number[], words: string) =>
    numbers.length === 0 ? [] : [`Piece ${numbers.join(', ')}: ${words}`];
  return [
    ...say(
      pieces.filter((p) => p.verdict === 'rework' && has(p, 'fat')).map((p) => p.piece),
      'fat, can be cut again.',
    ),
    ...pieces
      .filter((p) => !p.rejected && p.failed !== null)
      .map((p) => `Piece ${p.piece}: ${p.failed}: it did not hold; cut again, mend it, or reject it.`),
    ...say(list('scrap'), 'too thin to meet its hardware.'),
    ...say(
      pieces.filter((p) => !p.rejected && p.mended).map((p) => p.piece),
      'mended, and keeps a size of its own.',
    ),
    ...say(
      pieces.filter((p) => !p.rejected && has(p, 'off')).map((p) => p.piece),
      'a place along the axis is off: beside the others it is seen. Accept it as the odd one out or make another.',
    ),
    ...say(
      pieces
        .filter((p) => p.verdict === 'odd one out' && !p.rejected && !p.mended && has(p, 'thin'))
        .map((p) => p.piece),
      'thin where it is only seen; accept as the odd one out or make another.',
    ),
    ...say(
      pieces.filter((p) => p.rejected).map((p) => p.piece),
      'rejected at the bench.',
    ),
  ];
}

function spreadSentence({ station, count, mean, deviation, trend }: StationSpread): string[] {
  if (count < 2) return [];
  const drift = trend.drifts
    ? ` It ${trend.slope > 0 ? 'grows' : 'shrinks'} by ${fine(Math.abs(trend.slope))} from piece to piece.`
    : '';
  return [
    `${station.label}: on average ${signed(mean - station.finished)}, spread ${fine(deviation)}.${drift}`,
  ];
}

/**
 * Likely cause of drift: where all sized places move together the tool or the hand changes; where one
 * moves alone its own gauge does.
 */
function causeOf(spreads: readonly StationSpread[]): string | null {
  const wandering = spreads.filter((s) => s.station.along && s.trend.drifts);
  const diameters = spreads.filter((s) => !s.station.along);
  const drifting = diameters.filter((s) => s.trend.drifts);
  const first = drifting[0];
  if (!first) return wanderCause(wandering);
  const growing = drifting.filter((s) => s.trend.slope > 0).length;
  const together =
    drifting.length > 1 &&
    drifting.length * 2 > diameters.length &&
    (growing === 0 || growing === drifting.length);
  if (together)
    return growing > 0
      ? 'Most stations grow together: the tool gets dull and rides up, or pieces come off warmer and sooner. Sharpen, then measure the next piece.'
      : 'Most stations shrink together: sanding lasts longer from piece to piece, or the grits have got fresher. Time each grit.';
  const where = drifting.map((s) => s.station.label).join(' and ');
  const how = first.trend.slope > 0 ? 'opens' : 'closes';
  return `Only ${where} drifts: the gauge or calliper used there ${how} a little each time. Check it against the first piece.`;
}

/** Places along the axis that wander come from where the marks were laid, not from the tool. */
const wanderCause = (wandering: readonly StationSpread[]): string | null =>
  wandering.length === 0
    ? null
    : `${capitalised(wandering.map((s) => s.station.label).join(' and '))} wanders from piece to piece: the stick slips, or its notch wears. Lay it against the same face each time and check it against the first piece.`;

/** The verdict as findings of the twins stage: what keeps the pieces from being twins, and drift. */
export function twinsFindings(verdict: TwinsVerdict): Finding[] {
  if (verdict.state !== 'not twins' && verdict.cause === null) return [];
  return [
    {
      id: 'twins.verdict',
      severity: 'warn',
      stage: 'twins',
      what: verdict.headline,
      why: verdict.sentences[0] ?? '',
      remedy: verdict.cause ?? 'Cut the fat ones again, and make another for each that is too thin.',
    },
  ];
}
