import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  batchPieces,
  blanksBegun,
  lotsOf,
  nextOf,
  piecesIn,
  plannedLots,
  readSnapshot,
  stepsOfPiece,
  type BatchPiece,
  type Lot,
  type PieceSummary,
  type PlanInputs,
  type PlanOrder,
  type PlanSnapshot,
  type PlanSummary,
  type StoredSnapshot,
  type StepLine,
} from '@compas/core';
import { isUUID } from 'class-validator';
import { Computing } from '../compute/computing.js';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { DryingService } from '../drying/drying.service.js';
import { KitService } from '../hardware/kit.service.js';
import { PatternService } from '../pattern/pattern.service.js';
import { WorkshopService } from '../workshop/workshop.service.js';
import type {
  BatchDetailView,
  BatchPageDto,
  BatchPageView,
  BatchView,
  MadeView,
  NewBatchDto,
  PlanChoicesDto,
  ReplanDto,
} from './batch.dto.js';
import { BatchEntity } from './batch.entity.js';
import { DraftService } from './draft.service.js';
import { EventStore } from './eventStore.js';
import { Notices } from './notices.js';
import { OrderLines } from './orderLines.js';
import { PieceSummaries } from './pieceSummaries.js';
import { keptPlan } from './refill.js';
import { PiecesUnderWay } from './piecesUnderWay.js';
import { PlanVersionEntity } from './planVersion.entity.js';
import { refuseTooMany, refuseUnknownParts, refuseUnmade, refuseUnreasoned } from './refusals.js';

const COLUMNS = `b.id, b.name, coalesce(o.customer, 'stock') AS customer, to_char(o.due, 'YYYY-MM-DD') AS due, b.pattern_id AS "patternId", p.name AS "patternName", b.revision,
  b.pieces, b.lots, b.plan_version AS "planVersion", b.put_away_at IS NOT NULL AS "putAway"`;
const JOINED = `
FROM batches b LEFT JOIN LATERAL (
  SELECT string_agg(DISTINCT o.customer, ', ') AS customer, min(o.due) AS due
  FROM order_lines l JOIN orders o ON o.workshop_id = l.workshop_id AND o.id = l.order_id
  WHERE l.workshop_id = b.workshop_id AND l.batch_id = b.id
) o ON true
JOIN patterns p ON p.workshop_id = b.workshop_id AND p.id = b.pattern_id`;
const PLAN = `
JOIN plan_versions v ON v.workshop_id = b.workshop_id AND v.batch_id = b.id AND v.version = b.plan_version`;

const VIEW = `SELECT ${COLUMNS} ${JOINED} WHERE b.id = $1`;
const DETAIL = `SELECT ${COLUMNS}, v.hash AS "planHash", b.last_event::int AS "lastEvent" ${JOINED} ${PLAN} WHERE b.id = $1`;

/** Batches of a page. */
const PAGE = 50;
const LISTED = `SELECT ${COLUMNS}, v.summary, to_char(b.created_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS at ${JOINED} ${PLAN}
WHERE ($1::boolean IS NULL OR (b.put_away_at IS NOT NULL) = $1) AND ($5::uuid IS NULL OR b.pattern_id = $5) AND ($2::timestamptz IS NULL OR (b.created_at, b.id) > ($2::timestamptz, $3::uuid))
ORDER BY b.created_at, b.id LIMIT $4`;

interface ListedRow extends BatchView {
  summary: PlanSummary;
  at: string;
}

const MADE = `
SELECT pattern_id AS "patternId", sum(CASE WHEN open = 0 THEN pieces ELSE lost END)::int AS made, sum(lost)::int AS rejected FROM (
  SELECT b.pattern_id, b.pieces, count(*) FILTER (WHERE s.rejected) AS lost, count(*) FILTER (WHERE s.step IS NOT NULL) AS open
  FROM batches b JOIN pieces s ON s.workshop_id = b.workshop_id AND s.batch_id = b.id GROUP BY b.workshop_id, b.id
) of_batch GROUP BY pattern_id`;

