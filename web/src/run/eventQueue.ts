import type { RunEvent } from '@compas/core';
import { ask } from '../api/client.js';
import { ApiProblem } from '../api/problem.js';
import { deviceClock } from './device.js';
import { asOneSender } from './oneSender.js';
import { secretsOf } from './recorder.js';
import { letGo, putAside, queued } from './keptEvents.js';

/** At most so many are sent at a time; the server takes 500. */
const SENT_AT_ONCE = 200;
/** And so many bytes: the server takes a megabyte, and a weak network likes small pieces. */
const BYTES_AT_ONCE = 400_000;
/** A network that lets no piece through gets smaller ones, down to this, bytes. */
const LEAST_BYTES = 20_000;
let bytesAtOnce = BYTES_AT_ONCE;

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
export const flush = (batchId: string): Promise<Sent> => asOneSender(() => sendQueue(batchId));

async function sendQueue(batchId: string): Promise<Sent> {
  let most = SENT_AT_ONCE;
  for (;;) {
    const piece = nextPiece(await queued(batchId, SENT_AT_ONCE), bytesAtOnce).slice(0, most);
    const [alone] = piece;
    if (!alone) return 'all sent';
    try {
      const clock = await clockAsSent();
      const recorders = await secretsOf(new Set(piece.flatMap((e) => e.recorder ?? [])));
      const { setAside } = await ask('post', '/api/batches/{id}/events', {
        params: { path: { id: batchId } },
        body: { events: piece, recorders, ...clock },
      });
      await letGo(batchId, piece, new Set(setAside.map(({ id }) => id ?? '')));
      bytesAtOnce = Math.min(BYTES_AT_ONCE, 2 * bytesAtOnce);
    } catch (error) {
      const kept = keptBy(error);
      if (kept === 'no connection') bytesAtOnce = Math.max(LEAST_BYTES, bytesAtOnce / 2);
      if (kept !== null) return kept;
      if (piece.length > 1) most = Math.ceil(piece.length / 2);
      else {
        await putAside(batchId, alone, error instanceof Error ? error.message : String(error));
        most = SENT_AT_ONCE;
      }
      continue;
    }
    most = SENT_AT_ONCE;
  }
}

/**
 * The clock of this device as it sends. A store that is too full to count it keeps nothing from being sent, which makes
 * room; without its count the server takes each event by what was known when it was recorded.
 */
async function clockAsSent(): Promise<{ sent: string; jumps?: number }> {
  const { jumps } = await deviceClock().catch(() => ({ jumps: undefined }));
  return { sent: new Date().toISOString(), ...(jumps === undefined ? {} : { jumps }) };
}

/** Why all is kept as it is; null where the answer is about what was sent. */
function keptBy(error: unknown): Sent | null {
  if (!(error instanceof ApiProblem)) return 'no connection';
  return KEEPS[error.status] ?? (error.status >= 500 ? 'no connection' : null);
}

const hasPhoto = ({ body }: RunEvent): boolean => 'photo' in body && body.photo !== undefined;

/** What goes out next: a photo goes by itself and behind the rest, so that a weak network brings the work first. */
function nextPiece(events: readonly RunEvent[], bytes: number): readonly RunEvent[] {
  const light = events.filter((event) => !hasPhoto(event));
  return light.length > 0 ? fitting(light, bytes) : events.slice(0, 1);
}

/** As many of the first events as fit into one piece; one that is larger than that goes by itself. */
function fitting(events: readonly RunEvent[], bytes: number): RunEvent[] {
  let room = bytes;
  const at = events.findIndex((event) => (room -= JSON.stringify(event).length) < 0);
  return events.slice(0, at < 0 ? events.length : Math.max(1, at));
}
