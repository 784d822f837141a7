import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { RunEvent } from '@compas/core';
import { Client } from 'pg';
import { settingsFromEnvironment } from '../src/database/settings.js';
import { newBatch, newOwner, openApp, tabletFrom, type Visitor } from './app.js';

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

/** An owner, and a maker of the same workshop. */
async function two() {
  const owner = await newOwner(app);
  const maker = await newOwner(app);
  const { body } = await owner.post('/api/members/invites').send({ role: 'maker' }).expect(201);
  await maker.post(`/api/invitations/${(body as { token: string }).token}/accept`).expect(204);
  return { owner, maker, batch: await newBatch(owner) };
}
const idOf = async (who: Visitor) =>
  ((await who.get('/api/session').expect(200)).body as { userId: string }).userId;
const recorderOf = async (who: Visitor) =>
  (await who.post('/api/members/recorders').expect(201)).body as { id: string; secret: string };
const creditOf = async ({ id }: RunEvent) =>
  (await database.query('SELECT made_by, sent_by FROM events WHERE id = $1', [id])).rows[0] as
    { made_by: string; sent_by: string } | undefined;
const noted = (recorder: string, at = Date.now()): RunEvent => ({
  ...tabletFrom(at)(1, { kind: 'noted', stepId: 'saw', words: 'x' }),
  device: randomUUID(),
  recorder,
});
const send = (who: Visitor, batch: { id: string }, events: RunEvent[], recorders: object[]) =>
  who.post(`/api/batches/${batch.id}/events`).send({ events, recorders });

it('what somebody recorded is theirs, whoever sends it', async () => {
  const { owner, maker, batch } = await two();
  const recorder = await recorderOf(maker);
  const event = noted(recorder.id);
  await send(owner, batch, [event], [recorder]).expect(200);
  expect(await creditOf(event)).toEqual({ made_by: await idOf(maker), sent_by: await idOf(owner) });
});

it('a bare id is nobody’s word, nor is a recorder of another workshop: it is whoever sends it', async () => {
  const { owner, maker, batch } = await two();
  const recorder = await recorderOf(maker);
  const stranger = await recorderOf(await newOwner(app));
  const sender = await idOf(owner);
  for (const [named, recorders] of [
    [recorder.id, []],
    [recorder.id, [{ ...recorder, secret: 'x'.repeat(32) }]],
    [stranger.id, [stranger]],
  ] as const) {
    const event = noted(named);
    await send(owner, batch, [event], [...recorders]).expect(200);
    expect(await creditOf(event)).toEqual({ made_by: sender, sent_by: sender });
  }
});

it('what was recorded before somebody was taken out is taken; what came after is set aside', async () => {
  const { owner, maker, batch } = await two();
  const recorder = await recorderOf(maker);
  const member = await idOf(maker);
  const before = noted(recorder.id, Date.now() - 3_600_000);
  await owner.delete(`/api/members/${member}`).expect(204);
  const after = noted(recorder.id, Date.now());
  const { body } = await send(owner, batch, [before, after], [recorder]).expect(200);
  expect(body).toMatchObject({
    stored: 1,
    setAside: [{ id: after.id, why: 'Ode Tamber had left the workshop when this was recorded.' }],
  });
  expect(await creditOf(before)).toMatchObject({ made_by: member });
  expect(await creditOf(after)).toBeUndefined();
  // and it opens nothing
  await maker.get(`/api/batches/${batch.id}`).expect(403);
});

it('whose what was recorded is stands by their names, also when they have left', async () => {
  const { owner, maker, batch } = await two();
  const recorder = await recorderOf(maker);
  const done: RunEvent = { ...noted(recorder.id), body: { kind: 'done', stepId: 'saw:blank part1' } };
  await send(owner, batch, [noted(recorder.id), done], [recorder]).expect(200);
  const own: RunEvent = {
    ...noted(recorder.id),
    body: { kind: 'measured', stepId: 'saw:blank part1', stationId: 'start', mm: 20, typed: '20' },
  };
  await send(owner, batch, [own], []).expect(200);
  await owner.delete(`/api/members/${await idOf(maker)}`).expect(204);
  const credit = async (who: Visitor) =>
    (await who.get(`/api/batches/${batch.id}/credit`).expect(200)).body as object;
  expect(await credit(owner)).toEqual([
    { name: 'Ode Tamber', steps: 1, readings: 0 },
    { name: 'Ode Tamber', steps: 0, readings: 1 },
  ]);
  expect(await credit(await newOwner(app))).toEqual([]);
});
