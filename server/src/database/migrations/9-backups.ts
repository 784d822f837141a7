import type { MigrationInterface, QueryRunner } from 'typeorm';

/** When copies of the whole database were made: an owner sees how old the last one is. */
export class Backups1796000000009 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(
      'CREATE TABLE backups (made_at timestamptz PRIMARY KEY DEFAULT now(), bytes bigint NOT NULL CHECK (bytes > 0))',
    );
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query('DROP TABLE backups');
  }
}
