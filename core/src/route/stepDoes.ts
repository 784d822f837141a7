import type { Does } from './kinds/kindRow.js';
import { doesOf } from './kinds/operationKinds.js';
import type { Step } from './step.js';

/** Whether a step does one of these; one of a plan without a route does nothing that is known. */
export const stepDoes = ({ operation }: Pick<Step, 'operation'>, ...what: Does[]): boolean =>
  operation !== undefined && what.includes(doesOf(operation.kind));
