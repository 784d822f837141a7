import type { MigrationInterface, QueryRunner } from 'typeorm';

const HERE = `NULLIF(current_setting('compas.workshop_id', true), '')::uuid`;

/** Plans that are begun and kept for nobody yet: one of each pattern, by its choices. */
export class Drafts1796000000015 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
CREATE TABLE drafts (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  pattern_id uuid NOT NULL,
  choices text NOT NULL,
  changed_by text NOT NULL,
  changed_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, pattern_id),
  FOREIGN KEY (workshop_id, pattern_id) REFERENCES patterns ON DELETE CASCADE
);
ALTER TABLE drafts ENABLE ROW LEVEL SECURITY;
CREATE POLICY own ON drafts USING (workshop_id = ${HERE}) WITH CHECK (workshop_id = ${HERE})`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query('DROP TABLE drafts');
  }
}
