import { Injectable } from '@nestjs/common';
import { piecesIn, withSpares } from '@compas/core';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { SparesDto } from './batch.dto.js';
import { BatchEntity } from './batch.entity.js';
import { Notices } from './notices.js';
import { PieceSummaries } from './pieceSummaries.js';
import { PlanVersionEntity } from './planVersion.entity.js';
import { keptPlan } from './refill.js';

/** Pieces of a batch at most. */
const MOST_PIECES = 20_000;

/** More pieces of a part by the same plan; they are numbered on, and begin a blank of their own. */
@Injectable()
export class SparesService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly summaries: PieceSummaries,
    private readonly rows: SharedRows,
    private readonly notices: Notices,
  ) {}

  async add(id: string, { partId, count }: SparesDto): Promise<void> {
    const batch = await this.rows.locked(BatchEntity, id, 'batch');
    const { manager } = this.transaction;
    if (!batch.lots.some((lot) => lot.partId === partId))
      throw Problem.unusable([
        {
          field: 'partId',
          why: `The batch makes no part “${partId}”. Choose one of ${batch.lots.map((l) => l.partId).join(', ')}.`,
        },
      ]);
    if (batch.pieces + count > MOST_PIECES)
      throw Problem.unusable([
        {
          field: 'count',
          why: `${count} more are too many: a batch has at most ${MOST_PIECES} pieces, this one has ${batch.pieces}.`,
        },
      ]);
    const { workshopId } = batch;
    const lots = withSpares(batch.lots, partId, count);
    const pieces = piecesIn(lots);
    await manager.update(BatchEntity, { workshopId, id }, { lots, pieces, ...this.rows.next(batch) });
    await manager.query(
      'INSERT INTO pieces (workshop_id, batch_id, number) SELECT $1, $2, generate_series($3::int, $4::int)',
      [workshopId, id, batch.pieces + 1, pieces],
    );
    const { snapshot } = await manager.findOneByOrFail(PlanVersionEntity, {
      workshopId,
      batchId: id,
      version: batch.planVersion,
    });
    await this.summaries.refresh(manager, id, keptPlan(snapshot).summary.steps);
    await this.notices.tell(manager, workshopId, id);
  }
}
