import type { NextAction, OrderedStep } from '../../batch/index.js';
import type { BatchingSchool, Stage } from '../../measure/index.js';
import type { Blank } from '../../stock/index.js';
import { chosenSchedule, stepsOfPlan, type Plan } from '../plan.js';
import { clipsCorners } from '../part/clipsCorners.js';

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
  parts: PartLine[];
}

/** What of a part lists need: what it is called, and what is cut for it. */
export interface PartLine {
  partId: string;
  name: string;
  materialId: string;
  blank: Blank;
  /** corners are clipped to an octagon */
  octagon: boolean;
}

/** A part of a batch that is under way. */
export interface BatchPart extends PartLine {
  /** blanks on which something is done: they need not be cut any more */
  begun: number;
}

export function planSummaryOf(plan: Plan): PlanSummary {
  return {
    steps: stepsOfPlan(plan).map(
      ({ id, partId, title, stage, locks, wait, run, prepares, share, takes, checks }) => ({
        id,
        partId,
        title,
        stage,
        locks,
        wait,
        ...(run === undefined ? {} : { run }),
        ...(prepares === true ? { prepares } : {}),
        ...(share === undefined ? {} : { share }),
        ...(takes === undefined ? {} : { takes }),
        ...(checks === undefined ? {} : { checks }),
      }),
    ),
    school: plan.schools.batching,
    plannedEnd: chosenSchedule(plan).end,
    parts: plan.parts.map(({ partId, name, material, blank, outline, pieces, clipped }) => ({
      partId,
      name,
      materialId: material.id,
      blank,
      octagon: clipped ?? clipsCorners(pieces, outline, plan.order.stockForm),
    })),
  };
}

/** What comes next on a batch, as lists show it. */
export type NextStep = NextAction<StepLine>;
