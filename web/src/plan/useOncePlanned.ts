import { useEffect, useLayoutEffect, useRef, useState } from 'react';

/**
 * A press that comes before the plan of what was just chosen is there: it is done as soon as that plan is, so that
 * nothing is kept as it stood a moment before.
 * @param planned the plan that is shown is that of what is chosen
 */
export function useOncePlanned(planned: boolean, act: () => void): { press: () => void; waits: boolean } {
  const [waits, setWaits] = useState(false);
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (!waits || !planned) return;
    setWaits(false);
    latest.current();
  }, [waits, planned]);
  return { press: () => (planned ? act() : setWaits(true)), waits };
}
