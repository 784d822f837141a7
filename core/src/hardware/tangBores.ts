import type { Bit } from '../workshop/index.js';
import { holeForBody, type HoleRange } from './fit.js';
import type { TangKit } from './kit.js';

/** One bore of the stairs that a tapered tang goes into. */
export interface TangBore {
  range: HoleRange;
  /** what the tang measures where this bore begins to hold it, mm */
  across: number;
  depth: number;
}

/** Of a square tang the corners bite this share of the way from its flats to its corners. */
const CORNERS_BITE = 0.35;
/** More bits than this take longer than they help. */
const MOST_BORES = 4;
/** A tang that narrows by less than this over its length is bored with one bit, mm. */
const STRAIGHT = 0.6;

/**
 * Round hole that a square tang fits: flats s stand off, corners s√2 bite into the wood by a share of what
 * they stand proud. Bench practice, typical, unchecked.
 */
export const roundFor = (across: number, section: TangKit['section']): number =>
  section === 'square' ? across * (1 + (Math.SQRT2 - 1) * (1 - CORNERS_BITE)) : across;

/**
 * Bits for a tang, the widest first while its centre is sound. A tapered tang gets stairs outside it: with
 * bits owned d₁ > d₂ > …, each goes as deep as the tang is wider than the next one's, so that no stair
 * stops the tang and the glue room stays small. Linear in the tang's length L:
 * depth at which it is as wide as d is L (shoulder − d)/(shoulder − tip).
 * @param gap what the hole is wider than the tang, mm; below 0 it presses
 */
export function tangBores(kit: TangKit, bits: readonly Bit[], gap: number, room: number): TangBore[] {
  const range = gap < 0 ? (across: number) => holeForBody(across, 'press') : stairRange;
  const shoulder = roundFor(kit.shoulderAcross.mm, kit.section);
  const tip = roundFor(kit.tipAcross.mm, kit.section);
  const full = kit.tangLength.mm + room;
  if (shoulder - tip < STRAIGHT) return [{ range: range(shoulder), across: shoulder, depth: full }];
  const between = bits
    .map((b) => b.diameter.mm - gap)
    .filter((d, i, all) => d > tip + 0.3 && d < shoulder - 0.3 && all.indexOf(d) === i)
    .sort((a, b) => b - a);
  const widths = [shoulder, ...evenly(between, MOST_BORES - 2), tip];
  return widths.map((across, i) => {
    const next = widths[i + 1];
    return {
      range: range(across),
      across,
      depth: next === undefined ? full : (kit.tangLength.mm * (shoulder - next)) / (shoulder - tip),
    };
  });
}

/** A stair holds glue anyway: line to line will do, and it may stand off farther than a plain body. */
const stairRange = (across: number): HoleRange => ({
  ...holeForBody(across, 'glue gap'),
  least: across,
  most: across + 0.6,
});

/** So many of a list at most, spread over it, ends left out where they crowd. */
function evenly(values: readonly number[], most: number): number[] {
  if (values.length <= most) return [...values];
  return Array.from(
    { length: most },
    (_, i) => values[Math.round(((i + 1) * (values.length - 1)) / (most + 1))] ?? 0,
  );
}
