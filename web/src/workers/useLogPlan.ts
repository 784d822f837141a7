import type { BilletWish, Log, LogPlan, Sawing } from '@compas/core';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Splitting } from './splitting.worker.js';

/** How a log is split, and for which wish that is; null until it is first worked out. */
interface Split {
  plan: LogPlan;
  wish: BilletWish;
}

/** Whoever still types is not answered yet, ms. */
const PAUSE = 150;

/**
 * How a log is split, worked out beside the interface: many thin billets take a while, and one that is no longer wanted is
 * given up. While it is worked out the one before is shown.
 */
export function useLogPlan(
  log: Log,
  wish: BilletWish,
  sawing: Sawing,
): { split: Split | null; busy: boolean } {
  const [split, setSplit] = useState<Split | null>(null);
  useEffect(() => {
    let worker: Worker | null = null;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('./splitting.worker.ts', import.meta.url), { type: 'module' });
      void wrap<Splitting>(worker)
        .plan(log, wish, sawing)
        .then((plan) => {
          setSplit({ plan, wish });
          worker?.terminate();
        });
    }, PAUSE);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [log, wish, sawing]);
  return { split, busy: split?.wish !== wish };
}
