import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, say } from './project.mjs';
import { programAt, run } from './run.mjs';

const POSTGRES = '/usr/lib/postgresql';

/** Folder of PostgreSQL's server programs, newest version, or null. */
export function postgresPrograms() {
  const versions = existsSync(POSTGRES) ? readdirSync(POSTGRES) : [];
  const newest = versions
    .map(Number)
    .sort((a, b) => b - a)
    .find((v) => existsSync(join(POSTGRES, String(v), 'bin', 'initdb')));
  if (newest !== undefined) return join(POSTGRES, String(newest), 'bin');
  return programAt('initdb') && programAt('postgres') ? programAt('initdb').replace(/\/initdb$/, '') : null;
}

/** Installs Debian's packages that are missing, as root or with sudo. */
async function install(names) {
  const root = process.getuid?.() === 0;
  if (!programAt('apt-get'))
    throw new Error(`Please install ${names.join(' and ')}: there is no apt-get here to do it.`);
  if (!root && !programAt('sudo'))
    throw new Error(`Please install ${names.join(' and ')} as root: there is no sudo here.`);
  say(`installing ${names.join(' and ')}`);
  const apt = (...args) =>
    run(
      root ? 'apt-get' : 'sudo',
      root ? args : ['env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args],
      {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      },
    );
  await apt('update', '-qq');
  await apt('install', '-y', '-qq', ...names);
}

export async function ensurePostgres() {
  if (!process.env.DATABASE_URL && !postgresPrograms()) await install(['postgresql']);
}

/** Debian's Chromium as tests drive it: it draws the same, without the half of its work that is its own window. */
const HEADLESS = 'chromium-headless-shell';

/** Path of Debian's Chromium, installed when it is missing; a release without the headless one gets the one with a window. */
export async function ensureChromium() {
  if (!programAt(HEADLESS))
    await install([HEADLESS]).catch(async (error) => {
      say(`going on with chromium itself: ${error.message}`);
      if (!programAt('chromium')) await install(['chromium']);
    });
  return programAt(HEADLESS) || programAt('chromium');
}

export async function ensureProgram(program, debianPackage) {
  if (!programAt(program)) await install([debianPackage]);
}

/** npm dependencies from the lock file, unless they are already the ones it names. */
export async function ensureDependencies() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  const mark = join(ROOT, 'node_modules', '.compas-lock');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  say('installing npm dependencies (two to three minutes the first time)');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  mkdirSync(join(ROOT, 'node_modules'), { recursive: true });
  writeFileSync(mark, lock);
}
