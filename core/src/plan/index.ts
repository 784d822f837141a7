export * from './inputs.js';
export * from './partPlan.js';
export * from './plan.js';
export * from './snapshot.js';
export * from './planDifference.js';
export * from './planSummary.js';
export { dryingWood } from './wood.js';
export { clipsCorners } from './prepareSteps.js';
export { stageSpeeds } from './stageSpeeds.js';
