import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  currencyOf,
  dim,
  logFindings,
  mostBillets,
  materialById,
  sawingOf,
  stockProblems,
  worthOf,
  type BilletWish,
  type Log,
  type NewStockItem,
  type StockItem,
  type Workshop,
} from '@compas/core';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { WorkshopService } from '../workshop/workshop.service.js';
import { LedgerService } from './ledger.service.js';
import {
  itemOf,
  type BalanceView,
  type HeldStockView,
  type LedgerLineView,
  type LedgerPageView,
  type MoveDto,
  type ReceivedDto,
  type SplitDto,
} from './stock.dto.js';
import { StockItemEntity, type LedgerEntity } from './stock.entity.js';

/** What lies on the shelves, and every move of it through the ledger. */
@Injectable()
export class StockService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly ledger: LedgerService,
    private readonly workshop: WorkshopService,
    private readonly rows: SharedRows,
  ) {}

  async list(): Promise<HeldStockView[]> {
    const holdings = await this.ledger.holdings();
    const items = await this.transaction.manager.find(StockItemEntity);
    return items
      .map((e) => ({
        item: stockItem(e),
        version: e.version,
        ...(holdings.get(e.id) ?? { amount: 0, cost: 0 }),
      }))
      .sort((a, b) => a.item.label.localeCompare(b.item.label));
  }

  async ledgerPage(before: number | null, search: string): Promise<LedgerPageView> {
    const { lines, next } = await this.ledger.page(before, search);
    return { lines: lines.map(lineView), next };
  }

  balance(): Promise<BalanceView> {
    return this.ledger.balance();
  }

  async find(id: string): Promise<StockItem> {
    return stockItem(await this.entity(id));
  }

  /** Takes in everything or nothing. */
  async receive(received: readonly ReceivedDto[]): Promise<StockItem[]> {
    const problems = received.flatMap((r, i) =>
      this.problemsOf(itemOf(r)).map((p) => ({ field: `received.${i}.${p.field}`, why: p.why })),
    );
    if (problems.length > 0) throw Problem.unusable(problems);
    const { body } = await this.workshop.show();
    const made: StockItem[] = [];
    for (const dto of received) {
      const item = await this.create(itemOf(dto));
      await this.book(item, dto.amount, worthIn(body, item) * dto.amount, 'received', '');
      made.push(item);
    }
    return made;
  }

  /** Puts a new item on the shelf; what is there of it follows through the ledger. */
  async create(item: NewStockItem): Promise<StockItem> {
    const id = randomUUID();
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.insert(StockItemEntity, {
      workshopId,
      id,
      kind: item.kind,
      body: item,
      ...this.rows.first(),
    });
    return { ...item, id };
  }

  async change(id: string, item: NewStockItem, basedOn: number): Promise<StockItem> {
    const before = await this.rows.locked(StockItemEntity, id, 'stock');
    this.rows.refuseStale(
      before,
      basedOn,
      `${before.changedBy || 'Somebody'} changed “${before.body.label}” in between.`,
    );
    if (before.kind !== item.kind)
      throw Problem.unusable([
        { field: 'item.kind', why: `A ${before.kind} does not become a ${item.kind}. Enter it anew.` },
      ]);
    const problems = this.problemsOf(item);
    if (problems.length > 0) throw Problem.unusable(problems);
    const { workshopId } = this.transaction.acting;
    await this.transaction.manager.update(
      StockItemEntity,
      { workshopId, id },
      { body: item, ...this.rows.next(before) },
    );
    return { ...item, id };
  }

  async move(id: string, { kind, amount, note }: MoveDto): Promise<void> {
    const item = await this.find(id);
    const line = { shelf: 'stock' as const, itemId: id, label: item.label, amount, note };
    if (kind === 'corrected') return this.ledger.count(line, await this.worth(item));
    if (amount <= 0)
      throw Problem.unusable([
        { field: 'amount', why: 'Nothing comes or goes with an amount of 0. Give more.' },
      ]);
    if (kind === 'received')
      return this.book(item, amount, (await this.worth(item)) * amount, 'received', note);
    await this.ledger.take({ ...line, kind });
  }

  /** Splits one log: it leaves the shelf, its billets come onto it with its cost, moisture and origin. */
  async split(id: string, dto: SplitDto): Promise<StockItem> {
    const log = await this.find(id);
    if (log.kind !== 'log') throw Problem.unusable([{ field: 'id', why: `“${log.label}” is no log.` }]);
    const { sectors, billets, ...wish } = dto;
    await this.refuseImpossible(log, wish, sectors, billets);
    const cuttingId = randomUUID();
    const cost = await this.ledger.take({
      shelf: 'stock',
      itemId: id,
      label: log.label,
      kind: 'cut',
      amount: 1,
      note: `split into ${sectors}`,
      cuttingId,
    });
    const { materialId, moisture, origin, place } = log;
    const made = await this.create({
      kind: 'blank',
      form: dto.form,
      label: `Billet ${Math.round(dto.diameter)}, from ${log.label}`,
      size: dim(dto.diameter),
      length: dim(dto.length),
      materialId,
      moisture,
      origin: origin || log.label,
      place,
      price: null,
      reorderAt: null,
      offcut: false,
      batchId: null,
    });
    await this.book(made, billets, cost, 'cut', `from ${log.label}`, cuttingId);
    return made;
  }

  private async refuseImpossible(
    log: Log,
    wish: BilletWish,
    sectors: number,
    billets: number,
  ): Promise<void> {
    const { body } = await this.workshop.show();
    const sawing = sawingOf(body);
    const stop = logFindings(log, wish, sawing).find((f) => f.severity === 'stop');
    if (stop)
      throw Problem.unusable([
        { field: 'diameter', why: `${stop.what} ${stop.remedy}`.replace(/[⟦⟧]/g, '') },
      ]);
    // how they are laid out is worked out at the screen: here it would hold everybody up
    const most = mostBillets(log, wish, sawing);
    if (billets > most)
      throw Problem.unusable([
        {
          field: 'billets',
          why: `${billets} billets out of ${sectors} sectors is more than the ${most} that the wood has room for. Count again.`,
        },
      ]);
  }

  /** What one piece is worth by its price, minor units; 0 when nobody knows. */
  private async worth(item: StockItem): Promise<number> {
    return worthIn((await this.workshop.show()).body, item);
  }

  private book(
    item: StockItem,
    amount: number,
    cost: number,
    kind: 'received' | 'cut',
    note: string,
    cuttingId?: string,
  ): Promise<void> {
    return this.ledger.write([
      {
        shelf: 'stock',
        itemId: item.id,
        label: item.label,
        kind,
        amount,
        cost: Math.round(cost),
        note,
        cuttingId,
      },
    ]);
  }

  private problemsOf = (item: NewStockItem) =>
    stockProblems(item).map(({ field, why }) => ({ field: `item.${field}`, why }));

  private async entity(id: string): Promise<StockItemEntity> {
    const found = await this.transaction.manager.findOneBy(StockItemEntity, { id });
    if (!found) throw Problem.notFound('stock');
    return found;
  }
}

const lineView = ({
  id,
  at,
  shelf,
  itemId,
  label,
  kind,
  amount,
  cost,
  note,
  cuttingId,
}: LedgerEntity): LedgerLineView => ({
  id,
  at: at.toISOString(),
  shelf,
  itemId,
  label,
  kind,
  amount,
  cost,
  note,
  cuttingId,
});

const stockItem = ({ id, body }: StockItemEntity): StockItem => ({ ...body, id });

function worthIn(workshop: Workshop, item: StockItem): number {
  const density =
    'materialId' in item ? (materialById(item.materialId, workshop.materials)?.density ?? null) : null;
  const currency = currencyOf(workshop);
  if (item.price !== null && item.price.currency !== currency)
    throw Problem.unusable([
      {
        field: 'item.price.currency',
        why: `The price is in ${item.price.currency}; this workshop counts in ${currency}. Give it in ${currency}.`,
      },
    ]);
  return worthOf(item, density) ?? 0;
}
