import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  chosenSchedule,
  clipsCorners,
  nextAction,
  progressOf,
  snapshotOf,
  type PlanInputs,
  type PlanOrder,
  type PlanSnapshot,
} from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { DryingService } from '../drying/drying.service.js';
import { KitService } from '../hardware/kit.service.js';
import { PatternService } from '../pattern/pattern.service.js';
import { WorkshopService } from '../workshop/workshop.service.js';
import type {
  BatchDetailView,
  BatchSummaryView,
  BatchView,
  NewBatchDto,
  PlanChoicesDto,
} from './batch.dto.js';
import { BatchEntity } from './batch.entity.js';
import { EventStore } from './eventStore.js';
import { OrderEntity, OrderLineEntity } from './order.entity.js';
import { PlanVersionEntity } from './planVersion.entity.js';

const VIEW = `
SELECT b.id, b.name, o.customer, to_char(o.due, 'YYYY-MM-DD') AS due, b.pattern_id AS "patternId", p.name AS "patternName", b.revision,
  b.pieces, b.plan_version AS "planVersion", b.put_away_at IS NOT NULL AS "putAway"
FROM batches b JOIN orders o ON o.workshop_id = b.workshop_id AND o.id = b.order_id
JOIN patterns p ON p.workshop_id = b.workshop_id AND p.id = b.pattern_id`;

const CHOICES = [
  'pieces',
  'partId',
  'woodId',
  'start',
  'due',
  'materialId',
  'finishId',
  'perBlank',
  'mount',
  'fitting',
  'drilling',
  'stockForm',
  'datum',
] as const satisfies readonly (keyof PlanChoicesDto)[];

/** The choices that were made; what was left out stays out of the snapshot. */
const orderOf = (dto: PlanChoicesDto): PlanOrder =>
  Object.fromEntries(
    CHOICES.flatMap((key) => (dto[key] === undefined ? [] : [[key, dto[key]]])),
  ) as unknown as PlanOrder;

/** Orders and their batches, each with the plan it was made by. */
@Injectable()
export class BatchService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly patterns: PatternService,
    private readonly workshop: WorkshopService,
    private readonly kits: KitService,
    private readonly drying: DryingService,
    private readonly events: EventStore,
  ) {}

  async list(now: number): Promise<BatchSummaryView[]> {
    const views = await this.transaction.manager.query<BatchView[]>(
      `${VIEW} ORDER BY b.put_away_at NULLS FIRST, o.due NULLS LAST, b.created_at`,
    );
    const summaries: BatchSummaryView[] = [];
    for (const view of views) summaries.push(await this.summary(view, now));
    return summaries;
  }

  async show(id: string): Promise<BatchDetailView> {
    const view = await this.view(id);
    return {
      ...view,
      snapshot: await this.snapshot(id, view.planVersion),
      events: await this.events.of(id),
      setAside: await this.events.asideOf(id),
    };
  }

  async snapshot(batchId: string, version: number): Promise<PlanSnapshot> {
    const plan = await this.transaction.manager.findOneBy(PlanVersionEntity, { batchId, version });
    if (!plan) throw Problem.notFound('plan');
    return plan.snapshot;
  }

  async create(dto: NewBatchDto): Promise<BatchDetailView> {
    const { workshopId } = this.transaction.acting;
    const { manager } = this.transaction;
    const snapshot = await this.plan(dto.patternId, dto.revision, dto);
    const id = randomUUID();
    const orderId = randomUUID();
    const { patternId, revision } = dto;
    const { pieces } = snapshot.plan.parts[0];
    await manager.insert(OrderEntity, { workshopId, id: orderId, customer: dto.customer, due: dto.due });
    await manager.insert(OrderLineEntity, {
      workshopId,
      orderId,
      number: 1,
      patternId,
      revision,
      pieces: dto.pieces,
    });
    await manager.insert(BatchEntity, {
      workshopId,
      id,
      orderId,
      patternId,
      revision,
      name: dto.name,
      pieces,
      planVersion: 1,
      putAwayAt: null,
    });
    await manager.insert(PlanVersionEntity, { workshopId, batchId: id, version: 1, snapshot });
    await manager.query(
      'INSERT INTO pieces (workshop_id, batch_id, number) SELECT $1, $2, generate_series(1, $3::int)',
      [workshopId, id, pieces],
    );
    return this.show(id);
  }

  /** Plans the same batch anew with what the workshop owns now; the version before stays. */
  async replan(id: string, choices: PlanChoicesDto): Promise<BatchDetailView> {
    const view = await this.view(id);
    const snapshot = await this.plan(view.patternId, view.revision, choices);
    if (snapshot.plan.parts[0].pieces !== view.pieces)
      throw Problem.unusable([
        {
          field: 'pieces',
          why: `This batch has ${view.pieces} pieces. For another number make another batch.`,
        },
      ]);
    const { workshopId } = this.transaction.acting;
    const version = view.planVersion + 1;
    await this.transaction.manager.insert(PlanVersionEntity, { workshopId, batchId: id, version, snapshot });
    await this.transaction.manager.update(BatchEntity, { workshopId, id }, { planVersion: version });
    return this.show(id);
  }

  async putAway(id: string, putAway: boolean): Promise<void> {
    await this.view(id);
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.update(
      BatchEntity,
      { workshopId, id },
      { putAwayAt: putAway ? new Date() : null },
    );
  }

  async view(id: string): Promise<BatchView> {
    const [view] = await this.transaction.manager.query<BatchView[]>(`${VIEW} WHERE b.id = $1`, [id]);
    if (!view) throw Problem.notFound('batch');
    return view;
  }

  private async plan(patternId: string, revision: number, dto: PlanChoicesDto): Promise<PlanSnapshot> {
    const { body: pattern } = await this.patterns.revision(patternId, revision);
    const { body: workshop } = await this.workshop.show();
    const { partId, woodId } = dto;
    if (partId !== undefined && !pattern.parts.some((p) => p.id === partId))
      throw Problem.unusable([
        {
          field: 'partId',
          why: `The pattern has no part “${partId}”. Choose one of ${pattern.parts.map((p) => p.id).join(', ')}.`,
        },
      ]);
    const inputs: PlanInputs = {
      pattern,
      workshop,
      stock: {
        kits: await this.kits.list(),
        ...(woodId === undefined
          ? {}
          : { drying: (await this.drying.woods()).filter((w) => w.id === woodId) }),
      },
      order: orderOf(dto),
      schools: { ...dto.schools },
    };
    return snapshotOf(inputs);
  }

  private async summary(view: BatchView, now: number): Promise<BatchSummaryView> {
    const { plan } = await this.snapshot(view.id, view.planVersion);
    const [part] = plan.parts;
    const { steps } = part;
    const progress = progressOf(view.pieces, await this.events.of(view.id));
    return {
      ...view,
      next: nextAction(steps, progress, plan.schools.batching, now),
      stepsDone: progress.pieces.reduce((sum, p) => sum + p.done.size, 0),
      stepsInAll: progress.pieces.reduce((sum, p) => sum + (p.rejected ? p.done.size : steps.length), 0),
      rejected: progress.pieces.filter((p) => p.rejected !== null).length,
      plannedEnd: chosenSchedule(plan).end,
      materialId: plan.order.materialId,
      blank: part.blank,
      octagon: clipsCorners(part.pieces, part.outline),
    };
  }
}
