export { MOUNT_KINDS, type Mount, type MountKind, type MountWish } from './mount.js';
export * from './proposeMounts.js';
export * from './mountFindings.js';
export { mountFigures } from './mountFigures.js';
export { lengthOf, spacersFor, type StackItem } from './stack.js';
export { offAxis, sweeps, type Sweep } from './swing.js';
export { TAPE_SAFETY, tapeHold, type TapeHold } from './tapeHold.js';
export * from './centring.js';
