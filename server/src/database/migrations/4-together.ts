import type { MigrationInterface, QueryRunner } from 'typeorm';

const HERE = `NULLIF(current_setting('compas.workshop_id', true), '')::uuid`;

/** What several people can change: each says its version, who changed it last, when, and by which change. */
const SHARED = ['workshops', 'patterns', 'kits', 'stock_items', 'cuttings', 'drying_bundles', 'batches'];
const UNNUMBERED = ['patterns', 'kits', 'cuttings', 'batches'];

/**
 * Stores events of a batch under the lock of its row, with the caller's rights: whoever records on a batch
 * waits for whoever does so already, and for whoever plans it anew. Events that are known and pieces outside
 * the batch are left out; numbers go on from the newest. NULL when there is no such batch.
 * It gives back all events of the pieces it touched, since each statement in it sees what was committed
 * before the lock was had.
 */
export const RECORD_EVENTS = `
CREATE FUNCTION record_events(wanted uuid, incoming jsonb, by_user uuid) RETURNS jsonb
LANGUAGE plpgsql SECURITY INVOKER SET search_path = public, pg_temp AS $$
DECLARE
  batch record;
  touched integer[];
  fitting uuid[];
  known integer;
BEGIN
  SELECT workshop_id, id, last_event, plan_version INTO batch FROM batches WHERE id = wanted FOR UPDATE;
  IF NOT FOUND THEN RETURN NULL; END IF;
  WITH came AS (
    SELECT * FROM ROWS FROM (jsonb_to_recordset(incoming) AS (id uuid, piece int, at timestamptz, device text, sequence int, "planVersion" int, body jsonb))
      WITH ORDINALITY AS e(id, piece, at, device, sequence, "planVersion", body, place)
  ), fit AS (
    SELECT c.* FROM came c JOIN pieces p ON p.workshop_id = batch.workshop_id AND p.batch_id = batch.id AND p.number = c.piece
  ), stored AS (
    INSERT INTO events (workshop_id, id, batch_id, piece, at, device, sequence, plan_version, body, made_by, number)
    SELECT batch.workshop_id, f.id, batch.id, f.piece, f.at, f.device, f.sequence, f."planVersion", f.body, by_user, batch.last_event + f.place FROM fit f
    ON CONFLICT DO NOTHING RETURNING id, piece, body
  ), measured AS (
    INSERT INTO readings (workshop_id, event_id, batch_id, piece, station_id, mm, typed)
    SELECT batch.workshop_id, s.id, batch.id, s.piece, s.body->>'stationId', (s.body->>'mm')::float8, s.body->>'typed'
    FROM stored s WHERE s.body->>'kind' = 'measured'
  )
  SELECT (SELECT count(*) FROM fit) - (SELECT count(*) FROM stored), (SELECT array_agg(f.id) FROM fit f), (SELECT array_agg(DISTINCT s.piece) FROM stored s)
    INTO known, fitting, touched;
  IF touched IS NOT NULL THEN
    UPDATE batches b SET last_event = (SELECT max(e.number) FROM events e WHERE e.workshop_id = batch.workshop_id AND e.batch_id = batch.id)
      WHERE b.workshop_id = batch.workshop_id AND b.id = batch.id;
  END IF;
  RETURN jsonb_build_object('known', known, 'fitting', to_jsonb(fitting), 'pieces', to_jsonb(touched),
    'steps', (SELECT v.summary->'steps' FROM plan_versions v WHERE v.workshop_id = batch.workshop_id AND v.batch_id = batch.id AND v.version = batch.plan_version),
    'events', (SELECT jsonb_agg(jsonb_build_object('id', e.id, 'piece', e.piece, 'at', to_char(e.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
      'device', e.device, 'sequence', e.sequence, 'planVersion', e.plan_version, 'body', e.body - 'photo'))
      FROM events e WHERE e.workshop_id = batch.workshop_id AND e.batch_id = batch.id AND e.piece = ANY (touched)));
END $$;
REVOKE ALL ON FUNCTION record_events FROM PUBLIC`;

/**
 * Two hands at once: versions with their author, answers kept by the change that asked for them, events
 * numbered by batch, and how far each piece is, kept beside it.
 *
 * An event's number is drawn under the lock of its batch's row, so that whoever has read up to a number
 * has read everything below it. Pieces keep the end of a wait as an instant, which holds whichever clock
 * that instant is later reckoned by.
 */
