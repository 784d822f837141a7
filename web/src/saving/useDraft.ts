import { hashKey } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { draftOf, dropDraft, keepDraft, type KeptDraft, type Versioned } from './drafts.js';

/** How long somebody pauses before what was typed is written down, ms. */
const PAUSE = 400;

/**
 * Keeps what is typed into a form on this device until it is saved.
 * @param thing what the form is about, such as `pattern/…`
 * @param there as it lies on the server
 * @param mine as it is typed now
 */
export function useDraft<T>(thing: string, there: Versioned<T>, mine: T) {
  const [kept] = useState(() => draftOf<T>(thing));
  const [base, setBase] = useState<Versioned<T>>(kept?.base ?? there);
  const changed = mine !== base.value && hashKey([mine]) !== hashKey([base.value]);
  const [room, setRoom] = useState(true);
  useEffect(() => {
    if (!changed) return dropDraft(thing);
    const timer = setTimeout(() => setRoom(keepDraft(thing, { base, mine, at: Date.now() })), PAUSE);
    return () => clearTimeout(timer);
  }, [thing, changed, base, mine]);
  // who goes on before the pause is over takes it along
  const latest = useRef<KeptDraft<T> | null>(null);
  useEffect(() => {
    latest.current = changed ? { base, mine, at: Date.now() } : null;
  });
  useEffect(() => () => void (latest.current && keepDraft(thing, latest.current)), [thing]);
  /** From now on this is what there is, and nothing is unsaved. */
  const saved = useCallback((now: Versioned<T>) => setBase(now), []);
  return { base, changed, saved, room };
}

/** What was typed here before and not saved; null when there is nothing. */
export const unsaved = <T>(thing: string): { value: T; at: number } | null => {
  const kept = draftOf<T>(thing);
  return kept && { value: kept.mine, at: kept.at };
};
