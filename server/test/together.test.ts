import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { newWorkshop } from '@compas/core';
import {
  AT_ONCE,
  choices,
  newBatch,
  newOwner,
  newPattern,
  openApp,
  stopper,
  together,
  type Visitor,
} from './app.js';
import { board } from './board.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

const statuses = (answers: { status: number }[]) => answers.map((a) => a.status).sort();
const oneOf = (ok: number) => [ok, ...new Array<number>(AT_ONCE - 1).fill(409)].sort();

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
