import { Injectable } from '@nestjs/common';
import { checkWorkshop, type Workshop } from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { WorkshopView } from './workshop.dto.js';
import { WorkshopEntity } from './workshop.entity.js';

/** What the workshop owns and does by habit. */
@Injectable()
export class WorkshopService {
  constructor(private readonly transaction: WorkshopTransaction) {}

  async show(): Promise<WorkshopView> {
    const workshop = await this.transaction.manager.findOneBy(WorkshopEntity, {
      id: this.transaction.acting.workshopId,
    });
    if (!workshop) throw Problem.notFound('workshop');
    return workshop;
  }

  async change(name: string, body: Workshop, basedOn: number): Promise<WorkshopView> {
    const problems = checkWorkshop(body);
    if (problems.length > 0) throw Problem.unusable(problems);
    const { workshopId: id } = this.transaction.acting;
    const { affected } = await this.transaction.manager.update(
      WorkshopEntity,
      { id, version: basedOn },
      { name, body, version: basedOn + 1 },
    );
    if (affected !== 1) {
      const { version } = await this.show();
      throw Problem.conflict(
        `Somebody saved version ${version} of the workshop while you edited version ${basedOn}. Open it anew, then make your changes.`,
      );
    }
    return { id, name, body, version: basedOn + 1 };
  }
}
