import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  carriedOver,
  progressOf,
  readSnapshot,
  stepsOfPlan,
  type PlanSnapshot,
  type RunEvent,
} from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import type { BatchEntity } from './batch.entity.js';
import { EventStore } from './eventStore.js';
import { PlanVersionEntity } from './planVersion.entity.js';

/** Steps that are done by their name and whose work the wood no longer shows, and when they are opened again. */
interface DoneAnew {
  steps: { piece: number; stepId: string }[];
  /** later than all that was recorded, whatever the clock of a tablet said */
  at: string;
}

/** Pieces that were begun by one version of a plan and go on by the next. */
@Injectable()
export class PiecesUnderWay {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly events: EventStore,
  ) {}

  /** What of a batch has to be done again by a plan made anew. The caller holds the lock of the batch's row. */
  async doneAnew(
    { id, planVersion, lots, workshopId }: BatchEntity,
    { plan, inputs }: PlanSnapshot,
  ): Promise<DoneAnew> {
    const before = await this.transaction.manager.findOneByOrFail(PlanVersionEntity, {
      workshopId,
      batchId: id,
      version: planVersion,
    });
    const steps = stepsOfPlan(readSnapshot(before.snapshot).plan);
    const events = await this.events.of(id);
    const { pieces } = progressOf(lots, events, steps);
    const found = plan.parts.flatMap((after) => {
      const part = inputs.pattern.parts.find((p) => p.id === after.partId) ?? inputs.pattern.parts[0];
      const own = steps.filter((s) => s.partId === after.partId && s.item !== true);
      return carriedOver(
        own,
        after,
        part,
        pieces.filter((p) => p.partId === after.partId),
      );
    });
    const last = Math.max(Date.now(), ...events.map((e) => Date.parse(e.at) + 1));
    return {
      steps: found.flatMap(({ piece, again }) => again.map((step) => ({ piece, stepId: step.id }))),
      at: new Date(last).toISOString(),
    };
  }

  /** Opens them again, as events of the new version like any other. */
  async reopen(batchId: string, planVersion: number, { steps, at }: DoneAnew): Promise<void> {
    if (steps.length === 0) return;
    const events = steps.map(({ piece, stepId }, i): RunEvent => ({
      id: randomUUID(),
      piece,
      at,
      device: `planned anew, version ${planVersion}`,
      sequence: i + 1,
      planVersion,
      body: { kind: 'reopened', stepId },
    }));
    await this.events.appendOwn(batchId, events);
  }
}
