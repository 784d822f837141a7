import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A batch says which of its pieces are of which part, one that was made before has one part only; a piece keeps whether a check failed. */
export class Items1796000000006 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`ALTER TABLE batches ADD COLUMN lots jsonb NOT NULL DEFAULT '[]'`);
    await db.query(`
UPDATE batches b SET lots = jsonb_build_array(jsonb_build_object('partId', v.snapshot #>> '{plan,parts,0,partId}', 'first', 1, 'count', b.pieces))
FROM plan_versions v WHERE v.workshop_id = b.workshop_id AND v.batch_id = b.id AND v.version = b.plan_version`);
    await db.query('ALTER TABLE batches ALTER COLUMN lots DROP DEFAULT');
    await db.query('ALTER TABLE pieces ADD COLUMN failed boolean NOT NULL DEFAULT false');
    const [row] = (await db.query(`SELECT quote_ident(current_setting('compas.app_role')) AS role`)) as [
      { role: string },
    ];
    await db.query(`GRANT UPDATE (failed) ON pieces TO ${row.role}`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query('ALTER TABLE batches DROP COLUMN lots');
    await db.query('ALTER TABLE pieces DROP COLUMN failed');
  }
}
