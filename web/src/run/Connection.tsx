import { minutesInWords } from '@compas/core';
import { clockOffset, serverNow } from '../api/clock.js';
import { hourHere } from '../ui/clock.js';
import type { Sent } from './eventQueue.js';
import type { AsideEvent } from './keptEvents.js';
import { SignInHere } from './SignInHere.js';

/** Whether what is recorded has reached the server, and whether the screen stays on. */
export function Connection({
  connection,
  pending,
  awake,
  aside,
  onSendAgain,
  asOf,
  owner,
  onSignedIn,
}: {
  connection: Sent;
  pending: number;
  awake: boolean;
  aside: readonly AsideEvent[];
  onSendAgain: () => void;
  onSignedIn: () => void;
  /** since when the server was not heard, where that is long, ms */
  asOf: number | null;
  /** workshop that the queue belongs to */
  owner: string | null;
}) {
  const off = clockOffset();
  return (
    <span className="run-connection" role="status">
      {words(connection, pending, owner, asOf)}
      {connection === 'signed out' && (
        <>
          {' '}
          <SignInHere onSignedIn={onSignedIn} />
        </>
      )}
      {aside.length > 0 && (
        <details className="run-settings">
          <summary>▲ {aside.length} put aside</summary>
          <div>
            <p>
              The server could not read {aside.length === 1 ? 'this' : 'these'}. Nothing else waits for it.
            </p>
            <ul>
              {aside.map(({ event, why }) => (
                <li key={event.id}>
                  Piece {event.piece}, {event.body.kind}: {why}
                </li>
              ))}
            </ul>
            <button type="button" className="run-quiet" onClick={onSendAgain}>
              Send again
            </button>
          </div>
        </details>
      )}
      {Math.abs(off) > CLOCK_OFF && (
        <span className="run-soft">
          {' '}
          ▲ clock here {minutesInWords(Math.abs(off) / 60_000)} {off < 0 ? 'fast' : 'slow'}
        </span>
      )}
      {!awake && <span className="run-soft"> · this browser may let the screen go dark</span>}
    </span>
  );
}

/** A clock that is further off is worth setting right, ms. */
const CLOCK_OFF = 2 * 60_000;

function words(connection: Sent, pending: number, owner: string | null, asOf: number | null): string {
  const kept = `${pending} kept here`;
  const since = asOf === null ? '' : ` since ${hourHere(asOf, serverNow())}`;
  switch (connection) {
    case 'all sent':
      if (pending > 0) return `○ saving ${pending}`;
      // what is here is saved; what others did since then is not here
      return since === '' ? '● all saved' : `○ no answer${since}`;
    case 'no connection':
      return pending === 0 ? `○ no connection${since}` : `○ no connection${since}, ${kept}`;
    case 'signed out':
      return `▲ signed out, ${kept}.`;
    case 'not kept':
      return `▲ this device refuses to keep or send, ${kept}. It tries again.`;
    case 'refused':
      return owner === null
        ? `▲ the server refused, ${kept}`
        : `▲ the server refused, ${kept} for ${owner}: sign in there.`;
  }
}
