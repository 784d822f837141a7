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
const MOST_BORES = 3;
/** A stair up to this wide on the diameter fills with glue and needs no bit between, mm: bench practice, typical. */
const FILLED = 1.5;
/** What a further bit must take off the widest stair to be worth changing to, mm. */
const WORTH_A_BIT = 0.4;
/** A bit nearer than this to the shoulder or the tip makes no stair of its own, mm. */
const LEAST_STAIR = 0.3;
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
 * bits d₁ > d₂ > …, each goes as deep as the tang is wider than the next one's, so that no stair
 * stops the tang and the glue room stays small; the last goes to the bottom, where only the tip is left. Linear in the tang's length L:
 * depth at which it is as wide as d is L (shoulder − d)/(shoulder − tip).
 * @param gap what the hole is wider than the tang, mm; below 0 it presses
 */
export function tangBores(kit: TangKit, bits: readonly Bit[], gap: number, room: number): TangBore[] {
  const range = gap < 0 ? (across: number) => holeForBody(across, 'press') : stairRange;
  const shoulder = roundFor(kit.shoulderAcross.mm, kit.section);
  const tip = roundFor(kit.tipAcross.mm, kit.section);
  const full = kit.tangLength.mm + room;
  if (shoulder - tip < STRAIGHT) return [{ range: range(shoulder), across: shoulder, depth: full }];
  const taper = { shoulder, tip, length: kit.tangLength.mm };
  const widths = [shoulder, ...between(taper, bits, gap)];
  return widths.map((across, i) => {
    const next = widths[i + 1];
    return { range: range(across), across, depth: next === undefined ? full : depthAt(taper, next) };
  });
}

/** A tang as the hole sees it: round, from its shoulder to its tip. mm */
interface Taper {
  shoulder: number;
  tip: number;
  length: number;
}

/** Depth at which the tang has narrowed to a width, mm. */
const depthAt = ({ shoulder, tip, length }: Taper, width: number): number =>
  (length * (shoulder - width)) / (shoulder - tip);

/**
 * Widths between shoulder and tip, each of a bit that reaches as deep as its bore: the fewest that leave no
 * stair wider than glue fills well, and of so many those whose widest stair is the narrowest. Two bits of
 * nearly the same size are never both taken: the second would not narrow any stair.
 */
function between(taper: Taper, bits: readonly Bit[], gap: number): number[] {
  const owned = bits
    .filter((b) => b.kind !== 'step')
    .map((b) => ({ width: b.diameter.mm - gap, reach: b.length }))
    .filter(({ width }) => width > taper.tip + LEAST_STAIR && width < taper.shoulder - LEAST_STAIR)
    .sort((a, b) => b.width - a.width);
  let best: number[] = [];
  for (let count = 0; count < MOST_BORES; count++) {
    if (widestStair(taper, best) <= FILLED) break;
    const reaching = choices(owned, count).filter((chosen) =>
      chosen.every(({ reach }, i) => reach >= depthAt(taper, chosen[i + 1]?.width ?? taper.tip)),
    );
    for (const chosen of reaching) {
      const widths = chosen.map(({ width }) => width);
      if (widestStair(taper, widths) < widestStair(taper, best) - WORTH_A_BIT * (count - best.length))
        best = widths;
    }
  }
  return best;
}

/** What the widest stair is wider than the tang where it ends, on the diameter, mm. */
function widestStair({ shoulder, tip }: Taper, widths: readonly number[]): number {
  const all = [shoulder, ...widths, tip];
  return Math.max(...all.slice(1).map((width, i) => (all[i] ?? 0) - width));
}

/** Every choice of so many of a list, in its order. */
function choices<T>(list: readonly T[], count: number): T[][] {
  if (count === 0) return [[]];
  return list.flatMap((first, i) => choices(list.slice(i + 1), count - 1).map((rest) => [first, ...rest]));
}

/** A stair holds glue anyway: line to line will do, and it may stand off farther than a plain body. */
const stairRange = (across: number): HoleRange => ({
  ...holeForBody(across, 'glue gap'),
  least: across,
  most: across + 0.6,
});
