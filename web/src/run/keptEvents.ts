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
  /** what the server has taken, until it is old: it counts until it is read back, and a restored server gets it again */
  sent: { key: [string, number, string]; value: SentEvent; indexes: { 'by-age': number } };
  /** whose the queue of a batch is */
  owners: { key: string; value: QueueOwner };
}

interface SentEvent {
  event: RunEvent;
  /** instant at which the server had taken it, ms */
  at: number;
}

/** Whose a queue is: it is sent under a session of that workshop only. */
export interface QueueOwner {
  workshopId: string;
  workshop: string;
}

/** What was sent stays for so long, ms: a backup that is put back is hardly older. */
const SENT_STAYS = 30 * 24 * 3_600_000;

/** A record is on the disk before it is called kept: a battery that dies a second later takes nothing. */
const STRICT = { durability: 'strict' } as const;

let opened: Promise<IDBPDatabase<Kept>> | null = null;
const database = (): Promise<IDBPDatabase<Kept>> =>
  (opened ??= openDB<Kept>('compas-events', 2, {
    upgrade(db, before) {
      if (before < 1) {
        db.createObjectStore('events');
        db.createObjectStore('aside');
      }
      if (before < 2) {
        db.createObjectStore('sent').createIndex('by-age', 'at');
        db.createObjectStore('owners');
      }
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

/**
 * Lets go of events that the server has. They stay in sight as sent; where there is no room for that they go all the same:
 * a full store is emptied by what is sent from it.
 * @param refused ids of those that it set aside: they do not count
 */
export async function letGo(
  batchId: string,
  events: readonly RunEvent[],
  refused: ReadonlySet<string> = new Set(),
): Promise<void> {
  const at = Date.now();
  const db = await database();
  try {
    const sent = db.transaction('sent', 'readwrite', STRICT);
    const taken = events.filter(({ id }) => !refused.has(id));
    await Promise.all([
      ...taken.map((event) => sent.store.put({ event, at }, keyOf(batchId, event))),
      sent.done,
    ]);
  } catch {
    // the server has them: what is lost is only that a server that was put back gets them from here again
  }
  const tx = db.transaction('events', 'readwrite', STRICT);
  await Promise.all([...events.map((event) => tx.store.delete(keyOf(batchId, event))), tx.done]);
}

/** What the server has taken of a batch of late. */
export const sentOf = async (batchId: string): Promise<RunEvent[]> =>
  (await (await database()).getAll('sent', ofBatch(batchId))).map(({ event }) => event);

/** Forgets what was sent long ago. */
export async function forgetOld(now: number): Promise<void> {
  const tx = (await database()).transaction('sent', 'readwrite');
  const old = await tx.store.index('by-age').getAllKeys(IDBKeyRange.upperBound(now - SENT_STAYS));
  await Promise.all([...old.map((key) => tx.store.delete(key)), tx.done]);
}

/** Queues all again that was sent: the server may have lost it. An event that it still has is known to it by its id. */
export async function queueSentAgain(): Promise<void> {
  const tx = (await database()).transaction(['events', 'sent'], 'readwrite', STRICT);
  const [keys, sent] = await Promise.all([
    tx.objectStore('sent').getAllKeys(),
    tx.objectStore('sent').getAll(),
  ]);
  await Promise.all([
    ...sent.map(({ event }, i) => tx.objectStore('events').put(event, keys[i])),
    tx.objectStore('sent').clear(),
    tx.done,
  ]);
}

/** Says whose the queue of a batch is. */
export async function belongsTo(batchId: string, owner: QueueOwner): Promise<void> {
  await (await database()).put('owners', owner, batchId);
}

/** Whose the queue of a batch is, where it is known. */
export const ownerOf = async (batchId: string): Promise<QueueOwner | undefined> =>
  (await database()).get('owners', batchId);

/** A queue with something in it. */
export interface Queue {
  batchId: string;
  events: number;
  owner: QueueOwner | null;
}

/** Every queue with something in it. */
export async function queues(): Promise<Queue[]> {
  const db = await database();
  const counts = new Map<string, number>();
  for (const [batchId] of await db.getAllKeys('events')) counts.set(batchId, (counts.get(batchId) ?? 0) + 1);
  return Promise.all(
    [...counts].map(async ([batchId, events]) => ({
      batchId,
      events,
      owner: (await ownerOf(batchId)) ?? null,
    })),
  );
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
