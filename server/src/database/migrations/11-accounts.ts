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
  definer(
    'access_new_recorder',
    'new_id uuid, of_user uuid, new_hash text',
    'SETOF uuid',
    `INSERT INTO recorders (id, workshop_id, user_id, secret_hash) VALUES (new_id, ${HERE}, of_user, new_hash) RETURNING id`,
  ),
  definer(
    'access_recorders',
    'claimed jsonb',
    'TABLE (id uuid, user_id uuid, name text, ended_at timestamptz)',
    `SELECT r.id, r.user_id, u.name, r.ended_at FROM jsonb_to_recordset(claimed) AS c(id uuid, hash text) JOIN recorders r ON r.id = c.id AND r.secret_hash = c.hash AND r.workshop_id = ${HERE} JOIN users u ON u.id = r.user_id`,
  ),
  // what somebody recorded before they were taken out is theirs; nothing after it is
  definer(
    'access_remove_member',
    'of_user uuid',
    'SETOF uuid',
    `WITH gone AS (DELETE FROM memberships m WHERE m.workshop_id = ${HERE} AND m.user_id = of_user AND (m.role <> 'owner' OR (SELECT count(*) FROM memberships o WHERE o.workshop_id = m.workshop_id AND o.role = 'owner') > 1) RETURNING m.user_id), ended AS (UPDATE recorders r SET ended_at = now() FROM gone g WHERE r.workshop_id = ${HERE} AND r.user_id = g.user_id AND r.ended_at IS NULL) SELECT user_id FROM gone`,
  ),
  // a maker who takes an owner's link becomes an owner; an owner stays one
  definer(
    'access_accept',
    'by_hash text, of_user uuid',
    'SETOF uuid',
    `WITH taken AS (UPDATE invites i SET used_at = now() FROM workshops w, users u WHERE i.token_hash = by_hash AND ${OPEN} AND w.id = i.workshop_id AND u.id = of_user AND (NOT w.demo OR u.seeded) RETURNING i.workshop_id, i.role), joined AS (INSERT INTO memberships AS m SELECT workshop_id, of_user, role FROM taken ON CONFLICT (workshop_id, user_id) DO UPDATE SET role = 'owner' WHERE excluded.role = 'owner') SELECT workshop_id FROM taken`,
  ),
].join('\n');

/**
 * Accounts: passwords can be changed and guessing them slows down; invitations can be seen and withdrawn. A recorder says
 * whose what a tablet recorded is, also when somebody else sends it later; it opens nothing.
 */
export class Accounts1796000000011 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
CREATE TABLE failed_sign_ins (account text NOT NULL, at timestamptz NOT NULL DEFAULT now());
CREATE INDEX failed_sign_ins_of_account ON failed_sign_ins (account, at);
ALTER TABLE invites ADD COLUMN id uuid NOT NULL DEFAULT gen_random_uuid();
CREATE TABLE recorders (
  id uuid PRIMARY KEY,
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  user_id uuid NOT NULL REFERENCES users ON DELETE CASCADE,
  secret_hash text NOT NULL,
  since timestamptz NOT NULL DEFAULT now(),
  ended_at timestamptz
);
DROP FUNCTION access_accept(text, uuid), access_remove_member(uuid)`);
    await db.query(FUNCTIONS);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('Withdrawn invitations would be open again: restore a backup instead.'));
  }
}
