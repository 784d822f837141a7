import { len } from '../measure/index.js';
import type { Bit } from '../workshop/index.js';
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

/**
 * Picks from the bits the workshop owns the one nearest to the best diameter that lies in the
 * range, is long enough, and (where it matters) has the right kind of bottom.
 * @param reach depth to the shoulder, mm
 */
export function pickBit(bits: readonly Bit[], range: HoleRange, reach: number): BitChoice {
  const byNearness = bits
    .filter((bit) => bit.length + SLACK >= reach)
    .sort((a, b) => Math.abs(a.diameter.mm - range.best) - Math.abs(b.diameter.mm - range.best));
  const inRange = byNearness.find(
    (b) => b.diameter.mm >= range.least - SLACK && b.diameter.mm <= range.most + SLACK,
  );
  if (inRange)
    return {
      bit: inRange,
      instead: null,
      off: inRange.diameter.mm - range.best,
      consequence: fitWords(range),
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
    consequence: insteadWords(instead, range),
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
    case 'thread-forming':
      return 'The stud cuts its own thread.';
  }
}

function insteadWords(bit: Bit, range: HoleRange): string {
  const under = range.best - bit.diameter.mm;
  if (under > 0)
    return under <= 0.5
      ? `${len(bit.diameter.mm)} is ${len(under)} under: it presses and may split fine walls; ease the hole with a round file.`
      : `${len(bit.diameter.mm)} is ${len(under)} under: too tight to press. Open the hole with a reamer or get a bit of ${len(range.best)}.`;
  return -under <= 0.6
    ? `${len(bit.diameter.mm)} is ${len(-under)} over: use a gap-filling epoxy and let it set upright.`
    : `${len(bit.diameter.mm)} is ${len(-under)} over: nothing will hold. Get a bit of ${len(range.best)}.`;
}
