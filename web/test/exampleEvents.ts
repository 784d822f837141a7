import type { RunEvent } from '@compas/core';
import { randomId } from '../src/api/randomId.js';

/** A step that was done, as a tablet keeps it, by its count. */
export const doneEvent = (sequence: number): RunEvent => ({
  id: randomId(),
  piece: 1,
  at: new Date(sequence * 1000).toISOString(),
  device: 'tablet',
  sequence,
  planVersion: 1,
  body: { kind: 'done', stepId: 'saw' },
});
