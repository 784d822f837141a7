import { MM_PER_INCH } from '../measure/index.js';

/** A 60° screw thread by its basic profile. Lengths mm. */
export interface Thread {
  /** as it is written: M8, 1/4-20 */
  name: string;
  outside: number;
  pitch: number;
  /** threads per inch of one that is named by them */
  perInch: number | null;
  /** where thread and gap are equally wide */
  pitchDiameter: number;
  /** root of the bolt, between its threads */
  root: number;
  /** bore before a full thread is tapped */
  tapHole: number;
}

/** Coarse pitches by size, ISO 261. mm */
const METRIC_COARSE: Readonly<Record<string, number>> = {
  1.6: 0.35,
  2: 0.4,
  2.5: 0.45,
  3: 0.5,
  3.5: 0.6,
  4: 0.7,
  5: 0.8,
  6: 1,
  7: 1,
  8: 1.25,
  10: 1.5,
  12: 1.75,
  14: 2,
  16: 2,
  18: 2.5,
  20: 2.5,
  22: 2.5,
  24: 3,
  27: 3,
  30: 3.5,
  33: 3.5,
  36: 4,
  39: 4,
  42: 4.5,
  45: 4.5,
  48: 5,
};

/** Threads per inch of the unified series by size, coarse and fine, ASME B1.1; 0 where a series has none. */
const UNIFIED: Readonly<Record<string, readonly [coarse: number, fine: number]>> = {
  '#0': [0, 80],
  '#1': [64, 72],
  '#2': [56, 64],
  '#3': [48, 56],
  '#4': [40, 48],
  '#5': [40, 44],
  '#6': [32, 40],
  '#8': [32, 36],
  '#10': [24, 32],
  '#12': [24, 28],
  '1/4': [20, 28],
  '5/16': [18, 24],
  '3/8': [16, 24],
  '7/16': [14, 20],
  '1/2': [13, 20],
  '9/16': [12, 18],
  '5/8': [11, 18],
  '3/4': [10, 16],
  '7/8': [9, 14],
  '1': [8, 12],
  '1 1/8': [7, 12],
  '1 1/4': [7, 12],
  '1 3/8': [6, 12],
  '1 1/2': [6, 12],
};

const METRIC_NAME = /^m\s*(\d+(?:[.,]\d+)?)(?:\s*[x×*-]\s*(\d+(?:[.,]\d+)?))?(?:\s*-?\s*\d[a-h])?$/i;
const UNIFIED_NAME =
  /^(#\s*\d+|\d+[ -]\d+\/\d+|\d+\/\d+|\d+)\s*"?(?:\s*[-x×]\s*(\d+(?:\.\d+)?))?\s*(unc|unf|unef|uns|un)?(?:\s*-?\s*[123][ab])?$/i;

/**
 * Reads a thread as people write it: `M8`, `M8 × 1`, `M8-1.25`, `M33`, `1/4-20`, `#8-32`, `10-32`, `5/16 UNC`, `1/4-28 UNF`,
 * `1-8`, `1 1/4-8`. A whole number is a numbered screw where such a one has so many threads, else inches.
 * @returns null for a name that is no metric or unified thread, such as a stud's own
 */
export function threadOf(name: string): Thread | null {
  const text = name.trim();
  const metric = METRIC_NAME.exec(text);
  if (metric) {
    const [outside, own] = [metric[1], metric[2]].map((n) => Number(n?.replace(',', '.')));
    const pitch = metric[2] === undefined ? METRIC_COARSE[outside ?? 0] : own;
    return pitch === undefined ? null : profile(text, outside ?? 0, pitch, null);
  }
  const unified = UNIFIED_NAME.exec(text);
  return unified ? unifiedOf(text, unified) : null;
}

function unifiedOf(text: string, [, written = '', threads, series = '']: RegExpExecArray): Thread | null {
  const said = threads === undefined ? null : Number(threads);
  const size = sizeOf(written.replace(/[#\s]*#\s*/, '#').replace(/(\d)-(?=\d+\/)/, '$1 '), said, series);
  const [coarse, fine] = UNIFIED[size] ?? [0, 0];
  const perInch = said ?? (/^unf$/i.test(series) ? fine : coarse);
  // a bare number is a size only with its threads, or as what it is called
  if (!perInch || (said === null && series === '' && /^\d+$/.test(written))) return null;
  return profile(text, outsideOf(size) * MM_PER_INCH, MM_PER_INCH / perInch, perInch);
}

/** What is written as 10 is number 10, where number 10 has such a thread, and 1 is an inch. */
function sizeOf(size: string, perInch: number | null, series: string): string {
  if (!/^\d+$/.test(size)) return size;
  const [coarse, fine] = UNIFIED[`#${size}`] ?? [0, 0];
  const numbered =
    perInch === null ? UNIFIED[size] === undefined && series !== '' : perInch === coarse || perInch === fine;
  return numbered ? `#${size}` : size;
}

/** No bolt of wood or lathe is thicker, inches: a larger whole number is none. */
const THICKEST = 4;

/** Outside diameter in inches: numbered screws are 0.060 + 0.013 n, ASME B1.1. */
function outsideOf(size: string): number {
  if (size.startsWith('#')) return 0.06 + 0.013 * Number(size.slice(1));
  const inches = size.split(' ').reduce((sum, part) => {
    const [over = 0, under = 1] = part.split('/').map(Number);
    return sum + over / under;
  }, 0);
  return inches <= THICKEST ? inches : 0;
}

/**
 * Basic profile of the 60° thread (ISO 68-1 and ASME B1.1): with H = P√3/2 the pitch diameter is d − ¾H,
 * the root of the bolt d − 17/12 H, the bore of the nut d − 5/4 H.
 */
function profile(name: string, outside: number, pitch: number, perInch: number | null): Thread | null {
  const height = (pitch * Math.sqrt(3)) / 2;
  if (!(outside > 0) || !(pitch > 0) || outside - (17 / 12) * height <= 0) return null;
  return {
    name,
    outside,
    pitch,
    perInch,
    pitchDiameter: outside - 0.75 * height,
    root: outside - (17 / 12) * height,
    tapHole: outside - 1.25 * height,
  };
}
