import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { kitProblems, type Kit } from '@compas/core';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { LedgerService } from '../stock/ledger.service.js';
import type { ChangeKitDto, HeldKitView, NewKitDto } from './kit.dto.js';
import { KitEntity } from './kit.entity.js';

/** The workshop's list of hardware kits. */
@Injectable()
export class KitService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly ledger: LedgerService,
    private readonly rows: SharedRows,
  ) {}

  /** The list with the version of each kit. */
  async held(): Promise<HeldKitView[]> {
    const found = await this.transaction.manager.find(KitEntity);
    return found
      .map(({ body, version }) => ({ kit: body, version }))
      .sort((a, b) => a.kit.name.localeCompare(b.kit.name));
  }

  async list(): Promise<Kit[]> {
    return (await this.held()).map(({ kit }) => kit);
  }

  async create(dto: NewKitDto): Promise<Kit> {
    const kit = kitOf(randomUUID(), dto);
    refuse(kit);
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.insert(KitEntity, {
      workshopId,
      id: kit.id,
      body: kit,
      ...this.rows.first(),
    });
    if (kit.onHand > 0)
      await this.ledger.write([
        { ...line(kit), kind: 'received', amount: kit.onHand, cost: kit.onHand * (kit.cost ?? 0), note: '' },
      ]);
    return kit;
  }

  async change(id: string, dto: ChangeKitDto): Promise<Kit> {
    const before = await this.rows.locked(KitEntity, id, 'kit');
    this.rows.refuseStale(
      before,
      dto.basedOn,
      `${before.changedBy || 'Somebody'} changed “${before.body.name}” in between.`,
    );
    const kit = kitOf(id, dto);
    refuse(kit);
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.update(
      KitEntity,
      { workshopId, id },
      { body: kit, ...this.rows.next(before) },
    );
    await this.ledger.count(
      { ...line(kit), amount: kit.onHand, note: 'counted in the kit list' },
      kit.cost ?? 0,
    );
    return kit;
  }

  async remove(id: string): Promise<void> {
    const { body } = await this.rows.locked(KitEntity, id, 'kit');
    await this.ledger.count({ ...line(body), amount: 0, note: 'taken from the kit list' }, 0);
    await this.transaction.manager.delete(KitEntity, { workshopId: this.transaction.acting.workshopId, id });
  }
}

function refuse(kit: Kit): void {
  const problems = kitProblems(kit);
  if (problems.length > 0) throw Problem.unusable(problems);
}

const line = (kit: Kit) => ({ shelf: 'kit' as const, itemId: kit.id, label: kit.name });

/** The DTO of each kind holds exactly the fields of the core's kit of that kind, but for the id. */
const kitOf = (id: string, dto: Pick<NewKitDto, 'kit'>): Kit => ({ ...dto.kit, id }) as unknown as Kit;
