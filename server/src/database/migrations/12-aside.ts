import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What was set aside keeps who sent and who recorded it, so that a newer Compas which can read it gives the credit where it
 * belongs. What was read and refused for what it says is not read again.
 */
export class Aside1796000000012 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
ALTER TABLE set_aside ADD COLUMN sent_by uuid, ADD COLUMN made_by uuid, ADD COLUMN read_by integer;
UPDATE set_aside SET read_by = 0
  WHERE why NOT LIKE 'Piece % is not in this batch.' AND why NOT LIKE '% had left the workshop when this was recorded.' AND why NOT LIKE 'Another record has this id.%'`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query('ALTER TABLE set_aside DROP COLUMN sent_by, DROP COLUMN made_by, DROP COLUMN read_by');
  }
}
