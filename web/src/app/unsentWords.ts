import type { Queue } from '../run/keptEvents.js';

/** How many records are kept, and for whom: `3 records for the Long Shed, 1 record`. */
export function unsentWords(unsent: readonly Queue[]): string {
  const counts = new Map<string, number>();
  for (const { events, owner } of unsent) {
    const whose = owner === null ? '' : ` for ${owner.workshop}`;
    counts.set(whose, (counts.get(whose) ?? 0) + events);
  }
  return [...counts].map(([whose, n]) => `${n} ${n === 1 ? 'record' : 'records'}${whose}`).join(', ');
}
