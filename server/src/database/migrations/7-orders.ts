import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * A line of an order says by which batch it is made, so that an order has lines before any is planned and one batch
 * can be made for lines of several orders; what was handed over is kept with it.
 */
export class Orders1796000000007 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
ALTER TABLE order_lines
  ADD COLUMN batch_id uuid,
  ADD COLUMN choices text NOT NULL DEFAULT '',
  ADD COLUMN given integer[] NOT NULL DEFAULT '{}',
  ALTER COLUMN revision DROP NOT NULL,
  ADD FOREIGN KEY (workshop_id, batch_id) REFERENCES batches (workshop_id, id),
  ADD FOREIGN KEY (workshop_id, pattern_id) REFERENCES patterns (workshop_id, id);
UPDATE order_lines l SET batch_id = b.id FROM batches b WHERE b.workshop_id = l.workshop_id AND b.order_id = l.order_id;
CREATE INDEX order_lines_of_batch ON order_lines (workshop_id, batch_id);
ALTER TABLE batches DROP COLUMN order_id;
ALTER TABLE orders ADD COLUMN closed_at timestamptz, ADD COLUMN version integer NOT NULL DEFAULT 1,
  ADD COLUMN changed_by text NOT NULL DEFAULT '', ADD COLUMN changed_at timestamptz NOT NULL DEFAULT now(), ADD COLUMN last_change uuid;
CREATE INDEX orders_by_closing ON orders (workshop_id, closed_at);`);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query(`
ALTER TABLE batches ADD COLUMN order_id uuid;
UPDATE batches b SET order_id = (SELECT l.order_id FROM order_lines l WHERE l.workshop_id = b.workshop_id AND l.batch_id = b.id ORDER BY l.order_id LIMIT 1);
ALTER TABLE batches ALTER COLUMN order_id SET NOT NULL, ADD FOREIGN KEY (workshop_id, order_id) REFERENCES orders (workshop_id, id);
CREATE INDEX batches_of_order ON batches (workshop_id, order_id);
DELETE FROM order_lines WHERE batch_id IS NULL;
ALTER TABLE order_lines DROP COLUMN batch_id, DROP COLUMN choices, DROP COLUMN given, ALTER COLUMN revision SET NOT NULL,
  DROP CONSTRAINT order_lines_workshop_id_pattern_id_fkey;
ALTER TABLE orders DROP COLUMN closed_at, DROP COLUMN version, DROP COLUMN changed_by, DROP COLUMN changed_at, DROP COLUMN last_change;`);
  }
}
