import type { Hole } from '../pattern/index.js';
import type { Bit } from '../workshop/index.js';
import type { NeededHole } from './neededHole.js';
import { pickBit, type BitChoice } from './pickBit.js';

/** The bit that somebody takes for a bore instead of the usual one; null leaves it at that. */
export type OwnBit = (boreId: string, usual: Bit | null) => Bit | null;

const FLAT_BOTTOM = 180;

/** What a bit is judged by. */
interface Judged extends Pick<NeededHole, 'range' | 'becomes'> {
  hole: Pick<Hole, 'id' | 'pointAngle' | 'through'>;
}

/**
 * The bit that somebody takes instead, judged like any other: what fit it leaves, and whether it reaches.
 * @param depth to the shoulder, mm
 */
export function withOwnBit(
  usual: BitChoice,
  { hole, range, becomes }: Judged,
  depth: number,
  bitFor: OwnBit | undefined,
): BitChoice {
  const own = bitFor?.(hole.id, usual.bit ?? usual.instead) ?? null;
  if (!own) return usual;
  const judged = pickBit([own], range, depth, {
    flat: hole.pointAngle >= FLAT_BOTTOM && !hole.through,
    reamed: becomes !== undefined,
  });
  return judged.bit || judged.instead
    ? judged
    : { ...judged, instead: own, off: own.diameter.mm - range.best };
}
