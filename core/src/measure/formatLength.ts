import { MM_PER_INCH, type Dimension, type Units } from './dimension.js';
import { parseLength } from './parseLength.js';

/** An inch fraction in lowest terms, and how far it is from the true length. */
export interface InchFraction {
  whole: number;
  numerator: number;
  denominator: number;
  /** fraction − true length, mm */
  errorMm: number;
}

const FINEST = 64;

/** Nearest 1/64 inch, reduced. A length within 0.198 mm of it always exists (half of 1/64 inch). */
export function toInchFraction(mm: number): InchFraction {
  const sixtyFourths = Math.round((mm / MM_PER_INCH) * FINEST);
  const whole = Math.floor(sixtyFourths / FINEST);
  let numerator = sixtyFourths - whole * FINEST;
  let denominator = FINEST;
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  if (numerator === 0) denominator = 1;
  return { whole, numerator, denominator, errorMm: (sixtyFourths / FINEST) * MM_PER_INCH - mm };
}

/** A fraction is said to be a shade over or under when it misses the true length by more than this. */
const WORTH_SAYING_MM = 0.1;
/** What is less than the finest fraction is said in thousandths, mm. */
const LEAST_FRACTION = MM_PER_INCH / FINEST;

/** What a screen needs to show a length: the pieces of it, so that a fraction can be stacked. */
export type LengthParts =
  | { kind: 'decimal'; text: string; unit: 'mm' | 'in' }
  | { kind: 'fraction'; fraction: InchFraction; shade: string | null };

/**
 * The parts of a length in the units asked for, to what can be set or measured in them: mm to 0.1, decimal inches to
 * 0.001, fractions to the nearest 1/64, a shade over or under it where it misses by more than 0.1 mm. What is less
 * than 1/64 inch is said in thousandths.
 */
export function lengthParts(mm: number, units: Units): LengthParts {
  if (units === 'mm') return { kind: 'decimal', text: fixed(mm, 1), unit: 'mm' };
  const isTiny = Math.abs(mm) > 0 && Math.abs(mm) < LEAST_FRACTION;
  if (units === 'decimal-inch' || isTiny)
    return { kind: 'decimal', text: fixed(mm / MM_PER_INCH, 3), unit: 'in' };
  const fraction = toInchFraction(Math.abs(mm));
  const off = fraction.errorMm;
  const shade = Math.abs(off) > WORTH_SAYING_MM ? `a shade ${off > 0 ? 'under' : 'over'}` : null;
  if (mm < 0) fraction.whole = -fraction.whole;
  return { kind: 'fraction', fraction, shade };
}

/** A length as text with its unit, in the units asked for. */
export function formatLength(mm: number, units: Units): string {
  const parts = lengthParts(mm, units);
  if (parts.kind === 'decimal') return `${parts.text}${parts.unit === 'in' ? '"' : ' mm'}`;
  const { whole, numerator, denominator } = parts.fraction;
  const sign = mm < 0 && whole === 0 && numerator > 0 ? '−' : '';
  const body =
    numerator === 0
      ? `${whole}`
      : whole === 0
        ? `${numerator}/${denominator}`
        : `${whole} ${numerator}/${denominator}`;
  return `${parts.shade === null ? '' : `${parts.shade} `}${sign}${body}"`;
}

/** A length as text without how far its fraction is off: where the next unit stands beside it, or there is no room. */
export const withoutShade = (text: string): string => text.replace(/^a shade (over|under) /, '');

/** A small difference: mm to 0.01, or thousandths of an inch, which callipers show alike. */
export const formatFine = (mm: number, units: Units): string =>
  units === 'mm' ? `${fixed(mm, 2)} mm` : `${fixed(mm / MM_PER_INCH, 3)}"`;

/**
 * Text for an input field: what was typed, as long as it still reads as the same length in these
 * units; else the length to what can be measured. What is a whole tenth of a millimetre and no fraction of an inch was
 * made in millimetres, and is called so.
 * @param read how typed text is read, where it can be more than a length
 */
export function editText(dimension: Dimension, units: Units, read = parseLength): string {
  const { mm, typed } = dimension;
  if (typed !== undefined) {
    const again = read(typed, units);
    if (again.ok && Math.abs(again.dimension.mm - mm) < 1e-9) return typed;
  }
  if (units === 'mm') return trim(mm, 2);
  const { errorMm } = toInchFraction(mm);
  const isFraction = Math.abs(errorMm) < 1e-9;
  if (units === 'inch' && isFraction && mm >= LEAST_FRACTION) return formatLength(mm, 'inch').slice(0, -1);
  const isMetric = !isFraction && Math.abs(mm * 10 - Math.round(mm * 10)) < 1e-9;
  return isMetric ? `${trim(mm, 1)} mm` : trim(mm / MM_PER_INCH, 4);
}

/** So many decimals at most, without trailing zeros and never with an exponent. */
const trim = (value: number, decimals: number): string => String(Number(value.toFixed(decimals)));

/** What two ways of working out the same length may differ by in its last binary places, of the last decimal. */
const LAST_PLACES = 1e-6;

/**
 * A decimal with a true minus sign and never "−0.0". A half is always rounded up, also where its binary number lies a
 * hair below it: 8.35 worked out in one way and in another reads the same.
 */
function fixed(value: number, digits: number): string {
  const tens = 10 ** digits;
  const text = (Math.round(Math.abs(value) * tens + LAST_PLACES) / tens).toFixed(digits);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}
