import type { PlanInputs } from './inputs.js';
import { ENGINE, plan, type Plan } from './plan.js';

/** A plan as it is kept: what went in, what came out, and by which rules. Never recomputed silently. */
export interface PlanSnapshot {
  /** 1 has steps without what they do to the wood: they are read and run as they are, and show no wood; 2 is read as 3 */
  schema: 1 | 3;
  engine: string;
  inputs: PlanInputs;
  plan: Plan;
}

/** Makes the snapshot of a plan from its inputs. */
export const snapshotOf = (inputs: PlanInputs): PlanSnapshot => ({
  schema: 3,
  engine: ENGINE,
  inputs,
  plan: plan(inputs.pattern, inputs.workshop, inputs.stock, inputs.order, inputs.schools),
});
