import { median } from 'simple-statistics';
import type { Outline } from './outline.js';
import { radiusAt } from './radius.js';

/** How far one outline lies from another at a place: b − a on the diameter, mm. */
interface DifferenceAt {
  x: number;
  difference: number;
}

/** Two outlines laid over each other. mm. */
export interface Comparison {
  /** along x, close enough that nothing a turner could see lies between */
  along: DifferenceAt[];
  largest: DifferenceAt;
  /** median of the difference on the diameter, whichever way: a step a hair elsewhere hardly counts */
  typical: number;
  /** b longer than a */
  longer: number;
}

const PLACES = 400;

/** Just beside a step, so that both its sides are looked at, mm. */
const BESIDE = 1e-4;

/**
 * Lays outline b over a, with b moved by `shift` along the axis. The difference is taken at 400 even
 * places and on both sides of every break of both; beyond an end the diameter is 0.
 */
export function compareOutlines(a: Outline, b: Outline, shift = 0): Comparison {
  const from = Math.min(0, shift);
  const to = Math.max(a.length, b.length + shift);
  const even = Array.from({ length: PLACES + 1 }, (_, i) => from + ((to - from) * i) / PLACES);
  const breaks = [...breaksOf(a), ...breaksOf(b).map((x) => x + shift)];
  const places = [...even, ...breaks.flatMap((x) => [x - BESIDE, x + BESIDE])]
    .filter((x) => x >= from && x <= to)
    .sort((p, q) => p - q);
  const along = places.map((x) => ({ x, difference: 2 * (radiusAt(b, x - shift) - radiusAt(a, x)) }));
  // a step that only lies a hair elsewhere is no difference of diameter
  const seen = along.filter(
    ({ x }) => x > BESIDE / 2 && x < Math.min(a.length, b.length + shift) - BESIDE / 2,
  );
  const largest = seen.reduce<DifferenceAt>(
    (most, d) => (Math.abs(d.difference) > Math.abs(most.difference) ? d : most),
    { x: 0, difference: 0 },
  );
  return {
    along,
    largest,
    typical: median(even.map((x) => 2 * Math.abs(radiusAt(b, x - shift) - radiusAt(a, x)))),
    longer: b.length - a.length,
  };
}

const breaksOf = (outline: Outline): number[] => [0, ...outline.segments.map((s) => s.x1)];
