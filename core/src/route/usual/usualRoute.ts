import type { MountKind } from '../../mounting/index.js';
import type { PartEnd } from '../../pattern/index.js';
import type { Route } from '../operation.js';
import type { Grip } from '../shop.js';
import { Bench } from './bench.js';
import { centresChain, chuckChain, colletChain, ownHoldChain, wasteHoldChain } from './chains.js';
import { cupsChain } from './cupsChain.js';
import { centre, liveCentre } from './holds.js';
import { NoWay } from './noWay.js';
import { prepare } from './prepare.js';
import { shaftChain } from './shaftChain.js';
import { throughChain } from './throughChain.js';
import type { Work } from './work.js';

/** The chain of holds that each way of holding begins. */
const CHAINS: Record<MountKind, (bench: Bench) => void> = {
  'between centres': centresChain,
  'spur drive': centresChain,
  'shifted centre': centresChain,
  cups: cupsChain,
  mandrel: (bench) => ownHoldChain(bench, 'mandrel', 'Screw it on the mandrel', () => inEnd(bench, 'thread')),
  recess: (bench) =>
    ownHoldChain(bench, 'recess', 'On the jaws in its recess', () => inEnd(bench, 'jaws in a recess')),
  dowel: (bench) => ownHoldChain(bench, 'dowel', 'On the dowel in its hole', () => inEnd(bench, 'dowel')),
  'glued shaft': shaftChain,
  'tape plate': (bench) =>
    ownHoldChain(bench, 'tape', 'On the plate with tape', () => onFace(bench, 'tape disc')),
  collet: colletChain,
  chuck: chuckChain,
  screw: (bench) => wasteHoldChain(bench, 'screw', 'On the screw', 'screw'),
  'offset plate': (bench) => wasteHoldChain(bench, 'plate', 'On the offset plate', 'offset plate'),
  'friction pair': (bench) =>
    throughChain(bench, 'faces', 'Between the friction faces', () => [
      centre(bench, bench.lie.drive, 'friction face', bench.work.mount.headstock),
      centre(bench, bench.lie.tail, 'friction face', bench.work.mount.tailstock ?? 'the other face'),
    ]),
  'through mandrel': (bench) =>
    throughChain(bench, 'rod', 'On the rod, nut closed', () => [
      inEnd(bench, 'through rod'),
      // it runs in the end of the rod, clear of the work
      liveCentre(bench),
    ]),
};

/**
 * The usual route of one part from a bare blank: prepared while it is square, held, roughed, shaped the end far from
 * the drive first, surfaced, parted as its hold allows. Where this way of holding cannot be gone it says why.
 */
export function usualRoute(work: Work): Route | NoWay {
  const bench = new Bench(work);
  try {
    prepare(bench);
    CHAINS[work.mount.kind](bench);
  } catch (error) {
    if (error instanceof NoWay) return error;
    throw error;
  }
  return bench.writer.route;
}

/** Held by what is in its drive end: hardware with a thread, or the hole itself. */
function inEnd(bench: Bench, by: Grip['by']): Grip {
  const { lie, work, now } = bench;
  const x = bench.standsAt(lie.drive);
  const words = work.mount.headstock;
  const fixed = work.fits.find((f) => f.when === 'before turning' && f.end === lie.drive);
  if (by === 'thread' && fixed && now.fixed.some((f) => f.id === fixed.id))
    return { by, words, on: { of: 'fixed', id: fixed.id, x0: x, x1: x } };
  const hole = now.body.drilled.find(
    (d) => opensAt(d.at.at[0], x, lie.drive) && Math.abs(d.at.along[0]) > 0.99,
  );
  return { by, words, on: { of: 'hole', id: hole?.id ?? 'bore:', x0: x, x1: x } };
}

const opensAt = (at: number, x: number, end: PartEnd): boolean =>
  end === 'reference' ? at <= x + 1e-6 : at >= x - 1e-6;

/** Held by the face of its drive end. */
function onFace(bench: Bench, by: Grip['by']): Grip {
  const x = bench.standsAt(bench.lie.drive);
  return { by, words: bench.work.mount.headstock, on: { of: 'stock', id: 'stock', x0: x, x1: x } };
}
