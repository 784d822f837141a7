import { closeSync, fsyncSync, mkdirSync, openSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { asAdministrator, openDatabase } from './database.mjs';
import { ensureDependencies } from './packages.mjs';
import { onDatabase } from './programs.mjs';
import { DATA, main, say } from './project.mjs';

/** What comes and goes by itself, and what opens a door: neither is kept. */
const LEFT_OUT = ['sessions', 'invites', 'tries'].map((table) => `--exclude-table-data=public.${table}`);

/** `2026-11-27-081500`, in UTC. */
const stamp = (at) => at.toISOString().slice(0, 19).replace('T', '-').replaceAll(':', '');

/** Everything in one file that PostgreSQL's own programs read; it is there whole or not at all. */
async function backUp(url, file) {
  mkdirSync(dirname(file), { recursive: true });
  const part = `${file}.part`;
  rmSync(part, { force: true });
  const to = openSync(part, 'wx', 0o600);
  try {
    await onDatabase(
      url,
      'pg_dump',
      ['--format=custom', '--schema=public', '--no-owner', '--no-privileges', ...LEFT_OUT],
      to,
    );
    fsyncSync(to);
    await onDatabase(url, 'pg_restore', ['--list', part]);
    renameSync(part, file);
  } catch (error) {
    rmSync(part, { force: true });
    throw new Error(`No backup was made. ${error.message}`);
  } finally {
    closeSync(to);
  }
  return statSync(file).size;
}

/** Owners see how old the last one is; what was made by an earlier Compas has no place for that yet. */
async function noted(client, bytes) {
  const { rows } = await client.query("SELECT to_regclass('public.backups') IS NOT NULL AS there");
  if (rows[0].there) await client.query('INSERT INTO backups (bytes) VALUES ($1)', [bytes]);
}

await main(async () => {
  await ensureDependencies();
  const file = resolve(process.argv[2] ?? join(DATA, 'backups', `compas-${stamp(new Date())}.dump`));
  const { env, stop } = await openDatabase();
  try {
    const bytes = await backUp(env.COMPAS_DB_OWNER_URL, file);
    await asAdministrator(env.COMPAS_DB_OWNER_URL, (client) => noted(client, bytes));
    say(`backed up to ${file}, ${(bytes / 1e6).toFixed(1)} MB. Keep a copy of it on another machine.`);
    say('sessions, open invitations and passwords of the database are not in it');
  } finally {
    stop();
  }
});
