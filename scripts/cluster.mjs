import { randomBytes } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statfsSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { basename, dirname, join } from 'node:path';
import { createHash } from 'node:crypto';
import { leaseOf } from './leases.mjs';
import { postgresPrograms } from './packages.mjs';
import { say } from './project.mjs';
import { outputOf } from './run.mjs';

/** PostgreSQL refuses to run as root: then its programs run as the postgres user. */
const asRoot = process.getuid?.() === 0;
const PREFIX = asRoot ? ['setpriv', '--reuid=postgres', '--regid=postgres', '--init-groups'] : [];

function postgres(program, args, options = {}) {
  const [command, ...rest] = [...PREFIX, join(postgresPrograms(), program), ...args];
  return spawnSync(command, rest, { encoding: 'utf8', cwd: '/', ...options });
}

function must(result, what) {
  if (result.status !== 0)
    throw new Error(`${what}: ${(result.stderr || result.stdout || result.error?.message || '').trim()}`);
}

/** Folder of the cluster: in the data folder, or in /var/lib when the postgres user cannot get there. */
function clusterFolder(data) {
  mkdirSync(data, { recursive: true });
  const wanted = join(data, 'postgres');
  if (!asRoot || canTraverse(data)) return wanted;
  const name = `compas-${createHash('sha256').update(data).digest('hex').slice(0, 12)}`;
  const elsewhere = join('/var/lib', name);
  say(`the postgres user cannot reach ${basename(data)}, so the database lies in ${elsewhere}`);
  mkdirSync(elsewhere, { recursive: true });
  return join(elsewhere, 'postgres');
}

function canTraverse(folder) {
  for (let at = folder; at !== dirname(at); at = dirname(at))
    if (spawnSync(PREFIX[0], [...PREFIX.slice(1), 'test', '-x', at]).status !== 0) return false;
  return true;
}

/** What is damaged is never made anew by itself: its database would not open with other passwords. */
function readSecrets(file) {
  try {
    const secrets = JSON.parse(readFileSync(file, 'utf8'));
    const missing = ['superuser', 'owner', 'app', 'session'].filter(
      (name) => typeof secrets[name] !== 'string',
    );
    if (missing.length === 0) return secrets;
    throw new Error(`it lacks ${missing.join(', ')}`);
  } catch (error) {
    throw new Error(
      `The passwords of the database in ${file} cannot be read: ${error.message}. Put the file back from a copy; or, to begin with an empty database, move its whole folder away.`,
    );
  }
}

/** Passwords made on first use and kept in the data folder. */
export function secretsOf(data) {
  mkdirSync(data, { recursive: true });
  const file = join(data, 'secrets.json');
  if (existsSync(file)) return readSecrets(file);
  const secret = () => randomBytes(24).toString('hex');
  const secrets = { superuser: secret(), owner: secret(), app: secret(), session: secret() };
  writeFileSync(file, JSON.stringify(secrets), { mode: 0o600 });
  return secrets;
}

const there = (file) => (asRoot ? spawnSync('test', ['-e', file]).status === 0 : existsSync(file));

/** With less PostgreSQL ends amid its work, bytes: a piece of its log is 16 MB, and one is always ahead. */
const LEAST_ROOM = 100_000_000;

function refuseFullDisk(folder) {
  const { bavail, bsize } = statfsSync(dirname(folder));
  const least = Number(process.env.COMPAS_LEAST_ROOM ?? LEAST_ROOM);
  if (bavail * bsize >= least) return;
  throw new Error(
    `The disk of ${folder} is full: ${Math.floor((bavail * bsize) / 1e6)} MB are left, and the database needs ${Math.ceil(least / 1e6)}. Make room, or name a folder on another disk with COMPAS_DATA.`,
  );
}

