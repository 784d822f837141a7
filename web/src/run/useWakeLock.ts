import { useEffect, useState } from 'react';

/** Keeps the screen on where the browser can. @returns whether it can */
export function useWakeLock(): boolean {
  const [held, setHeld] = useState('wakeLock' in navigator);
  useEffect(() => {
    if (!('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    const take = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (taken) => (lock = taken),
        () => setHeld(false),
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
  return held;
}
