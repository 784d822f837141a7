const { createTransformer } = require('@swc/jest');

/**
 * The sandbox of the tests looks a global up by its name wherever it is used, which takes far longer than what most of them
 * do. Each module looks these up once.
 */
const ONCE = '"use strict";const{Math,Number,Object,Array,Map,Set,Infinity,NaN}=globalThis;';

/** What swc makes of a module, with its globals at hand; on its first line, so that places in it stay true. */
module.exports = {
  createTransformer(options) {
    const swc = createTransformer(options);
    const withGlobals = ({ code, ...rest }) => ({ ...rest, code: ONCE + code });
    return {
      ...swc,
      // what was made with other globals is made anew
      getCacheKey: (...args) => `${swc.getCacheKey(...args)} ${ONCE}`,
      process: (...args) => withGlobals(swc.process(...args)),
    };
  },
};
