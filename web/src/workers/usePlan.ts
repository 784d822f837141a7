import type { Plan, PlanInputs } from '@compas/core';
import { wrap, type Remote } from 'comlink';
import { useLayoutEffect, useState } from 'react';
import type { Planning } from './planning.worker.js';

let started: Remote<Planning> | null = null;

/** The planning worker, started when it is first needed. */
export function planning(): Remote<Planning> {
  started ??= wrap<Planning>(
    new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module' }),
  );
  return started;
}

/** A plan, or why there is none; both null until the first is made. */
export interface Planned {
  plan: Plan | null;
  /** what the plan was made of: newer inputs may be on their way */
  of: PlanInputs | null;
  error: Error | null;
}

/**
 * The plan of the inputs, computed beside the interface; while it is made the one before is shown. A plan
 * that fails takes the one before away: it would be read as that of what stands on the screen now.
 */
export function usePlan(inputs: PlanInputs | null): Planned {
  const [planned, setPlanned] = useState<Planned>({ plan: null, of: null, error: null });
  // asked for before the page is painted: both go on side by side
  useLayoutEffect(() => {
    if (inputs === null) return;
    let current = true;
    planning()
      .plan(inputs)
      .then(
        (plan) => current && setPlanned({ plan, of: inputs, error: null }),
        (error: Error) => current && setPlanned({ plan: null, of: null, error }),
      );
    return () => {
      current = false;
    };
  }, [inputs]);
  return planned;
}
