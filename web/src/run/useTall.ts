import { useSyncExternalStore } from 'react';

/** How tall the strip at the lathe is, px: on a wide screen more than on an upright tablet. */
export const useTall = (): number =>
  useSyncExternalStore(onResize, () => (innerWidth >= WIDE ? TALL : LOWER));

const WIDE = 1000;
const TALL = 384;
const LOWER = 324;

function onResize(changed: () => void): () => void {
  addEventListener('resize', changed);
  return () => removeEventListener('resize', changed);
}
