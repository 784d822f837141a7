import { randomUUID } from 'node:crypto';
import { lotsOf, snapshotOf, type PlanInputs, type RunEvent, type RunEventBody } from '@compas/core';
import { exampleInputs } from '../../core/src/plan/exampleShop.js';
import type { BatchDetail } from '../src/api/batch.js';

/** A batch of three stoppers as the server gives it, with what was recorded on it. */
export function exampleBatch(
  events: RunEvent[] = [],
  change: (inputs: PlanInputs) => void = () => undefined,
): BatchDetail {
  const inputs = exampleInputs(3);
  change(inputs);
  const snapshot = snapshotOf(inputs);
  return {
    id: '11111111-1111-4111-8111-111111111111',
    name: '3 × Stopper',
    customer: 'The inn',
    due: null,
    patternId: '22222222-2222-4222-8222-222222222222',
    patternName: 'Stopper',
    revision: 1,
    pieces: 3,
    lots: lotsOf(snapshot.plan.parts),
    planVersion: 1,
    putAway: false,
    planHash: 'a1',
    lastEvent: events.length,
    setAside: [],
    snapshot,
    events,
  };
}

let sequence = 0;

/** An event as a tablet records it, each later than the one before. */
export const recorded = (piece: number, body: RunEventBody, rest: Partial<RunEvent> = {}): RunEvent => ({
  id: randomUUID(),
  piece,
  at: new Date(Date.UTC(2026, 2, 2, 8, 0, ++sequence)).toISOString(),
  device: 'tablet',
  sequence,
  planVersion: 1,
  body,
  ...rest,
});

/** What the stand-in server answers about a batch. */
export const answersOf = ({ snapshot, events, ...head }: BatchDetail) => ({
  [`GET /api/batches/${head.id}`]: () => ({ body: head }),
  [`GET /api/batches/${head.id}/events`]: () => ({ body: { events, last: events.length, more: false } }),
  [`GET /api/snapshots/${head.planHash}`]: () => ({ body: { snapshot } }),
});
