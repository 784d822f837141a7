import type { RunEvent } from '@compas/core';
import { del, get } from 'idb-keyval';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** An event that the server would not read, with what it said. */
export interface AsideEvent {
  event: RunEvent;
  why: string;
}

interface Kept extends DBSchema {
  /** by batch, then in the order in which they were recorded */
  events: { key: [string, number, string]; value: RunEvent };
  aside: { key: [string, string]; value: AsideEvent };
}

/** A record is on the disk before it is called kept: a battery that dies a second later takes nothing. */
const STRICT = { durability: 'strict' } as const;

let opened: Promise<IDBPDatabase<Kept>> | null = null;
const database = (): Promise<IDBPDatabase<Kept>> =>
  (opened ??= openDB<Kept>('compas-events', 1, {
    upgrade(db) {
      db.createObjectStore('events');
      db.createObjectStore('aside');
    },
    // somebody else may need to upgrade it: this page opens it anew
    blocking: () => void opened?.then((db) => db.close()).finally(() => (opened = null)),
    terminated: () => (opened = null),
  }));

const ofBatch = (batchId: string): IDBKeyRange =>
  IDBKeyRange.bound([batchId, -Infinity, ''], [batchId, Infinity, '']);
const asideOfBatch = (batchId: string): IDBKeyRange => IDBKeyRange.bound([batchId, ''], [batchId, '\uffff']);
/** A count that was lost with its store and began anew puts no event in the place of another. */
const keyOf = (batchId: string, { sequence, id }: RunEvent): [string, number, string] => [
  batchId,
  sequence,
  id,
];

/** Events kept on this device until the server has them, oldest first; all, or so many. */
export async function queued(batchId: string, most?: number): Promise<RunEvent[]> {
  await carryOver(batchId);
  return (await database()).getAll('events', ofBatch(batchId), most);
}

/** How many are kept. */
export async function waitingOf(batchId: string): Promise<number> {
  await carryOver(batchId);
  return (await database()).count('events', ofBatch(batchId));
}

/** Keeps events, all or none; each is a record of its own, so that a long queue costs a tap nothing. */
export async function enqueue(batchId: string, ...events: RunEvent[]): Promise<void> {
  const tx = (await database()).transaction('events', 'readwrite', STRICT);
  await Promise.all([...events.map((event) => tx.store.put(event, keyOf(batchId, event))), tx.done]);
}

/** Lets go of events that the server has. */
export async function letGo(batchId: string, events: readonly RunEvent[]): Promise<void> {
  const tx = (await database()).transaction('events', 'readwrite', STRICT);
  await Promise.all([...events.map((event) => tx.store.delete(keyOf(batchId, event))), tx.done]);
}

/** Puts one event aside, so that it holds up nothing; it stays here with what was said against it. */
export async function putAside(batchId: string, event: RunEvent, why: string): Promise<void> {
  const tx = (await database()).transaction(['events', 'aside'], 'readwrite', STRICT);
  await Promise.all([
    tx.objectStore('aside').put({ event, why }, [batchId, event.id]),
    tx.objectStore('events').delete(keyOf(batchId, event)),
    tx.done,
  ]);
}

/** What was put aside of a batch. */
export const asideOf = async (batchId: string): Promise<AsideEvent[]> =>
  (await database()).getAll('aside', asideOfBatch(batchId));

/** Takes what was put aside into the queue again, for a server that may read it now. */
export async function takeUp(batchId: string): Promise<void> {
  const tx = (await database()).transaction(['events', 'aside'], 'readwrite', STRICT);
  const aside = await tx.objectStore('aside').getAll(asideOfBatch(batchId));
  await Promise.all([
    ...aside.map(({ event }) => tx.objectStore('events').put(event, keyOf(batchId, event))),
    tx.objectStore('aside').delete(asideOfBatch(batchId)),
    tx.done,
  ]);
}

/** Batches whose old list was looked for since the page was opened: nobody writes one any more. */
const carried = new Set<string>();

/** What an older Compas kept as one list is kept event by event. */
async function carryOver(batchId: string): Promise<void> {
  if (carried.has(batchId)) return;
  const old = await get<RunEvent[]>(`queue/${batchId}`);
  if (old !== undefined) {
    await enqueue(batchId, ...old);
    await del(`queue/${batchId}`);
  }
  carried.add(batchId);
}
