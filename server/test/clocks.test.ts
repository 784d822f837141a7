import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import {
  inRecordedOrder,
  lotsOf,
  progressOf,
  stepsOfPlan,
  type RunEvent,
  type RunEventBody,
} from '@compas/core';
import { eventsOf, newBatch, newOwner, openApp, snapshotAt, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const iso = (ms: number) => new Date(ms).toISOString();

/** A tablet whose clock is wrong by so much, ms. */
function tablet(wrong: number, device = randomUUID()) {
  let sequence = 0;
  return (ago: number, body: RunEventBody, more: Partial<RunEvent> = {}): RunEvent => ({
    id: randomUUID(),
    piece: 1,
    at: iso(Date.now() - ago + wrong),
    device,
    sequence: (sequence += 1),
    planVersion: 1,
    body,
    ...more,
  });
}
const send = (batch: { id: string }, events: object[], clock: object = {}) =>
  owner.post(`/api/batches/${batch.id}/events`).send({ events, ...clock });
const done = (stepId: string): RunEventBody => ({ kind: 'done', stepId });
const noted = (words: string): RunEventBody => ({ kind: 'noted', stepId: 'x', words });

describe('the instant of a record', () => {
  it('is told by the server, with every answer', async () => {
    const { headers } = await owner.get('/api/session').expect(200);
    expect(Math.abs(Number(headers['x-compas-now']) - Date.now())).toBeLessThan(10_000);
  });

  it('is put right by what the tablet knew, by how it sends, and is never later than its receipt', async () => {
    const batch = await newBatch(owner);
    const ahead = tablet(3 * HOUR);
    const behind = tablet(-3 * HOUR);
    await send(batch, [
      ahead(20 * MINUTE, noted('knew'), { offset: -3 * HOUR, jumps: 4 }),
      ahead(10 * MINUTE, noted('knew not')),
    ]).expect(200);
    await send(batch, [behind(30 * MINUTE, noted('sends'), { jumps: 1 })], {
      sent: iso(Date.now() - 3 * HOUR),
      jumps: 1,
    }).expect(200);
    const ago = (await eventsOf(owner, batch)).map((e) =>
      Math.round((Date.now() - Date.parse(e.at)) / MINUTE),
    );
    expect(ago).toEqual([20, 0, 30]);
  });

  it('lets a tablet that is three hours ahead override nobody: the list says what all of it says', async () => {
    const batch = await newBatch(owner);
    const { plan } = await snapshotAt(owner, batch);
    const steps = stepsOfPlan(plan);
    const [first] = steps;
    const ahead = tablet(3 * HOUR);
    const right = tablet(0);
    const was = ahead(40 * MINUTE, done(first!.id), { offset: -3 * HOUR, jumps: 0 });
    await send(batch, [was]).expect(200);
    // somebody at the other tablet looks, and it is not done
    await send(batch, [right(30 * MINUTE, { kind: 'reopened', stepId: first!.id, eventId: was.id })]).expect(
      200,
    );
    const { body: listed } = await owner.get('/api/batches').expect(200);
    const line = (listed as { batches: { id: string; stepsDone: number }[] }).batches.find(
      (b) => b.id === batch.id,
    );
    expect(line?.stepsDone).toBe(0);
    const { pieces } = progressOf(lotsOf(plan.parts), await eventsOf(owner, batch), steps);
    expect(pieces[0]?.done.has(first!.id)).toBe(false);
  });

  it('follows the count of a tablet whose clock is put back, in what is kept as in what is reckoned of it', async () => {
    const batch = await newBatch(owner);
    const device = randomUUID();
    const before = tablet(0, device);
    const first = before(10 * MINUTE, noted('first'));
    await send(batch, [first]).expect(200);
    const back = { ...tablet(-2 * HOUR, device)(5 * MINUTE, noted('clock put back')), sequence: 2 };
    await send(batch, [back]).expect(200);
    const events = await eventsOf(owner, batch);
    expect(events[1]?.at).toBe(first.at);
    expect(inRecordedOrder(events).map((e) => e.id)).toEqual([first.id, back.id]);
  });
});

describe('what cannot be stored as it came', () => {
  it('is set aside once, however often it comes', async () => {
    const batch = await newBatch(owner);
    const stranger = tablet(0)(0, noted('of another piece'), { piece: 99 });
    for (let i = 0; i < 3; i += 1) {
      const { body } = await send(batch, [stranger]).expect(200);
      expect((body as { setAside: object[] }).setAside).toHaveLength(1);
    }
    const { body } = await owner.get(`/api/batches/${batch.id}`).expect(200);
    expect((body as { setAside: object[] }).setAside).toHaveLength(1);
  });

  it('is never called known when another record has its id, in this batch or in another', async () => {
    const [here, there] = [await newBatch(owner), await newBatch(owner)];
    const note = tablet(0)(0, noted('as it was'));
    expect((await send(here, [note]).expect(200)).body).toMatchObject({ stored: 1, known: 0, setAside: [] });
    expect((await send(here, [note]).expect(200)).body).toMatchObject({ stored: 0, known: 1, setAside: [] });
    const changed = { ...note, body: noted('otherwise') };
    for (const [batch, event] of [
      [here, changed],
      [there, note],
    ] as const)
      expect((await send(batch, [event]).expect(200)).body).toMatchObject({
        stored: 0,
        known: 0,
        setAside: [{ id: note.id, why: 'Another record has this id. Somebody should look at both.' }],
      });
    expect(await eventsOf(owner, here)).toMatchObject([{ body: { words: 'as it was' } }]);
    expect(await eventsOf(owner, there)).toEqual([]);
  });
});

it('health says by how much the clock of the server is behind its newest record', async () => {
  const batch = await newBatch(owner);
  await send(batch, [tablet(0)(0, noted('now'))]).expect(200);
  expect((await owner.get('/api/health').expect(200)).body).toMatchObject({ status: 'ok', clockBehind: 0 });
  const now = Date.now();
  const clock = jest.spyOn(Date, 'now').mockReturnValue(now - 2 * HOUR);
  try {
    const { body } = await owner.get('/api/health').expect(200);
    expect(Math.round((body as { clockBehind: number }).clockBehind / MINUTE)).toBe(120);
  } finally {
    clock.mockRestore();
  }
});
