import type { Workshop } from '../workshop/index.js';
import { TURNS_FURTHER, type Mount, type MountWish, type WayOfHolding } from './mount.js';
import { betweenCentres, frictionPair, onOffsetPlate, shiftedCentre } from './ways/centres.js';
import { inChuck, inCollet, inRecess } from './ways/chucked.js';
import { onGluedShaft } from './ways/gluedShaft.js';
import { inCups, onScrew, onTapePlate } from './ways/faces.js';
import { onDowel, onMandrel } from './ways/mandrels.js';
import { onThroughMandrel } from './ways/throughMandrel.js';

const WAYS: readonly WayOfHolding[] = [
  onMandrel,
  onThroughMandrel,
  betweenCentres,
  inChuck,
  inRecess,
  inCollet,
  onDowel,
  onGluedShaft,
  onScrew,
  onTapePlate,
  inCups,
  frictionPair,
  shiftedCentre,
  onOffsetPlate,
];

/** So many ways are put to the turner; the others are there when asked for. */
export const SENSIBLE_WAYS = 3;

/**
 * The ways to hold a part, best first. A way that lacks something comes after those that lack nothing.
 * Between centres is always among them, and a chuck where nothing is turned about a further axis.
 */
export function proposeMounts(wish: MountWish, workshop: Workshop): [Mount, ...Mount[]] {
  const further = wish.part.turnings.length > 1;
  const ranked = WAYS.flatMap((way) => way(wish, workshop))
    .filter(({ mount }) => !further || TURNS_FURTHER.has(mount.kind))
    .sort(
      (a, b) => Math.sign(a.mount.missing.length) - Math.sign(b.mount.missing.length) || a.suits - b.suits,
    )
    .map(({ mount }) => mount);
  const [first, ...others] = ranked;
  if (!first) throw new Error('Between centres is always a way.');
  return [first, ...others];
}
