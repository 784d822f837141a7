import type { MountKind } from '../../mounting/index.js';
import type { Route } from '../operation.js';
import { Bench } from './bench.js';
import { centresChain, chuckChain, mandrelChain, NoWay } from './chains.js';
import { prepare } from './prepare.js';
import type { Work } from './work.js';

/** The chain of holds that each way of holding begins; ways without one are given up. */
const CHAINS: Partial<Record<MountKind, (bench: Bench) => void>> = {
  'between centres': centresChain,
  'spur drive': centresChain,
  'shifted centre': centresChain,
  mandrel: mandrelChain,
  chuck: chuckChain,
};

/**
 * The usual route of one part from a bare blank: prepared while it is square, held, roughed, shaped the end far from
 * the drive first, surfaced, parted as its hold allows. Null for a way of
 * holding it does not know yet, and where the workshop has nothing to hold it so.
 */
export function usualRoute(work: Work): Route | null {
  const chain = CHAINS[work.mount.kind];
  if (!chain) return null;
  const bench = new Bench(work);
  try {
    prepare(bench);
    chain(bench);
  } catch (error) {
    if (error instanceof NoWay) return null;
    throw error;
  }
  return bench.writer.route;
}
