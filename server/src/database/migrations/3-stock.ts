import type { MigrationInterface, QueryRunner } from 'typeorm';

const HERE = `NULLIF(current_setting('compas.workshop_id', true), '')::uuid`;
const TABLES = ['stock_items', 'cuttings', 'ledger', 'drying_bundles'];

/** What lies on the shelves, the ledger of what came and went, cutting plans, and the drying shelf. */
export class Stock1795000000003 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
CREATE TABLE stock_items (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  kind text NOT NULL,
  body jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1,
  created_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id)
);
CREATE TABLE cuttings (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  name text NOT NULL,
  study_key text NOT NULL,
  body jsonb NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  recorded_at timestamptz,
  PRIMARY KEY (workshop_id, id)
);
CREATE TABLE ledger (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  number bigint GENERATED ALWAYS AS IDENTITY,
  shelf text NOT NULL CHECK (shelf IN ('stock', 'kit')),
  item_id uuid NOT NULL,
  label text NOT NULL,
  at timestamptz NOT NULL DEFAULT now(),
  kind text NOT NULL CHECK (kind IN ('received', 'cut', 'used', 'lost', 'corrected')),
  amount double precision NOT NULL,
  cost bigint NOT NULL,
  note text NOT NULL,
  cutting_id uuid,
  made_by uuid NOT NULL,
  PRIMARY KEY (workshop_id, id)
);
CREATE INDEX ledger_of_item ON ledger (workshop_id, item_id);
CREATE TABLE drying_bundles (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  body jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1,
  created_at timestamptz NOT NULL DEFAULT now(),
  taken_off_at timestamptz,
  PRIMARY KEY (workshop_id, id)
)`);
    await db.query(`
INSERT INTO ledger (workshop_id, id, shelf, item_id, label, kind, amount, cost, note, made_by)
SELECT workshop_id, gen_random_uuid(), 'kit', id, body->>'name', 'received', (body->>'onHand')::double precision, 0,
  'on the shelf when the ledger began', '00000000-0000-0000-0000-000000000000'
FROM kits WHERE (body->>'onHand')::integer > 0`);
    for (const table of TABLES) {
      await db.query(`ALTER TABLE ${table} ENABLE ROW LEVEL SECURITY`);
      await db.query(
        `CREATE POLICY own ON ${table} USING (workshop_id = ${HERE}) WITH CHECK (workshop_id = ${HERE})`,
      );
    }
    const [row] = (await db.query(`SELECT quote_ident(current_setting('compas.app_role')) AS role`)) as [
      { role: string },
    ];
    await db.query(`GRANT SELECT, INSERT, UPDATE ON stock_items TO ${row.role}`);
    await db.query(`GRANT SELECT, INSERT, UPDATE, DELETE ON cuttings, drying_bundles TO ${row.role}`);
    await db.query(`GRANT SELECT, INSERT ON ledger TO ${row.role}`);
  }

  async down(db: QueryRunner): Promise<void> {
    for (const table of [...TABLES].reverse()) await db.query(`DROP TABLE ${table}`);
  }
}
