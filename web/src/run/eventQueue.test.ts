import 'fake-indexeddb/auto';
import type { RunEvent } from '@compas/core';
import { ask } from '../api/client.js';
import { ApiProblem } from '../api/problem.js';
import { del, set } from 'idb-keyval';
import { deviceId, nextSequence } from './device.js';
import { flush } from './eventQueue.js';
import { recallBatch, rememberBatch } from './seenBatch.js';
import { asideOf, enqueue, queued, takeUp } from './keptEvents.js';
import type { BatchDetail } from '../api/batch.js';
import { randomId } from '../api/randomId.js';
import { doneEvent as event } from '../../test/exampleEvents.js';

jest.mock('../api/client.js', () => ({ ask: jest.fn() }));
const server = ask as jest.Mock;

const TAKEN = { stored: 1, known: 0, setAside: [] };

/** What the server got, in order. */
const received = (): RunEvent[] =>
  server.mock.calls.flatMap((call: unknown[]) => (call[2] as { body: { events: RunEvent[] } }).body.events);

let batch = '';
beforeEach(() => {
  batch = randomId();
  server.mockReset().mockResolvedValue(TAKEN);
});

describe('the queue', () => {
  it('sends in order, once, and is then empty', async () => {
    const events = Array.from({ length: 450 }, (_, i) => event(i));
    for (const e of events) await enqueue(batch, e);
    expect(await flush(batch)).toBe('all sent');
    expect(received()).toEqual(events);
    expect(server).toHaveBeenCalledTimes(3);
    expect(await queued(batch)).toEqual([]);
    expect(await flush(batch)).toBe('all sent');
    expect(server).toHaveBeenCalledTimes(3);
  });

  it('keeps everything while there is no connection, and sends it when there is', async () => {
    const events = [event(1), event(2)];
    for (const e of events) await enqueue(batch, e);
    server.mockRejectedValueOnce(new TypeError('Failed to fetch'));
    expect(await flush(batch)).toBe('no connection');
    expect(await queued(batch)).toEqual(events);
    expect(await flush(batch)).toBe('all sent');
    expect(await queued(batch)).toEqual([]);
  });

  it('keeps everything when the sign-in has run out, or the server is in trouble', async () => {
    await enqueue(batch, event(1));
    server.mockRejectedValueOnce(new ApiProblem(401, 'You are not signed in.'));
    expect(await flush(batch)).toBe('signed out');
    server.mockRejectedValueOnce(new ApiProblem(503, 'The database cannot be reached.'));
    expect(await flush(batch)).toBe('no connection');
    server.mockRejectedValueOnce(new ApiProblem(404, 'There is no such batch.'));
    expect(await flush(batch)).toBe('refused');
    expect(await queued(batch)).toHaveLength(1);
  });

  it('sends again what it does not know to have arrived, with the same id', async () => {
    const lost = event(1);
    await enqueue(batch, lost);
    server.mockRejectedValueOnce(new TypeError('the answer was lost'));
    await flush(batch);
    await enqueue(batch, event(2));
    await flush(batch);
    expect(received().filter((e) => e.id === lost.id)).toHaveLength(2);
  });

  it('does not lose what is recorded while it sends', async () => {
    await enqueue(batch, event(1));
    const late = event(2);
    server.mockImplementationOnce(async () => {
      await enqueue(batch, late);
      return TAKEN;
    });
    expect(await flush(batch)).toBe('all sent');
    expect(received().map((e) => e.sequence)).toEqual([1, 2]);
  });

  const photo = (sequence: number, size = 140_000): RunEvent => ({
    ...event(sequence),
    body: { kind: 'noted', stepId: 'saw', words: '', photo: `data:image/jpeg;base64,${'A'.repeat(size)}` },
  });
  const bytesOf = (events: readonly RunEvent[]): number => JSON.stringify({ events }).length;
  const pieces = (): RunEvent[][] =>
    server.mock.calls.map((call: unknown[]) => (call[2] as { body: { events: RunEvent[] } }).body.events);

  it('goes out in pieces that fit: 500 events first, then 40 photos, each by itself, none over half a megabyte', async () => {
    const events = Array.from({ length: 500 }, (_, i) => (i % 12 === 0 && i < 480 ? photo(i) : event(i)));
    await enqueue(batch, ...events);
    expect(await flush(batch)).toBe('all sent');
    const photos = events.filter((e) => e.body.kind === 'noted');
    expect(received()).toEqual([...events.filter((e) => e.body.kind !== 'noted'), ...photos]);
    expect(pieces().slice(-40)).toEqual(photos.map((e) => [e]));
    expect(Math.max(...pieces().map(bytesOf))).toBeLessThan(500_000);
    expect(await queued(batch)).toEqual([]);
  });

  it('a photo that a weak network does not let through keeps nothing else from arriving', async () => {
    await enqueue(batch, photo(1), event(2), photo(3), event(4));
    server.mockImplementation((_: unknown, __: unknown, init: { body: { events: RunEvent[] } }) =>
      bytesOf(init.body.events) > 100_000
        ? Promise.reject(new TypeError('Failed to fetch'))
        : Promise.resolve(TAKEN),
    );
    expect(await flush(batch)).toBe('no connection');
    expect((await queued(batch)).map((e) => e.sequence)).toEqual([1, 3]);
  });

  it('halves what is too large for the server, down to one event, and goes on', async () => {
    const events = Array.from({ length: 9 }, (_, i) => event(i));
    await enqueue(batch, ...events);
    server.mockImplementation((_: unknown, __: unknown, init: { body: { events: RunEvent[] } }) =>
      init.body.events.length > 2
        ? Promise.reject(new ApiProblem(413, 'The request is larger than this address takes.'))
        : Promise.resolve(TAKEN),
    );
    expect(await flush(batch)).toBe('all sent');
    const taken = pieces().filter((p) => p.length <= 2);
    expect(taken.flat()).toEqual(events);
    expect(await asideOf(batch)).toEqual([]);
  });

  it('puts the one event aside that the server cannot read; it holds up nothing, stays, and can be sent again', async () => {
    const events = Array.from({ length: 5 }, (_, i) => event(i));
    const [, , bad] = events;
    await enqueue(batch, ...events);
    server.mockImplementation((_: unknown, __: unknown, init: { body: { events: RunEvent[] } }) =>
      init.body.events.some((e) => e.id === bad!.id)
        ? Promise.reject(new ApiProblem(422, 'It names no step.'))
        : Promise.resolve(TAKEN),
    );
    expect(await flush(batch)).toBe('all sent');
    expect(await queued(batch)).toEqual([]);
    expect(await asideOf(batch)).toEqual([{ event: bad, why: 'It names no step.' }]);
    expect(
      pieces()
        .flat()
        .filter((e) => e.id !== bad!.id)
        .map((e) => e.sequence),
    ).toEqual(expect.arrayContaining([0, 1, 3, 4]));
    server.mockReset().mockResolvedValue(TAKEN);
    await takeUp(batch);
    expect(await asideOf(batch)).toEqual([]);
    expect(await flush(batch)).toBe('all sent');
    expect(received()).toEqual([bad]);
  });

  it.each([403, 404, 408, 429, 500, 503])(
    'keeps everything at an answer of %i, which says nothing of it',
    async (status) => {
      const events = [event(1), event(2)];
      await enqueue(batch, ...events);
      server.mockRejectedValueOnce(new ApiProblem(status, 'Not now.'));
      expect(await flush(batch)).not.toBe('all sent');
      expect(await queued(batch)).toEqual(events);
      expect(await asideOf(batch)).toEqual([]);
    },
  );

  it('carries over what an older Compas kept as one list, before what came since', async () => {
    const old = [event(1), event(2)];
    await set(`queue/${batch}`, old);
    const since = event(3);
    await enqueue(batch, since);
    expect(await queued(batch)).toEqual([...old, since]);
    expect(await queued(batch)).toEqual([...old, since]);
  });

  it('keeps the queues of batches apart', async () => {
    await enqueue(batch, event(1));
    expect(await queued(randomId())).toEqual([]);
  });
});

