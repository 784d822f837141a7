export type { Kit, KitKind, NewKit } from './kit.js';
export {
  freshKit,
  KIT_KIND_LIST,
  KIT_KINDS,
  kitFit,
  type KitLength,
  kitProblems,
  type KitWord,
} from './kitKinds.js';
export { FITTING_WAYS, type FittingWay, type KitWay, kitWays, wayOf } from './fittingWay.js';
export { type KitBand, kitBands } from './kitBands.js';
export { type Thread, threadOf } from './thread.js';
export { bodyOnKit, givenByKit, kitsByUse } from './formKits.js';
export { kitNeeds } from './kitNeeds.js';
export { bitWords, pickBit } from './pickBit.js';
export { driftWords, type DrillChoice, MOMENT_WORDS, SETUP_WORDS, setupsAt } from './drillWay.js';
export { bitChanges } from './bitSequence.js';
export { deepest, type DrillPlan, type DrillSite, planDrilling, wholeHole } from './drilling.js';
export { type CrossOperation, planCrossDrilling } from './crossDrilling.js';
export { type BoredHole, type DrillOperation, pecks } from './bitWork.js';
export { matingFindings } from './mating.js';
export type { KitNeeds, MatingFace } from './needs/needs.js';
