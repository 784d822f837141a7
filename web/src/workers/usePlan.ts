import type { Plan, PlanInputs } from '@compas/core';
import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Planning } from './planning.worker.js';

let started: Remote<Planning> | null = null;

/** The planning worker, started when it is first needed. */
export function planning(): Remote<Planning> {
  started ??= wrap<Planning>(
    new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module' }),
  );
  return started;
}

/** The plan of the inputs, computed beside the interface; while it is made the one before is shown. */
export function usePlan(inputs: PlanInputs | null): Plan | null {
  const [plan, setPlan] = useState<Plan | null>(null);
  useEffect(() => {
    if (inputs === null) return;
    let current = true;
    void planning()
      .plan(inputs)
      .then((made) => current && setPlan(made));
    return () => {
      current = false;
    };
  }, [inputs]);
  return plan;
}
