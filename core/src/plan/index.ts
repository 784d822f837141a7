export type { DryingWood, PlanInputs, PlanOrder, Stock } from './inputs.js';
export type { PartPlan, PlannedHardware } from './partPlan.js';
export { chosenSchedule, nextWholeHour, plan, schedulesOf, type Plan } from './plan.js';
export { type PlanSnapshot, snapshotOf } from './snapshot.js';
export { planDifference } from './planDifference.js';
export { type NextStep, type PlanSummary, planSummaryOf, type StepLine } from './planSummary.js';
export { dryingWood } from './wood.js';
export { clipsCorners } from './clipsCorners.js';
export { stageSpeeds } from './stageSpeeds.js';
