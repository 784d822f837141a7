import type { MigrationInterface, QueryRunner } from 'typeorm';

const definer = (name: string, args: string, returns: string, body: string): string =>
  `CREATE FUNCTION ${name}(${args}) RETURNS ${returns} LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$ ${body} $$;
REVOKE ALL ON FUNCTION ${name} FROM PUBLIC;`;

/** People of the demo as they were made before they were marked. */
const SEEDED = `'maren@quillhaven.example', 'tobi@quillhaven.example'`;

const OPEN = 'i.used_at IS NULL AND i.expires_at > now()';

/**
 * The door of the demo leads to the people that were made with it and to nobody else: they are marked. Whoever has an
 * account of their own is not let into the demo by an invitation.
 */
export class DemoDoor1796000000008 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query('ALTER TABLE users ADD COLUMN seeded boolean NOT NULL DEFAULT false');
    await db.query(`
UPDATE users u SET seeded = true FROM memberships m JOIN workshops w ON w.id = m.workshop_id
WHERE m.user_id = u.id AND w.demo AND u.email IN (${SEEDED})`);
    await db.query(
      'DROP FUNCTION access_user(text), access_demo_owner(), access_invited(text), access_accept(text, uuid)',
    );
    await db.query(FUNCTIONS);
    const [row] = (await db.query(`SELECT quote_ident(current_setting('compas.app_role')) AS role`)) as [
      { role: string },
    ];
    for (const name of NAMES) await db.query(`GRANT EXECUTE ON FUNCTION ${name} TO ${row.role}`);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('The demo would let anybody in again: restore a backup instead.'));
  }
}

const NAMES = [
  'access_user',
  'access_create_seeded',
  'access_seeded',
  'access_is_demo',
  'access_demo_owner',
  'access_invited',
  'access_accept',
];

const FUNCTIONS = [
  definer(
    'access_user',
    'wanted text',
    'TABLE (id uuid, name text, email text, password_hash text, seeded boolean)',
    'SELECT id, name, email, password_hash, seeded FROM users WHERE email = lower(wanted)',
  ),
  definer(
    'access_create_seeded',
    'new_id uuid, new_email text, new_name text, new_hash text',
    'SETOF uuid',
    'INSERT INTO users (id, email, name, password_hash, seeded) VALUES (new_id, lower(new_email), new_name, new_hash, true) ON CONFLICT (email) DO NOTHING RETURNING id',
  ),
  definer('access_seeded', '', 'SETOF uuid', 'SELECT id FROM users WHERE seeded'),
  definer(
    'access_is_demo',
    '',
    'boolean',
    `SELECT coalesce((SELECT demo FROM workshops WHERE id = NULLIF(current_setting('compas.workshop_id', true), '')::uuid), false)`,
  ),
  definer(
    'access_demo_owner',
    '',
    'TABLE (id uuid, email text)',
    `SELECT u.id, u.email FROM workshops w JOIN memberships m ON m.workshop_id = w.id AND m.role = 'owner' JOIN users u ON u.id = m.user_id AND u.seeded WHERE w.demo ORDER BY u.email LIMIT 1`,
  ),
  definer(
    'access_invited',
    'by_hash text',
    'TABLE (workshop text, role text)',
    `SELECT w.name, i.role FROM invites i JOIN workshops w ON w.id = i.workshop_id WHERE i.token_hash = by_hash AND ${OPEN} AND NOT w.demo`,
  ),
  definer(
    'access_accept',
    'by_hash text, of_user uuid',
    'SETOF uuid',
    `WITH taken AS (UPDATE invites i SET used_at = now() FROM workshops w, users u WHERE i.token_hash = by_hash AND ${OPEN} AND w.id = i.workshop_id AND u.id = of_user AND (NOT w.demo OR u.seeded) RETURNING i.workshop_id, i.role), joined AS (INSERT INTO memberships SELECT workshop_id, of_user, role FROM taken ON CONFLICT DO NOTHING) SELECT workshop_id FROM taken`,
  ),
].join('\n');
