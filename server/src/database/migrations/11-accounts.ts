import type { MigrationInterface, QueryRunner } from 'typeorm';

const HERE = `NULLIF(current_setting('compas.workshop_id', true), '')::uuid`;

const definer = (name: string, args: string, returns: string, body: string): string =>
  `CREATE FUNCTION ${name}(${args}) RETURNS ${returns} LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$ ${body} $$;
REVOKE ALL ON FUNCTION ${name} FROM PUBLIC;`;

const OPEN = 'i.used_at IS NULL AND i.expires_at > now()';

/** Wrong passwords of so long ago count against nobody. */
const REMEMBERED = `interval '15 minutes'`;

const FUNCTIONS = [
  definer(
    'access_set_password',
    'of_user uuid, new_hash text',
    'SETOF uuid',
    'UPDATE users SET password_hash = new_hash WHERE id = of_user RETURNING id',
  ),
  definer(
    'access_password',
    'of_user uuid',
    'TABLE (email text, password_hash text, seeded boolean)',
    'SELECT email, password_hash, seeded FROM users WHERE id = of_user',
  ),
  definer(
    'access_failures',
    'of_account text',
    'bigint',
    `SELECT count(*) FROM failed_sign_ins WHERE account = of_account AND at > now() - ${REMEMBERED}`,
  ),
  definer(
    'access_failed',
    'of_account text',
    'void',
    `DELETE FROM failed_sign_ins WHERE at < now() - ${REMEMBERED}; INSERT INTO failed_sign_ins (account) VALUES (of_account)`,
  ),
  definer(
    'access_forgive',
    'of_account text',
    'void',
    'DELETE FROM failed_sign_ins WHERE account = of_account',
  ),
  definer(
    'access_invites',
    '',
    'TABLE (id uuid, role text, expires_at timestamptz)',
    `SELECT i.id, i.role, i.expires_at FROM invites i WHERE i.workshop_id = ${HERE} AND ${OPEN} ORDER BY i.expires_at, i.id`,
  ),
  definer(
    'access_withdraw',
    'wanted uuid',
    'SETOF uuid',
    `DELETE FROM invites i WHERE i.workshop_id = ${HERE} AND i.id = wanted AND ${OPEN} RETURNING i.id`,
  ),
  // a maker who takes an owner's link becomes an owner; an owner stays one
  definer(
    'access_accept',
    'by_hash text, of_user uuid',
    'SETOF uuid',
    `WITH taken AS (UPDATE invites i SET used_at = now() FROM workshops w, users u WHERE i.token_hash = by_hash AND ${OPEN} AND w.id = i.workshop_id AND u.id = of_user AND (NOT w.demo OR u.seeded) RETURNING i.workshop_id, i.role), joined AS (INSERT INTO memberships AS m SELECT workshop_id, of_user, role FROM taken ON CONFLICT (workshop_id, user_id) DO UPDATE SET role = 'owner' WHERE excluded.role = 'owner') SELECT workshop_id FROM taken`,
  ),
].join('\n');

/** Accounts: passwords can be changed and guessing them slows down; invitations can be seen and withdrawn. */
export class Accounts1796000000011 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
CREATE TABLE failed_sign_ins (account text NOT NULL, at timestamptz NOT NULL DEFAULT now());
CREATE INDEX failed_sign_ins_of_account ON failed_sign_ins (account, at);
ALTER TABLE invites ADD COLUMN id uuid NOT NULL DEFAULT gen_random_uuid();
DROP FUNCTION access_accept(text, uuid)`);
    await db.query(FUNCTIONS);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('Withdrawn invitations would be open again: restore a backup instead.'));
  }
}
