export type { Station } from './station.js';
export { judge, signed } from './judge.js';
export {
  type InspectedPiece,
  inspectTwins,
  type StationSpread,
  twinsFindings,
  type TwinsVerdict,
} from './twins.js';
export { finishedReadings } from './finishedReadings.js';
export { ballSet, type BallSet } from './ballSet.js';
