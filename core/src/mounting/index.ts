export {
  heldHow,
  HOLDS_ALONE,
  type Mount,
  MOUNT_KINDS,
  type MountKind,
  STUB,
  leastRound,
  drivingCentre,
  SLIPPING,
  BITING,
  type StandingShaft,
} from './mount.js';
export { DRILL_CHUCK, type Entry } from './lack.js';
export { proposeMounts, SENSIBLE_WAYS } from './proposeMounts.js';
export { type HeldWork, mountFindings } from './mountFindings.js';
export { mountFigures } from './mountFigures.js';
export { lengthOf } from './stack.js';
export { sweepOf, sweeps } from './swing.js';
export { type Centring, centringOf, STOCK_FORMS, type StockForm } from './centring.js';