/** Makes a cluster beside its place and moves it there when it is whole: one that was cut short is made anew. */
function initialise(place, secrets) {
  say('making a private PostgreSQL cluster');
  const folder = `${place}.making`;
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const passwordFile = join(folder, '..', 'superuser.pw');
  rmSync(passwordFile, { force: true });
  writeFileSync(passwordFile, secrets.superuser, { mode: 0o600 });
  if (asRoot) {
    const uid = Number(outputOf('id', ['-u', 'postgres']));
    const gid = Number(outputOf('id', ['-g', 'postgres']));
    chownSync(folder, uid, gid);
    chownSync(passwordFile, uid, gid);
  }
  chmodSync(folder, 0o700);
  const made = postgres('initdb', [
    '-D',
    folder,
    '-U',
    'postgres',
    '-A',
    'scram-sha-256',
    `--pwfile=${passwordFile}`,
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
  ]);
  rmSync(passwordFile);
  must(made, 'PostgreSQL could not make its cluster');
  renameSync(folder, place);
}

/** A port of loopback that nobody listens at. */
export const freePort = () =>
  new Promise((done, failed) => {
    const server = createServer();
    server.on('error', failed);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => done(port));
    });
  });

const ready = (port) => postgres('pg_isready', ['-h', '127.0.0.1', '-p', String(port), '-q']).status === 0;

/** Port of the cluster when it runs already. */
function runningPort(folder) {
  if (postgres('pg_ctl', ['-D', folder, 'status']).status !== 0) return null;
  const pid = asRoot
    ? outputOf('cat', [join(folder, 'postmaster.pid')])
    : readFileSync(join(folder, 'postmaster.pid'), 'utf8');
  const port = Number(pid?.split('\n')[3]);
  return ready(port) ? port : null;
}

/**
 * Starts the private cluster of a data folder on a free loopback port.
 * @param durable off only for tests: then nothing is flushed to disk
 * @returns its port, its passwords, and how to leave it: whoever leaves last stops it
 */
export async function startCluster(data, durable = true) {
  const folder = clusterFolder(data);
  const exists = there(join(folder, 'PG_VERSION'));
  if (exists && !existsSync(join(data, 'secrets.json')))
    throw new Error(
      `There is a database in ${folder}, but the file with its passwords, ${join(data, 'secrets.json')}, is missing. Put it back from a copy; or, to begin with an empty database, move ${folder} away.`,
    );
  refuseFullDisk(folder);
  const secrets = secretsOf(data);
  if (!exists) initialise(folder, secrets);
  // whoever made it may have been killed before it was gone
  else rmSync(join(folder, '..', 'superuser.pw'), { force: true });
  const lease = leaseOf(data);
  const stop = () => {
    if (lease.leave()) stopCluster(folder);
  };
  const before = runningPort(folder);
  lease.take();
  // one that was left running by somebody who was killed is taken over with its stopping
  if (before !== null) return { port: before, secrets, folder, stop };
  const port = await freePort();
  const settings = [
    '-p',
    port,
    '-c',
    'listen_addresses=127.0.0.1',
    '-c',
    "unix_socket_directories=''",
    ...(durable ? [] : ['-c', 'fsync=off']),
  ].join(' ');
  await startServer(folder, settings);
  for (let i = 0; i < 100 && !ready(port); i++) await new Promise((later) => setTimeout(later, 50));
  return { port, secrets, folder, stop };
}

/** What a killed server left behind may hold its memory for a while: then it is tried so often, a second apart. */
const TRIES = 15;

/** Whether the last start failed for that, and not for something that waiting does not mend. */
const isHeld = (log) => /shared memory block|lock file/.test(outputOf('tail', ['-n', '6', log]) ?? '');

async function startServer(folder, settings) {
  const log = join(folder, 'server.log');
  for (let left = TRIES; ; left -= 1) {
    const started = postgres('pg_ctl', ['-D', folder, '-w', '-t', '60', '-l', log, '-o', settings, 'start'], {
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    if (started.status === 0) return;
    if (left === 1 || !isHeld(log)) must(started, `PostgreSQL did not start; ${log} says why`);
    if (left === TRIES)
      say('what is left of a PostgreSQL that was killed still holds its memory. Trying again.');
    await new Promise((later) => setTimeout(later, 1_000));
  }
}

/** So long it may take to stop as it should, s; then it is stopped at once, and makes good at its next start. */
const STOP_WITHIN = 15;

function stopCluster(folder) {
  const how = (mode) => ['-D', folder, '-m', mode, '-w', '-t', String(STOP_WITHIN), 'stop'];
  if (postgres('pg_ctl', how('fast')).status !== 0) postgres('pg_ctl', how('immediate'));
}
