import type { NextAction, OrderedStep } from '../batch/index.js';
import type { BatchingSchool, Stage } from '../measure/index.js';
import type { Blank } from '../stock/index.js';
import { chosenSchedule, type Plan } from './plan.js';
import { clipsCorners } from './clipsCorners.js';

/** A step as lists and the summing up of pieces need it. */
export interface StepLine extends OrderedStep {
  stage: Stage;
}

/** What lists show of a plan without reading it. */
export interface PlanSummary {
  steps: StepLine[];
  school: BatchingSchool;
  /** on the workshop's clock */
  plannedEnd: string;
  materialId: string;
  blank: Blank;
  /** corners are clipped to an octagon */
  octagon: boolean;
}

export function planSummaryOf(plan: Plan): PlanSummary {
  const [part] = plan.parts;
  return {
    steps: part.steps.map(({ id, title, stage, locks, wait, run, prepares, share }) => ({
      id,
      title,
      stage,
      locks,
      wait,
      ...(run === undefined ? {} : { run }),
      ...(prepares === true ? { prepares } : {}),
      ...(share === undefined ? {} : { share }),
    })),
    school: plan.schools.batching,
    plannedEnd: chosenSchedule(plan).end,
    materialId: plan.order.materialId,
    blank: part.blank,
    octagon: clipsCorners(part.pieces, part.outline, plan.order.stockForm),
  };
}

/** What comes next on a batch, as lists show it. */
export type NextStep = NextAction<StepLine>;
