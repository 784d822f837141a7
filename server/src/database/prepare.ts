import type { DataSource, QueryRunner } from 'typeorm';
import { MIGRATIONS } from './ownerDataSource.js';
import { giveRights } from './rights.js';

/** Whoever prepares the database holds this lock: two first starts at once follow one another. */
const PREPARING = 1_796_000_001;

/** Where the old lies while a backup is put back; it is gone when that has succeeded. */
const BEFORE_RESTORE = 'before_restore';

/**
 * The database as this build wants it: whatever is missing is made, and the application has its rights.
 * @param restoring a restore prepares what it put back: it holds the lock, and keeps the old until this has succeeded
 * @returns names of the migrations that were made
 */
export async function prepare(source: DataSource, appRole: string, restoring = false): Promise<string[]> {
  const lock = source.createQueryRunner();
  try {
    if (!restoring) {
      await lock.query('SELECT pg_advisory_lock($1)', [PREPARING]);
      await takeBack(lock);
    }
    await refuseNewer(lock);
    const made = await source.runMigrations({ transaction: 'each' });
    await giveRights(source, appRole);
    // tablets send again what they sent since the backup was made
    if (restoring) await source.query('UPDATE life SET id = gen_random_uuid()');
    return made.map((m) => m.name);
  } finally {
    if (!restoring) await lock.query('SELECT pg_advisory_unlock($1)', [PREPARING]);
    await lock.release();
  }
}

/** What was there before a restore that was cut short is there again. */
async function takeBack(db: QueryRunner): Promise<void> {
  const found = (await db.query('SELECT 1 FROM pg_namespace WHERE nspname = $1', [
    BEFORE_RESTORE,
  ])) as unknown[];
  if (found.length === 0) return;
  await db.query(
    `BEGIN; DROP SCHEMA public CASCADE; ALTER SCHEMA ${BEFORE_RESTORE} RENAME TO public; COMMIT`,
  );
  console.log('A restore was cut short: what was there before it is back.');
}

/** A build does not work on what a later one made: it would not know what it leaves out. */
async function refuseNewer(db: QueryRunner): Promise<void> {
  const [there] = (await db.query(`SELECT to_regclass('public.migrations') IS NOT NULL AS made`)) as [
    { made: boolean },
  ];
  if (!there.made) return;
  const known = new Set(MIGRATIONS.map((m) => m.name));
  const rows = (await db.query('SELECT name FROM migrations ORDER BY id')) as { name: string }[];
  const later = rows.filter((r) => !known.has(r.name)).map((r) => r.name);
  if (later.length > 0)
    throw new Error(
      `This database was made by a later Compas: it has ${later.join(', ')}. Start that one, or restore a backup of this one.`,
    );
}
