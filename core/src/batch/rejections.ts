import type { RunEvent } from './event.js';

/**
 * Rejections that were not taken back, by the ids of their events: what takes one back names it, so that it counts
 * whatever the clocks of two tablets say, and whichever comes first.
 */
export function rejections(events: readonly RunEvent[]): ReadonlySet<string> {
  const spared = new Set(events.flatMap(({ body }) => (body.kind === 'spared' ? [body.eventId] : [])));
  return new Set(events.flatMap(({ id, body }) => (body.kind === 'rejected' && !spared.has(id) ? [id] : [])));
}
