import { bySeed } from '../scripts/bySeed.mjs';

const SEED = Number(process.env['COMPAS_SEED'] ?? 1);
const SHARE = Number(process.env['COMPAS_SHARE'] ?? 1);

/** What of a sweep this run looks at, in the order of its seed: all in `npm run sweep`, a share in `npm test`. */
export const shareOf = (names: readonly string[]): string[] =>
  bySeed(names, SEED).slice(0, Math.ceil(names.length * SHARE));

/** All, in the order of the run's seed. */
export const inSeedOrder = (names: readonly string[]): string[] => bySeed(names, SEED);
