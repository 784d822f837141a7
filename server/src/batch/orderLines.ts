import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { SharedRows } from '../database/sharedRow.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { LineRefDto, NewBatchDto } from './batch.dto.js';
import { OrderEntity, OrderLineEntity } from './order.entity.js';

/** Which lines of orders a batch is made for. */
@Injectable()
export class OrderLines {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly rows: SharedRows,
  ) {}

  /**
   * Says that a batch makes the lines that were named, or one more line of an order that was named, or one of an order
   * of its own.
   */
  async book(batchId: string, dto: NewBatchDto): Promise<void> {
    if (dto.lines !== undefined && dto.lines.length > 0) return this.bookLines(batchId, dto, dto.lines);
    const orderId = dto.orderId === undefined ? await this.open(dto) : await this.openOrder(dto.orderId);
    // lines that were taken out leave their numbers behind
    const last = await this.transaction.manager.maximum(OrderLineEntity, 'number', { orderId });
    await this.transaction.manager.insert(OrderLineEntity, {
      ...this.here,
      orderId,
      number: (last ?? 0) + 1,
      patternId: dto.patternId,
      revision: dto.revision,
      pieces: dto.pieces,
      batchId,
      choices: '',
      given: [],
    });
  }

  private get here() {
    return { workshopId: this.transaction.acting.workshopId };
  }

  /** Opens an order without lines. @returns its id */
  async open({ customer, due }: Pick<NewBatchDto, 'customer' | 'due'>): Promise<string> {
    if (customer === undefined)
      throw Problem.unusable([{ field: 'customer', why: 'For whom is it? Name somebody, or an order.' }]);
    const id = randomUUID();
    await this.transaction.manager.insert(OrderEntity, {
      ...this.here,
      id,
      customer,
      due,
      closedAt: null,
      ...this.rows.first(),
    });
    return id;
  }

  private async openOrder(id: string): Promise<string> {
    const order = await this.rows.locked(OrderEntity, id, 'order');
    if (order.closedAt !== null)
      throw Problem.unusable([
        {
          field: 'orderId',
          why: `The order for ${order.customer} is closed. Open it again, or take another.`,
        },
      ]);
    return id;
  }

  private async bookLines(batchId: string, dto: NewBatchDto, wanted: readonly LineRefDto[]): Promise<void> {
    let pieces = 0;
    for (const { orderId, number } of wanted) {
      await this.openOrder(orderId);
      const line = await this.transaction.manager.findOneBy(OrderLineEntity, { orderId, number });
      refuseUnfit(line, number, dto);
      pieces += line.pieces;
      await this.transaction.manager.update(
        OrderLineEntity,
        { ...this.here, orderId, number },
        { batchId, revision: dto.revision },
      );
    }
    if (dto.pieces < pieces)
      throw Problem.unusable([
        {
          field: 'pieces',
          why: `pieces is ${dto.pieces}, but the lines want ${pieces}. Make at least as many.`,
        },
      ]);
  }
}

/** A line that is not there, is made already, or wants something else is not booked. */
function refuseUnfit(
  line: OrderLineEntity | null,
  number: number,
  { patternId }: NewBatchDto,
): asserts line is OrderLineEntity {
  const why =
    line === null
      ? `The order has no line ${number}.`
      : line.batchId !== null
        ? `Line ${number} of the order is planned already.`
        : line.patternId !== patternId
          ? `Line ${number} of the order wants another pattern.`
          : null;
  if (why !== null)
    throw Problem.unusable([{ field: 'lines', why: `${why} Take it out and keep the plan again.` }]);
}
