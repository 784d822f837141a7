import { dim, len } from '../measure/index.js';
import type { Gauge } from '../workshop/index.js';

/** A fixed gauge of the right size, or a calliper to be set. */
export interface GaugeChoice {
  gauge: Gauge | null;
  words: string;
}

/** What is sized: what it is cut to, how closely, and whether it meets something. mm */
interface Sized {
  cutTo: number;
  tolerance: number;
  mating: boolean;
}

/** How near a fixed gauge must be to serve for a cut that is seen, mm: a little over leaves room for sanding. */
const GAUGE_UNDER = 0.05;
const GAUGE_OVER = 0.3 + 1e-6;
/** Slots are cut to tenths: so much a limit may be off, mm. What is held closer than a tenth no such pair tells. */
const ROUNDED = 0.05 + 1e-6;
const TOLD_BY_SLOTS = 0.1 - 1e-6;

/**
 * Whether a fixed gauge tells that a cut is done. What meets something is held within its tolerance: a pair that goes
 * and does not go at its limits, or one slot within them.
 */
function serves({ kind, size, noGo }: Gauge, { cutTo, tolerance, mating }: Sized): boolean {
  if (kind === 'calliper' || size === undefined) return false;
  const over = size.mm - cutTo;
  if (!mating) return over >= -GAUGE_UNDER && over <= GAUGE_OVER;
  if (kind !== 'go and no-go' || noGo === undefined) return Math.abs(over) <= Math.min(tolerance, GAUGE_OVER);
  const under = cutTo - noGo.mm;
  const rounded = tolerance >= TOLD_BY_SLOTS ? ROUNDED : 1e-6;
  const within = (off: number) => off >= -rounded && off <= tolerance + rounded;
  return within(over) && within(under);
}

/** Fixed gauges beat re-set callipers: the owned one nearest to the cut that tells when it is done, else a calliper. */
export function gaugeFor(cut: Sized, gauges: readonly Gauge[]): GaugeChoice {
  const off = ({ size }: Gauge) => Math.abs((size?.mm ?? 0) - cut.cutTo);
  const [fixed] = gauges.filter((g) => serves(g, cut)).sort((a, b) => off(a) - off(b));
  if (fixed) return { gauge: fixed, words: fixedWords(fixed) };
  const calliper = gauges.find((g) => g.kind === 'calliper');
  return {
    gauge: calliper ?? null,
    words: `Set ${calliper ? `the ${calliper.name.toLowerCase()}` : 'a calliper'} to ${len(cut.cutTo)}.`,
  };
}

function fixedWords({ kind, name, noGo }: Gauge): string {
  switch (kind) {
    case 'go and no-go':
      return `${name}: the go side slides over, the no-go${noGo ? ` of ${len(noGo.mm)}` : ''} does not: stop.`;
    case 'open wrench':
      return `${name} drops over behind the parting tool: stop.`;
    default:
      return `${name} slides over: stop.`;
  }
}

/** A slot gauge that would have to be made. mm */
export interface WantedSlot {
  /** what must go over the work */
  go: number;
  /** where the size is held closely: what must not go over it */
  noGo: number | null;
}

/**
 * Slots that would have to be made, so that nothing need be set: one for each cut without a fixed gauge. A
 * mating diameter gets a go and a no-go slot at its two limits; one that is held closer is set by calliper.
 */
export function missingSlots(sizing: readonly (Sized & { gauge: GaugeChoice })[]): WantedSlot[] {
  const tenth = (mm: number) => Math.round(mm * 10) / 10;
  const wanted = sizing
    .filter(({ gauge }) => gauge.gauge === null || gauge.gauge.kind === 'calliper')
    .filter(({ mating, tolerance }) => !mating || tolerance >= TOLD_BY_SLOTS)
    .map(({ cutTo, tolerance, mating }) =>
      mating
        ? { go: tenth(cutTo + tolerance), noGo: tenth(cutTo - tolerance) }
        : { go: tenth(cutTo), noGo: null },
    )
    .sort((a, b) => a.go - b.go);
  return wanted.filter((w, i) => !wanted.slice(0, i).some((v) => v.go === w.go && v.noGo === w.noGo));
}

/** A slot that was cut, as the workshop lists it. */
export const slotGauge = ({ go, noGo }: WantedSlot, id: string, name: string): Gauge =>
  noGo === null
    ? { id, name, kind: 'slot', size: dim(go) }
    : { id, name, kind: 'go and no-go', size: dim(go), noGo: dim(noGo) };
