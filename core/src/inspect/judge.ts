import { fine, len } from '../measure/index.js';
import type { Judgement, Station } from './station.js';

/** Floating point must not reject a piece that lies on its limit. */
const SLACK = 1e-6;

/** How much one light pass takes off the diameter, mm. */
const LIGHT_PASS = 0.4;

/**
 * Holds a measured diameter, or a place along the axis, against its station: within ± tolerance it is good, above it is fat
 * (can be cut again), below it is thin (cannot be put back).
 * @param against the size to cut to before sanding, or the finished size
 */
export function judge(mm: number, station: Station, against: 'cut' | 'finished'): Judgement {
  const wanted = against === 'cut' ? station.cutTo : station.finished;
  const deviation = mm - wanted;
  if (station.along && Math.abs(deviation) > station.tolerance + SLACK)
    return { verdict: 'off', deviation, words: offWords(deviation) };
  if (deviation > station.tolerance + SLACK)
    return { verdict: 'fat', deviation, words: fatWords(deviation, station) };
  if (deviation < -station.tolerance - SLACK)
    return { verdict: 'thin', deviation, words: thinWords(deviation, station, against) };
  return {
    verdict: 'good',
    deviation,
    words: Math.abs(deviation) < 0.05 ? 'Right on size.' : `Good: ${signed(deviation)}.`,
  };
}

/** What lies elsewhere along the axis is not mended by a cut: the eye finds it beside its twin. */
const offWords = (deviation: number): string =>
  `${len(Math.abs(deviation))} too ${deviation > 0 ? 'far from' : 'near'} the reference end: check the marks; accept it as the odd one out, or reject it.`;

/** Where a tenth matters a deviation is said to the hundredth. */
const amount = (mm: number, station: Station): string => (station.tolerance <= 0.2 ? fine(mm) : len(mm));

function fatWords(deviation: number, station: Station): string {
  const passes = Math.ceil((deviation - SLACK) / LIGHT_PASS);
  if (passes <= 1) return `${amount(deviation, station)} fat: one light pass.`;
  if (passes <= 3)
    return `${amount(deviation, station)} fat: ${passes} light passes, measure before the last.`;
  return `${amount(deviation, station)} fat: part down again to size first.`;
}

function thinWords(deviation: number, station: Station, against: 'cut' | 'finished'): string {
  const by = amount(-deviation, station);
  if (station.mating)
    return `${by} thin: it will not meet its hardware. Reject it, or keep it for a smaller base.`;
  if (against === 'cut' && -deviation <= station.cutTo - station.finished + station.tolerance + SLACK)
    return `${by} thin before sanding: go straight to the fine grits here.`;
  return `${by} thin: accept it as the odd one out, or reject it.`;
}

/** A deviation with its sign, to a hundredth; what rounds to nothing has none. */
export function signed(mm: number): string {
  if (Math.abs(mm) < 0.005) return fine(0);
  return `${mm < 0 ? '−' : '+'}${fine(Math.abs(mm))}`;
}
