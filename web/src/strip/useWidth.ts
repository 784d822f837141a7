import { useEffect, useRef, useState, type RefObject } from 'react';

const FIRST_GUESS = 960;

/** Width of an element, kept up to date, never below `least` pixels. */
export function useWidth<E extends HTMLElement>(least = 320): { ref: RefObject<E | null>; width: number } {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(FIRST_GUESS);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(
      ([entry]) => entry && setWidth(Math.max(least, entry.contentRect.width)),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [least]);
  return { ref, width };
}
