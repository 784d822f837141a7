import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { newWorkshop, nextOf, progressOf, summaryOf, type NewStockItem, type RunEvent } from '@compas/core';
import { DataSource } from 'typeorm';
import { refill } from '../src/batch/refill.js';
import {
  choices,
  eventsOf,
  newBatch,
  newOwner,
  newPattern,
  openApp,
  snapshotAt,
  stopper,
  type Visitor,
} from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
  owner = await newOwner(app);
});
afterAll(() => app.close());

const AT_ONCE = 6;
const together = <T>(work: (i: number) => PromiseLike<T>): Promise<T[]> =>
  Promise.all(Array.from({ length: AT_ONCE }, (_, i) => Promise.resolve(work(i))));
const statuses = (answers: { status: number }[]) => answers.map((a) => a.status).sort();
const oneOf = (ok: number) => [ok, ...new Array<number>(AT_ONCE - 1).fill(409)].sort();

const board: NewStockItem = {
  kind: 'board',
  label: 'Ash board',
  place: 'rack',
  price: null,
  reorderAt: null,
  materialId: 'ash',
  moisture: 9,
  origin: '',
  offcut: false,
  thickness: { mm: 52 },
  width: { mm: 150 },
  length: { mm: 1500 },
  zones: [],
};
const receive = async (amount = 1) =>
  (
    (
      await owner
        .post('/api/stock')
        .send({ received: [{ item: board, amount }] })
        .expect(201)
    ).body as {
      item: { id: string };
      version: number;
    }[]
  )[0]!;
const ring = {
  kind: 'ring',
  name: 'Brass ring',
  onHand: 4,
  bore: { mm: 14 },
  outsideDiameter: { mm: 20 },
  length: { mm: 6 },
  glue: 'epoxy',
};
const bundle = {
  label: 'Billets',
  itemId: null,
  materialId: 'ash',
  pieces: 6,
  school: 'dry',
  target: 10,
  startMoisture: 40,
  air: null,
  weighings: [{ day: '2026-03-01', grams: 900 }],
};

describe('of six who save at once over the same version', () => {
  it('one saves a pattern; the others are told by whom, and when', async () => {
    const { id } = await newPattern(owner);
    const answers = await together((i) =>
      owner.put(`/api/patterns/${id}`).send({ name: `Stopper ${i}`, body: stopper(), basedOn: 1 }),
    );
    expect(statuses(answers)).toEqual(oneOf(200));
    const saved = answers.find((a) => a.status === 200)!;
    const refused = answers.find((a) => a.status === 409)!;
    expect(refused.body.conflict).toEqual({ by: 'Ode Tamber', at: expect.any(String) as string, version: 2 });
    expect((await owner.get(`/api/patterns/${id}`)).body).toMatchObject({
      name: (saved.body as { name: string }).name,
      version: 2,
    });
  });

  it('one changes a piece of stock', async () => {
    const { item } = await receive();
    const answers = await together((i) =>
      owner.put(`/api/stock/${item.id}`).send({ item: { ...board, place: `rack ${i}` }, basedOn: 1 }),
    );
    expect(statuses(answers)).toEqual(oneOf(204));
  });

  it('one changes a kit', async () => {
    const { id } = (await owner.post('/api/kits').send({ kit: ring }).expect(201)).body.kit as { id: string };
    const answers = await together((i) =>
      owner.put(`/api/kits/${id}`).send({ kit: { ...ring, onHand: 5 + i }, basedOn: 1 }),
    );
    expect(statuses(answers)).toEqual(oneOf(200));
  });

  it('one changes the workshop', async () => {
    const other = await newOwner(app);
    const { version } = (await other.get('/api/workshop')).body as { version: number };
    const answers = await together((i) =>
      other
        .put('/api/workshop')
        .send({ name: `Shop ${i}`, basedOn: version, body: newWorkshop('UTC', 'mm') }),
    );
    expect(statuses(answers)).toEqual(oneOf(200));
  });

  it('one weighs a bundle', async () => {
    const { body } = await owner.post('/api/drying').send({ bundle });
    const { id } = body as { id: string };
    const answers = await together((i) =>
      owner.put(`/api/drying/${id}`).send({
        bundle: { ...bundle, weighings: [...bundle.weighings, { day: '2026-03-08', grams: 880 - i }] },
        basedOn: 1,
      }),
    );
    expect(statuses(answers)).toEqual(oneOf(200));
  });

  it('one plans a batch anew, when all began from the same plan', async () => {
    const batch = await newBatch(owner);
    const answers = await together(() =>
      owner.post(`/api/batches/${batch.id}/plans`).send({ ...choices(), basedOn: 1 }),
    );
    expect(statuses(answers)).toEqual(oneOf(201));
  });

  it('all plan it anew one after another, when nobody says from which plan', async () => {
    const batch = await newBatch(owner);
    const answers = await together(() => owner.post(`/api/batches/${batch.id}/plans`).send(choices()));
    expect(answers.map((a) => (a.body as { planVersion: number }).planVersion).sort()).toEqual([
      2, 3, 4, 5, 6, 7,
    ]);
  });
});

