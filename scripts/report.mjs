import { readFileSync } from 'node:fs';

/** Passed and failed tests of a Jest report (its --json file). */
export function jestCounts(file) {
  const {
    numPassedTests: passed,
    numFailedTests: failed,
    numFailedTestSuites,
  } = JSON.parse(readFileSync(file, 'utf8'));
  return { passed, failed: failed === 0 && numFailedTestSuites > 0 ? numFailedTestSuites : failed };
}

/** Passed and failed tests of a Playwright report (its json reporter). */
export function playwrightCounts(file) {
  const { stats, errors } = JSON.parse(readFileSync(file, 'utf8'));
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected + (errors?.length ?? 0) };
}
