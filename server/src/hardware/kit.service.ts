import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { kitProblems, type Kit } from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { LedgerService } from '../stock/ledger.service.js';
import type { NewKitDto } from './kit.dto.js';
import { KitEntity } from './kit.entity.js';

/** The workshop's list of hardware kits. */
@Injectable()
export class KitService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly ledger: LedgerService,
  ) {}

  async list(): Promise<Kit[]> {
    const found = await this.transaction.manager.find(KitEntity);
    return found.map((k) => k.body).sort((a, b) => a.name.localeCompare(b.name));
  }

  async create(dto: NewKitDto): Promise<Kit> {
    const kit = await this.keep(kitOf(randomUUID(), dto));
    if (kit.onHand > 0)
      await this.ledger.write([
        { ...line(kit), kind: 'received', amount: kit.onHand, cost: kit.onHand * (kit.cost ?? 0), note: '' },
      ]);
    return kit;
  }

  async change(id: string, dto: NewKitDto): Promise<Kit> {
    await this.find(id);
    const kit = await this.keep(kitOf(id, dto));
    await this.ledger.count(
      { ...line(kit), amount: kit.onHand, note: 'counted in the kit list' },
      kit.cost ?? 0,
    );
    return kit;
  }

  async remove(id: string): Promise<void> {
    const { body } = await this.find(id);
    await this.ledger.count({ ...line(body), amount: 0, note: 'taken from the kit list' }, 0);
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

const line = (kit: Kit) => ({ shelf: 'kit' as const, itemId: kit.id, label: kit.name });

/** The DTO of each kind holds exactly the fields of the core's kit of that kind, but for the id. */
const kitOf = (id: string, dto: NewKitDto): Kit => ({ ...dto.kit, id }) as unknown as Kit;
