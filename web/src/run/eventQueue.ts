import { lotsOf, type RunEvent } from '@compas/core';
import { get, set, update } from 'idb-keyval';
import type { BatchDetail } from '../api/batch.js';
import { ask } from '../api/client.js';
import { ApiProblem } from '../api/problem.js';
import { randomId } from '../api/randomId.js';

/** At most so many are sent at a time; the server takes 500. */
const SENT_AT_ONCE = 200;

const keyOf = (batchId: string): string => `queue/${batchId}`;

/** Events kept on this device until the server has them, oldest first. */
export const queued = async (batchId: string): Promise<RunEvent[]> =>
  (await get<RunEvent[]>(keyOf(batchId))) ?? [];

/** Keeps an event; it survives a reload and an empty battery. */
export const enqueue = (batchId: string, ...events: RunEvent[]): Promise<void> =>
  update<RunEvent[]>(keyOf(batchId), (queue) => [...(queue ?? []), ...events]);

/** What became of sending. */
export type Sent = 'all sent' | 'no connection' | 'signed out' | 'refused' | 'not kept';

/**
 * Sends what is queued, in order. Each goes out of the queue only when the server has answered; an id
 * that arrives twice is harmless, so a lost answer is too.
 */
export async function flush(batchId: string): Promise<Sent> {
  for (;;) {
    const events = (await queued(batchId)).slice(0, SENT_AT_ONCE);
    if (events.length === 0) return 'all sent';
    try {
      await ask('post', '/api/batches/{id}/events', { params: { path: { id: batchId } }, body: { events } });
    } catch (error) {
      if (!(error instanceof ApiProblem)) return 'no connection';
      if (error.status === 401) return 'signed out';
      return error.status >= 500 ? 'no connection' : 'refused';
    }
    const sent = new Set(events.map((e) => e.id));
    await update<RunEvent[]>(keyOf(batchId), (now) => (now ?? []).filter((e) => !sent.has(e.id)));
  }
}

/** Random id of this device, and its count of events. */
export const deviceId = (): string => remembered('compas.device', () => `tablet ${randomId().slice(0, 4)}`);

export async function nextSequence(): Promise<number> {
  let next = 1;
  await update<number>('sequence', (last) => (next = (last ?? 0) + 1));
  return next;
}

function remembered(key: string, make: () => string): string {
  const before = localStorage.getItem(key);
  if (before !== null) return before;
  const made = make();
  localStorage.setItem(key, made);
  return made;
}

/** The batch as it was last seen, for when the server cannot be reached. */
export const rememberBatch = (batch: BatchDetail): Promise<void> => set(`batch/${batch.id}`, batch);

/**
 * A batch that was kept before plans had addresses and events numbers is shown as it was; what came since
 * its beginning is then asked for.
 */
export async function recallBatch(id: string): Promise<BatchDetail | undefined> {
  const kept = await get<BatchDetail>(`batch/${id}`);
  if (!kept) return undefined;
  // what was kept before batches knew parts has one
  const lots = kept.lots ?? lotsOf([{ partId: kept.snapshot.plan.parts[0].partId, pieces: kept.pieces }]);
  return { ...kept, lots, planHash: kept.planHash ?? '', lastEvent: kept.lastEvent ?? 0 };
}
