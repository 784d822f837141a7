import { useEffect, useState } from 'react';
import { serverNow } from '../api/clock.js';

/** The present instant by the server's clock, or by another, in ms, renewed every so often. */
export function useNow(every: number, clock: () => number = serverNow): number {
  const [now, setNow] = useState(clock);
  useEffect(() => {
    const timer = setInterval(() => setNow(clock()), every);
    return () => clearInterval(timer);
  }, [every, clock]);
  return now;
}
