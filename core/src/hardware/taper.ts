import { dim, len } from '../measure/index.js';
import type { Hole, HoleStep } from '../pattern/index.js';
import type { Bit } from '../workshop/index.js';
import { drawnRange } from './bitWork.js';
import type { NeededHole } from './neededHole.js';

/** Bores beside the narrowest: more take longer than the reamer saves. */
const MOST_WIDER = 3;

/** How much narrower than the end of a taper its pilot may be, mm: more is much to ream. */
const MOST_NARROWER = 1.5;

/** What a reamer needs to bite, on the diameter, mm. */
const REAMED = 0.2;

/**
 * Bores of a tapered step: the widest first while its centre is sound, each to where the taper is as
 * wide as its bit, so that steps stand inside the taper; the narrowest goes to the bottom. Reaming or
 * scraping to two calliper settings makes the taper of them.
 * @param from depth where the step begins, mm from the mouth
 */
export function taperBores(
  hole: Hole,
  step: HoleStep,
  from: number,
  id: string,
  bits: readonly Bit[],
): NeededHole[] {
  const mouth = step.diameter.mm;
  const end = step.endDiameter?.mm ?? mouth;
  const deepAt = (d: number) => from + ((mouth - d) / (mouth - end)) * (step.depth.mm - from);
  const between = bits
    .map((b) => b.diameter.mm)
    .filter((d, i, all) => d > end + REAMED && d < mouth - REAMED && all.indexOf(d) === i)
    .sort((a, b) => b - a);
  const wider = spread(between, MOST_WIDER).map((d) => ({ diameter: d, depth: deepAt(d + REAMED) }));
  // what is reamed afterwards may be bored narrower, never wider
  const owned = bits.map((b) => b.diameter.mm).filter((d) => d <= end + 1e-6 && d >= end - MOST_NARROWER);
  const bores = [...wider, { diameter: Math.max(...owned, 0) || end, depth: step.depth.mm }];
  return bores.map(({ diameter, depth }, i) => {
    const last = i === bores.length - 1;
    return {
      hole: {
        ...hole,
        id: `${id}${String.fromCharCode(97 + i)}`,
        name: last ? `${hole.name}, pilot` : `${hole.name}, step ${i + 1}`,
        steps: [{ diameter: dim(diameter), depth: dim(depth) }],
      },
      range: drawnRange(diameter),
      enters: hole.name,
      entersDiameter: diameter,
      entersLength: depth,
      becomes: last ? step : null,
      ...(last
        ? {
            after: `Ream or scrape it to the taper: inside calliper at ${len(mouth)} for the mouth${from > 0 ? ` (${len(from)} deep)` : ''}, at ${len(end)} for ${len(step.depth.mm)} deep.`,
          }
        : {}),
    };
  });
}

/** So many of a list at most, spread over it. */
function spread(values: readonly number[], most: number): number[] {
  if (values.length <= most) return [...values];
  return Array.from(
    { length: most },
    (_, i) => values[Math.round((i * (values.length - 1)) / (most - 1))] ?? 0,
  );
}
