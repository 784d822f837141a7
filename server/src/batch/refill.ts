import { createHash } from 'node:crypto';
import {
  planSummaryOf,
  readSnapshot,
  SUMMARY_RULE,
  type PlanSummary,
  type StoredSnapshot,
} from '@compas/core';
import type { DataSource, EntityManager } from 'typeorm';
import { PieceSummaries } from './pieceSummaries.js';

interface StaleBatch {
  id: string;
  workshopId: string;
}

/**
 * Brings what is kept beside plans and pieces up to the rule of this build. It runs once, at start, as the
 * owner of the tables, batch by batch, so that a start that was cut short goes on where it stopped.
 * @returns how many batches were summed up anew
 */
export async function refill(source: DataSource): Promise<number> {
  const stale = await source.query<StaleBatch[]>(
    'SELECT id, workshop_id AS "workshopId" FROM batches WHERE summary_rule <> $1',
    [SUMMARY_RULE],
  );
  for (const batch of stale) await source.transaction((manager) => refillOne(manager, batch));
  return stale.length;
}

async function refillOne(manager: EntityManager, { id, workshopId }: StaleBatch): Promise<void> {
  const [{ version }] = await manager.query<[{ version: number }]>(
    'SELECT plan_version AS version FROM batches WHERE workshop_id = $1 AND id = $2 FOR UPDATE',
    [workshopId, id],
  );
  const plans = await manager.query<{ version: number; snapshot: StoredSnapshot; hash: string | null }[]>(
    'SELECT version, snapshot, hash FROM plan_versions WHERE workshop_id = $1 AND batch_id = $2',
    [workshopId, id],
  );
  let current: PlanSummary | null = null;
  for (const plan of plans) {
    const { summary, hash } = keptPlan(plan.snapshot);
    if (plan.version === version) current = summary;
    await manager.query(
      'UPDATE plan_versions SET hash = $4, summary = $5 WHERE workshop_id = $1 AND batch_id = $2 AND version = $3',
      [workshopId, id, plan.version, plan.hash ?? hash, JSON.stringify(summary)],
    );
  }
  if (current) await new PieceSummaries().refresh(manager, id, current.steps);
  await manager.query('UPDATE batches SET summary_rule = $3 WHERE workshop_id = $1 AND id = $2', [
    workshopId,
    id,
    SUMMARY_RULE,
  ]);
}

/** A snapshot with its address and what lists show of it. */
export function keptPlan(snapshot: StoredSnapshot): {
  snapshot: StoredSnapshot;
  hash: string;
  summary: PlanSummary;
} {
  const hash = createHash('sha256').update(JSON.stringify(snapshot)).digest('hex');
  return { snapshot, hash, summary: planSummaryOf(readSnapshot(snapshot).plan) };
}
