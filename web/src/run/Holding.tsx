import { waitInWords, type Hold } from '@compas/core';
import { useState } from 'react';
import { Say } from '../ui/Length.js';

/** What keeps this step from being done; it can be done all the same, with a reason. */
export function Holding({
  holds,
  now,
  onOverride,
}: {
  holds: readonly Hold[];
  now: number;
  onOverride: (why: string) => Promise<unknown>;
}) {
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState('');
  return (
    <div className="run-hold" role="status">
      {holds.map((hold) => (
        <p key={hold.reason}>
          <b>{hold.kind === 'wait' ? 'Wait' : 'Locked'}:</b> <Say text={hold.reason} />
          {hold.until !== undefined && (
            <b className="figures"> {waitInWords((hold.until - now) / 60_000)} left</b>
          )}
        </p>
      ))}
      {!asking ? (
        <button type="button" className="run-quiet" onClick={() => setAsking(true)}>
          Do it all the same
        </button>
      ) : (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (why.trim()) void onOverride(why.trim());
          }}
        >
          <label>
            Why is it right this time?
            <input autoFocus value={why} maxLength={500} onChange={(e) => setWhy(e.target.value)} />
          </label>
          <button type="submit" className="run-quiet" disabled={why.trim() === ''}>
            Unlock
          </button>
        </form>
      )}
    </div>
  );
}
