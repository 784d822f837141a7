import { stepDoes, type OrderLock, type Step } from '../../route/index.js';
import type { PlannedPart } from '../part/partPlan.js';

/** What of the parts comes before they are joined: their last steps, and what still cures when those are done. */
export function madeFirst(parts: readonly Pick<PlannedPart, 'plan'>[], of: readonly string[]): OrderLock[] {
  return parts
    .filter((p) => of.includes(p.plan.partId))
    .flatMap(({ plan: { steps, name } }) => {
      const needed = new Set(steps.flatMap((s) => s.locks.map((l) => l.stepId)));
      return steps.flatMap((step): OrderLock[] => {
        // what leaves the wood as it is, or stands at its beginning, is behind whoever has done the rest
        if (stepDoes(step, 'saw', 'mark', 'hold')) return [];
        const minutes = handledAfter(step);
        if (minutes > 0) return [{ stepId: step.id, reason: `${step.wait?.what ?? 'it cures'}.`, minutes }];
        return needed.has(step.id)
          ? []
          : [{ stepId: step.id, reason: `the ${name.toLowerCase()} must be whole.` }];
      });
    });
}

const handledAfter = ({ operation }: Step): number =>
  Math.max(0, ...(operation?.effects ?? []).map((e) => (e.do === 'wait' ? (e.wait.minutes.handle ?? 0) : 0)));
