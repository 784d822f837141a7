import TestSequencer from '@jest/test-sequencer';
import { relative } from 'node:path';
import { bySeed } from './bySeed.mjs';
import { ROOT } from './project.mjs';

/** Files of tests in an order that the run's seed gives, and nothing else: not what an earlier run took. */
export default class ShuffledFiles extends TestSequencer {
  constructor(options) {
    super(options);
    this.seed = options.globalConfig.seed;
  }
  sort(tests) {
    const byName = new Map(tests.map((test) => [relative(ROOT, test.path), test]));
    return bySeed([...byName.keys()], this.seed).map((name) => byName.get(name));
  }
}
