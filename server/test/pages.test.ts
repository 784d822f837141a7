import { randomBytes } from 'node:crypto';
import type { RunEvent } from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { choices, newBatch, newOwner, newPattern, openApp, stopper, tabletFrom } from './app.js';
import { board } from './board.js';

let app: NestExpressApplication;
beforeAll(async () => {
  app = await openApp();
});
afterAll(() => app.close());

describe('lists by pages', () => {
  it('show each batch once, also when one is put away in between', async () => {
    const other = await newOwner(app);
    const pattern = await newPattern(other);
    const made: string[] = [];
    for (let i = 0; i < 54; i++) {
      const order = { ...choices(1), patternId: pattern.id, revision: 1, name: `B${i}`, customer: 'C' };
      made.push(((await other.post('/api/batches').send(order).expect(201)).body as { id: string }).id);
    }
    const page = async (after: string | null) =>
      (await other.get(`/api/batches?away=no${after === null ? '' : `&after=${encodeURIComponent(after)}`}`))
        .body as { batches: { id: string }[]; next: string | null };
    const first = await page(null);
    expect(first.batches).toHaveLength(50);
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

it('what was recorded comes in answers that a tablet can take, photos and all, and none is left out', async () => {
  const owner = await newOwner(app);
  const batch = await newBatch(owner);
  const tablet = tabletFrom(Date.now() - 3_600_000);
  // stored as they are: what repeats itself would be stored small
  const photo = () => `data:image/jpeg;base64,${randomBytes(105_000).toString('base64')}`;
  const events = Array.from({ length: 42 }, () =>
    tablet(1, { kind: 'noted', stepId: 'saw', words: '', photo: photo() }),
  );
  for (let i = 0; i < events.length; i += 6)
    await owner
      .post(`/api/batches/${batch.id}/events`)
      .send({ events: events.slice(i, i + 6) })
      .expect(200);
  const read: string[] = [];
  const sizes: number[] = [];
  for (let after = 0, more = true; more;) {
    const { body, text } = await owner.get(`/api/batches/${batch.id}/events?after=${after}`).expect(200);
    const page = body as { events: RunEvent[]; last: number; more: boolean };
    read.push(...page.events.map((e) => e.id));
    sizes.push(text.length);
    ({ last: after, more } = page);
  }
  expect(read).toEqual(events.map((e) => e.id));
  expect(sizes.length).toBeGreaterThan(1);
  expect(Math.max(...sizes)).toBeLessThan(5_000_000);
});