describe('this device', () => {
  it('counts its events up, also when two are made at once', async () => {
    const { device, first } = await nextSequence();
    const both = await Promise.all([nextSequence(), nextSequence()]);
    expect(both.map((n) => n.first).sort((a, b) => a - b)).toEqual([first + 1, first + 2]);
    // what one tap records stands in a row, whoever asks meanwhile
    const rows = await Promise.all([nextSequence(3), nextSequence(2), nextSequence()]);
    expect(rows.map((n) => n.first)).toEqual([first + 3, first + 6, first + 8]);
    // all under one full id, which is lost only together with the count
    expect(device).toMatch(/^[0-9a-f-]{36}$/);
    expect(new Set([...both, ...rows].map((n) => n.device))).toEqual(new Set([device]));
    expect(await deviceId()).toBe(device);
    await del('device');
    expect((await nextSequence()).device).not.toBe(device);
  });

  it('makes ids that are v4 UUIDs and differ', () => {
    const ids = Array.from({ length: 200 }, randomId);
    expect(new Set(ids).size).toBe(200);
    ids.forEach((id) =>
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/),
    );
  });

  it('remembers a batch as it was last seen', async () => {
    const lots = [{ partId: 'p', first: 1, count: 3 }];
    const kept = {
      ...{ id: batch, planHash: 'a1', lastEvent: 7, lots, events: [] },
      snapshot: { schema: 3 },
    } as unknown as BatchDetail;
    await rememberBatch({ batch: kept, seenAt: 5 });
    expect(await recallBatch(batch)).toEqual({ batch: kept, seenAt: 5 });
    // one that an older Compas kept is shown, and asked for anew from its beginning
    const plan = { parts: [{ partId: 'p' }] };
    const old = { id: batch, pieces: 3, snapshot: { schema: 1, plan } } as unknown as BatchDetail;
    await set(`batch/${batch}`, old);
    expect(await recallBatch(batch)).toEqual({
      batch: { ...old, lots, planHash: '', lastEvent: 0 },
      seenAt: null,
    });
    expect(await recallBatch(randomId())).toBeUndefined();
  });
});
