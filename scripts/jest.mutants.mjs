import config from '../jest.config.mjs';

/** The core's tests alone: mutants are only made there. */
const [core] = config.projects;
export default {
  ...core,
  rootDir: '../core',
  // tells which tests touch which line, so that a mutant is only tried by those
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
};