describe('a change under an id of its client', () => {
  const as = (id: string) => ({ 'x-change': id });

  it('is made once, however often it is sent, and answers alike', async () => {
    const pattern = await newPattern(owner);
    const order = { ...choices(2), patternId: pattern.id, revision: 1, name: 'Once', customer: 'C' };
    const id = randomUUID();
    const answers = await together(() => owner.post('/api/batches').set(as(id)).send(order));
    expect(new Set(answers.map((a) => a.status))).toEqual(new Set([201]));
    expect(new Set(answers.map((a) => (a.body as { id: string }).id)).size).toBe(1);
    const { batches } = (await owner.get('/api/batches?away=no')).body as { batches: { name: string }[] };
    expect(batches.filter((b) => b.name === 'Once')).toHaveLength(1);
  });

  it.each([
    ['taking in', (item: string) => ['post', '/api/stock', { received: [{ item: board, amount: 2 }] }, item]],
    ['a move', (item: string) => ['post', `/api/stock/${item}/moves`, { kind: 'used', amount: 1, note: '' }]],
  ] as const)('books %s once', async (_, asks) => {
    const { item } = await receive(5);
    const [, path, body] = asks(item.id);
    const id = randomUUID();
    const before = (await owner.get('/api/stock/ledger')).body as { lines: unknown[] };
    const answers = await together(() =>
      owner
        .post(path as string)
        .set(as(id))
        .send(body as object),
    );
    expect(new Set(answers.map((a) => a.status)).size).toBe(1);
    const after = (await owner.get('/api/stock/ledger')).body as { lines: unknown[] };
    expect(after.lines.length - before.lines.length).toBe(1);
  });

  it('never conflicts with itself when its answer was lost', async () => {
    const { id } = await newPattern(owner);
    const lost = randomUUID();
    const first = { name: 'First', body: stopper(), basedOn: 1 };
    await owner.put(`/api/patterns/${id}`).set(as(lost)).send(first).expect(200);
    // the client never heard of it, goes on from version 1 and changes more
    const more = { ...first, name: 'Second' };
    await owner.put(`/api/patterns/${id}`).set(as(randomUUID())).send(more).expect(409);
    const saved = await owner
      .put(`/api/patterns/${id}`)
      .set({ ...as(randomUUID()), 'x-after': lost })
      .send(more)
      .expect(200);
    expect(saved.body).toMatchObject({ name: 'Second', version: 3 });
  });

  it('is refused for something else under the same id', async () => {
    const id = randomUUID();
    await owner.post('/api/kits').set(as(id)).send({ kit: ring }).expect(201);
    const other = await owner
      .post('/api/kits')
      .set(as(id))
      .send({ kit: { ...ring, name: 'Other' } });
    expect(other.status).toBe(422);
    expect(other.body.detail).toContain('an id of its own');
    await owner.post('/api/kits').set(as('nonsense')).send({ kit: ring }).expect(422);
  });

  it('that failed is tried anew', async () => {
    const id = randomUUID();
    await owner
      .post('/api/kits')
      .set(as(id))
      .send({ kit: { ...ring, onHand: -1 } })
      .expect(400);
    await owner.post('/api/kits').set(as(id)).send({ kit: ring }).expect(201);
  });
});

describe('what went while it was edited', () => {
  it('is told apart from what was changed', async () => {
    const { id } = await newPattern(owner);
    await owner.delete(`/api/patterns/${id}`).expect(204);
    const gone = await owner
      .put(`/api/patterns/${id}`)
      .send({ name: 'X', body: stopper(), basedOn: 1 })
      .expect(404);
    expect(gone.body.conflict).toBeUndefined();
  });
});

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

