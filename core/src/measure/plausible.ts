import { MM_PER_INCH, type Dimension } from './dimension.js';

/** What an entered length must fit: the range it can have and why. */
export interface MustFit {
  /** in the trade's words: "the 12 mm hole of the tip" */
  what: string;
  minMm: number;
  maxMm: number;
}

/** A likelier reading of a broken number. */
export interface LikelyReading {
  likely: Dimension;
  reason: string;
}

const DENOMINATORS = [2, 4, 8, 16, 32, 64];
const SLACK_MM = 1e-6;

/**
 * Checks an entered length against what it must fit, and when it cannot fit proposes the likely
 * reading: a fraction that lost its slash (5 1/16 for 5/16), a slipped decimal point (120 for 12),
 * or the wrong unit. The first reading that fits wins, likeliest mishap first.
 *
 * @returns null when the number fits or nothing likely is found
 */
export function checkPlausible(entered: Dimension, fit: MustFit): LikelyReading | null {
  if (fits(entered.mm, fit)) return null;
  const raw = entered.typed ?? String(entered.mm);
  for (const { mm, reason } of readings(entered.mm, raw)) {
    if (!fits(mm, fit)) continue;
    const full = `${reason}; ${raw} would not fit ${fit.what}`;
    return { likely: { mm, typed: undefined, correction: { raw, reason: full } }, reason: full };
  }
  return null;
}

const fits = (mm: number, fit: MustFit) => mm >= fit.minMm - SLACK_MM && mm <= fit.maxMm + SLACK_MM;

function* readings(mm: number, raw: string): Generator<{ mm: number; reason: string }> {
  for (const [numerator, denominator, whole] of lostSlash(raw)) {
    const text = whole > 0 ? `${whole} ${numerator}/${denominator}"` : `${numerator}/${denominator}"`;
    yield {
      mm: (whole + numerator / denominator) * MM_PER_INCH,
      reason: `a fraction seems to have lost its slash: ${text}`,
    };
  }
  yield { mm: mm / 10, reason: 'the decimal point seems to have slipped one place' };
  yield { mm: mm * 10, reason: 'the decimal point seems to have slipped one place' };
  yield { mm: mm / 100, reason: 'the decimal point seems to have slipped two places' };
  yield { mm: mm * MM_PER_INCH, reason: 'the number seems to be in inches' };
  yield { mm: mm / MM_PER_INCH, reason: 'the number seems to be in millimetres' };
}

/** Proper inch fractions hidden in the digits: 5 1/16 → 5/16, 516 → 5/16, 278 → 2 7/8. */
function* lostSlash(raw: string): Generator<[number, number, number]> {
  const mixed = /(\d+)[\s-]+1\s*\/\s*(\d+)/.exec(raw);
  if (mixed) {
    const numerator = Number(mixed[1]);
    const denominator = Number(mixed[2]);
    if (isProper(numerator, denominator)) yield [numerator, denominator, 0];
  }
  const digits = raw.replace(/[^\d]/g, '');
  for (const denominator of DENOMINATORS) {
    const tail = String(denominator);
    if (!digits.endsWith(tail)) continue;
    const head = digits.slice(0, -tail.length);
    for (let cut = 0; cut < head.length; cut++) {
      const numerator = Number(head.slice(cut));
      if (isProper(numerator, denominator)) yield [numerator, denominator, Number(head.slice(0, cut) || 0)];
    }
  }
}

const isProper = (numerator: number, denominator: number) =>
  numerator > 0 && numerator < denominator && numerator % 2 === 1 && DENOMINATORS.includes(denominator);
