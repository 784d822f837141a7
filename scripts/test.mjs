import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, compileServer, generateClient } from './build.mjs';
import { freshDatabase, loadDemo, migrate } from './database.mjs';
import { ensureChromium, ensureDependencies, ensurePostgres } from './packages.mjs';
import { DATA, main, ROOT, say } from './project.mjs';
import { jestCounts, playwrightCounts } from './report.mjs';
import { outputOf, run } from './run.mjs';
import { serve } from './serve.mjs';

const REPORTS = join(ROOT, '.cache', 'reports');
const TEST_DATA = join(DATA, 'test');
const counts = { passed: 0, failed: 0 };

/** One check that either passes or fails, such as lint. */
async function check(name, command, args, env = process.env) {
  say(name);
  try {
    await run(command, args, { env });
    counts.passed++;
  } catch (error) {
    counts.failed++;
    say(`${name} FAILED: ${error.message}`);
  }
}

/** A test runner that counts its own tests. */
async function suite(name, command, args, report, read, env = process.env) {
  say(name);
  rmSync(report, { force: true });
  await run(command, args, { env }).catch((error) => say(`${name} FAILED: ${error.message}`));
  const found = existsSync(report) ? read(report) : { passed: 0, failed: 1 };
  counts.passed += found.passed;
  counts.failed += found.failed;
}

const npx = (...args) => ['npx', ['--no-install', ...args]];

async function staticChecks() {
  await check('type check: core', ...npx('tsc', '-p', 'core/tsconfig.test.json'));
  await check('type check: server', ...npx('tsc', '-p', 'server/tsconfig.test.json'));
  await check('type check: web', ...npx('tsc', '-p', 'web'));
  await check('type check: browser tests', ...npx('tsc', '-p', 'e2e'));
  await check('lint', ...npx('eslint', '.', '--max-warnings', '0'));
  await check('format', ...npx('prettier', '--check', '.', '--log-level', 'warn'));
  await check(
    'dependency rules',
    ...npx(
      'depcruise',
      '--config',
      '.dependency-cruiser.mjs',
      'core/src',
      'server/src',
      'web/src',
      '--output-type',
      'err',
    ),
  );
  await check('nothing unused', ...npx('knip'));
}

async function unitTests() {
  const report = join(REPORTS, 'unit.json');
  await suite(
    'unit tests',
    ...npx(
      'jest',
      '--selectProjects',
      'core',
      'web',
      '--testTimeout=60000',
      '--json',
      `--outputFile=${report}`,
    ),
    report,
    jestCounts,
  );
}

async function serverTests() {
  const report = join(REPORTS, 'server.json');
  const { env } = await freshDatabase({ data: TEST_DATA, name: 'compas_server' });
  await migrate(env);
  await suite(
    'server tests',
    ...npx('jest', '--selectProjects', 'server', '--testTimeout=60000', '--json', `--outputFile=${report}`),
    report,
    jestCounts,
    env,
  );
}

async function browserTests() {
  const report = join(REPORTS, 'browser.json');
  const { env } = await freshDatabase({ data: TEST_DATA, name: 'compas_browser' });
  await migrate(env);
  await loadDemo(env);
  const port = '4690';
  const server = serve({ ...env, PORT: port }, { quiet: true });
  await server.listening;
  const browserEnv = {
    ...process.env,
    COMPAS_URL: `http://127.0.0.1:${port}`,
    CHROMIUM: await ensureChromium(),
    PLAYWRIGHT_JSON_OUTPUT_NAME: report,
  };
  await suite(
    'browser tests',
    ...npx('playwright', 'test', '--config', 'e2e/playwright.config.ts'),
    report,
    playwrightCounts,
    browserEnv,
  );
  server.stop();
}

await main(async () => {
  await ensureDependencies();
  await ensurePostgres();
  await ensureChromium();
  mkdirSync(REPORTS, { recursive: true });
  delete process.env.DATABASE_URL;
  await compileServer();
  await generateClient();
  await staticChecks();
  await unitTests();
  const cluster = await import('./cluster.mjs').then(({ startCluster }) => startCluster(TEST_DATA, false));
  try {
    await serverTests();
    await build();
    await browserTests();
  } finally {
    cluster.stop();
  }
  say(`on ${outputOf('node', ['--version'])}`);
  console.log(`${counts.passed} passed, ${counts.failed} failed`);
  if (counts.failed > 0) process.exit(1);
});
