import { Injectable } from '@nestjs/common';
import { checkWorkshop, type Workshop } from '@compas/core';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { WorkshopView } from './workshop.dto.js';
import { WorkshopEntity } from './workshop.entity.js';

/** What the workshop owns and does by habit. */
@Injectable()
export class WorkshopService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly rows: SharedRows,
  ) {}

  async show(): Promise<WorkshopView> {
    const workshop = await this.transaction.manager.findOneBy(WorkshopEntity, {
      id: this.transaction.acting.workshopId,
    });
    if (!workshop) throw Problem.notFound('workshop');
    const { id, name, body, version } = workshop;
    return { id, name, body, version };
  }

  async change(name: string, body: Workshop, basedOn: number): Promise<WorkshopView> {
    const problems = checkWorkshop(body);
    if (problems.length > 0) throw Problem.unusable(problems);
    const { workshopId: id } = this.transaction.acting;
    const workshop = await this.rows.locked(WorkshopEntity, id, 'workshop');
    this.rows.refuseStale(
      workshop,
      basedOn,
      `${workshop.changedBy || 'Somebody'} saved version ${workshop.version} of the workshop while you edited version ${basedOn}.`,
    );
    const stamp = this.rows.next(workshop);
    await this.transaction.manager.update(WorkshopEntity, { id }, { name, body, ...stamp });
    return { id, name, body, version: stamp.version };
  }
}
