import { Injectable } from '@nestjs/common';
import {
  lotsOf,
  piecesIn,
  progressOf,
  SUMMARY_RULE,
  summaryOf,
  type Lot,
  type PieceSummary,
  type RunEvent,
  type StepLine,
} from '@compas/core';
import type { EntityManager } from 'typeorm';

/** Events as the core reads them, with their instant as it was sent. */
export const EVENT_COLUMNS = `id, piece, to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at, device, sequence, plan_version AS "planVersion", body`;

const SUMMARY_COLUMNS =
  'number AS piece, steps_done AS "stepsDone", rejected, failed, step, locked_by AS "lockedBy", waits, meanwhile';

const KEEP = `
UPDATE pieces p SET steps_done = s."stepsDone", rejected = s.rejected, failed = s.failed, step = s.step, locked_by = s."lockedBy", waits = s.waits, meanwhile = s.meanwhile
FROM jsonb_to_recordset($2::jsonb) AS s(piece int, "stepsDone" int, rejected boolean, failed boolean, step int, "lockedBy" text, waits jsonb, meanwhile jsonb)
WHERE p.batch_id = $1 AND p.number = s.piece`;

/**
 * How far each piece is, kept beside it so that lists need no events. It is always summed up anew from the
 * piece's events under the lock of its batch, never counted up.
 */
@Injectable()
export class PieceSummaries {
  /** Sums all pieces of a batch up. The caller holds the lock of the batch's row. */
  async refresh(manager: EntityManager, batchId: string, steps: readonly StepLine[]): Promise<void> {
    const events = await manager.query<RunEvent[]>(
      `SELECT ${EVENT_COLUMNS} FROM events WHERE batch_id = $1`,
      [batchId],
    );
    const [batch] = await manager.query<{ lots: Lot[] }[]>('SELECT lots FROM batches WHERE id = $1', [
      batchId,
    ]);
    const lots = batch?.lots ?? [];
    const all = Array.from({ length: piecesIn(lots) }, (_, i) => i + 1);
    await this.keep(manager, batchId, steps, { lots, pieces: all }, events);
  }

  /**
   * Keeps the summaries of pieces that depend on no other, from all of their events. The caller holds the lock of
   * the batch's row.
   */
  keepAlone(
    manager: EntityManager,
    batchId: string,
    steps: readonly StepLine[],
    pieces: readonly number[],
    events: readonly RunEvent[],
  ): Promise<void> {
    const lots = lotsOf([{ partId: steps[0]?.partId ?? '', pieces: Math.max(0, ...pieces) }]);
    return this.keep(manager, batchId, steps, { lots, pieces }, events);
  }

  private async keep(
    manager: EntityManager,
    batchId: string,
    steps: readonly StepLine[],
    { lots, pieces }: { lots: readonly Lot[]; pieces: readonly number[] },
    events: readonly RunEvent[],
  ): Promise<void> {
    const progress = progressOf(lots, events, steps);
    const wanted = new Set(pieces);
    const summaries = progress.pieces.filter((p) => wanted.has(p.piece)).map((p) => summaryOf(steps, p));
    await manager.query(KEEP, [batchId, JSON.stringify(summaries)]);
  }

  /** Kept summaries of several batches by their ids, each in the order of its pieces. */
  async of(manager: EntityManager, batchIds: readonly string[]): Promise<Map<string, PieceSummary[]>> {
    const rows = await manager.query<(PieceSummary & { batchId: string })[]>(
      `SELECT batch_id AS "batchId", ${SUMMARY_COLUMNS} FROM pieces WHERE batch_id = ANY($1::uuid[]) ORDER BY batch_id, number`,
      [batchIds],
    );
    const found = new Map<string, PieceSummary[]>(batchIds.map((id) => [id, []]));
    for (const { batchId, ...summary } of rows) found.get(batchId)?.push(summary);
    return found;
  }

  /** The rule by which summaries are made now; batches of an older one are summed up anew at start. */
  readonly rule = SUMMARY_RULE;
}
