import type { MigrationInterface, QueryRunner } from 'typeorm';

const HERE = `NULLIF(current_setting('compas.workshop_id', true), '')::uuid`;

/** Measured samples, kept beside the patterns that are copied from them or held against them. */
export class Samples1780000000002 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
CREATE TABLE samples (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  name text NOT NULL,
  measured_by text NOT NULL,
  trace jsonb NOT NULL,
  note text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id)
)`);
    await db.query('ALTER TABLE samples ENABLE ROW LEVEL SECURITY');
    await db.query(
      `CREATE POLICY own ON samples USING (workshop_id = ${HERE}) WITH CHECK (workshop_id = ${HERE})`,
    );
    const [row] = (await db.query(`SELECT quote_ident(current_setting('compas.app_role')) AS role`)) as [
      { role: string },
    ];
    await db.query(`GRANT SELECT, INSERT, DELETE ON samples TO ${row.role}`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query('DROP TABLE samples');
  }
}
