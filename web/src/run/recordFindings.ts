import {
  apartFindings,
  contradictions,
  readingsApart,
  stepsOfPlan,
  type Finding,
  type Reading,
  type RunEvent,
} from '@compas/core';
import type { BatchDetail } from '../api/batch.js';

/** What somebody has to look at in the records of a batch: contradictions, and what was set aside. */
export function recordFindings(
  batch: BatchDetail,
  events: readonly RunEvent[],
  readings: readonly Reading[],
): Finding[] {
  const { plan } = batch.snapshot;
  const steps = stepsOfPlan(plan);
  const places = plan.parts.flatMap(({ stations }) => stations);
  const aside = batch.setAside.map(({ id, why }, i): Finding => ({
    id: `run.aside.${id ?? i}`,
    severity: 'warn',
    stage: 'run',
    what: 'A record could not be taken and was set aside.',
    why,
    remedy: 'Record it again at the lathe if it matters. Its owners find it in the workshop, under Backup.',
  }));
  return [
    ...contradictions(steps, batch.lots, events),
    ...apartFindings(readingsApart(readings, places)),
    ...aside,
  ];
}
