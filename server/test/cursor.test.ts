import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { lotsOf, nextOf, progressOf, summaryOf, type RunEvent } from '@compas/core';
import { DataSource } from 'typeorm';
import { refill } from '../src/batch/refill.js';
import { choices, eventsOf, newBatch, newOwner, openApp, snapshotAt, together, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

let clock = 0;
const event = (piece: number, body: RunEvent['body'], device = 'tablet'): RunEvent => ({
  id: randomUUID(),
  piece,
  at: new Date(Date.UTC(2026, 2, 2, 8, 0, ++clock)).toISOString(),
  device,
  sequence: clock,
  planVersion: 1,
  body,
});
const send = (batch: { id: string }, events: RunEvent[]) =>
  owner.post(`/api/batches/${batch.id}/events`).send({ events });

/** Until somebody waits for what another transaction of this database holds. */
async function someoneWaits(source: DataSource): Promise<void> {
  const waiting = `SELECT 1 FROM pg_stat_activity WHERE datname = current_database() AND wait_event_type = 'Lock'`;
  while ((await source.query<unknown[]>(waiting)).length === 0)
    await new Promise((later) => setTimeout(later, 10));
}

describe('events since a number', () => {
  it('are none twice and none left out, however many tablets record at once', async () => {
    const batch = await newBatch(owner);
    const sent = Array.from({ length: 6 }, (_, i) =>
      [1, 2, 3].map((piece) => event(piece, { kind: 'started', stepId: `s${i}` }, `tablet ${i}`)),
    );
    const seen: string[] = [];
    let after = 0;
    const read = async () => {
      const page = (await owner.get(`/api/batches/${batch.id}/events?after=${after}`)).body as {
        events: RunEvent[];
        last: number;
      };
      seen.push(...page.events.map((e) => e.id));
      after = page.last;
    };
    const reading = (async () => {
      for (let i = 0; i < 12; i++) await read();
    })();
    await together((i) => send(batch, sent[i]!).expect(200));
    await reading;
    await read();
    expect([...seen].sort()).toEqual(
      sent
        .flat()
        .map((e) => e.id)
        .sort(),
    );
    expect((await owner.get(`/api/batches/${batch.id}`)).body).toMatchObject({ lastEvent: after });
  });

  it('that commit in another order than they began are both read', async () => {
    const batch = await newBatch(owner);
    const source = app.get(DataSource);
    const slow = source.createQueryRunner();
    const { workshopId } = await workshopOf(batch.id);
    await slow.startTransaction();
    await slow.query(`SELECT set_config('compas.workshop_id', $1, true)`, [workshopId]);
    // whoever began first holds the batch; the other waits for its number
    await slow.query('SELECT last_event FROM batches WHERE id = $1 FOR UPDATE', [batch.id]);
    const late = event(1, { kind: 'started', stepId: 'saw:blank part1' });
    const waiting = Promise.resolve(send(batch, [late]));
    await someoneWaits(source);
    const first = event(2, { kind: 'started', stepId: 'saw:blank part1' });
    await slow.query(
      `INSERT INTO events (workshop_id, id, batch_id, piece, at, device_at, device, sequence, plan_version, body, made_by, sent_by, number)
       SELECT workshop_id, $2, id, 2, now(), now(), 'slow', 1, 1, $3, $2, $2, last_event + 1 FROM batches WHERE id = $1`,
      [batch.id, first.id, JSON.stringify(first.body)],
    );
    await slow.query('UPDATE batches SET last_event = last_event + 1 WHERE id = $1', [batch.id]);
    expect(await eventsOf(owner, batch)).toEqual([]);
    await slow.commitTransaction();
    await slow.release();
    expect((await waiting).status).toBe(200);
    expect((await eventsOf(owner, batch)).map((e) => e.id)).toEqual([first.id, late.id]);
    expect((await eventsOf(owner, batch, 1)).map((e) => e.id)).toEqual([late.id]);
  });
});

/** Workshop of a batch, as the owner of the tables sees it. */
async function workshopOf(batchId: string): Promise<{ workshopId: string }> {
  return withOwner(async (source) => {
    const [row] = await source.query<[{ workshopId: string }]>(
      'SELECT workshop_id AS "workshopId" FROM batches WHERE id = $1',
      [batchId],
    );
    return row;
  });
}

async function withOwner<T>(work: (source: DataSource) => Promise<T>): Promise<T> {
  const source = await new DataSource({
    type: 'postgres',
    url: process.env.COMPAS_DB_OWNER_URL,
  }).initialize();
  try {
    return await work(source);
  } finally {
    await source.destroy();
  }
}

describe('how far a batch is', () => {
  const listed = async (id: string) => {
    const { batches } = (await owner.get('/api/batches?away=no')).body as {
      batches: { id: string; stepsDone: number; rejected: number; next: unknown }[];
    };
    return batches.find((b) => b.id === id)!;
  };

  it('is what its events say, whatever came, also twice or late', async () => {
    const batch = await newBatch(owner);
    const { plan } = await snapshotAt(owner, batch);
    const { steps } = plan.parts[0];
    const played = [
      event(1, { kind: 'done', stepId: 'saw:blank part1' }),
      event(2, { kind: 'done', stepId: 'saw:blank part1' }),
      event(1, { kind: 'done', stepId: 'mark:centres' }),
      event(3, { kind: 'rejected', stepId: 'saw:blank part1', cause: 'knot' }),
      event(1, { kind: 'reopened', stepId: 'mark:centres' }),
    ];
    await send(batch, played.slice(2)).expect(200);
    await send(batch, [...played].reverse()).expect(200);
    await send(batch, played.slice(0, 2)).expect(200);
    const progress = progressOf(lotsOf(plan.parts), played, steps);
    const pieces = progress.pieces.map((p) => summaryOf(steps, p));
    const found = await listed(batch.id);
    expect(found).toMatchObject({ stepsDone: 2, rejected: 1 });
    const next = nextOf(steps, pieces, plan.schools.batching, Date.now());
    expect(found.next).toMatchObject({ kind: next.kind, piece: 1, step: { id: 'mark:centres' } });
  });

  it('follows the plan that is made anew while events of the old one still come in', async () => {
    const batch = await newBatch(owner);
    const [planned, stored] = await Promise.all([
      owner.post(`/api/batches/${batch.id}/plans`).send({ ...choices(), basedOn: 1 }),
      send(batch, [event(1, { kind: 'done', stepId: 'saw:blank part1' })]),
    ]);
    expect([planned.status, stored.status]).toEqual([201, 200]);
    const [kept] = await eventsOf(owner, batch);
    expect(kept?.planVersion).toBe(1);
    expect(await listed(batch.id)).toMatchObject({ stepsDone: 1 });
  });

  it('is summed up anew at start, when the rule has changed', async () => {
    const batch = await newBatch(owner);
    await send(batch, [event(1, { kind: 'done', stepId: 'saw:blank part1' })]).expect(200);
    await withOwner(async (source) => {
      await source.query('UPDATE pieces SET steps_done = 77, step = NULL WHERE batch_id = $1', [batch.id]);
      await source.query('UPDATE batches SET summary_rule = 0 WHERE id = $1', [batch.id]);
      expect(await refill(source)).toBe(1);
      expect(await refill(source)).toBe(0);
    });
    expect(await listed(batch.id)).toMatchObject({ stepsDone: 1, next: { kind: 'do' } });
  });
});
