import {
  STARTING_FORMS,
  stepsOfPiece,
  stepsOfPlan,
  batchPieces,
  type MountKind,
  type RunEvent,
} from '@compas/core';
import type { BatchDetail } from '../src/api/batch.js';
import { exampleBatch, recorded } from './exampleBatch.js';

/** A batch of so many whole tops, stem and body, with what was recorded on it; how the body is held may be said. */
export const exampleTops = (
  count: number,
  events: RunEvent[] = [],
  mount: MountKind | null = null,
): BatchDetail =>
  exampleBatch(events, (inputs) => {
    inputs.pattern = {
      ...STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'maple'),
      checks: [
        {
          id: 'spins',
          kind: 'function',
          words: 'Spins on a plate',
          stage: 'assemble',
          unit: 's',
          least: 20,
        },
      ],
    };
    const { pieces: _, start: _start, due: _due, ...choices } = inputs.order;
    inputs.order = { ...inputs.order, pieces: count, others: [{ ...choices, mount, partId: 'part2' }] };
    inputs.workshop.fixtures = [
      { id: 'collet', name: 'Collet 10', kind: 'collet', diameter: 10, length: 42 },
    ];
  });

/** All that is done to a piece before it is joined. */
export function madeWhole({ snapshot: { plan }, lots }: BatchDetail, piece: number): RunEvent[] {
  const steps = stepsOfPlan(plan);
  const own = batchPieces(lots, steps)[piece - 1]!;
  return stepsOfPiece(steps, own)
    .filter((s) => s.item !== true)
    .map((s) => recorded(piece, { kind: 'done', stepId: s.id }));
}
