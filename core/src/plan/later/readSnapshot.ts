import type { Step } from '../../route/index.js';
import type { PlanInputs } from '../inputs.js';
import type { PartPlan } from '../part/partPlan.js';
import type { Plan } from '../plan.js';
import type { PlanSnapshot } from '../snapshot.js';
import { figureOfStored } from './storedFigure.js';
import { operationOfStored, type StoredOperation } from './storedOperation.js';

/** A step of schema 2: its operation is told as it was then. */
type StoredStep = Omit<Step, 'operation'> & { operation?: StoredOperation };
type StoredPart = Omit<PartPlan, 'steps'> & { steps: StoredStep[] };

/** A plan as a batch stored it, by whatever schema stood then. */
export type StoredSnapshot =
  | PlanSnapshot
  | {
      schema: 2;
      engine: string;
      inputs: PlanInputs;
      plan: Omit<Plan, 'parts' | 'item'> & {
        parts: [StoredPart, ...StoredPart[]];
        item?: Omit<NonNullable<Plan['item']>, 'steps'> & { steps: StoredStep[] };
      };
    };

/**
 * The one place where plans of before are read: words, figures and speeds stay as they were shown then. One without
 * routes stays as it is; nothing is planned anew.
 */
export function readSnapshot(stored: StoredSnapshot): PlanSnapshot {
  if (stored.schema !== 2) return stored;
  const { plan } = stored;
  const [first, ...others] = plan.parts;
  const { item, parts: _, ...same } = plan;
  return {
    ...stored,
    schema: 3,
    plan: {
      ...same,
      parts: [partOfStored(first), ...others.map(partOfStored)],
      ...(item ? { item: { ...item, steps: item.steps.map((s) => stepOfStored(s, null)) } } : {}),
    },
  };
}

function partOfStored(stored: StoredPart): PartPlan {
  const part: PartPlan = { ...stored, steps: [] };
  return { ...part, steps: stored.steps.map((s) => stepOfStored(s, part)) };
}

function stepOfStored({ operation, ...step }: StoredStep, part: PartPlan | null): Step {
  if (!operation) return step;
  const figure = operation.figure ?? (part ? figureOfStored(operation, step.words, part) : undefined);
  return { ...step, operation: { ...operationOfStored(operation), ...(figure ? { figure } : {}) } };
}
