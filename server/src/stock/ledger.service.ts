import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { costOf, holdingsOf, takeProblem, type Holding, type LedgerKind } from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { LedgerEntity } from './stock.entity.js';

/** A line to be written: what comes or goes. */
export interface NewEntry {
  shelf: 'stock' | 'kit';
  itemId: string;
  label: string;
  kind: LedgerKind;
  amount: number;
  cost: number;
  note: string;
  cuttingId?: string;
}

const NOTHING: Holding = { amount: 0, cost: 0 };

/** The ledger: lines are added, never changed; what is there is their sum. */
@Injectable()
export class LedgerService {
  constructor(private readonly transaction: WorkshopTransaction) {}

  async holdings(): Promise<Map<string, Holding>> {
    const sums = await this.transaction.manager.query<{ itemId: string; amount: number; cost: string }[]>(
      'SELECT item_id AS "itemId", sum(amount) AS amount, sum(cost) AS cost FROM ledger GROUP BY item_id',
    );
    return holdingsOf(sums.map((s) => ({ ...s, cost: Number(s.cost) })));
  }

  /** What is there of one item; two who take at once wait for each other. */
  async holding(itemId: string): Promise<Holding> {
    const { manager, acting } = this.transaction;
    await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`${acting.workshopId}:${itemId}`]);
    const lines = await manager.find(LedgerEntity, { where: { itemId } });
    return holdingsOf(lines).get(itemId) ?? NOTHING;
  }

  /** The newest lines first. */
  lines(): Promise<LedgerEntity[]> {
    return this.transaction.manager.find(LedgerEntity, { order: { number: 'DESC' } });
  }

  async write(entries: readonly NewEntry[]): Promise<void> {
    const { workshopId, userId } = this.transaction.acting;
    for (const entry of entries)
      await this.transaction.manager.insert(LedgerEntity, {
        workshopId,
        id: randomUUID(),
        cuttingId: null,
        madeBy: userId,
        ...entry,
      });
  }

  /**
   * Takes an amount off a shelf at mean cost.
   * @returns what it was worth, minor units
   */
  async take(entry: Omit<NewEntry, 'cost'>): Promise<number> {
    const holding = await this.holding(entry.itemId);
    const problem = takeProblem(entry.label, holding, entry.amount);
    if (problem !== null) throw Problem.unusable([{ field: 'amount', why: problem }]);
    const cost = costOf(holding, entry.amount);
    await this.write([{ ...entry, amount: -entry.amount, cost: -cost }]);
    return cost;
  }

  /** Sets what is there to what was counted; the cost goes along at the mean. */
  async count(entry: Omit<NewEntry, 'cost' | 'kind'>, worthOfOne: number): Promise<void> {
    const holding = await this.holding(entry.itemId);
    const difference = entry.amount - holding.amount;
    if (Math.abs(difference) < 1e-9) return;
    const cost =
      difference < 0
        ? -costOf(holding, -difference)
        : Math.round(difference * (holding.amount > 0 ? holding.cost / holding.amount : worthOfOne));
    await this.write([{ ...entry, kind: 'corrected', amount: difference, cost }]);
  }
}
