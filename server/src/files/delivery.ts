import { Injectable } from '@nestjs/common';
import {
  careFor,
  carrierOf,
  progressOf,
  restedAt,
  stepsOfPiece,
  stepsOfPlan,
  type DeliveredLine,
  type PlanSnapshot,
} from '@compas/core';
import { BatchService } from '../batch/batch.service.js';
import { EventStore } from '../batch/eventStore.js';
import type { OrderLineView, OrderView } from '../order/order.dto.js';

/** What a delivery sheet says of each line of an order: what it is made of, how it is looked after, what still cures. */
@Injectable()
export class Delivery {
  constructor(
    private readonly batches: BatchService,
    private readonly events: EventStore,
  ) {}

  /** @param clock an instant (ms) in words, on the workshop's clock */
  linesOf({ lines }: OrderView, now: number, clock: (at: number) => string): Promise<DeliveredLine[]> {
    return Promise.all(lines.map((line) => this.lineOf(line, now, clock)));
  }

  private async lineOf(
    line: OrderLineView,
    now: number,
    clock: (at: number) => string,
  ): Promise<DeliveredLine> {
    const given = line.ready.length > 0 ? line.ready : line.given;
    const { pieces: wanted, coming, stopped, short, batchId } = line;
    const bare = { what: line.patternName, wanted, given, coming, stopped, short };
    if (batchId === null) return { ...bare, madeOf: [], care: '', restsUntil: null };
    const { planVersion, lots } = await this.batches.view(batchId);
    const { plan, inputs } = await this.batches.snapshot(batchId, planVersion);
    const steps = stepsOfPlan(plan);
    const { pieces } = progressOf(lots, await this.events.of(batchId), steps);
    const carrier = carrierOf(lots, steps);
    const rests = pieces
      .filter((p) => p.partId === carrier && given.includes(p.n))
      .flatMap((p) => restedAt(p, stepsOfPiece(steps, p), cureOf(plan, p.partId)) ?? []);
    const last = Math.max(0, ...rests);
    return {
      ...bare,
      madeOf: plan.parts.map((part) => madeOf(inputs, part)),
      care: [...new Set(plan.parts.map((part) => careFor(finishOf(inputs, part.partId)?.kind ?? null)))].join(
        ' ',
      ),
      restsUntil: last > now ? clock(last) : null,
    };
  }
}

/** How long the finish of a part cures after its last coat, minutes. */
const cureOf = ({ parts }: PlanSnapshot['plan'], partId: string): number =>
  parts.find((p) => p.partId === partId)?.finish?.cureMinutes ?? 0;

/** The finish that was chosen for a part. */
const finishOf = ({ order, workshop }: PlanSnapshot['inputs'], partId: string) => {
  const { finishId } = order.others?.find((o) => o.partId === partId) ?? order;
  return workshop.finishes.find((f) => f.id === finishId);
};

/** “body in maple, friction polish” */
const madeOf = (
  inputs: PlanSnapshot['inputs'],
  { partId, name, material }: PlanSnapshot['plan']['parts'][number],
): string =>
  `${name} in ${material.name.toLowerCase()}, ${finishOf(inputs, partId)?.name.toLowerCase() ?? 'no finish'}`;