export class Together1796000000004 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    for (const table of UNNUMBERED)
      await db.query(`ALTER TABLE ${table} ADD COLUMN version integer NOT NULL DEFAULT 1`);
    for (const table of SHARED)
      await db.query(`ALTER TABLE ${table} ADD COLUMN changed_by text NOT NULL DEFAULT '',
        ADD COLUMN changed_at timestamptz NOT NULL DEFAULT now(), ADD COLUMN last_change uuid`);
    await db.query(`
CREATE TABLE answers (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  asked text NOT NULL,
  answer jsonb,
  made_by uuid NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id)
);
CREATE INDEX answers_by_age ON answers (workshop_id, made_at);
ALTER TABLE answers ENABLE ROW LEVEL SECURITY;
CREATE POLICY own ON answers USING (workshop_id = ${HERE}) WITH CHECK (workshop_id = ${HERE});

ALTER TABLE batches ADD COLUMN last_event bigint NOT NULL DEFAULT 0, ADD COLUMN summary_rule integer NOT NULL DEFAULT 0;
ALTER TABLE events ADD COLUMN number bigint;
UPDATE events e SET number = n.number FROM (
  SELECT workshop_id, id, row_number() OVER (PARTITION BY workshop_id, batch_id ORDER BY received_at, at, device, sequence) AS number FROM events
) n WHERE n.workshop_id = e.workshop_id AND n.id = e.id;
ALTER TABLE events ALTER COLUMN number SET NOT NULL;
CREATE UNIQUE INDEX events_by_number ON events (workshop_id, batch_id, number);
UPDATE batches b SET last_event = coalesce((SELECT max(number) FROM events e WHERE e.workshop_id = b.workshop_id AND e.batch_id = b.id), 0);
DROP INDEX events_of_batch;
CREATE INDEX events_of_piece ON events (workshop_id, batch_id, piece);
CREATE INDEX events_checked ON events (workshop_id, batch_id) WHERE body->>'kind' = 'checked';

ALTER TABLE plan_versions ADD COLUMN hash text, ADD COLUMN summary jsonb;
CREATE INDEX plan_versions_by_hash ON plan_versions (workshop_id, hash);
ALTER TABLE pieces ADD COLUMN steps_done integer NOT NULL DEFAULT 0, ADD COLUMN rejected boolean NOT NULL DEFAULT false,
  ADD COLUMN step integer, ADD COLUMN locked_by text, ADD COLUMN waits jsonb NOT NULL DEFAULT '[]';

CREATE INDEX readings_of_piece ON readings (workshop_id, batch_id, piece);
CREATE INDEX set_aside_of_batch ON set_aside (workshop_id, batch_id, received_at);
CREATE INDEX order_lines_of_revision ON order_lines (workshop_id, pattern_id, revision);
CREATE INDEX batches_of_order ON batches (workshop_id, order_id);
CREATE INDEX batches_of_revision ON batches (workshop_id, pattern_id, revision);
CREATE INDEX batches_in_order ON batches (workshop_id, (put_away_at IS NOT NULL), created_at, id);
CREATE INDEX patterns_by_name ON patterns (workshop_id, name, id);
CREATE INDEX ledger_by_number ON ledger (workshop_id, number);
CREATE INDEX memberships_of_user ON memberships (user_id);
CREATE INDEX invites_of_workshop ON invites (workshop_id);

CREATE FUNCTION access_acting(of_user uuid, in_workshop uuid) RETURNS TABLE (role text, name text)
LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT m.role, u.name FROM memberships m JOIN users u ON u.id = m.user_id WHERE m.user_id = of_user AND m.workshop_id = in_workshop
$$;
REVOKE ALL ON FUNCTION access_acting FROM PUBLIC;`);
    await db.query(RECORD_EVENTS);
    await this.readWorkshopOnce(db, `(SELECT ${HERE})`);
    const [row] = (await db.query(`SELECT quote_ident(current_setting('compas.app_role')) AS role`)) as [
      { role: string },
    ];
    await db.query(`GRANT EXECUTE ON FUNCTION access_acting, record_events TO ${row.role}`);
    await db.query(`GRANT SELECT, INSERT, UPDATE, DELETE ON answers TO ${row.role}`);
    await db.query(`GRANT UPDATE (steps_done, rejected, step, locked_by, waits) ON pieces TO ${row.role}`);
  }

  /** As a subquery the setting is read once a statement; bare it is read again for every row looked at. */
  private async readWorkshopOnce(db: QueryRunner, here: string): Promise<void> {
    const policies = (await db.query(
      `SELECT tablename AS "table" FROM pg_policies WHERE schemaname = 'public' AND policyname = 'own'`,
    )) as { table: string }[];
    for (const { table } of policies) {
      const column = table === 'workshops' ? 'id' : 'workshop_id';
      await db.query(
        `ALTER POLICY own ON ${table} USING (${column} = ${here}) WITH CHECK (${column} = ${here})`,
      );
    }
  }

  async down(db: QueryRunner): Promise<void> {
    await this.readWorkshopOnce(db, HERE);
    await db.query(`DROP FUNCTION access_acting, record_events; DROP TABLE answers;
DROP INDEX readings_of_piece, set_aside_of_batch, order_lines_of_revision, batches_of_order, batches_of_revision,
  batches_in_order, patterns_by_name, ledger_by_number, memberships_of_user, invites_of_workshop, events_checked, events_of_piece, events_by_number, plan_versions_by_hash;
CREATE INDEX events_of_batch ON events (workshop_id, batch_id, at);
ALTER TABLE events DROP COLUMN number;
ALTER TABLE batches DROP COLUMN last_event, DROP COLUMN summary_rule;
ALTER TABLE plan_versions DROP COLUMN hash, DROP COLUMN summary;
ALTER TABLE pieces DROP COLUMN steps_done, DROP COLUMN rejected, DROP COLUMN step, DROP COLUMN locked_by, DROP COLUMN waits;`);
    for (const table of SHARED)
      await db.query(
        `ALTER TABLE ${table} DROP COLUMN changed_by, DROP COLUMN changed_at, DROP COLUMN last_change`,
      );
    for (const table of UNNUMBERED) await db.query(`ALTER TABLE ${table} DROP COLUMN version`);
  }
}
