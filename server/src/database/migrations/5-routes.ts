import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Pieces keep what can be done on them while their next step waits. */
export class Routes1796000000005 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`ALTER TABLE pieces ADD COLUMN meanwhile jsonb NOT NULL DEFAULT '[]'`);
    const [row] = (await db.query(`SELECT quote_ident(current_setting('compas.app_role')) AS role`)) as [
      { role: string },
    ];
    await db.query(`GRANT UPDATE (meanwhile) ON pieces TO ${row.role}`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query(`ALTER TABLE pieces DROP COLUMN meanwhile`);
  }
}
