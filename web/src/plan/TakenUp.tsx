import { useState, type ReactNode } from 'react';
import { Navigate, useLocation, useSearchParams } from 'react-router';
import type { Draft } from '../api/drafts.js';
import { clockHere } from '../ui/clock.js';
import { LINES } from '../ui/planAddress.js';
import { choicesIn } from './useKeptChoices.js';

interface TakenUpProps {
  /** what was begun of the pattern and is kept for nobody yet */
  draft: Draft | null;
  children: (taken: Draft | null) => ReactNode;
}

/**
 * A plan that is opened without any choice goes on where it was left: its choices come into the address. That is
 * looked for once; whoever begins anew afterwards has begun anew.
 */
export function TakenUp({ draft, children }: TakenUpProps) {
  const [search] = useSearchParams();
  const { pathname } = useLocation();
  const [taken] = useState(() => (choicesIn(search) === '' && !search.has(LINES) ? draft : null));
  const [placed, place] = useState(taken === null);
  if (placed || taken === null) return children(taken);
  if (choicesIn(search) === '') {
    const own = new URLSearchParams([...new URLSearchParams(taken.choices), ...search]);
    return <Navigate replace to={{ pathname, search: own.toString() }} />;
  }
  place(true);
  return null;
}

/** Says that a plan was taken up, and by whom it was left; it can be begun anew. */
export function LeftBefore({ draft, onAnew }: { draft: Draft; onAnew: () => void }) {
  return (
    <span className="soft" role="status">
      as {draft.changedBy || 'you'} left it {clockHere(Date.parse(draft.changedAt))}{' '}
      <button type="button" className="more" onClick={onAnew}>
        begin anew
      </button>
    </span>
  );
}
