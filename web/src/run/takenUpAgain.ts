import type { PieceProgress, RunEventBody } from '@compas/core';

/**
 * Steps that were called done are open again, the last first, and the first of them is in hand at this tablet: another one
 * would take the piece up under the hands of whoever has just taken that back.
 */
export function takenUpAgain(piece: PieceProgress | undefined, stepIds: readonly string[]): RunEventBody[] {
  return [
    ...stepIds.toReversed().map((id) => reopening(piece, id)),
    ...stepIds.slice(0, 1).map((stepId): RunEventBody => ({ kind: 'started', stepId })),
  ];
}

/** That a step of a piece is not done yet, whatever the clocks of other tablets say: it names the event that had said so. */
function reopening(piece: PieceProgress | undefined, stepId: string): RunEventBody {
  const eventId = piece?.doneBy.get(stepId);
  return { kind: 'reopened', stepId, ...(eventId === undefined ? {} : { eventId }) };
}