describe('events since a number', () => {
  it('are none twice and none left out, however many tablets record at once', async () => {
    const batch = await newBatch(owner);
    const sent = Array.from({ length: AT_ONCE }, (_, i) =>
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
    const late = event(1, { kind: 'started', stepId: 'saw' });
    const waiting = Promise.resolve(send(batch, [late]));
    await new Promise((done) => setTimeout(done, 150));
    const first = event(2, { kind: 'started', stepId: 'saw' });
    await slow.query(
      `INSERT INTO events (workshop_id, id, batch_id, piece, at, device, sequence, plan_version, body, made_by, number)
       SELECT workshop_id, $2, id, 2, now(), 'slow', 1, 1, $3, $2, last_event + 1 FROM batches WHERE id = $1`,
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
      event(1, { kind: 'done', stepId: 'saw' }),
      event(2, { kind: 'done', stepId: 'saw' }),
      event(1, { kind: 'done', stepId: 'centres' }),
      event(3, { kind: 'rejected', stepId: 'saw', cause: 'knot' }),
      event(1, { kind: 'reopened', stepId: 'centres' }),
    ];
    await send(batch, played.slice(2)).expect(200);
    await send(batch, [...played].reverse()).expect(200);
    await send(batch, played.slice(0, 2)).expect(200);
    const progress = progressOf(3, played);
    const pieces = progress.pieces.map((p) => summaryOf(steps, p));
    const found = await listed(batch.id);
    expect(found).toMatchObject({ stepsDone: 2, rejected: 1 });
    const next = nextOf(steps, pieces, plan.schools.batching, Date.now());
    expect(found.next).toMatchObject({ kind: next.kind, piece: 1, step: { id: 'centres' } });
  });

  it('follows the plan that is made anew while events of the old one still come in', async () => {
    const batch = await newBatch(owner);
    const [planned, stored] = await Promise.all([
      owner.post(`/api/batches/${batch.id}/plans`).send({ ...choices(), basedOn: 1 }),
      send(batch, [event(1, { kind: 'done', stepId: 'saw' })]),
    ]);
    expect([planned.status, stored.status]).toEqual([201, 200]);
    const [kept] = await eventsOf(owner, batch);
    expect(kept?.planVersion).toBe(1);
    expect(await listed(batch.id)).toMatchObject({ stepsDone: 1 });
  });

  it('is summed up anew at start, when the rule has changed', async () => {
    const batch = await newBatch(owner);
    await send(batch, [event(1, { kind: 'done', stepId: 'saw' })]).expect(200);
    await withOwner(async (source) => {
      await source.query('UPDATE pieces SET steps_done = 77, step = NULL WHERE batch_id = $1', [batch.id]);
      await source.query('UPDATE batches SET summary_rule = 0 WHERE id = $1', [batch.id]);
      expect(await refill(source)).toBe(1);
      expect(await refill(source)).toBe(0);
    });
    expect(await listed(batch.id)).toMatchObject({ stepsDone: 1, next: { kind: 'do' } });
  });
});

describe('lists by pages', () => {
  it('show each batch once, also when one is put away in between', async () => {
    const other = await newOwner(app);
    const pattern = await newPattern(other);
    const made: string[] = [];
    for (let i = 0; i < 104; i++) {
      const order = { ...choices(1), patternId: pattern.id, revision: 1, name: `B${i}`, customer: 'C' };
      made.push(((await other.post('/api/batches').send(order).expect(201)).body as { id: string }).id);
    }
    const page = async (after: string | null) =>
      (await other.get(`/api/batches?away=no${after === null ? '' : `&after=${encodeURIComponent(after)}`}`))
        .body as { batches: { id: string }[]; next: string | null };
    const first = await page(null);
    expect(first.batches).toHaveLength(100);
    await other.put(`/api/batches/${made[3]}/put-away`).send({ putAway: true }).expect(204);
    const second = await page(first.next);
    expect(second.next).toBeNull();
    expect([...first.batches, ...second.batches].map((b) => b.id)).toEqual(made);
    const away = (await other.get('/api/batches?away=yes')).body as { batches: { id: string }[] };
    expect(away.batches.map((b) => b.id)).toEqual([made[3]]);
    await other.get('/api/batches?away=no&after=nonsense').expect(422);
    expect((await other.get('/api/batches/made')).body).toEqual([
      { patternId: pattern.id, made: 0, rejected: 0 },
    ]);
  });

  it('the ledger is searched and added up where it lies', async () => {
    const other = await newOwner(app);
    const priced = { ...board, price: { minor: 800, currency: 'EUR', per: 'piece' } };
    const received = [
      { item: { ...priced, label: '50 % ash' }, amount: 3 },
      { item: { ...priced, label: 'Oak' }, amount: 2 },
    ];
    const { body } = await other.post('/api/stock').send({ received }).expect(201);
    const [ash] = body as { item: { id: string } }[];
    await other
      .post(`/api/stock/${ash!.item.id}/moves`)
      .send({ kind: 'lost', amount: 1, note: 'worm' })
      .expect(204);
    const found = async (search: string) =>
      ((await other.get('/api/stock/ledger').query({ search })).body as { lines: { label: string }[] }).lines
        .length;
    expect([
      await found('oak'),
      await found('worm'),
      await found('50 %'),
      await found('%'),
      await found('_'),
    ]).toEqual([1, 1, 2, 2, 0]);
    expect((await other.get('/api/stock/ledger/balance')).body).toEqual({
      byKind: { received: 4000, cut: 0, used: 0, lost: -800, corrected: 0 },
      worth: 3200,
      kits: 0,
      wrong: [],
      openCuttings: [],
    });
  });

  it('patterns are found by name and paged without a gap', async () => {
    const other = await newOwner(app);
    for (let i = 0; i < 63; i++)
      await other
        .post('/api/patterns')
        .send({ name: i % 2 ? 'Finial' : `Stopper ${i}`, body: stopper() })
        .expect(201);
    const page = async (query: object) =>
      (await other.get('/api/patterns').query(query)).body as {
        patterns: { id: string; name: string }[];
        next: string | null;
      };
    const first = await page({});
    const second = await page({ after: first.next });
    expect(first.patterns).toHaveLength(60);
    expect(new Set([...first.patterns, ...second.patterns].map((p) => p.id)).size).toBe(63);
    expect((await page({ search: 'stop' })).patterns).toHaveLength(32);
  });
});
