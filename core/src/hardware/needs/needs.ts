import { dim } from '../../measure/index.js';
import type { Material } from '../../material/index.js';
import type { PartEnd } from '../../pattern/index.js';
import type { Bit, GlueKind } from '../../workshop/index.js';
import type { HoleRange } from '../fit.js';
import type { FittingWay } from '../fittingWay.js';
import type { Kit } from '../kit.js';
import type { NeededHole } from '../neededHole.js';

/** A diameter that must meet the hardware, at the end the hardware sits on. */
export interface MatingFace {
  label: string;
  diameter: number;
  /** ± mm */
  tolerance: number;
  /** for a tenon: how long the diameter runs from the end */
  length?: number;
  /** for a cone: the diameter it has grown to at its length */
  endDiameter?: number;
  transfer: string;
}

export interface KitNeeds {
  holes: NeededHole[];
  /** null when nothing of the kit meets the outside */
  mating: MatingFace | null;
  way?: FittingWay;
  glue?: GlueKind;
  /** thread of the mandrel the piece is turned on, when the kit gives one */
  mandrelThread?: string;
}

/** What the needs of a kit depend on beside its sizes. */
export interface KitPlace {
  end: PartEnd;
  material: Material;
  /** what the hole is deeper than the longest thing that enters, mm */
  room: number;
  bits: readonly Bit[];
  /** how far the workshop's mandrel for a thread goes into the wood, mm; 0 where there is none, or nobody knows */
  mandrelIn?: (thread: string) => number;
  /** how it is to be fitted; its usual way when not said */
  way?: FittingWay;
}

/** A kit at its place: the way it is fitted, its glue when it is glued, and how its holes are bored. */
export interface Fitting {
  way: FittingWay;
  place: KitPlace;
  glue: { glue?: GlueKind };
  bore: Boring;
}

/** Full angle of the point of an ordinary twist bit, degrees. */
export const TWIST_POINT = 118;
/** Mating diameters are kept to a tenth; seen ones are free of it. */
export const MATING_TOLERANCE = 0.1;

type Boring = (
  name: string,
  range: HoleRange,
  entersDiameter: number,
  entersLength: number,
  enters: string,
) => NeededHole;

/** Holes of one kit at one end; each has its own name. */
export const boring =
  (kit: Kit, { end, room }: KitPlace): Boring =>
  (name, range, entersDiameter, entersLength, enters) => ({
    hole: {
      id: `${kit.id}:${end}`,
      name,
      from: end,
      through: false,
      pointAngle: TWIST_POINT,
      steps: [{ diameter: dim(range.best), depth: dim(entersLength + room) }],
    },
    range,
    enters,
    entersDiameter,
    entersLength,
  });

/**
 * A hole in which the piece is turned on a mandrel must take the longer of the two: what stays in it, and
 * the mandrel's thread while it is turned.
 */
export function forMandrelToo(needed: NeededHole, thread: string, { room, mandrelIn }: KitPlace): NeededHole {
  const goesIn = mandrelIn?.(thread) ?? 0;
  if (goesIn <= needed.entersLength) return needed;
  const [{ diameter } = { diameter: dim(needed.entersDiameter) }] = needed.hole.steps;
  return {
    ...needed,
    hole: { ...needed.hole, steps: [{ diameter, depth: dim(goesIn + room) }] },
    enters: `${needed.enters}, and the longer mandrel while it is turned`,
  };
}

/** How tightly a plain body sits: pressed, or with room for glue. */
export const bodyFit = (way: FittingWay): 'press' | 'glue gap' => (way === 'pressed' ? 'press' : 'glue gap');

/** An end of the hardware that the wood runs into. */
export const blends = (diameter: number, what: string): MatingFace => ({
  label: `flush with ${what}`,
  diameter,
  tolerance: MATING_TOLERANCE,
  transfer: `Set the calliper on ${what} and cut to it.`,
});

/** A tenon that goes into the hardware. */
export const tenon = (what: string, diameter: number, length: number): MatingFace => ({
  label: `${what} tenon`,
  diameter,
  tolerance: MATING_TOLERANCE,
  length,
  transfer: `Set the calliper on the inside of the ${what} and cut to it.`,
});
