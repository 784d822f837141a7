import { useEffect, type RefObject } from 'react';

/**
 * A calliper types its digits at whatever has the focus. Wherever that is on the screen, digits go to
 * the field of the reading; other fields keep what is typed in them.
 */
export function useCalliperKeys(field: RefObject<HTMLInputElement | null>): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey || event.altKey) return;
      if (/^[\d.,]$/.test(event.key)) field.current?.focus();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [field]);
}
