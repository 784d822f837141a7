import type { MigrationInterface, QueryRunner } from 'typeorm';

const HERE = `NULLIF(current_setting('compas.workshop_id', true), '')::uuid`;

/** Names of those who recorded something in this workshop, also when they have left it: theirs it stays. */
export class Credit1796000000013 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
CREATE FUNCTION access_recorded_by(wanted uuid) RETURNS TABLE (user_id uuid, name text)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT u.id, u.name FROM users u WHERE u.id IN (
    SELECT e.made_by FROM events e WHERE e.workshop_id = ${HERE} AND e.batch_id = wanted
  )
$$;
REVOKE ALL ON FUNCTION access_recorded_by FROM PUBLIC`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query('DROP FUNCTION access_recorded_by');
  }
}
