import { useSyncExternalStore } from 'react';

/** How tall the strip at the lathe is, px: on a wide screen more than on an upright tablet. */
export const useTall = (): number =>
  useSyncExternalStore(onResize, () =>
    innerWidth < WIDE ? LOWER : Math.max(TALL, Math.round(innerHeight * SHARE)),
  );

const WIDE = 1000;
/** Of a large screen the wood takes so much: what is to be done needs no more room than it has. */
const SHARE = 0.52;
const TALL = 384;
const LOWER = 324;

function onResize(changed: () => void): () => void {
  addEventListener('resize', changed);
  return () => removeEventListener('resize', changed);
}
