/** Mutants of the core files that changed, against the core's tests; `npm run mutants` says which. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'scripts/jest.mutants.mjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  // what only runs when a file is loaded would need every test for each of its mutants
  ignoreStatic: true,
  checkers: [],
  // how a sentence is worded is no rule
  mutator: { excludedMutations: ['StringLiteral'] },
  plugins: ['@stryker-mutator/jest-runner', './scripts/mutantReporter.mjs'],
  reporters: ['survivors'],
  ignorePatterns: ['.compas', '.cache', 'test-results', 'web', 'server', 'e2e'],
  tempDirName: '.cache/stryker',
  concurrency: 2,
  timeoutMS: 20_000,
  thresholds: { high: 80, low: 60, break: null },
};
