export type { DryingWood, OtherPart, PartChoices, PlanInputs, PlanOrder, Stock } from './inputs.js';
export type { PartPlan, PlannedHardware } from './part/partPlan.js';
export { type ItemJoin, type WholeItem } from './item/wholeItem.js';
export { inputsOfPart, orderOfPart, orderWithWays, partsOrdered } from './part/partOrder.js';
export {
  chosenSchedule,
  nextWholeHour,
  plan,
  planOfPart,
  schedulesOf,
  stepsOfPlan,
  type Plan,
} from './plan.js';
export {
  type Alternative,
  alternatives,
  type Otherwise,
  otherwise,
  type Outcome,
} from './later/alternatives.js';
export { type PlanSnapshot, snapshotOf } from './snapshot.js';
export { readSnapshot, type StoredSnapshot } from './later/readSnapshot.js';
export { type CarriedOver, carriedOver } from './later/carriedOver.js';
export { planDifference } from './later/planDifference.js';
export { type OffSize, spoilt, type Spoilt } from './later/spoilt.js';
export {
  type NextStep,
  type BatchPart,
  type PartLine,
  type PlanSummary,
  planSummaryOf,
  type StepLine,
} from './later/planSummary.js';
export { type NeededThing, thingsNeeded } from './part/thingsNeeded.js';
export { dryingWood } from './part/wood.js';
export { clipsCorners } from './part/clipsCorners.js';
export { truedAcross } from './part/truedAcross.js';
export { type FollowedWay, type ScopedWay, WAY_SCOPES, type WayScope } from './ways/ownWays.js';
export { usualChoices, type UsualChoices } from './ways/usualChoices.js';
export { decisionWords, hasUsual } from './ways/homeless.js';
export { stageSpeeds } from './part/stageSpeeds.js';
