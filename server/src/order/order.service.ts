import { Injectable } from '@nestjs/common';
import { OrderEntity, OrderLineEntity } from '../batch/order.entity.js';
import { OrderLines } from '../batch/orderLines.js';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { ChangeOrderDto, NewOrderDto, OrderView, WantedLineDto } from './order.dto.js';
import { OrderBook } from './orderBook.js';

/** Batches whose items are all made and whose orders are all closed are done with. */
const PUT_AWAY = `
UPDATE batches b SET put_away_at = now()
WHERE b.put_away_at IS NULL AND b.id IN (SELECT l.batch_id FROM order_lines l WHERE l.order_id = $1)
  AND NOT EXISTS (SELECT 1 FROM order_lines l JOIN orders o ON o.workshop_id = l.workshop_id AND o.id = l.order_id
    WHERE l.workshop_id = b.workshop_id AND l.batch_id = b.id AND o.closed_at IS NULL)
  AND NOT EXISTS (SELECT 1 FROM pieces p WHERE p.workshop_id = b.workshop_id AND p.batch_id = b.id AND p.step IS NOT NULL)`;

/** What is ordered: written down, changed, handed over. */
@Injectable()
export class OrderService {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly book: OrderBook,
    private readonly rows: SharedRows,
    private readonly orderLines: OrderLines,
  ) {}

  async show(id: string): Promise<OrderView> {
    const order = await this.book.find(id);
    if (!order) throw Problem.notFound('order');
    return order;
  }

  async create({ lines, ...order }: NewOrderDto): Promise<OrderView> {
    await this.refuseUnknown(lines);
    const id = await this.orderLines.open(order);
    await this.add(id, lines, 0);
    return this.show(id);
  }

  /** Writes an order down anew over the version that was read. A line that is planned keeps its pattern. */
  async change(id: string, { customer, due, lines, basedOn }: ChangeOrderDto): Promise<OrderView> {
    const order = await this.locked(id);
    this.rows.refuseStale(order, basedOn, `${order.changedBy || 'Somebody'} changed this order in between.`);
    const before = await this.linesOf(id);
    refuseUnmaking(before, lines);
    await this.refuseUnknown(lines);
    const { manager } = this.transaction;
    for (const line of before) {
      const wanted = lines.find((l) => l.number === line.number);
      const at = { ...this.here, orderId: id, number: line.number };
      if (!wanted) await manager.delete(OrderLineEntity, at);
      else await manager.update(OrderLineEntity, at, { patternId: wanted.patternId, pieces: wanted.pieces });
    }
    const last = Math.max(0, ...before.map((l) => l.number));
    await this.add(
      id,
      lines.filter((l) => l.number === undefined),
      last,
    );
    await this.save(order, { customer, due });
    return this.show(id);
  }

  async remove(id: string): Promise<void> {
    await this.locked(id);
    const planned = (await this.linesOf(id)).filter((l) => l.batchId !== null);
    if (planned.length > 0)
      throw Problem.conflict('Something of this order is planned already, so it stays. Close it instead.');
    await this.transaction.manager.delete(OrderEntity, { ...this.here, id });
  }

  /** Keeps what was chosen for the plan of a line, so that it is there again on any screen. */
  async choose(id: string, number: number, choices: string): Promise<void> {
    const { affected } = await this.transaction.manager.update(
      OrderLineEntity,
      { ...this.here, orderId: id, number },
      { choices },
    );
    if (affected !== 1) throw Problem.notFound('line of an order');
  }

  /** Hands over what is ready. Where nothing is missing then, the order is closed. */
  async handOver(id: string): Promise<OrderView> {
    const order = await this.locked(id);
    const { lines } = await this.show(id);
    if (lines.every((l) => l.ready.length === 0))
      throw Problem.conflict('Nothing of this order is ready to be handed over.');
    for (const { number, given, ready } of lines)
      await this.transaction.manager.update(
        OrderLineEntity,
        { ...this.here, orderId: id, number },
        { given: [...given, ...ready] },
      );
    const isWhole = lines.every((l) => l.coming + l.stopped + l.short === 0);
    await this.save(order, isWhole ? { closedAt: new Date() } : {});
    if (isWhole) await this.transaction.manager.query(PUT_AWAY, [id]);
    return this.show(id);
  }

  /** What was called handed over is here after all. */
  async takeBack(id: string): Promise<OrderView> {
    const order = await this.locked(id);
    await this.transaction.manager.update(OrderLineEntity, { ...this.here, orderId: id }, { given: [] });
    await this.save(order, { closedAt: null });
    return this.show(id);
  }

  async close(id: string, closed: boolean): Promise<OrderView> {
    const order = await this.locked(id);
    await this.save(order, { closedAt: closed ? new Date() : null });
    if (closed) await this.transaction.manager.query(PUT_AWAY, [id]);
    return this.show(id);
  }

  private get here() {
    return { workshopId: this.transaction.acting.workshopId };
  }

  private locked(id: string): Promise<OrderEntity> {
    return this.rows.locked(OrderEntity, id, 'order');
  }

  private linesOf(orderId: string): Promise<OrderLineEntity[]> {
    return this.transaction.manager.findBy(OrderLineEntity, { orderId });
  }

  private async save(
    order: OrderEntity,
    changed: Partial<Pick<OrderEntity, 'customer' | 'due' | 'closedAt'>>,
  ): Promise<void> {
    await this.transaction.manager.update(
      OrderEntity,
      { ...this.here, id: order.id },
      { ...changed, ...this.rows.next(order) },
    );
  }

  private async add(orderId: string, lines: readonly WantedLineDto[], after: number): Promise<void> {
    if (lines.length === 0) return;
    await this.transaction.manager.insert(
      OrderLineEntity,
      lines.map(({ patternId, pieces, choices = '' }, i) => ({
        ...this.here,
        orderId,
        number: after + i + 1,
        patternId,
        pieces,
        revision: null,
        batchId: null,
        choices,
        given: [],
      })),
    );
  }

  private async refuseUnknown(lines: readonly WantedLineDto[]): Promise<void> {
    const known = await this.transaction.manager.query<{ id: string }[]>(
      'SELECT id FROM patterns WHERE id = ANY($1::uuid[])',
      [lines.map((l) => l.patternId)],
    );
    const unknown = lines.findIndex((l) => !known.some((p) => p.id === l.patternId));
    if (unknown >= 0)
      throw Problem.unusable([
        {
          field: `lines.${unknown}.patternId`,
          why: `Line ${unknown + 1} names no pattern of this workshop.`,
        },
      ]);
  }
}

/** A line that is being made can want more or fewer, but not something else, and it cannot vanish. */
function refuseUnmaking(before: readonly OrderLineEntity[], lines: readonly WantedLineDto[]): void {
  const problems = before.flatMap((line) => {
    const wanted = lines.find((l) => l.number === line.number);
    const field = 'lines';
    if (line.batchId !== null && wanted?.patternId !== line.patternId)
      return [{ field, why: `Line ${line.number} is being made: it stays, with its pattern.` }];
    if (wanted && wanted.pieces < line.given.length)
      return [
        {
          field,
          why: `Line ${line.number} wants ${wanted.pieces}, but ${line.given.length} are handed over already.`,
        },
      ];
    return [];
  });
  const strange = lines.find((l) => l.number !== undefined && !before.some((b) => b.number === l.number));
  if (strange) problems.push({ field: 'lines', why: `The order has no line ${strange.number}.` });
  if (problems.length > 0) throw Problem.unusable(problems);
}
