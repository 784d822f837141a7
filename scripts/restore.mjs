import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { compileServer } from './build.mjs';
import { asAdministrator, migrate, openDatabase } from './database.mjs';
import { ensureDependencies } from './packages.mjs';
import { onDatabase } from './programs.mjs';
import { main, say } from './project.mjs';

/** The same as in the server: whoever prepares the database holds the lock, and the old lies there meanwhile. */
const PREPARING = 1_796_000_001;
const BEFORE = 'before_restore';

const BACK = `BEGIN; DROP SCHEMA IF EXISTS public CASCADE; ALTER SCHEMA ${BEFORE} RENAME TO public; COMMIT`;

async function refuseWhileServed(client, appUrl) {
  const { rows } = await client.query(
    'SELECT count(*)::int AS served FROM pg_stat_activity WHERE datname = current_database() AND usename = $1',
    [new URL(appUrl).username],
  );
  if (rows[0].served > 0) throw new Error('A Compas is running on this database. Stop it, then restore.');
}

/** Puts a backup in the place of what is there; that is kept aside until all has succeeded, and else comes back. */
async function restore(client, file, env) {
  const url = env.COMPAS_DB_OWNER_URL;
  await onDatabase(url, 'pg_restore', ['--list', file]).catch((error) => {
    throw new Error(`${file} is no backup of Compas. ${error.message}`);
  });
  const { rowCount } = await client.query('SELECT 1 FROM pg_namespace WHERE nspname = $1', [BEFORE]);
  if (rowCount > 0) await client.query(BACK);
  await client.query(`ALTER SCHEMA public RENAME TO ${BEFORE}`);
  try {
    await client.query('CREATE SCHEMA public');
    await onDatabase(url, 'pg_restore', [
      '--dbname',
      new URL(url).pathname.slice(1),
      '--schema=public',
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      file,
    ]);
    await migrate({ ...env, COMPAS_RESTORING: 'yes' });
  } catch (error) {
    await client.query(BACK);
    throw new Error(`Nothing was restored, and what was there is as it was. ${error.message}`);
  }
  await client.query(`DROP SCHEMA ${BEFORE} CASCADE`);
}

await main(async () => {
  await ensureDependencies();
  const [name] = process.argv.slice(2);
  if (!name) throw new Error('Say which backup: npm run restore -- .compas/backups/compas-….dump');
  const file = resolve(name);
  if (!existsSync(file)) throw new Error(`There is no ${file}.`);
  await compileServer();
  const { env, stop } = await openDatabase();
  try {
    await asAdministrator(env.COMPAS_DB_OWNER_URL, async (client) => {
      await client.query('SELECT pg_advisory_lock($1)', [PREPARING]);
      await refuseWhileServed(client, env.COMPAS_DB_URL);
      await restore(client, file, env);
    });
    say('restored. Everybody signs in anew.');
  } finally {
    stop();
  }
});
