import { lotsOf, type RunEvent } from '@compas/core';
import { get, set, update } from 'idb-keyval';
import type { BatchDetail } from '../api/batch.js';
import { ask } from '../api/client.js';
import { ApiProblem } from '../api/problem.js';
import { randomId } from '../api/randomId.js';
import { letGo, putAside, queued } from './keptEvents.js';

/** At most so many are sent at a time; the server takes 500. */
const SENT_AT_ONCE = 200;
/** And so many bytes: the server takes a megabyte, and a weak network likes small pieces. */
const BYTES_AT_ONCE = 400_000;

/** What became of sending. */
export type Sent = 'all sent' | 'no connection' | 'signed out' | 'refused' | 'not kept';

/** Answers that say nothing against what was sent: it stays until they are others. */
const KEEPS: Readonly<Record<number, Sent>> = {
  401: 'signed out',
  403: 'refused',
  404: 'refused',
  408: 'no connection',
  429: 'no connection',
};

/**
 * Sends what is queued, in order and in pieces that fit. Each goes out of the queue only when the server has answered; an
 * id that arrives twice is harmless, so a lost answer is too. A piece that is not taken is halved, down to the one event
 * that the server cannot read: that one is put aside and holds up nothing.
 */
export async function flush(batchId: string): Promise<Sent> {
  let most = SENT_AT_ONCE;
  for (;;) {
    const piece = fitting(await queued(batchId, most));
    const [alone] = piece;
    if (!alone) return 'all sent';
    try {
      await ask('post', '/api/batches/{id}/events', {
        params: { path: { id: batchId } },
        body: { events: piece },
      });
    } catch (error) {
      const kept = keptBy(error);
      if (kept !== null) return kept;
      if (piece.length > 1) most = Math.ceil(piece.length / 2);
      else {
        await putAside(batchId, alone, error instanceof Error ? error.message : String(error));
        most = SENT_AT_ONCE;
      }
      continue;
    }
    await letGo(batchId, piece);
    most = SENT_AT_ONCE;
  }
}

/** Why all is kept as it is; null where the answer is about what was sent. */
function keptBy(error: unknown): Sent | null {
  if (!(error instanceof ApiProblem)) return 'no connection';
  return KEEPS[error.status] ?? (error.status >= 500 ? 'no connection' : null);
}

/** As many of the first events as fit into one piece; one that is larger than that goes by itself. */
function fitting(events: readonly RunEvent[]): RunEvent[] {
  let room = BYTES_AT_ONCE;
  const at = events.findIndex((event) => (room -= JSON.stringify(event).length) < 0);
  return events.slice(0, at < 0 ? events.length : Math.max(1, at));
}

/** Random id of this device, and its count of events. */
export const deviceId = (): string => remembered('compas.device', () => `tablet ${randomId().slice(0, 4)}`);

/**
 * The next numbers of this device, so many in a row: what one tap records is counted together, and a quicker second tap
 * comes after all of it.
 * @returns the first of them
 */
export async function nextSequence(count = 1): Promise<number> {
  let last = 0;
  await update<number>('sequence', (before) => (last = (before ?? 0) + count));
  return last - count + 1;
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
