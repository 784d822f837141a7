import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Tries of those who are not signed in yet are counted by address over all processes. What is counted for a minute is worth
 * no write to the log of the database, and nothing in a backup.
 */
export class Tries1796000000014 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
CREATE UNLOGGED TABLE tries (
  key text PRIMARY KEY,
  hits int NOT NULL,
  until timestamptz NOT NULL
);
CREATE FUNCTION access_tried(of_key text, for_ms double precision) RETURNS TABLE (hits int, left_ms double precision)
LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$
  DELETE FROM tries WHERE until < now() - interval '1 hour';
  INSERT INTO tries AS t VALUES (of_key, 1, now() + for_ms * interval '1 millisecond')
  ON CONFLICT (key) DO UPDATE SET
    hits = CASE WHEN t.until < now() THEN 1 ELSE t.hits + 1 END,
    until = CASE WHEN t.until < now() THEN excluded.until ELSE t.until END
  RETURNING t.hits, extract(epoch FROM t.until - now())::double precision * 1000
$$;
REVOKE ALL ON FUNCTION access_tried FROM PUBLIC`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query('DROP FUNCTION access_tried; DROP TABLE tries');
  }
}
