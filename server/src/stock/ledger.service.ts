import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { costOf, holdingsOf, takeProblem, type Balance, type Holding, type LedgerKind } from '@compas/core';
import { ILike, LessThan, type FindOptionsWhere } from 'typeorm';
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

/** Lines of a page. */
const PAGE = 200;

/** Which lines are wanted: those before a place, and of them those whose item or note holds the words. */
function wanted(place: FindOptionsWhere<LedgerEntity>, search: string): FindOptionsWhere<LedgerEntity>[] {
  if (search === '') return [place];
  const like = ILike(`%${search.replace(/[\\%_]/g, '\\$&')}%`);
  return [
    { ...place, label: like },
    { ...place, note: like },
  ];
}

const BALANCE = `
WITH held AS (
  SELECT item_id, sum(amount) AS amount, sum(cost) AS cost, bool_or(shelf = 'kit') AS kit FROM ledger GROUP BY item_id
), kinds AS (
  SELECT kind, sum(cost)::float8 AS cost FROM ledger GROUP BY kind
)
SELECT jsonb_build_object(
  'byKind', '{"received": 0, "cut": 0, "used": 0, "lost": 0, "corrected": 0}'::jsonb || coalesce((SELECT jsonb_object_agg(kind, cost) FROM kinds), '{}'),
  'worth', coalesce((SELECT sum(cost)::float8 FROM held), 0),
  'kits', coalesce((SELECT sum(cost)::float8 FROM held WHERE kit), 0),
  'wrong', coalesce((SELECT jsonb_agg(item_id) FROM held WHERE amount < -1e-9 OR (abs(amount) <= 1e-9 AND cost <> 0)), '[]'),
  'openCuttings', coalesce((SELECT jsonb_agg(id) FROM (
    SELECT cutting_id AS id FROM ledger WHERE cutting_id IS NOT NULL GROUP BY cutting_id HAVING sum(cost) <> 0) open), '[]')
) AS balance`;

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

  /** A page of lines, the newest first, before a number; with words only those that name them. */
  async page(before: number | null, search: string): Promise<{ lines: LedgerEntity[]; next: number | null }> {
    const found = await this.transaction.manager.find(LedgerEntity, {
      where: wanted(before === null ? {} : { number: LessThan(String(before)) }, search),
      order: { number: 'DESC' },
      take: PAGE + 1,
    });
    const lines = found.slice(0, PAGE);
    const last = lines.at(-1);
    return { lines, next: found.length > PAGE && last ? Number(last.number) : null };
  }

  /** The ledger added up where it lies, as `balanceOf` does it. */
  async balance(): Promise<Balance & { kits: number }> {
    const [row] = await this.transaction.manager.query<[{ balance: Balance & { kits: number } }]>(BALANCE);
    return row.balance;
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
