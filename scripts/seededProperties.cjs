/**
 * Properties draw their examples by the seed of the run: what failed once fails again with it. `npm test` draws a share of
 * them, `npm run sweep` all.
 */
const properties = require('../node_modules/fast-check/lib/cjs/fast-check.js');

const share = Number(process.env.COMPAS_SHARE ?? 1);
const USUAL_RUNS = 100;

properties.configureGlobal({ seed: jest.getSeed() });
const assert = (property, { numRuns = USUAL_RUNS, ...asked } = {}) =>
  properties.assert(property, { ...asked, numRuns: Math.ceil(numRuns * share) });
const seeded = { ...properties.default, assert };
module.exports = { ...seeded, default: seeded, __esModule: true };
