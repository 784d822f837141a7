import { readSnapshot, type PlanSnapshot, type RunEvent } from '@compas/core';
import { ask } from './client.js';
import type { Schemas } from './problem.js';

/** A batch with the plan it follows and all that was recorded on it. */
export type BatchDetail = Schemas['BatchDetailView'] & { snapshot: PlanSnapshot; events: RunEvent[] };

/**
 * A batch from the server. What is known of it already is not asked for again: a plan never changes at its
 * address, and events are asked for after the newest that is known. It is given only when it is whole.
 */
export async function loadBatch(id: string, known: BatchDetail | undefined): Promise<BatchDetail> {
  const head = await ask('get', '/api/batches/{id}', { params: { path: { id } } });
  const [snapshot, recorded] = await Promise.all([
    known?.planHash === head.planHash ? known.snapshot : snapshotAt(head.planHash),
    eventsAfter(id, known),
  ]);
  const now = { ...head, snapshot, ...recorded };
  return known && isSame(known, now) ? known : now;
}

/** Whether nothing has come since: plans are told by their address, events by the number of the newest. */
const isSame = (a: BatchDetail, b: BatchDetail): boolean =>
  JSON.stringify({ ...a, snapshot: null, events: null }) ===
  JSON.stringify({ ...b, snapshot: null, events: null });

async function snapshotAt(hash: string): Promise<PlanSnapshot> {
  const { snapshot } = await ask('get', '/api/snapshots/{hash}', { params: { path: { hash } } });
  return readSnapshot(snapshot);
}

async function eventsAfter(
  id: string,
  known: BatchDetail | undefined,
): Promise<Pick<BatchDetail, 'events' | 'lastEvent'>> {
  let lastEvent = known?.lastEvent ?? 0;
  const events = lastEvent > 0 ? [...(known?.events ?? [])] : [];
  for (;;) {
    const page = await ask('get', '/api/batches/{id}/events', {
      params: { path: { id }, query: { after: lastEvent } },
    });
    events.push(...page.events);
    lastEvent = page.last;
    if (!page.more) return { events, lastEvent };
  }
}
