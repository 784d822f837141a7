export { localTime, wallMinutes } from './workingTime.js';
export { type Schedule, scheduleBatch } from './schedule.js';
export type { RunEvent, RunEventBody, RunEventKind } from './event.js';
export {
  type BatchProgress,
  type Hold,
  holdsOn,
  type OrderedStep,
  type PieceProgress,
  progressOf,
  type Reading,
  timerKey,
} from './progress.js';
export {
  nextAction,
  type NextAction,
  nextOf,
  type PieceSummary,
  SUMMARY_RULE,
  summaryOf,
} from './pieceSummary.js';
export { restOfRun } from './restOfRun.js';
export { blankOf, piecesInBlank, stepsOfPiece } from './sharedBlank.js';
export { contradictions } from './contradictions.js';
