import { len } from '../measure/index.js';
import { bitMark, stampedSize, type Bit } from '../workshop/index.js';
import type { HoleRange } from './fit.js';

/** The bit for a hole, or what is missing and what would do instead. */
export interface BitChoice {
  bit: Bit | null;
  /** the owned bit nearest to the wish when none is in range */
  instead: Bit | null;
  /** bit − wish, mm, of the bit or of what is taken instead */
  off: number;
  consequence: string;
}

const SLACK = 1e-6;

/** How a bit is asked for in words: its kind, and what is stamped on it; of a number or a letter its diameter too. */
export const bitWords = ({ kind, diameter }: Bit): string =>
  `${kind} ${bitMark(diameter) === '' ? stampedSize(diameter) : `${bitMark(diameter)}, ${len(diameter.mm)}`}`;

const FLAT: readonly Bit['kind'][] = ['flat-bottomed', 'spade'];

/**
 * Picks from the bits the workshop owns the one nearest to the best diameter that lies in the range and is
 * long enough; where a flat bottom is asked for, one that leaves it goes first. Step bits wait for holes with
 * their own two diameters.
 * @param reach depth to the shoulder, mm
 * @param how it is to leave a flat bottom, or is a pilot that is reamed wider: nothing has to fit in it
 */
export function pickBit(
  bits: readonly Bit[],
  range: HoleRange,
  reach: number,
  { flat = false, reamed = false }: { flat?: boolean; reamed?: boolean } = {},
): BitChoice {
  const byNearness = bits
    .filter((bit) => bit.kind !== 'step' && bit.length + SLACK >= reach)
    .sort((a, b) => Math.abs(a.diameter.mm - range.best) - Math.abs(b.diameter.mm - range.best));
  const inRange = byNearness.filter(
    (b) => b.diameter.mm >= range.least - SLACK && b.diameter.mm <= range.most + SLACK,
  );
  const leavesFlat = inRange.find((b) => FLAT.includes(b.kind));
  const bit = flat ? (leavesFlat ?? inRange[0]) : inRange[0];
  if (bit)
    return {
      bit,
      instead: null,
      off: bit.diameter.mm - range.best,
      consequence:
        flat && !leavesFlat ? `${fitWords(range)} It leaves a cone: pare the bottom flat.` : fitWords(range),
    };
  const instead = byNearness[0] ?? null;
  if (!instead)
    return {
      bit: null,
      instead: null,
      off: 0,
      consequence: `No bit of the workshop reaches ${len(reach)}. Get one of ${len(range.best)}, or a shorter insert.`,
    };
  return {
    bit: null,
    instead,
    off: instead.diameter.mm - range.best,
    consequence: reamed ? pilotWords(instead, range) : insteadWords(instead, range),
  };
}

function fitWords(range: HoleRange): string {
  switch (range.fit) {
    case 'press':
      return 'Presses in; squeeze it in the vise, do not hammer.';
    case 'glue gap':
      return 'Slides in with room for glue.';
    case 'slip':
      return 'Slides in and out by hand.';
    case 'clearance':
      return 'Goes through without touching.';
    case 'thread-forming':
      return 'The stud cuts its own thread.';
  }
}

function pilotWords({ diameter }: Bit, range: HoleRange): string {
  const under = range.best - diameter.mm;
  return under > 0
    ? `${len(diameter.mm)} is ${len(under)} under: that much more is left to ream.`
    : `${len(diameter.mm)} is ${len(-under)} over: it would cut into what is reamed. Get a bit of ${len(range.best)} or a little less.`;
}

/** Glue bridges so much on the diameter, where something else holds the part true until it sets, mm: bench practice, typical. */
const BRIDGED = 1.5;

function insteadWords(bit: Bit, range: HoleRange): string {
  const under = range.best - bit.diameter.mm;
  if (under > 0)
    return under <= 0.5
      ? `${len(bit.diameter.mm)} is ${len(under)} under: it presses and may split fine walls; ease the hole with a round file.`
      : `${len(bit.diameter.mm)} is ${len(under)} under: too tight to press. Open the hole with a reamer or get a bit of ${len(range.best)}.`;
  if (range.fit === 'slip' || range.fit === 'clearance')
    return `${len(bit.diameter.mm)} is ${len(-under)} over: it sits that much looser.`;
  return -under <= 0.6
    ? `${len(bit.diameter.mm)} is ${len(-under)} over: use a gap-filling epoxy and let it set upright.`
    : range.fit === 'glue gap' && -under <= BRIDGED
      ? `${len(bit.diameter.mm)} is ${len(-under)} over: gap-filling epoxy holds it, but nothing centres it. Wrap it with thread until it stands true.`
      : `${len(bit.diameter.mm)} is ${len(-under)} over: nothing will hold. Get a bit of ${len(range.best)}.`;
}

/** How near the two diameters of a step bit must be to those drawn, mm. */
const STEP_NEAR = 0.3;

/** The step bit that drills a recess and the hole behind it in one go; null when none is owned. */
export function stepBitFor(
  bits: readonly Bit[],
  recess: { diameter: number; depth: number },
  hole: { diameter: number; depth: number },
): Bit | null {
  const near = (a: number, b: number) => Math.abs(a - b) <= STEP_NEAR;
  return (
    bits.find(
      (b) =>
        b.kind === 'step' &&
        b.pilot !== undefined &&
        near(b.diameter.mm, recess.diameter) &&
        near(b.pilot.mm, hole.diameter) &&
        near(b.pilotLength ?? 0, hole.depth - recess.depth) &&
        b.length + SLACK >= hole.depth,
    ) ?? null
  );
}
