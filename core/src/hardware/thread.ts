import { MM_PER_INCH } from '../measure/index.js';

/** A 60° screw thread by its basic profile. Lengths mm. */
export interface Thread {
  /** as it is written: M8, 1/4-20 */
  name: string;
  outside: number;
  pitch: number;
  /** where thread and gap are equally wide */
  pitchDiameter: number;
  /** root of the bolt, between its threads */
  root: number;
  /** bore before a full thread is tapped */
  tapHole: number;
}

/** Coarse pitches by size, ISO 261. mm */
const METRIC_COARSE: Record<string, number> = {
  2: 0.4,
  2.5: 0.45,
  3: 0.5,
  3.5: 0.6,
  4: 0.7,
  5: 0.8,
  6: 1,
  8: 1.25,
  10: 1.5,
  12: 1.75,
  14: 2,
  16: 2,
  20: 2.5,
  24: 3,
};

/** Threads per inch of the coarse unified series by size, ASME B1.1. */
const UNIFIED_COARSE: Record<string, number> = {
  '#2': 56,
  '#4': 40,
  '#5': 40,
  '#6': 32,
  '#8': 32,
  '#10': 24,
  '#12': 24,
  '1/4': 20,
  '5/16': 18,
  '3/8': 16,
  '7/16': 14,
  '1/2': 13,
  '5/8': 11,
  '3/4': 10,
};

const METRIC = /^m\s*(\d+(?:\.\d+)?)(?:\s*[x×]\s*(\d+(?:\.\d+)?))?$/i;
const UNIFIED = /^(#\d+|\d+\/\d+)"?(?:\s*-\s*(\d+))?(?:\s*unc)?$/i;

/**
 * Reads a thread as people write it: `M8`, `M8 × 1`, `1/4-20`, `#8-32`, `5/16 UNC`.
 * @returns null for a name that is no metric or unified thread, such as a stud's own
 */
export function threadOf(name: string): Thread | null {
  const text = name.trim();
  const metric = METRIC.exec(text);
  if (metric) {
    const outside = Number(metric[1]);
    const pitch = metric[2] === undefined ? METRIC_COARSE[outside] : Number(metric[2]);
    return pitch === undefined ? null : profile(text, outside, pitch);
  }
  const unified = UNIFIED.exec(text);
  if (!unified) return null;
  const size = unified[1] ?? '';
  const perInch = unified[2] === undefined ? UNIFIED_COARSE[size] : Number(unified[2]);
  if (!perInch) return null;
  return profile(text, unifiedOutside(size) * MM_PER_INCH, MM_PER_INCH / perInch);
}

/** Outside diameter in inches: numbered screws are 0.060 + 0.013 n, ASME B1.1. */
function unifiedOutside(size: string): number {
  if (size.startsWith('#')) return 0.06 + 0.013 * Number(size.slice(1));
  const [over = 0, under = 1] = size.split('/').map(Number);
  return over / under;
}

/**
 * Basic profile of the 60° thread (ISO 68-1 and ASME B1.1): with H = P√3/2 the pitch diameter is d − ¾H,
 * the root of the bolt d − 17/12 H, the bore of the nut d − 5/4 H.
 */
function profile(name: string, outside: number, pitch: number): Thread | null {
  const height = (pitch * Math.sqrt(3)) / 2;
  if (outside <= 0 || pitch <= 0 || outside - (17 / 12) * height <= 0) return null;
  return {
    name,
    outside,
    pitch,
    pitchDiameter: outside - 0.75 * height,
    root: outside - (17 / 12) * height,
    tapHole: outside - 1.25 * height,
  };
}
