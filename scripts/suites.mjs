import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { build, compileServer, generateClient } from './build.mjs';
import { freePort, startCluster } from './cluster.mjs';
import { copyDatabase, dropDatabase, freshDatabase, loadDemo, migrate } from './database.mjs';
import { ensureChromium, ensurePostgres } from './packages.mjs';
import { DATA, ROOT, say } from './project.mjs';
import { jestCounts, playwrightCounts } from './report.mjs';
import { run, runQuietly } from './run.mjs';
import { serve } from './serve.mjs';

const REPORTS = join(ROOT, '.cache', 'reports');
const TEST_DATA = join(DATA, 'test');
export const counts = { passed: 0, failed: 0 };
/** What failed, by name: it is said once more at the very end, which is all that is kept of a long log. */
export const failures = [];

/** Of each sweep `npm test` makes this share of the runs, by its seed; `npm run sweep` makes them all. */
const SHARE = 1 / 4;
const shareEnv = (whole) => ({ COMPAS_SHARE: String(whole ? 1 : SHARE) });

function fail(name, times) {
  counts.failed += times;
  failures.push(`${name}: ${times} failed`);
}

/** One check that either passes or fails, such as lint; what it says is shown when it has ended. */
async function check([name, command, args]) {
  const { code, output } = await runQuietly(command, args);
  say(code === 0 ? name : `${name} FAILED with ${code}`);
  if (output !== '') console.log(output);
  if (code === 0) counts.passed++;
  else fail(name, 1);
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
  if (found.failed > 0) fail(name, found.failed);
}

const tool = (name, ...args) => [join(ROOT, 'node_modules', '.bin', name), args];

/** Types and lint of one room: see `sources.mjs`. */
const sources = (room, config, ...folders) => [
  `types and lint: ${room}`,
  'node',
  [join(ROOT, 'scripts/sources.mjs'), config, ...folders],
];

/** What is checked without running anything; the longest first, so that none is left alone at the end. */
export const staticChecks = () =>
  checks([
    sources('web', 'web/tsconfig.json', 'web'),
    sources('core', 'core/tsconfig.test.json', 'core'),
    ['format', ...tool('prettier', '--check', '.', '--log-level', 'warn')],
    sources('server', 'server/tsconfig.test.json', 'server'),
    [
      'dependency rules',
      ...tool(
        'depcruise',
        '--config',
        '.dependency-cruiser.mjs',
        'core/src',
        'core/test',
        'server/src',
        'web/src',
        '--output-type',
        'err',
      ),
    ],
    sources('browser tests', 'e2e/tsconfig.json', 'e2e', 'scripts'),
    ['nothing unused', ...tool('knip')],
  ]);

/** Jest on some of its projects; `only` are parts of the names of test files. */
async function jestSuite(name, projects, { only, seed, whole }, env = process.env) {
  const report = join(REPORTS, `${projects.join('-')}.json`);
  mkdirSync(REPORTS, { recursive: true });
  const paths = only.flatMap((path) => ['--testPathPatterns', path]);
  const args = [`--seed=${seed}`, '--json', `--outputFile=${report}`, ...paths];
  const command = tool('jest', '--selectProjects', ...projects, ...args);
  await suite(name, ...command, report, jestCounts, { ...env, ...shareEnv(whole) });
}

export const coreTests = (asked) => jestSuite('core tests', ['core'], asked);

/** The web's rules in Node, its components in a page without a browser. */
export const webTests = (asked) => jestSuite('web tests', ['web', 'screens'], asked);

/** The server over HTTP; each file of tests copies the database that is made here. */
export async function serverTests(asked) {
  const { env, superuserUrl } = await freshDatabase({ data: TEST_DATA, name: 'compas_server' });
  await migrate(env);
  await jestSuite('server tests', ['server'], asked, { ...env, COMPAS_TEST_SUPERUSER_URL: superuserUrl });
}

/** So many browsers at a time, each with a server and a workshop of its own. */
const BROWSERS = Math.max(1, Math.min(4, availableParallelism()));

/** Whole journeys in the browser, against the built application with the demo data. */
export async function browserTests({ only, seed, whole }) {
  const report = join(REPORTS, 'browser.json');
  mkdirSync(REPORTS, { recursive: true });
  const { env, superuserUrl } = await freshDatabase({ data: TEST_DATA, name: 'compas_browser' });
  await migrate(env);
  await loadDemo(env);
  const names = Array.from({ length: BROWSERS }, (_, i) => `compas_browser_${i}`);
  const servers = [];
  const ports = [];
  try {
    for (const name of names) {
      const own = await copyDatabase(superuserUrl, env, name);
      const port = await freePort();
      const server = serve({ ...own, PORT: String(port), COMPAS_THREADS: '1' }, { quiet: true });
      servers.push(server);
      ports.push(port);
      await server.listening;
    }
    const browserEnv = {
      ...process.env,
      COMPAS_URLS: ports.map((port) => `http://127.0.0.1:${port}`).join(' '),
      COMPAS_SEED: String(seed),
      ...shareEnv(whole),
      CHROMIUM: await ensureChromium(),
      PLAYWRIGHT_JSON_OUTPUT_NAME: report,
    };
    const args = ['test', '--config', 'e2e/playwright.config.ts', ...only];
    await suite('browser tests', ...tool('playwright', ...args), report, playwrightCounts, browserEnv);
  } finally {
    for (const server of servers) server.stop();
    await Promise.all(servers.map((server) => server.ended));
    for (const name of names) await dropDatabase(superuserUrl, name);
  }
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
  core: coreTests,
  web: async (asked) => {
    await compileServer();
    await generateClient();
    await webTests(asked);
  },
  server: async (asked) => {
    await compileServer();
    await withCluster(() => serverTests(asked));
  },
  e2e: async (asked) => {
    await build();
    await withCluster(() => browserTests(asked));
  },
};
