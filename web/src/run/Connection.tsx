import { Link } from 'react-router';
import type { Sent } from './eventQueue.js';
import type { AsideEvent } from './keptEvents.js';

/** Whether what is recorded has reached the server, and whether the screen stays on. */
export function Connection({
  connection,
  pending,
  awake,
  aside,
  onSendAgain,
}: {
  connection: Sent;
  pending: number;
  awake: boolean;
  aside: readonly AsideEvent[];
  onSendAgain: () => void;
}) {
  return (
    <span className="run-connection" role="status">
      {words(connection, pending)}
      {connection === 'signed out' && (
        <>
          {' '}
          <Link to={`/sign-in?from=${encodeURIComponent(location.pathname)}`}>Sign in</Link>
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
      {!awake && <span className="run-soft"> · this browser may let the screen go dark</span>}
    </span>
  );
}

function words(connection: Sent, pending: number): string {
  const kept = `${pending} kept here`;
  switch (connection) {
    case 'all sent':
      return pending === 0 ? '● all saved' : `○ saving ${pending}`;
    case 'no connection':
      return pending === 0 ? '○ no connection' : `○ no connection, ${kept}`;
    case 'signed out':
      return `▲ signed out, ${kept}.`;
    case 'not kept':
      return `▲ this device refuses to keep or send, ${kept}. It tries again.`;
    case 'refused':
      return `▲ the server refused, ${kept}`;
  }
}
