import type { Hole, HoleStep } from '../pattern/index.js';
import type { Bit } from '../workshop/index.js';
import type { SeatedBall } from './ballSeat.js';
import type { HoleRange } from './fit.js';

/** A hole that a kit asks for: the range of bits that will do and the longest thing that enters. */
export interface NeededHole {
  hole: Hole;
  range: HoleRange;
  enters: string;
  entersDiameter: number;
  entersLength: number;
  /** what the bore becomes, when it is reamed to a taper afterwards; null for bores that vanish in it */
  becomes?: HoleStep | null;
  /** what is done when it is drilled */
  after?: string;
  /** a ball that rests on its bottom: how deep it is follows from the bit */
  seats?: SeatedBall;
  /** step bit that drills both of its diameters in one go */
  stepBit?: Bit;
}
