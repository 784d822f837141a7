export { localTime, wallMinutes } from './workingTime.js';
export { type Schedule, scheduleBatch } from './schedule.js';
export { deviceName, type MendStep, type RunEvent, type RunEventBody, type RunEventKind } from './event.js';
export { type DeviceClock, reckonedAt, type SendingClock } from './clock.js';
export { inRecordedOrder } from './inRecordedOrder.js';
export { withMends } from './mends.js';
export { type BatchProgress, type Begun, progressOf, timerKey } from './progress.js';
export { type Hold, holdsOn, type OrderedStep } from './holds.js';
export { type Apart, apartFindings, type Reading, readingsApart } from './readings.js';
export { begunElsewhere, inOtherHands } from './hands.js';
export {
  nextAction,
  type NextAction,
  nextOf,
  type PieceSummary,
  SUMMARY_RULE,
  summaryOf,
} from './pieceSummary.js';
export { restOfRun } from './restOfRun.js';
export type { PieceProgress } from './pieceProgress.js';
export { failedIn } from './failing.js';
export { freePieces } from './joining.js';
export {
  type BatchPiece,
  batchPieces,
  blanksBegun,
  concerns,
  type Lot,
  lotsOf,
  pieceLabel,
  plannedLots,
  piecesIn,
  piecesInBlank,
  stepsOfPiece,
  withSpares,
} from './lots.js';
export { contradictions } from './contradictions.js';
export {
  carrierOf,
  countWords,
  type ItemsMade,
  itemsMade,
  type LineStand,
  restedAt,
  sharedOut,
} from './delivery.js';
