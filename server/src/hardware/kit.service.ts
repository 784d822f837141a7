import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { kitProblems, type Kit } from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { NewKitDto } from './kit.dto.js';
import { KitEntity } from './kit.entity.js';

/** The workshop's list of hardware kits. */
@Injectable()
export class KitService {
  constructor(private readonly transaction: WorkshopTransaction) {}

  async list(): Promise<Kit[]> {
    const found = await this.transaction.manager.find(KitEntity);
    return found.map((k) => k.body).sort((a, b) => a.name.localeCompare(b.name));
  }

  create = (dto: NewKitDto): Promise<Kit> => this.keep(kitOf(randomUUID(), dto));

  async change(id: string, dto: NewKitDto): Promise<Kit> {
    await this.find(id);
    return this.keep(kitOf(id, dto));
  }

  async remove(id: string): Promise<void> {
    await this.find(id);
    await this.transaction.manager.delete(KitEntity, { workshopId: this.transaction.acting.workshopId, id });
  }

  private async keep(kit: Kit): Promise<Kit> {
    const problems = kitProblems(kit);
    if (problems.length > 0) throw Problem.unusable(problems);
    await this.transaction.manager.save(KitEntity, {
      workshopId: this.transaction.acting.workshopId,
      id: kit.id,
      body: kit,
    });
    return kit;
  }

  private async find(id: string): Promise<KitEntity> {
    const kit = await this.transaction.manager.findOneBy(KitEntity, { id });
    if (!kit) throw Problem.notFound('kit');
    return kit;
  }
}

/** The DTO of each kind holds exactly the fields of the core's kit of that kind, but for the id. */
const kitOf = (id: string, dto: NewKitDto): Kit => ({ ...dto.kit, id }) as unknown as Kit;
