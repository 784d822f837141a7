import { Injectable } from '@nestjs/common';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { PatternEntity } from '../pattern/pattern.entity.js';
import { DraftEntity } from './draft.entity.js';
import type { DraftView } from './draft.dto.js';

/** Plans that are begun: one of each pattern is kept until it is a batch, a line of an order, or dropped. */
@Injectable()
export class DraftService {
  constructor(private readonly transaction: WorkshopTransaction) {}

  /** The one that was worked at last comes first. */
  async list(): Promise<DraftView[]> {
    const rows = await this.transaction.manager
      .createQueryBuilder(DraftEntity, 'd')
      .innerJoin(PatternEntity, 'p', 'p.id = d.patternId AND p.workshopId = d.workshopId')
      .select(['d.pattern_id AS "patternId"', 'd.choices AS choices', 'p.name AS "patternName"'])
      .addSelect(['d.changed_by AS "changedBy"', 'd.changed_at AS "changedAt"'])
      .orderBy('d.changed_at', 'DESC')
      .getRawMany<Omit<DraftView, 'changedAt'> & { changedAt: Date }>();
    return rows.map((row) => ({ ...row, changedAt: row.changedAt.toISOString() }));
  }

  async keep(patternId: string, choices: string): Promise<void> {
    const { workshopId, userName } = this.transaction.acting;
    const { manager } = this.transaction;
    if (!(await manager.existsBy(PatternEntity, { id: patternId }))) throw Problem.notFound('pattern');
    await manager.upsert(
      DraftEntity,
      { workshopId, patternId, choices, changedBy: userName, changedAt: new Date() },
      ['workshopId', 'patternId'],
    );
  }

  async drop(patternId: string): Promise<void> {
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.delete(DraftEntity, { workshopId, patternId });
  }
}
