/** Batches and readings of a workshop that has worked for years. */
const BATCHES = 2000;
const READINGS = 200_000;

/** Fills the demo workshop up with copies of one of its batches, most of them put away. */
const FILL = `
WITH seed AS (
  SELECT b.* FROM batches b JOIN workshops w ON w.id = b.workshop_id AND w.demo
  WHERE EXISTS (SELECT 1 FROM events e WHERE e.workshop_id = b.workshop_id AND e.batch_id = b.id) LIMIT 1
), copies AS (
  SELECT s.*, gen_random_uuid() AS new_id, i FROM seed s, generate_series(1, $1::int) i
), made AS (
  INSERT INTO batches (workshop_id, id, pattern_id, revision, name, pieces, lots, plan_version, put_away_at, created_at, summary_rule, last_event)
  SELECT workshop_id, new_id, pattern_id, revision, 'Lot ' || i, pieces, lots, 1, CASE WHEN i % 20 = 0 THEN NULL ELSE now() END,
    now() - i * interval '1 hour', summary_rule, $2::int FROM copies
  RETURNING workshop_id, id
)
SELECT c.id AS seed, array_agg(c.new_id) AS ids FROM copies c GROUP BY c.id`;
const PLANS = `
INSERT INTO plan_versions (workshop_id, batch_id, version, snapshot, hash, summary)
SELECT v.workshop_id, b, 1, v.snapshot, v.hash, v.summary FROM plan_versions v, unnest($2::uuid[]) b WHERE v.batch_id = $1 AND v.version = 1`;
const PIECES = `
INSERT INTO pieces (workshop_id, batch_id, number, steps_done, rejected, step, locked_by, waits)
SELECT p.workshop_id, b, p.number, p.steps_done, p.rejected, p.step, p.locked_by, p.waits FROM pieces p, unnest($2::uuid[]) b WHERE p.batch_id = $1`;
const EVENTS = `
INSERT INTO events (workshop_id, id, batch_id, piece, at, device_at, device, sequence, plan_version, body, made_by, sent_by, number)
SELECT (SELECT workshop_id FROM batches WHERE id = $1), gen_random_uuid(), b, 1 + i % (SELECT pieces FROM batches WHERE id = $1), now(), now(), 'bench', i, 1,
  '{"kind": "measured", "stepId": "measure", "stationId": "start", "mm": 32, "typed": "32"}', gen_random_uuid(), gen_random_uuid(), i
FROM unnest($2::uuid[]) b, generate_series(1, $3::int) i`;
const READ = `
INSERT INTO readings (workshop_id, event_id, batch_id, piece, station_id, mm, typed)
SELECT workshop_id, id, batch_id, piece, 'start', 32, '32' FROM events WHERE device = 'bench'`;

async function fill(ownerUrl) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  const each = READINGS / BATCHES;
  const { rows } = await client.query(FILL, [BATCHES, each]);
  const [{ seed, ids }] = rows;
  for (const statement of [PLANS, PIECES]) await client.query(statement, [seed, ids]);
  await client.query(EVENTS, [seed, ids, each]);
  await client.query(READ);
  await client.query('ANALYZE');
  await client.end();
  return ids[0];
}

const p95 = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)];

/**
 * Every list of a workshop with 2,000 batches and 200,000 readings.
 * @param ask asks the server as somebody who is signed in
 * @param row prints a line
 */
export async function benchLists({ ask, row, timed, ownerUrl }) {
  const batch = await fill(ownerUrl);
  const { planHash } = await ask(`/api/batches/${batch}`);
  const lists = [
    '/api/batches?away=no',
    '/api/batches?away=yes',
    '/api/batches/made',
    '/api/patterns',
    '/api/stock',
    '/api/stock/ledger',
    '/api/stock/ledger/balance',
    '/api/cuttings',
    '/api/drying',
    '/api/kits',
    `/api/batches/${batch}`,
    `/api/batches/${batch}/events?after=0`,
    `/api/batches/${batch}/events?after=95`,
    `/api/snapshots/${planHash}`,
  ];
  for (const path of lists) {
    await timed(5, () => ask(path));
    const times = await timed(60, () => ask(path));
    row(
      `${path.replace(batch, '…').replace(planHash, '…')}, 95 of 100 within`,
      `${p95(times).toFixed(1)} ms`,
    );
  }
}