const CHOICES = [
  'pieces',
  'partId',
  'others',
  'woodId',
  'green',
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
  'ways',
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
    private readonly summaries: PieceSummaries,
    private readonly underWay: PiecesUnderWay,
    private readonly lines: OrderLines,
    private readonly rows: SharedRows,
    private readonly computing: Computing,
    private readonly notices: Notices,
    private readonly drafts: DraftService,
  ) {}

  /** A page of batches by key, so that one that is made or put away meanwhile shifts none. */
  async page(wish: BatchPageDto, now: number): Promise<BatchPageView> {
    const { manager } = this.transaction;
    const key = wish.after === undefined ? null : keyOf(wish.after);
    const rows = await manager.query<ListedRow[]>(LISTED, [
      wish.away === undefined ? null : wish.away === 'yes',
      key?.at ?? null,
      key?.id ?? null,
      PAGE + 1,
      wish.patternId ?? null,
    ]);
    const page = rows.slice(0, PAGE);
    const pieces = await this.summaries.of(
      manager,
      page.map((row) => row.id),
    );
    const last = page.at(-1);
    return {
      batches: page.map((row) => summaryView(row, pieces.get(row.id) ?? [], now)),
      next: rows.length > PAGE && last ? `${last.at}|${last.id}` : null,
    };
  }

  /** Finished batches count whole, others what they lost. */
  made(): Promise<MadeView[]> {
    return this.transaction.manager.query(MADE);
  }

  async show(id: string): Promise<BatchDetailView> {
    const [row] = await this.transaction.manager.query<
      (BatchView & { planHash: string; lastEvent: number })[]
    >(DETAIL, [id]);
    if (!row) throw Problem.notFound('batch');
    return { ...row, setAside: await this.events.setAside(id) };
  }

  /** The snapshot at an address, as it is stored; null when nothing of this workshop lies there. */
  async at(hash: string): Promise<StoredSnapshot | null> {
    const plan = await this.transaction.manager.findOneBy(PlanVersionEntity, { hash });
    return plan?.snapshot ?? null;
  }

  async isThere(hash: string): Promise<boolean> {
    return this.transaction.manager.existsBy(PlanVersionEntity, { hash });
  }

  async snapshot(batchId: string, version: number): Promise<PlanSnapshot> {
    const plan = await this.transaction.manager.findOneBy(PlanVersionEntity, { batchId, version });
    if (!plan) throw Problem.notFound('plan');
    return readSnapshot(plan.snapshot);
  }

  async create(dto: NewBatchDto): Promise<BatchDetailView> {
    const { workshopId } = this.transaction.acting;
    const { manager } = this.transaction;
    const snapshot = await this.plan(dto.patternId, dto.revision, dto);
    const id = randomUUID();
    const { patternId, revision } = dto;
    const lots = lotsOf(snapshot.plan.parts);
    const pieces = piecesIn(lots);
    await manager.insert(BatchEntity, {
      workshopId,
      id,
      patternId,
      revision,
      name: dto.name,
      pieces,
      lots,
      planVersion: 1,
      putAwayAt: null,
      summaryRule: this.summaries.rule,
      ...this.rows.first(),
    });
    await this.lines.book(id, dto);
    if (dto.fromDraft) await this.drafts.drop(patternId);
    const kept = keptPlan(snapshot);
    await manager.insert(PlanVersionEntity, { workshopId, batchId: id, version: 1, ...kept });
    await manager.query(
      'INSERT INTO pieces (workshop_id, batch_id, number) SELECT $1, $2, generate_series(1, $3::int)',
      [workshopId, id, pieces],
    );
    await this.summaries.refresh(manager, id, kept.summary.steps);
    return this.show(id);
  }

  /**
   * Plans the same batch anew with what the workshop owns now; the version before stays. What is done on a piece and
   * its wood does not show any more is opened again. Whoever records meanwhile waits, and whoever plans at the same
   * time is told who was faster.
   */
  async replan(id: string, { basedOn, ...choices }: ReplanDto): Promise<BatchDetailView> {
    const batch = await this.rows.locked(BatchEntity, id, 'batch');
    if (basedOn !== undefined && basedOn !== batch.planVersion)
      this.rows.refuseStale(
        batch,
        -1,
        `${batch.changedBy || 'Somebody'} planned this batch anew in between; it is at plan ${batch.planVersion}.`,
      );
    const snapshot = await this.plan(batch.patternId, batch.revision, choices);
    const planned = plannedLots(batch.lots);
    if (!areAlike(lotsOf(snapshot.plan.parts), planned))
      throw Problem.unusable([
        {
          field: 'pieces',
          why: `This batch was planned for ${piecesIn(planned)} pieces. For another number make spares, for other parts another batch.`,
        },
      ]);
    const { manager, acting } = this.transaction;
    const { workshopId } = acting;
    const version = batch.planVersion + 1;
    const kept = keptPlan(snapshot);
    const again = await this.underWay.doneAnew(batch, snapshot);
    await manager.insert(PlanVersionEntity, { workshopId, batchId: id, version, ...kept });
    await manager.update(
      BatchEntity,
      { workshopId, id },
      { planVersion: version, summaryRule: this.summaries.rule, ...this.rows.next(batch) },
    );
    await this.underWay.reopen(id, version, again);
    await this.summaries.refresh(manager, id, kept.summary.steps);
    await this.notices.tell(manager, workshopId, id);
    return this.show(id);
  }

  async putAway(id: string, putAway: boolean): Promise<void> {
    const batch = await this.rows.locked(BatchEntity, id, 'batch');
    await this.transaction.manager.update(
      BatchEntity,
      { workshopId: batch.workshopId, id },
      { putAwayAt: putAway ? new Date() : null, ...this.rows.next(batch) },
    );
  }

  async view(id: string): Promise<BatchView> {
    const [view] = await this.transaction.manager.query<BatchView[]>(VIEW, [id]);
    if (!view) throw Problem.notFound('batch');
    return view;
  }

  private async plan(patternId: string, revision: number, dto: PlanChoicesDto): Promise<PlanSnapshot> {
    const { body: pattern } = await this.patterns.revision(patternId, revision);
    const { body: workshop } = await this.workshop.show();
    refuseUnknownParts(dto, pattern);
    const { others = [] } = dto;
    const woods = [dto.woodId, ...others.map((o) => o.woodId)].filter((id) => id !== undefined);
    const inputs: PlanInputs = {
      pattern,
      workshop,
      stock: {
        kits: await this.kits.list(),
        ...(woods.length === 0
          ? {}
          : { drying: (await this.drying.woods()).filter((w) => woods.includes(w.id)) }),
      },
      order: orderOf(dto),
      schools: { ...dto.schools },
    };
    refuseUnreasoned(inputs.order);
    refuseTooMany(inputs.order, pattern);
    const snapshot = await this.computing.run('plan', inputs);
    refuseUnmade(snapshot.plan);
    return snapshot;
  }
}

