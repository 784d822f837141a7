import 'fake-indexeddb/auto';
import type { RunEvent } from '@compas/core';
import { clear, get, set } from 'idb-keyval';
import { randomId } from '../api/randomId.js';
import { doneEvent as event } from '../../test/exampleEvents.js';
import { newRecorder, type Session } from '../api/session.js';
import { belongsTo, enqueue, forgetOld, letGo, queued, queues, sentOf } from './keptEvents.js';
import { knowLife } from './life.js';
import { asOneSender } from './oneSender.js';
import { haveRecorder, recorderOf, secretsOf, signedOut } from './recorder.js';
import { recordHere } from './recordHere.js';

jest.mock('../api/session.js', () => ({ newRecorder: jest.fn() }));

const DAY = 24 * 3_600_000;
let batch = '';
beforeEach(async () => {
  batch = randomId();
  await clear();
});
/** Kept, and taken by the server. */
async function sent(...events: RunEvent[]): Promise<void> {
  await enqueue(batch, ...events);
  await letGo(batch, events);
}

describe('what was sent', () => {
  it('stays for thirty days, and is forgotten then', async () => {
    const events = [event(1), event(2)];
    await sent(...events);
    expect(await queued(batch)).toEqual([]);
    expect(await sentOf(batch)).toEqual(events);
    await forgetOld(Date.now() + 29 * DAY);
    expect(await sentOf(batch)).toHaveLength(2);
    await forgetOld(Date.now() + 31 * DAY);
    expect(await sentOf(batch)).toEqual([]);
  });

  it('does not count where the server set it aside', async () => {
    const [good, bad] = [event(1), event(2)];
    await enqueue(batch, good, bad);
    await letGo(batch, [good, bad], new Set([bad.id]));
    expect(await sentOf(batch)).toEqual([good]);
  });

  it('goes out again, in its order, when the database of the server lives anew; what was last seen is forgotten', async () => {
    const events = [event(1), event(2)];
    expect(await knowLife('first')).toBe(false);
    await sent(...events);
    await set(`batch/${batch}`, { id: batch });
    expect(await knowLife('first')).toBe(false);
    expect(await queued(batch)).toEqual([]);
    const since = event(3);
    await enqueue(batch, since);
    expect(await knowLife('second')).toBe(true);
    expect(await queued(batch)).toEqual([...events, since]);
    expect(await get(`batch/${batch}`)).toBeUndefined();
    // once
    expect(await knowLife('second')).toBe(false);
  });
});

it('a queue says whose it is and how long', async () => {
  await enqueue(batch, event(1), event(2));
  const owner = { workshopId: 'w1', workshop: 'The Long Shed' };
  await belongsTo(batch, owner);
  expect((await queues()).find((q) => q.batchId === batch)).toEqual({ batchId: batch, events: 2, owner });
});

it('one sends at a time, and one that fails holds up nobody', async () => {
  const order: string[] = [];
  const sender = (name: string, fails = false) =>
    asOneSender(async () => {
      order.push(`${name} begins`);
      await new Promise((slow) => setTimeout(slow, 5));
      order.push(`${name} ends`);
      if (fails) throw new Error('no connection');
    });
  await Promise.allSettled([sender('a'), sender('b', true), sender('c')]);
  expect(order).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
});

describe('who recorded something', () => {
  const session = (userId: string) =>
    ({
      userId,
      workshopId: 'w1',
      workshops: [{ id: 'w1', name: 'The Long Shed', role: 'maker' }],
    }) as Session;
  const asked = () => (newRecorder as jest.Mock).mock.calls.length;
  beforeEach(() =>
    (newRecorder as jest.Mock)
      .mockReset()
      .mockImplementation(() => Promise.resolve({ id: randomId(), secret: `secret ${asked()}` })),
  );

  it('is kept by person, asked for once, and sent with what they recorded', async () => {
    await Promise.all([haveRecorder(session('maren')), haveRecorder(session('maren'))]);
    await haveRecorder(session('maren'));
    await haveRecorder(session('tobi'));
    const [maren, tobi] = [await recorderOf(session('maren')), await recorderOf(session('tobi'))];
    expect(maren).toBeDefined();
    expect(tobi).not.toBe(maren);
    expect(asked()).toBeLessThanOrEqual(3);
    // what Maren recorded is hers, whoever is signed in when it is sent
    const recorded = await recordHere(
      { batchId: batch, planVersion: 1, piece: 1, bodies: [{ kind: 'done', stepId: 'saw' }] },
      session('maren'),
    );
    expect(recorded).toMatchObject([{ recorder: maren }]);
    expect((await queues()).find((q) => q.batchId === batch)?.owner?.workshop).toBe('The Long Shed');
    expect((await secretsOf(new Set([maren!]))).map((r) => r.id)).toEqual([maren]);
  });

  it('is still theirs when their sign-in runs out at the lathe, until they sign out', async () => {
    await haveRecorder(session('tobi'));
    await haveRecorder(session('maren'));
    const maren = await recorderOf(session('maren'));
    const ranOut = { ...session('maren'), userId: null, workshopId: null } as Session;
    expect(await recorderOf(ranOut)).toBe(maren);
    expect(await recorderOf(undefined)).toBe(maren);
    await signedOut();
    expect(await recorderOf(ranOut)).toBeUndefined();
  });

  it('is nobody’s word where the device has nothing of them', async () => {
    const [recorded] = await recordHere(
      { batchId: batch, planVersion: 1, piece: 1, bodies: [{ kind: 'done', stepId: 'saw' }] },
      undefined,
    );
    expect(recorded).not.toHaveProperty('recorder');
  });
});
