import { createHash } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { main, ROOT, say } from './project.mjs';
import { run } from './run.mjs';

const SOURCES = [
  'core/src',
  'server/src',
  'web/src',
  'web/index.html',
  'web/vite.config.ts',
  'web/extractedStyles.ts',
  'web/public',
  'package-lock.json',
  'tsconfig.base.json',
  'scripts/client.mjs',
];
const GENERATED = new Set(['schema.d.ts', 'openapi.json']);
const STAMP = join(ROOT, '.cache', 'build');

function* filesOf(path) {
  if (!existsSync(path)) return;
  if (!statSync(path).isDirectory()) return yield path;
  for (const name of readdirSync(path).sort()) if (!GENERATED.has(name)) yield* filesOf(join(path, name));
}

/** Changes whenever a source does. */
function stampOf() {
  const hash = createHash('sha256');
  for (const source of SOURCES)
    for (const file of filesOf(join(ROOT, source)))
      hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

export const compileServer = () => run('npx', ['--no-install', 'tsc', '-b', 'core', 'server']);

/** OpenAPI document of the server, and the web's client from it. */
export async function generateClient() {
  await run('node', ['server/dist/openapi.js', 'web/src/api/openapi.json']);
  await run('node', ['scripts/client.mjs']);
}

const ASSETS = join(ROOT, 'web/dist/assets');
const OLD_ASSETS = join(ROOT, '.cache/oldAssets');
/** names of the parts that the newest build made itself */
const NEWEST = join(ROOT, '.cache/newestAssets.json');
/** A page of an older build may stay open for so long, ms. */
const OLD_PAGES_STAY = 14 * 24 * 3_600_000;

/** The parts of the build before outlast the next one: from now on they are old, however long they had been the newest. */
function keepAssets(now) {
  if (!existsSync(ASSETS) || !existsSync(NEWEST)) return;
  mkdirSync(OLD_ASSETS, { recursive: true });
  for (const name of JSON.parse(readFileSync(NEWEST, 'utf8'))) {
    if (!existsSync(join(ASSETS, name))) continue;
    cpSync(join(ASSETS, name), join(OLD_ASSETS, name));
    utimesSync(join(OLD_ASSETS, name), now / 1000, now / 1000);
  }
}

/** An older page finds its parts still: their names carry their content, so none takes the place of another. */
function bringOldAssets(now) {
  mkdirSync(dirname(NEWEST), { recursive: true });
  writeFileSync(NEWEST, JSON.stringify(readdirSync(ASSETS)));
  if (!existsSync(OLD_ASSETS)) return;
  for (const name of readdirSync(OLD_ASSETS)) {
    const old = join(OLD_ASSETS, name);
    if (now - statSync(old).mtimeMs > OLD_PAGES_STAY) rmSync(old);
    else cpSync(old, join(ASSETS, name), { force: false });
  }
}

/** Builds core, server and web when a source has changed since the last time. */
export async function build() {
  const stamp = stampOf();
  const built =
    existsSync(STAMP) &&
    readFileSync(STAMP, 'utf8') === stamp &&
    existsSync(join(ROOT, 'web/dist/index.html')) &&
    existsSync(join(ROOT, 'server/dist/main.js'));
  if (built) return;
  say('building');
  await compileServer();
  await generateClient();
  keepAssets(Date.now());
  await run('npx', ['--no-install', 'vite', 'build', 'web', '--logLevel', 'warn']);
  bringOldAssets(Date.now());
  mkdirSync(join(ROOT, '.cache'), { recursive: true });
  writeFileSync(STAMP, stamp);
}

if (process.argv[1] === join(ROOT, 'scripts/build.mjs')) await main(build);
