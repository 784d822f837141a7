import { MM_PER_INCH, type Dimension, type Units } from './dimension.js';

export type ParsedLength = { ok: true; dimension: Dimension } | { ok: false; why: string };

/** Longest length Compas takes: nothing a spindle lathe holds is longer than 20 m. */
const LONGEST_MM = 20_000;

const UNICODE_FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const UNIT_MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
};

const DECIMAL = /^(\d+(?:\.\d*)?|\.\d+)\s*([a-z"]*)$/;
const FRACTION = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)\s*([a-z"]*)$/;

/**
 * Reads a length from what people type: `73`, `73 mm`, `7.3 cm`, `2 7/8`, `2-7/8"`, `7/8 in`,
 * `2.875"`, unicode fractions. A bare decimal is in the `assume` units; a bare fraction is inches,
 * since nobody writes millimetres in fractions.
 *
 * @param text what was typed, kept as `typed`
 * @param assume units of a number without a unit
 * @returns the dimension in mm, or a sentence that says what is wrong and what would do
 */
export function parseLength(text: string, assume: Units): ParsedLength {
  const typed = text.trim();
  if (typed === '') return no('Nothing is typed here. Give a length such as 73 or 2 7/8".');
  if (/^[-−–]/.test(typed)) return no(`"${typed}" is below zero. A length counts from zero up.`);
  const plain = normalise(typed);
  const fraction = FRACTION.exec(plain);
  const decimal = fraction ? null : DECIMAL.exec(plain);
  const unit = (fraction ? fraction[4] : decimal?.[2]) ?? '';
  if (!fraction && !decimal)
    return no(`"${typed}" is not a length. Type it like 73, 7.3 cm, 2 7/8 or 2.875".`);
  if (unit !== '' && UNIT_MM[unit] === undefined)
    return no(`"${unit}" in "${typed}" is not a unit Compas knows. Use mm, cm, m, in or ".`);
  if (fraction) return fromFraction(typed, fraction, unit);
  return checked(typed, Number(decimal?.[1]) * unitOf(unit, assume));
}

function fromFraction(typed: string, match: RegExpExecArray, unit: string): ParsedLength {
  const whole = Number(match[1] ?? 0);
  const numerator = Number(match[2]);
  const denominator = Number(match[3]);
  if (denominator === 0) return no(`"${typed}" divides by zero. The lower number of a fraction is 2 to 64.`);
  const count = (whole * denominator + numerator) / denominator;
  return checked(typed, count * unitOf(unit, 'inch'));
}

function unitOf(unit: string, assume: Units): number {
  return UNIT_MM[unit] ?? (assume === 'mm' ? 1 : MM_PER_INCH);
}

function checked(typed: string, mm: number): ParsedLength {
  if (mm > LONGEST_MM) return no(`"${typed}" is more than 20 m. Check the unit: did you mean millimetres?`);
  return { ok: true, dimension: { mm, typed } };
}

function normalise(typed: string): string {
  return typed
    .toLowerCase()
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (c) => ` ${UNICODE_FRACTIONS[c] ?? ''}`)
    .replace(/[⁄∕]/g, '/')
    .replace(/[″”“]|''/g, '"')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim();
}

const no = (why: string): ParsedLength => ({ ok: false, why });
