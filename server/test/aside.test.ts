import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { RunEvent } from '@compas/core';
import { Client } from 'pg';
import { settingsFromEnvironment } from '../src/database/settings.js';
import { READING_RULE } from '../src/batch/asideStore.js';
import { EVENT_FORMS } from '../src/batch/event.dto.js';
import { eventsOf, newBatch, newOwner, openApp, tabletFrom, type Visitor } from './app.js';

let app: NestExpressApplication;
const database = new Client({ connectionString: settingsFromEnvironment().ownerUrl });
beforeAll(async () => {
  app = await openApp();
  await database.connect();
});
afterAll(async () => {
  await database.end();
  await app.close();
});

const SAW = 'saw:blank part1';
const done = (piece = 1): RunEvent => ({
  ...tabletFrom(Date.now())(piece, { kind: 'done', stepId: SAW }),
  device: randomUUID(),
});
const idOf = async (who: Visitor) =>
  ((await who.get('/api/session').expect(200)).body as { userId: string }).userId;
const asideOf = async (who: Visitor, { id }: { id: string }) =>
  ((await who.get(`/api/batches/${id}`).expect(200)).body as { setAside: { why: string }[] }).setAside;
const listOf = async (who: Visitor) =>
  (await who.get('/api/set-aside').expect(200)).body as {
    id: string;
    batchId: string;
    batch: string;
    why: string;
    raw: object;
  }[];

/** An owner whose maker recorded what this Compas cannot read, and which the owner's session sent. */
async function unread(event: RunEvent) {
  const owner = await newOwner(app);
  const maker = await newOwner(app);
  const { body } = await owner.post('/api/members/invites').send({ role: 'maker' }).expect(201);
  await maker.post(`/api/invitations/${(body as { token: string }).token}/accept`).expect(204);
  const recorder = (await maker.post('/api/members/recorders').expect(201)).body as { id: string };
  const batch = await newBatch(owner);
  const came = { ...event, recorder: recorder.id, mood: 'content' };
  await owner
    .post(`/api/batches/${batch.id}/events`)
    .send({ events: [came], recorders: [recorder] })
    .expect(200);
  return { owner, maker, batch, came };
}
/** As if a newer Compas read what the one before could not: the field is known now. */
const upgraded = (batch: { id: string }) =>
  database.query("UPDATE set_aside SET raw = raw - 'mood', read_by = 0 WHERE batch_id = $1", [batch.id]);

describe('what could not be read', () => {
  it('is read again by a Compas that can, with the credit where it belongs, and is not set aside any more', async () => {
    const event = done();
    const { owner, maker, batch } = await unread(event);
    expect(await asideOf(owner, batch)).toHaveLength(1);
    expect(await eventsOf(owner, batch)).toEqual([]);
    await upgraded(batch);
    expect(await asideOf(maker, batch)).toEqual([]);
    expect((await eventsOf(owner, batch)).map((e) => e.id)).toEqual([event.id]);
    const { rows } = await database.query('SELECT made_by, sent_by FROM events WHERE id = $1', [event.id]);
    expect(rows).toEqual([{ made_by: await idOf(maker), sent_by: await idOf(owner) }]);
  });

  it('stays where it cannot be read still, or says what does not count, and is not tried again', async () => {
    const { owner, batch } = await unread(done(17));
    await database.query('UPDATE set_aside SET read_by = 0 WHERE batch_id = $1', [batch.id]);
    expect((await asideOf(owner, batch))[0]?.why).toContain('mood');
    await upgraded(batch);
    expect(await asideOf(owner, batch)).toEqual([
      expect.objectContaining({ why: 'Piece 17 is not in this batch.' }),
    ]);
    const { rows } = await database.query('SELECT read_by FROM set_aside WHERE batch_id = $1', [batch.id]);
    expect(rows).toEqual([{ read_by: null }]);
  });

  it('is seen as it came and given up by an owner, not by a maker or by strangers', async () => {
    const { owner, maker, batch, came } = await unread(done());
    const [record] = await listOf(owner);
    expect(record).toMatchObject({ batchId: batch.id, raw: came });
    const { body } = await maker.get('/api/session').expect(200);
    const theirs = (body as { workshops: { id: string; role: string }[] }).workshops.find(
      (w) => w.role === 'maker',
    );
    await maker.put('/api/session/workshop').send({ workshopId: theirs?.id }).expect(200);
    await maker.get('/api/set-aside').expect(403);
    await maker.delete(`/api/set-aside/${record!.id}`).expect(403);
    const stranger = await newOwner(app);
    expect(await listOf(stranger)).toEqual([]);
    await stranger.delete(`/api/set-aside/${record!.id}`).expect(404);
    await owner.delete(`/api/set-aside/${record!.id}`).expect(204);
    expect(await listOf(owner)).toEqual([]);
    expect(await asideOf(owner, batch)).toEqual([]);
  });

  it('a kind of event more, and the reading rule goes up', () => {
    expect([READING_RULE, Object.keys(EVENT_FORMS).length]).toEqual([1, 16]);
  });
});
