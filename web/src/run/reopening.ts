import type { PieceProgress, RunEventBody } from '@compas/core';

/** That a step of a piece is not done yet, whatever the clocks of other tablets say: it names the event that had said so. */
export function reopening(piece: PieceProgress | undefined, stepId: string): RunEventBody {
  const eventId = piece?.doneBy.get(stepId);
  return { kind: 'reopened', stepId, ...(eventId === undefined ? {} : { eventId }) };
}
