import { BORING } from './boring.js';
import { CUTTING } from './cutting.js';
import { HOLDING } from './holding.js';
import { JOINING } from './joining.js';
import type { KindRow } from './kindRow.js';
import { LOOKING } from './looking.js';
import { MARKING } from './marking.js';
import { PARTING } from './parting.js';
import { SAWING } from './sawing.js';
import { TREATING } from './treating.js';

/** Every kind of operation, one row for what a turner calls by one name. */
const KINDS = {
  ...SAWING,
  ...MARKING,
  ...BORING,
  ...HOLDING,
  ...CUTTING,
  ...TREATING,
  ...JOINING,
  ...LOOKING,
  ...PARTING,
};

export type OperationKind = keyof typeof KINDS;

/** What is known of a kind. */
export const kindRow = (kind: OperationKind): KindRow => KINDS[kind];

/** What a decision and an id call a kind. */
export const doesOf = (kind: OperationKind): KindRow['does'] => KINDS[kind].does;
