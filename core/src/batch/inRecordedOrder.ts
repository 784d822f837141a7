import type { RunEvent } from './event.js';

/** What of an event decides its place. */
type Placed = Pick<RunEvent, 'id' | 'at' | 'device' | 'sequence' | 'body'>;

/** What cites another stands so far behind it, ms: nothing that a clock says comes between. */
const BEHIND = 2 ** -10;

/**
 * Events in the one order in which they count, whatever the order in which they came. Each device's own follow its count:
 * one that a clock put back would put before what came before it stands at that one's instant. What cites another event,
 * like a correction, stands behind it: nobody corrects what is not there yet, so a clock was wrong, and what its device
 * recorded after it stands behind it too. Devices are merged by those instants.
 * @returns each with the instant at which it counts as its own, so that a clock that was put back cuts no cure short
 */
export function inRecordedOrder<E extends Placed>(events: readonly E[]): E[] {
  const byDevice = [...events].sort(compare);
  const counted = instants(byDevice);
  return byDevice
    .map((event, i) => ({ event, at: counted[i] ?? 0 }))
    .sort((a, b) => a.at - b.at || compare(a.event, b.event))
    .map(({ event, at }) =>
      at - Date.parse(event.at) < 1 ? event : { ...event, at: new Date(at).toISOString() },
    );
}

const compare = (a: Placed, b: Placed): number =>
  order(a.device, b.device) || a.sequence - b.sequence || order(a.id, b.id);
const order = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The instant at which each counts, ms, of events by device and count. */
function instants(events: readonly Placed[]): number[] {
  const at = events.map((e) => Date.parse(e.at));
  const index = new Map(events.map((e, i) => [e.id, i]));
  const cited = events.map(({ body }) => citedBy(body).flatMap((id) => index.get(id) ?? []));
  // each round carries what was put back one citation further; what cites itself in a ring comes to an end too
  for (let rounds = cited.filter((c) => c.length > 0).length; rounds >= 0; rounds -= 1)
    if (!putBack(events, at, cited)) break;
  return at;
}

/** Events that one names. */
const citedBy = (body: RunEvent['body']): string[] => [
  ...('eventId' in body && body.eventId !== undefined ? [body.eventId] : []),
  ...(body.kind === 'settled' ? body.others : []),
];

/** One round over all events; whether anything had to stand later. */
function putBack(events: readonly Placed[], at: number[], cited: readonly number[][]): boolean {
  let moved = false;
  for (const [i, { device }] of events.entries()) {
    const before = events[i - 1]?.device === device ? (at[i - 1] ?? 0) : -Infinity;
    const behind = (cited[i] ?? []).map((c) => (at[c] ?? 0) + BEHIND);
    const least = Math.max(before, ...behind);
    if ((at[i] ?? 0) >= least) continue;
    at[i] = least;
    moved = true;
  }
  return moved;
}
