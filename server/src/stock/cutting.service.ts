import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  bookCut,
  cutStockOf,
  sawingOf,
  type BoardCut,
  type CutDemand,
  type CutInput,
  type CutStock,
  type WoodStock,
} from '@compas/core';
import { Computing } from '../compute/computing.js';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem, type FieldProblem } from '../edge/problem.js';
import { WorkshopService } from '../workshop/workshop.service.js';
import type { CuttingView, KeepCuttingDto } from './cutting.dto.js';
import { LedgerService } from './ledger.service.js';
import { CuttingEntity } from './stock.entity.js';
import { StockService } from './stock.service.js';

/** Cutting plans: kept when they are made, recorded when the boards are cut. */
@Injectable()
export class CuttingService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly stock: StockService,
    private readonly ledger: LedgerService,
    private readonly workshop: WorkshopService,
    private readonly rows: SharedRows,
    private readonly computing: Computing,
  ) {}

  async list(): Promise<CuttingView[]> {
    const found = await this.transaction.manager.find(CuttingEntity, { order: { madeAt: 'DESC' } });
    return found.map(viewOf);
  }

  async show(id: string): Promise<CuttingView> {
    return viewOf(await this.find(id));
  }

  /** Keeps a plan with the stock as it lies now; a layout that cannot be sawn is refused. */
  async keep(dto: KeepCuttingDto): Promise<CuttingView> {
    const demand = dto.demand.map((d): CutDemand => ({ ...d }));
    const input = await this.inputOf(demand, dto.stockIds);
    const plan = dto.plan;
    refuse(await this.computing.run('cutting', { cuts: plan.cuts, input }));
    const id = randomUUID();
    await this.transaction.manager.insert(CuttingEntity, {
      workshopId: this.transaction.acting.workshopId,
      id,
      name: dto.name,
      studyKey: dto.studyKey,
      body: { schema: 1, input, plan },
      recordedAt: null,
      ...this.rows.first(),
    });
    return this.show(id);
  }

  /** Books a cutting: boards leave the shelf, labelled blanks and offcuts come onto it. All or nothing. */
  async record(id: string): Promise<CuttingView> {
    const cutting = await this.rows.locked(CuttingEntity, id, 'cutting plan');
    if (cutting.recordedAt !== null)
      throw Problem.conflict(`“${cutting.name}” was recorded before; its boards have left the shelf.`);
    const { plan, input: planned } = cutting.body;
    const stockIds = [...new Set(plan.cuts.map((c) => c.stockId))];
    const input = await this.inputOf(planned.demand, stockIds);
    const wrong = await this.computing.run('cutting', { cuts: plan.cuts, input });
    refuse([...goneProblems(plan.cuts, planned, input), ...wrong]);
    const carry = input.sawing.offcutsCarryCost ?? false;
    for (const cut of plan.cuts) await this.bookOne(cutting, cut, planned.demand, carry);
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.update(
      CuttingEntity,
      { workshopId, id },
      { recordedAt: new Date(), ...this.rows.next(cutting) },
    );
    return this.show(id);
  }

  async remove(id: string): Promise<void> {
    const cutting = await this.rows.locked(CuttingEntity, id, 'cutting plan');
    if (cutting.recordedAt !== null)
      throw Problem.conflict(`“${cutting.name}” was recorded; the ledger refers to it. It stays.`);
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.delete(CuttingEntity, { workshopId, id });
  }

  private async bookOne(
    cutting: CuttingEntity,
    cut: BoardCut,
    demand: CutDemand[],
    carry: boolean,
  ): Promise<void> {
    const parent = (await this.stock.find(cut.stockId)) as WoodStock;
    const cuttingId = cutting.id;
    const cost = await this.ledger.take({
      shelf: 'stock',
      itemId: parent.id,
      label: parent.label,
      kind: 'cut',
      amount: 1,
      note: cutting.name,
      cuttingId,
    });
    for (const { item, amount, cost: share } of bookCut(cut, parent, cost, demand, carry)) {
      const made = await this.stock.create(item);
      await this.ledger.write([
        {
          shelf: 'stock',
          itemId: made.id,
          label: item.label,
          kind: 'cut',
          amount,
          cost: share,
          note: cutting.name,
          cuttingId,
        },
      ]);
    }
  }

  /** The input of a study from what lies on the shelf now. */
  private async inputOf(demand: CutDemand[], stockIds: readonly string[]): Promise<CutInput> {
    const { body } = await this.workshop.show();
    const sawing = sawingOf(body);
    const wanted = new Set(stockIds);
    const stock = (await this.stock.list())
      .filter((held) => wanted.has(held.item.id))
      .map(({ item, amount, cost }) => cutStockOf(item, { amount, cost }, sawing))
      .filter((s): s is CutStock => s !== null);
    return { demand, stock, sawing };
  }

  private async find(id: string): Promise<CuttingEntity> {
    const found = await this.transaction.manager.findOneBy(CuttingEntity, { id });
    if (!found) throw Problem.notFound('cutting plan');
    return found;
  }
}

const refuse = (problems: FieldProblem[]): void => {
  if (problems.length > 0) throw Problem.unusable(problems.slice(0, 8));
};

/** Stock of which the plan opens more than is there. */
function goneProblems(cuts: readonly BoardCut[], planned: CutInput, now: CutInput): FieldProblem[] {
  return [...new Set(cuts.map((c) => c.stockId))].flatMap((id) => {
    const opened = cuts.filter((c) => c.stockId === id).length;
    const there = now.stock.find((s) => s.id === id)?.pieces ?? 0;
    const label = planned.stock.find((s) => s.id === id)?.label ?? 'A board of the plan';
    return opened <= there
      ? []
      : [
          {
            field: 'plan',
            why: `The plan opens ${opened} of “${label}”; there ${there === 1 ? 'is' : 'are'} ${there}. Plan the cutting again.`,
          },
        ];
  });
}

const viewOf = ({ id, name, studyKey, madeAt, recordedAt, body }: CuttingEntity): CuttingView => ({
  id,
  name,
  studyKey,
  madeAt: madeAt.toISOString(),
  recordedAt: recordedAt?.toISOString() ?? null,
  input: body.input,
  plan: body.plan,
});
