import { useCallback, useState } from 'react';
import { dropDraft, type Versioned } from './drafts.js';
import { unsaved, useDraft } from './useDraft.js';

/**
 * A form whose fields lie on this device until they are saved or given up.
 * @param thing what the form is about, such as `stock/…`
 * @param there as it lies on the server when the form opens; version 0 for something new
 */
export function useKeptForm<T>(thing: string, there: Versioned<T>) {
  const [opened] = useState(there);
  const [before, setBefore] = useState(() => unsaved<T>(thing));
  const [mine, set] = useState<T>(before?.value ?? opened.value);
  const { base, changed, saved, room } = useDraft(thing, opened, mine);
  const takeBack = useCallback(() => {
    set(opened.value);
    saved(opened);
    setBefore(null);
  }, [opened, saved]);
  /** Saved or given up: nothing of it is kept here any more. */
  const drop = () => {
    // what waits to be written down is not written any more, also while the form is still open
    saved({ value: mine, version: base.version });
    dropDraft(thing);
  };
  /** What is sent is kept here until it is answered, and no longer, also for somebody who has gone on meanwhile. */
  const keptUntil = async <Answer>(answer: Promise<Answer>): Promise<Answer> => {
    const answered = await answer;
    drop();
    return answered;
  };
  const keptAt = changed ? (before?.at ?? null) : null;
  return { mine, set, base, changed, room, keptAt, takeBack, drop, keptUntil };
}
