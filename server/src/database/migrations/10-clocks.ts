import type { MigrationInterface, QueryRunner } from 'typeorm';
import { RECORD_EVENTS as BEFORE } from './4-together.js';

/**
 * Stores what fits and is new, with the instant at which it counts: as it was reckoned, and not before what its device
 * recorded before it. An id that is there with another content, or in another batch, clashes.
 */
const RECORD_EVENTS = `
CREATE OR REPLACE FUNCTION record_events(wanted uuid, incoming jsonb, by_user uuid) RETURNS jsonb
LANGUAGE plpgsql SECURITY INVOKER SET search_path = public, pg_temp AS $$
DECLARE
  batch record;
  touched integer[];
  fitting uuid[];
  fresh uuid[];
  clashing uuid[];
BEGIN
  SELECT workshop_id, id, last_event, plan_version INTO batch FROM batches WHERE id = wanted FOR UPDATE;
  IF NOT FOUND THEN RETURN NULL; END IF;
  WITH came AS (
    SELECT * FROM ROWS FROM (jsonb_to_recordset(incoming) AS (id uuid, piece int, at timestamptz, reckoned timestamptz, "offset" float8, jumps int, "madeBy" uuid, device text, sequence int, "planVersion" int, body jsonb))
      WITH ORDINALITY AS e(id, piece, at, reckoned, "offset", jumps, "madeBy", device, sequence, "planVersion", body, place)
  ), fit AS (
    SELECT c.*, max(c.reckoned) OVER (PARTITION BY c.device ORDER BY c.sequence, c.place) AS latest
    FROM came c JOIN pieces p ON p.workshop_id = batch.workshop_id AND p.batch_id = batch.id AND p.number = c.piece
  ), there AS (
    SELECT f.id FROM fit f JOIN events e ON e.workshop_id = batch.workshop_id AND e.id = f.id
    WHERE e.batch_id <> batch.id OR e.piece <> f.piece OR e.device <> f.device OR e.sequence <> f.sequence OR e.body <> f.body
  ), stored AS (
    INSERT INTO events (workshop_id, id, batch_id, piece, at, device_at, offset_ms, jumps, device, sequence, plan_version, body, made_by, sent_by, number)
    SELECT batch.workshop_id, f.id, batch.id, f.piece, greatest(f.latest, b.at), f.at, f."offset", f.jumps, f.device, f.sequence, f."planVersion", f.body, coalesce(f."madeBy", by_user), by_user, batch.last_event + f.place
    FROM fit f LEFT JOIN LATERAL (
      SELECT e.at FROM events e WHERE e.workshop_id = batch.workshop_id AND e.batch_id = batch.id AND e.device = f.device AND e.sequence < f.sequence
      ORDER BY e.sequence DESC LIMIT 1
    ) b ON true
    ON CONFLICT DO NOTHING RETURNING id, piece, body
  ), measured AS (
    INSERT INTO readings (workshop_id, event_id, batch_id, piece, station_id, mm, typed)
    SELECT batch.workshop_id, s.id, batch.id, s.piece, s.body->>'stationId', (s.body->>'mm')::float8, s.body->>'typed'
    FROM stored s WHERE s.body->>'kind' = 'measured'
  )
  SELECT (SELECT array_agg(s.id) FROM stored s), (SELECT array_agg(f.id) FROM fit f), (SELECT array_agg(t.id) FROM there t), (SELECT array_agg(DISTINCT s.piece) FROM stored s)
    INTO fresh, fitting, clashing, touched;
  IF touched IS NOT NULL THEN
    UPDATE batches b SET last_event = (SELECT max(e.number) FROM events e WHERE e.workshop_id = batch.workshop_id AND e.batch_id = batch.id)
      WHERE b.workshop_id = batch.workshop_id AND b.id = batch.id;
  END IF;
  RETURN jsonb_build_object('stored', to_jsonb(fresh), 'fitting', to_jsonb(fitting), 'clashing', to_jsonb(clashing), 'pieces', to_jsonb(touched),
    'steps', (SELECT v.summary->'steps' FROM plan_versions v WHERE v.workshop_id = batch.workshop_id AND v.batch_id = batch.id AND v.version = batch.plan_version),
    'events', (SELECT jsonb_agg(jsonb_build_object('id', e.id, 'piece', e.piece, 'at', to_char(e.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
      'device', e.device, 'sequence', e.sequence, 'planVersion', e.plan_version, 'body', e.body - 'photo'))
      FROM events e WHERE e.workshop_id = batch.workshop_id AND e.batch_id = batch.id AND e.piece = ANY (touched)));
END $$`;

/**
 * Clocks of devices: what each said is kept beside the instant that was reckoned from it. What is set aside is told apart by
 * what came. The database has a life that ends with a restore, so that tablets know that what they sent may be gone.
 */
export class Clocks1796000000010 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(`
ALTER TABLE events ADD COLUMN device_at timestamptz, ADD COLUMN offset_ms double precision, ADD COLUMN jumps integer, ADD COLUMN sent_by uuid;
UPDATE events SET device_at = at, at = least(at, received_at), sent_by = made_by;
ALTER TABLE events ALTER COLUMN device_at SET NOT NULL, ALTER COLUMN sent_by SET NOT NULL;
CREATE INDEX events_of_device ON events (workshop_id, batch_id, device, sequence);
CREATE INDEX events_by_receipt ON events (received_at);
CREATE FUNCTION newest_receipt() RETURNS timestamptz LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT max(received_at) FROM events
$$;

ALTER TABLE set_aside ADD COLUMN hash text;
UPDATE set_aside SET hash = md5(raw::text) || ' ' || id;
ALTER TABLE set_aside ALTER COLUMN hash SET NOT NULL;
CREATE UNIQUE INDEX set_aside_once ON set_aside (workshop_id, batch_id, hash);

CREATE TABLE life (id uuid PRIMARY KEY DEFAULT gen_random_uuid());
INSERT INTO life DEFAULT VALUES`);
    await db.query(RECORD_EVENTS);
  }

  async down(db: QueryRunner): Promise<void> {
    await db.query(BEFORE.replace('CREATE FUNCTION', 'CREATE OR REPLACE FUNCTION'));
    await db.query(`
DROP TABLE life;
ALTER TABLE set_aside DROP COLUMN hash;
DROP FUNCTION newest_receipt;
DROP INDEX events_of_device, events_by_receipt;
UPDATE events SET at = device_at;
ALTER TABLE events DROP COLUMN device_at, DROP COLUMN offset_ms, DROP COLUMN jumps, DROP COLUMN sent_by`);
  }
}
