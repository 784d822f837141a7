export { appliedAll } from './apply.js';
export { covers } from './covers.js';
export { coversItem } from './coversItem.js';
export { type Face, facesOf, type Surface } from './faces.js';
export {
  type Along,
  atWords,
  figureLabel,
  fromOf,
  fromWords,
  type OperationFigure,
  type SmallFigure,
} from './figure.js';
export { qualified, withoutPart } from './qualified.js';
export { joinItem } from './usual/joinItem.js';
export { type JoinToMake } from './usual/joinToMake.js';
export type { Does, WorkKind } from './kinds/kindRow.js';
export { doesOf, kindRow, type OperationKind } from './kinds/operationKinds.js';
export type { Effect } from './effect.js';
export type { Lengths, Operation, Route } from './operation.js';
export { play, type Played } from './play.js';
export { routeText } from './routeText.js';
export { type Decided, type DecidedSteps, decidedSteps } from './decided.js';
export { type OrderLock, type SetupState, setupKey, type Step, type Wait } from './step.js';
export { besideInBlank, shopBefore, type StandingWood, standingBefore, stepsWithTaken } from './standing.js';
export { restOf } from './rest.js';
export { stepDoes } from './stepDoes.js';
export { runsOf, type StepRun } from './runs.js';
export { stepsOf } from './steps.js';
export { NoWay } from './usual/noWay.js';
export { usualRoute } from './usual/usualRoute.js';
export { type CoatOn, type FitIn, goalOf, goalsOf, type Work } from './usual/work.js';
export { EMPTY_SHOP, type Shop, type Wood } from './shop.js';
