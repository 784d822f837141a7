import type { RunEvent, RunEventBody } from '@compas/core';
import { clockOffset } from '../api/clock.js';
import { randomId } from '../api/randomId.js';
import type { Session } from '../api/session.js';
import { deviceClock, nextSequence } from './device.js';
import { belongsTo, enqueue } from './keptEvents.js';
import { recorderOf } from './recorder.js';

/** What is recorded, and for which plan. */
interface Recorded {
  batchId: string;
  planVersion: number;
  piece: number;
  bodies: readonly RunEventBody[];
}

/**
 * Keeps what one tap recorded, all or none, under the workshop of the session; it fails where this device keeps nothing more.
 * @returns the events as they count here
 */
export async function recordHere(
  { batchId, planVersion, piece, bodies }: Recorded,
  session: Session | undefined,
): Promise<RunEvent[]> {
  const at = new Date().toISOString();
  const clock = await deviceClock();
  const recorder = await recorderOf(session);
  const { device, first } = await nextSequence(bodies.length);
  const events = bodies.map((body, i): RunEvent => ({
    id: randomId(),
    piece,
    at,
    ...clock,
    ...(recorder === undefined ? {} : { recorder }),
    device,
    sequence: first + i,
    planVersion,
    body,
  }));
  const workshop = session?.workshops.find((w) => w.id === session.workshopId);
  if (workshop) await belongsTo(batchId, { workshopId: workshop.id, workshop: workshop.name });
  await enqueue(batchId, ...events);
  return events.map(heard);
}

/** An event of this device at the instant that the server would give it. */
export const heard = (event: RunEvent): RunEvent => ({
  ...event,
  at: new Date(Date.parse(event.at) + (event.offset ?? clockOffset())).toISOString(),
});
