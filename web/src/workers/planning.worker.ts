import { plan, planDifference, type Plan, type PlanInputs } from '@compas/core';
import { expose } from 'comlink';

const planning = {
  plan: ({ pattern, workshop, stock, order, schools }: PlanInputs): Plan =>
    plan(pattern, workshop, stock, order, schools),

  /** What each kept plan would do otherwise if it were made now. */
  differences: (kept: { plan: Plan; now: PlanInputs }[]): string[][] =>
    kept.map(({ plan: before, now }) => planDifference(before, planning.plan(now))),
};

export type Planning = typeof planning;

expose(planning);
