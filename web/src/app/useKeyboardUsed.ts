import { useEffect, useState } from 'react';

/** Keys that move about or call something: who only types numbers into fields has not asked for them. */
const CALLS = (event: KeyboardEvent): boolean =>
  event.ctrlKey || event.metaKey || event.altKey || event.key === 'Tab' || event.key === '?';

/** Whether somebody works with the keyboard here: then what a key does stands on its button. */
export function useKeyboardUsed(): boolean {
  const [used, setUsed] = useState(false);
  useEffect(() => {
    if (used) return;
    const onKeyDown = (event: KeyboardEvent) => {
      if (CALLS(event)) setUsed(true);
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [used]);
  return used;
}