function summaryView({ summary, at: _, ...view }: ListedRow, pieces: readonly PieceSummary[], now: number) {
  const { steps, school, ...shown } = summary;
  const next = nextOf(steps, pieces, school, now);
  const all = batchPieces(view.lots, steps);
  const begun = blanksBegun(all, new Set(pieces.filter((p) => p.stepsDone > 0).map((p) => p.piece)));
  return {
    ...view,
    ...shown,
    parts: shown.parts.map((part) => ({ ...part, begun: begun.get(part.partId) ?? 0 })),
    next,
    stepsDone: pieces.reduce((sum, p) => sum + p.stepsDone, 0),
    stepsInAll: pieces.reduce(
      (sum, p) => sum + (p.rejected ? p.stepsDone : stepsOf(steps, all[p.piece - 1])),
      0,
    ),
    rejected: pieces.filter((p) => p.rejected).length,
    failed: pieces.filter((p) => p.failed).length,
  };
}

const stepsOf = (steps: readonly StepLine[], piece: BatchPiece | undefined): number =>
  piece ? stepsOfPiece(steps, piece).length : 0;

const areAlike = (a: readonly Lot[], b: readonly Lot[]): boolean =>
  a.length === b.length &&
  a.every(({ partId, first, count }, i) => {
    const other = b[i];
    return other?.partId === partId && other.first === first && other.count === count;
  });

/** Where a page begins: after a batch by the time it was made and its id. */
function keyOf(after: string): { at: string; id: string } {
  const [at = '', id = ''] = after.split('|');
  if (Number.isNaN(Date.parse(at)) || !isUUID(id))
    throw Problem.unusable([{ field: 'after', why: 'after is no place in the list. Begin without it.' }]);
  return { at, id };
}
