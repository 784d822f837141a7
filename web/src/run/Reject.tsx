import { useState } from 'react';

const USUAL_CAUSES = ['too thin', 'split or check', 'catch', 'knot or flaw', 'drilled out'];

/** Sets a piece aside with its cause, so that the next batch learns from it. */
export function Reject({ onReject }: { onReject: (cause: string) => Promise<void> }) {
  const [asking, setAsking] = useState(false);
  const [cause, setCause] = useState('');
  if (!asking)
    return (
      <button type="button" className="run-link" onClick={() => setAsking(true)}>
        Reject this piece
      </button>
    );
  return (
    <form
      className="run-hold"
      onSubmit={(event) => {
        event.preventDefault();
        if (cause.trim()) void onReject(cause.trim());
      }}
    >
      <label>
        What was the cause?
        <input
          autoFocus
          value={cause}
          maxLength={500}
          list="causes"
          onChange={(e) => setCause(e.target.value)}
        />
      </label>
      <datalist id="causes">
        {USUAL_CAUSES.map((c) => (
          <option key={c} value={c} />
        ))}
      </datalist>
      <button type="submit" className="run-quiet" disabled={cause.trim() === ''}>
        Reject
      </button>
      <button type="button" className="run-link" onClick={() => setAsking(false)}>
        Keep it
      </button>
    </form>
  );
}
