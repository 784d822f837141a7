import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { build, compileServer, generateClient } from './build.mjs';
import { startCluster } from './cluster.mjs';
import { freshDatabase, loadDemo, migrate } from './database.mjs';
import { ensureChromium, ensurePostgres } from './packages.mjs';
import { DATA, ROOT, say } from './project.mjs';
import { jestCounts, playwrightCounts } from './report.mjs';
import { run, runQuietly } from './run.mjs';
import { serve } from './serve.mjs';

const REPORTS = join(ROOT, '.cache', 'reports');
const TEST_DATA = join(DATA, 'test');
export const counts = { passed: 0, failed: 0 };

/** One check that either passes or fails, such as lint; what it says is shown when it has ended. */
async function check([name, command, args]) {
  const { code, output } = await runQuietly(command, args);
  say(code === 0 ? name : `${name} FAILED with ${code}`);
  if (output !== '') console.log(output);
  if (code === 0) counts.passed++;
  else counts.failed++;
}

/** So many checks at a time: each keeps one core busy. */
const AT_ONCE = Math.max(1, availableParallelism());

async function checks(all) {
  const open = [...all];
  const work = async () => {
    for (let next = open.shift(); next; next = open.shift()) await check(next);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
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

/** What is checked without running anything; the longest first, so that none is left alone at the end. */
export const staticChecks = () =>
  checks([
    ['lint', ...npx('eslint', '.', '--max-warnings', '0')],
    ['type check: web', ...npx('tsc', '-p', 'web')],
    ['type check: server', ...npx('tsc', '-p', 'server/tsconfig.test.json')],
    ['type check: core', ...npx('tsc', '-p', 'core/tsconfig.test.json')],
    ['format', ...npx('prettier', '--check', '.', '--log-level', 'warn')],
    [
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
    ],
    ['nothing unused', ...npx('knip')],
    ['type check: browser tests', ...npx('tsc', '-p', 'e2e')],
  ]);

/** Jest on some of its projects; `only` are parts of the names of test files. */
async function jestSuite(name, projects, only, env = process.env) {
  const report = join(REPORTS, `${projects.join('-')}.json`);
  mkdirSync(REPORTS, { recursive: true });
  const paths = only.flatMap((path) => ['--testPathPatterns', path]);
  const args = ['--testTimeout=60000', '--json', `--outputFile=${report}`, ...paths];
  await suite(name, ...npx('jest', '--selectProjects', ...projects, ...args), report, jestCounts, env);
}

export const coreTests = (only = []) => jestSuite('core tests', ['core'], only);

/** The web's rules in Node, its components in a page without a browser. */
export const webTests = (only = []) => jestSuite('web tests', ['web', 'screens'], only);

/** The server over HTTP, on a database of its own. */
export async function serverTests(only = []) {
  const { env } = await freshDatabase({ data: TEST_DATA, name: 'compas_server' });
  await migrate(env);
  await jestSuite('server tests', ['server'], only, env);
}

/** Whole journeys in the browser, against the built application with the demo data. */
export async function browserTests(only = []) {
  const report = join(REPORTS, 'browser.json');
  mkdirSync(REPORTS, { recursive: true });
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
    ...npx('playwright', 'test', '--config', 'e2e/playwright.config.ts', ...only),
    report,
    playwrightCounts,
    browserEnv,
  );
  server.stop();
}

/** Runs what needs a database while a cluster of the tests is up. */
export async function withCluster(work) {
  await ensurePostgres();
  delete process.env.DATABASE_URL;
  const cluster = await startCluster(TEST_DATA, false);
  try {
    await work();
  } finally {
    cluster.stop();
  }
}

/** One room of the tests alone, with all that it needs. */
export const ROOMS = {
  core: (only) => coreTests(only),
  web: async (only) => {
    await compileServer();
    await generateClient();
    await webTests(only);
  },
  server: async (only) => {
    await compileServer();
    await withCluster(() => serverTests(only));
  },
  e2e: async (only) => {
    await build();
    await withCluster(() => browserTests(only));
  },
};
