import 'fake-indexeddb/auto';
import type { RunEvent, RunEventBody } from '@compas/core';
import { randomUUID } from 'node:crypto';
import { screen, waitFor } from '@testing-library/react';
import { clear } from 'idb-keyval';
import { answersOf, exampleBatch, recorded } from '../../test/exampleBatch.js';
import { answering, shownInApp, unhurried } from '../../test/inApp.js';
import { enqueue, sentOf, waitingOf } from './keptEvents.js';
import RunScreen from './RunScreen.js';

const SAW = 'saw:blank part1';
const FACE = 'face:reference end';

/** One store of the browser takes nothing more. */
function fullUntilRestored(store: string) {
  const put = Reflect.get<IDBObjectStore, 'put'>(IDBObjectStore.prototype, 'put');
  return jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
    this: IDBObjectStore,
    ...what
  ) {
    const request = put.apply(this, what);
    // as a browser does: what belonged together is taken back
    if (this.name === store) this.transaction.abort();
    return request;
  });
}

/** The lathe screen of a batch of which that is still kept here, and what it sends. */
async function opened(...kept: RunEvent[]) {
  const batch = { ...exampleBatch([]), id: randomUUID() };
  await enqueue(batch.id, ...kept);
  const asked = answering({
    ...answersOf(batch),
    [`POST /api/batches/${batch.id}/events`]: () => ({ body: { stored: 1, known: 0, setAside: [] } }),
  });
  const open = () => shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
  const sent = (): RunEventBody[] =>
    asked.flatMap((a) =>
      a.method === 'POST' && a.path.includes(batch.id)
        ? (a.body as { events: RunEvent[] }).events.map((e) => e.body)
        : [],
    );
  return { open, sent, batch: batch.id };
}

beforeEach(() => clear());
afterEach(() => jest.restoreAllMocks());

describe('a store of the browser that was full as the lathe was opened', () => {
  it.each(['events', 'keyval'])('keeps again what is recorded when there is room (%s)', async (store) => {
    const { open, sent } = await opened();
    const full = fullUntilRestored(store);
    const { user } = open();
    expect(await screen.findByText(/this device refuses to keep or send/)).toBeTruthy();
    full.mockRestore();
    await unhurried(user).click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(sent()).toContainEqual({ kind: 'done', stepId: SAW }));
    // it is known again as the device it is: what it begins is recorded
    await waitFor(() => expect(sent()).toContainEqual({ kind: 'started', stepId: FACE }));
  });

  it('keeps nobody from sending what lies in it', async () => {
    const { open, sent } = await opened(recorded(2, { kind: 'done', stepId: SAW }));
    fullUntilRestored('keyval');
    open();
    await waitFor(() => expect(sent()).toContainEqual({ kind: 'done', stepId: SAW }));
    expect(await screen.findByText(/this device refuses to keep or send/)).toBeTruthy();
  });

  it('is emptied by what is sent, also where there is no room for what was', async () => {
    const event = recorded(2, { kind: 'done', stepId: SAW });
    const { open, batch } = await opened(event);
    fullUntilRestored('sent');
    open();
    await waitFor(async () => expect(await waitingOf(batch)).toBe(0));
    expect(await sentOf(batch)).toEqual([]);
  });
});
