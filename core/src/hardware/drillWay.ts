import { len, type DrillMoment, type DrillSetup } from '../measure/index.js';

/** A choice for one hole: when it is drilled and with what set-up. */
export interface DrillChoice {
  holeId: string;
  moment?: DrillMoment;
  setup?: DrillSetup;
}

/** What can be done with a hole, and what is taken when nobody chose. */
export interface DrillWay {
  moment: DrillMoment;
  setup: DrillSetup;
}

/** What speaks for drilling at a moment, and what is risked. */
export const MOMENT_WORDS: Record<DrillMoment, { gain: string; risk: string }> = {
  'square blank': {
    gain: 'Flat faces to clamp, and the outside is turned true to the hole afterwards.',
    risk: 'A hole that runs off its axis takes the wall with it; a thin end must not be crushed by the centre.',
  },
  'after rounding': {
    gain: 'Held in the chuck by a round that runs true; the diameter is still stout.',
    risk: 'Chips pack with the work lying; what the chuck is out goes into the hole.',
  },
  'after shaping': {
    gain: 'The finished end is there to measure from.',
    risk: 'The wall is thin already: a drift or a hot bit splits it, and the outside cannot follow any more.',
  },
  'after parting': {
    gain: 'Nothing of the hole is in the way of turning.',
    risk: 'A finished piece is hard to hold without a mark, and its axis is found by eye.',
  },
};

/** How a set-up is worked, and which of its faults stays in the hole. */
export const SETUP_WORDS: Record<DrillSetup, { how: string; leaves: string }> = {
  tailstock: {
    how: 'Work turns in the chuck, the bit stands in the tailstock and is fed by the quill.',
    leaves:
      'The turning work draws the bit to its axis: little drift, but the mouth is as true as the chuck.',
  },
  headstock: {
    how: 'The bit turns in the headstock, held with a draw bar; the work is fed by hand on the live centre.',
    leaves:
      'By experience straighter than the press for long holes; it leaves the blank where its centre was punched.',
  },
  'drill press': {
    how: 'The bit turns in the press, the blank stands in the vise or against the fence.',
    leaves:
      'The punched centre is off by what the marking was off, and a table half a degree out leans the whole hole.',
  },
};

/** Off at the mouth, mm, and off per millimetre of depth: bench experience, typical, unchecked. */
const ERRORS: Record<DrillSetup, { mouth: number; lean: number }> = {
  tailstock: { mouth: 0.15, lean: 0.002 },
  headstock: { mouth: 0.3, lean: 0.004 },
  // half a degree out of square
  'drill press': { mouth: 0.4, lean: Math.tan((0.5 * Math.PI) / 180) },
};
/** Beyond this many diameters a bit bends and its lean grows. */
const STIFF_DIAMETERS = 8;

/** How far a hole may be off its axis. mm */
export interface Drift {
  mouth: number;
  bottom: number;
  /** what of it takes wood from the wall */
  fromWall: number;
}

/**
 * Drift of a bit: e₀ + t·L, with t grown by L ÷ 8d for bits that reach deeper than eight diameters. When the
 * outside is turned afterwards on a centre in the hole's mouth, its mouth runs true and only the lean counts.
 * @param trued the outside follows the mouth of the hole
 */
export function driftOf(setup: DrillSetup, depth: number, diameter: number, trued: boolean): Drift {
  const { mouth, lean } = ERRORS[setup];
  const slender = Math.max(1, depth / (STIFF_DIAMETERS * Math.max(diameter, 0.5)));
  const leaning = lean * slender * depth;
  return { mouth, bottom: mouth + leaning, fromWall: trued ? leaning : mouth + leaning };
}

/** Set-ups that can be used at a moment; the first is the usual one. */
export function setupsAt(moment: DrillMoment, across: boolean): readonly [DrillSetup, ...DrillSetup[]] {
  if (across) return ['drill press'];
  switch (moment) {
    case 'square blank':
      return ['drill press', 'headstock', 'tailstock'];
    case 'after rounding':
    case 'after shaping':
      return ['tailstock', 'headstock'];
    case 'after parting':
      return ['drill press', 'headstock'];
  }
}

/** When and how a hole is drilled: as chosen where that can be, else as the workshop does it. */
export function drillWay(
  holeId: string,
  choices: readonly DrillChoice[],
  usual: DrillMoment | undefined,
  across = false,
): DrillWay {
  const chosen = choices.find((c) => c.holeId === holeId);
  const moment = chosen?.moment ?? usual ?? 'square blank';
  const possible = setupsAt(moment, across);
  const setup = possible.find((s) => s === chosen?.setup) ?? possible[0];
  return { moment, setup };
}

/** How far a drift is worth speaking of, beside the wall it leaves. */
export const driftWords = ({ mouth, bottom }: Drift): string =>
  `May be ${len(mouth)} off at the mouth, ${len(bottom)} at the bottom.`;
