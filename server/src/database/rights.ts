import type { DataSource, EntityManager } from 'typeorm';

/** What the application may do with each table; what is not named it may not touch. Rows are separated by policies besides. */
const RIGHTS: Readonly<Record<string, string>> = {
  answers: 'SELECT, INSERT, UPDATE, DELETE',
  backups: 'SELECT',
  batches: 'SELECT, INSERT, UPDATE, DELETE',
  cuttings: 'SELECT, INSERT, UPDATE, DELETE',
  drafts: 'SELECT, INSERT, UPDATE, DELETE',
  drying_bundles: 'SELECT, INSERT, UPDATE, DELETE',
  events: 'SELECT, INSERT',
  kits: 'SELECT, INSERT, UPDATE, DELETE',
  ledger: 'SELECT, INSERT',
  life: 'SELECT',
  migrations: 'SELECT',
  order_lines: 'SELECT, INSERT, UPDATE, DELETE',
  orders: 'SELECT, INSERT, UPDATE, DELETE',
  pattern_revisions: 'SELECT, INSERT',
  patterns: 'SELECT, INSERT, UPDATE, DELETE',
  pieces: 'SELECT, INSERT, UPDATE (steps_done, rejected, step, locked_by, waits, meanwhile, failed)',
  plan_versions: 'SELECT, INSERT',
  readings: 'SELECT, INSERT',
  samples: 'SELECT, INSERT, DELETE',
  sessions: 'SELECT, INSERT, UPDATE, DELETE',
  set_aside: 'SELECT, INSERT, UPDATE (why, read_by), DELETE',
  stock_items: 'SELECT, INSERT, UPDATE',
  workshops: 'SELECT, UPDATE',
};

/**
 * Gives the application's role the rights of the list and nothing else, whatever it or everybody had before: the same
 * after each start and after a restore. Functions are narrow doors that were made for it.
 */
export const giveRights = (source: DataSource, appRole: string): Promise<void> =>
  source.transaction(async (db) => {
    const role = `"${appRole.replaceAll('"', '""')}"`;
    await takeAll(db, role);
    await db.query(`GRANT USAGE ON SCHEMA public TO ${role}`);
    await db.query(`GRANT EXECUTE ON ALL FUNCTIONS IN SCHEMA public TO ${role}`);
    for (const [table, rights] of Object.entries(RIGHTS))
      await db.query(`GRANT ${rights} ON ${table} TO ${role}`);
  });

/** What the role of the application was called when there was one for all databases of a PostgreSQL. */
const OLD_ROLE = 'compas_app';

async function takeAll(db: EntityManager, role: string): Promise<void> {
  const [{ old, ours, name }] = await db.query<[{ old: boolean; ours: boolean; name: string }]>(
    `SELECT EXISTS (SELECT 1 FROM pg_roles WHERE rolname = $1) AS old, pg_has_role(datdba, 'MEMBER') AS ours, quote_ident(datname) AS name
     FROM pg_database WHERE datname = current_database()`,
    [OLD_ROLE],
  );
  if (ours) {
    await db.query(`REVOKE ALL ON DATABASE ${name} FROM PUBLIC`);
    await db.query(`GRANT CONNECT ON DATABASE ${name} TO ${role}`);
  }
  for (const from of ['PUBLIC', role, ...(old ? [OLD_ROLE] : [])]) {
    await db.query(`REVOKE ALL ON ALL TABLES IN SCHEMA public FROM ${from}`);
    await db.query(`REVOKE ALL ON ALL SEQUENCES IN SCHEMA public FROM ${from}`);
    await db.query(`REVOKE ALL ON ALL FUNCTIONS IN SCHEMA public FROM ${from}`);
    await db.query(`REVOKE ALL ON SCHEMA public FROM ${from}`);
  }
}
