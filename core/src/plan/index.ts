export type { DryingWood, OtherPart, PartChoices, PlanInputs, PlanOrder, Stock } from './inputs.js';
export type { PartPlan, PlannedHardware } from './partPlan.js';
export { type ItemJoin, type WholeItem } from './wholeItem.js';
export { inputsOfPart, orderOfPart, orderWithWays, partsOrdered } from './partOrder.js';
export {
  chosenSchedule,
  nextWholeHour,
  plan,
  planOfPart,
  schedulesOf,
  stepsOfPlan,
  type Plan,
} from './plan.js';
export { type Alternative, alternatives, type Otherwise, otherwise, type Outcome } from './alternatives.js';
export { type PlanSnapshot, snapshotOf } from './snapshot.js';
export { readSnapshot, type StoredSnapshot } from './stored/readSnapshot.js';
export { type CarriedOver, carriedOver } from './carriedOver.js';
export { planDifference } from './planDifference.js';
export { type OffSize, spoilt, type Spoilt } from './spoilt.js';
export {
  type NextStep,
  type BatchPart,
  type PartLine,
  type PlanSummary,
  planSummaryOf,
  type StepLine,
} from './planSummary.js';
export { type NeededThing, thingsNeeded } from './thingsNeeded.js';
export { dryingWood } from './wood.js';
export { clipsCorners } from './clipsCorners.js';
export { truedAcross } from './truedAcross.js';
export { type FollowedWay, type ScopedWay, WAY_SCOPES, type WayScope } from './ownWays.js';
export { usualChoices, type UsualChoices } from './usualChoices.js';
export { decisionWords, hasUsual } from './homeless.js';
export { stageSpeeds } from './stageSpeeds.js';
