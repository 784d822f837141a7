import { Injectable } from '@nestjs/common';
import { itemsMade, sharedOut, type LineStand, type Lot, type PlanSummary } from '@compas/core';
import { PieceSummaries } from '../batch/pieceSummaries.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import type { OrderView } from './order.dto.js';

/** Closed ones that are shown, the last to be closed first. */
const CLOSED_SHOWN = 50;

const ORDER = `o.id, o.customer, to_char(o.due, 'YYYY-MM-DD') AS due, o.version, o.closed_at IS NOT NULL AS closed`;
const OPEN = `SELECT ${ORDER} FROM orders o WHERE o.closed_at IS NULL ORDER BY o.due NULLS LAST, o.created_at, o.id`;
const CLOSED = `SELECT ${ORDER} FROM orders o WHERE o.closed_at IS NOT NULL ORDER BY o.closed_at DESC, o.id LIMIT ${CLOSED_SHOWN}`;
const ONE = `SELECT ${ORDER} FROM orders o WHERE o.id = $1`;

/** Lines of orders, and all others that are made in the same batches: what is made is shared among them. */
const LINES = `
SELECT l.order_id AS "orderId", l.number, l.pattern_id AS "patternId", p.name AS "patternName", l.pieces, l.batch_id AS "batchId",
  l.choices, l.given, to_char(o.due, 'YYYY-MM-DD') AS due
FROM order_lines l JOIN patterns p ON p.workshop_id = l.workshop_id AND p.id = l.pattern_id
JOIN orders o ON o.workshop_id = l.workshop_id AND o.id = l.order_id
WHERE l.order_id = ANY($1::uuid[]) OR l.batch_id IN (SELECT m.batch_id FROM order_lines m WHERE m.order_id = ANY($1::uuid[]))
ORDER BY o.created_at, o.id, l.number`;

const BATCHES = `
SELECT b.id, b.lots, v.summary FROM batches b
JOIN plan_versions v ON v.workshop_id = b.workshop_id AND v.batch_id = b.id AND v.version = b.plan_version
WHERE b.id = ANY($1::uuid[])`;

type OrderRow = Omit<OrderView, 'lines'>;

interface LineRow {
  orderId: string;
  number: number;
  patternId: string;
  patternName: string;
  pieces: number;
  batchId: string | null;
  choices: string;
  given: number[];
  due: string | null;
}

/** How a line stands, and when its batch is planned to end. */
type Standing = LineStand & { plannedEnd: string | null };

const key = ({ orderId, number }: Pick<LineRow, 'orderId' | 'number'>): string => `${orderId}/${number}`;

/** Orders as they stand: what of each line is ready, still being made, or made by nobody. */
@Injectable()
export class OrderBook {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly summaries: PieceSummaries,
  ) {}

  async list(closed: boolean): Promise<OrderView[]> {
    return this.withLines(await this.transaction.manager.query<OrderRow[]>(closed ? CLOSED : OPEN));
  }

  async find(id: string): Promise<OrderView | null> {
    const [order] = await this.withLines(await this.transaction.manager.query<OrderRow[]>(ONE, [id]));
    return order ?? null;
  }

  private async withLines(orders: readonly OrderRow[]): Promise<OrderView[]> {
    const ids = orders.map((o) => o.id);
    const lines = await this.transaction.manager.query<LineRow[]>(LINES, [ids]);
    const stands = await this.standsOf(lines);
    return orders.map((order) => ({
      ...order,
      lines: lines
        .filter((l) => l.orderId === order.id)
        .map(({ orderId: _, due: __, ...line }) => ({
          ...line,
          ...(stands.get(key({ orderId: order.id, number: line.number })) ?? notPlanned(line)),
        })),
    }));
  }

  /** How the lines that are planned stand, batch by batch. */
  private async standsOf(lines: readonly LineRow[]): Promise<Map<string, Standing>> {
    const { manager } = this.transaction;
    const batchIds = [...new Set(lines.flatMap((l) => l.batchId ?? []))];
    const batches = await manager.query<{ id: string; lots: Lot[]; summary: PlanSummary }[]>(BATCHES, [
      batchIds,
    ]);
    const pieces = await this.summaries.of(manager, batchIds);
    const found = new Map<string, Standing>();
    for (const { id, lots, summary } of batches) {
      const own = lines.filter((l) => l.batchId === id);
      const made = itemsMade(lots, summary.steps, pieces.get(id) ?? []);
      const stands = sharedOut(
        own.map(({ pieces: wanted, due, given }) => ({ wanted, due, given })),
        made,
      );
      own.forEach((line, i) => {
        const stand = stands[i];
        if (stand) found.set(key(line), { ...stand, plannedEnd: summary.plannedEnd });
      });
    }
    return found;
  }
}

const notPlanned = ({ pieces }: Pick<LineRow, 'pieces'>): Standing => ({
  ready: [],
  coming: 0,
  stopped: 0,
  short: pieces,
  plannedEnd: null,
});
