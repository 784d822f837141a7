import { len } from '../measure/index.js';
import type { TwinsVerdict } from './twins.js';

/** An undersize ball that sets the size of its set. mm */
export interface BallSet {
  size: number;
  /** the ball that sets it */
  piece: number;
  /** those that are still larger by more than the tolerance of the set */
  larger: number[];
  words: string;
}

/**
 * Balls are used as a set: wood cannot be put back, so the smallest sets the size when it is below what was
 * drawn, and the others are turned down to it while they are still in the cups.
 * @param ballStations stations across a ball
 * @returns null while no ball is under size
 */
export function ballSet(verdict: TwinsVerdict, ballStations: readonly string[]): BallSet | null {
  const measured = verdict.pieces
    .filter((p) => !p.rejected)
    .flatMap((p) =>
      p.judgements
        .filter((j) => ballStations.includes(j.station.id))
        .map((j) => ({ piece: p.piece, reading: j.reading, station: j.station })),
    );
  const [smallest] = [...measured].sort((a, b) => a.reading - b.reading);
  if (!smallest || smallest.reading >= smallest.station.finished - smallest.station.tolerance - 1e-6)
    return null;
  const { tolerance } = smallest.station;
  const larger = measured.filter((m) => m.reading > smallest.reading + tolerance + 1e-6).map((m) => m.piece);
  return {
    size: smallest.reading,
    piece: smallest.piece,
    larger,
    words:
      larger.length === 0
        ? `The set is ${len(smallest.reading)}: all balls are within ${len(tolerance)} of the smallest.`
        : `Ball ${smallest.piece} is ${len(smallest.reading)} and sets the size: turn ${larger.join(', ')} down to it, or make that one again.`,
  };
}
