import { useEffect, useState } from 'react';

/** After so long nobody knows any more where it stood, ms. */
const LONG = 5 * 60_000;

/**
 * Whether the screen has not been touched for long, how to say that somebody is here again, and how to make it ask.
 * @param now instant by this device's clock, ms
 */
export function useUntouched(now: number): [boolean, () => void, () => void] {
  const [touched, setTouched] = useState(now);
  const away = now - touched > LONG;
  useEffect(() => {
    // while it asks, a touch is an answer and not a sign of work
    if (away) return;
    const touch = () => setTouched(Date.now());
    const kinds = ['pointerdown', 'keydown'] as const;
    for (const kind of kinds) addEventListener(kind, touch);
    return () => {
      for (const kind of kinds) removeEventListener(kind, touch);
    };
  }, [away]);
  return [away, () => setTouched(Date.now()), () => setTouched(-Infinity)];
}
