import { useCallback, useLayoutEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import type { Chosen } from './draft.js';

/** Puts choices into the address together. */
export type ChooseAll = (changed: Record<string, Chosen>) => void;

/** Puts choices into the address as it is when they are chosen; the same function for good. */
export function useChoose(): ChooseAll {
  const [, setSearch] = useSearchParams();
  const latest = useRef(setSearch);
  useLayoutEffect(() => {
    latest.current = setSearch;
  });
  return useCallback((changed) => {
    latest.current(
      (before) => {
        const after = new URLSearchParams(before);
        for (const [key, chosen] of Object.entries(changed)) {
          const value = typeof chosen === 'function' ? chosen(before.get(key)) : chosen;
          if (value === null) after.delete(key);
          else after.set(key, value);
        }
        return after;
      },
      // at once, not when there is time: the plan waits for it
      { replace: true, flushSync: true },
    );
  }, []);
}
