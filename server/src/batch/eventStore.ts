import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { RunEvent } from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { readEvent, type SetAsideView, type StoredEventsView } from './event.dto.js';

/**
 * One statement stores the events that are new, and the readings among them; pieces outside the batch
 * find no row to join. Sending an event again changes nothing.
 */
const STORE = `
WITH incoming AS (
  SELECT * FROM jsonb_to_recordset($1::jsonb) AS e(id uuid, piece int, at timestamptz, device text, sequence int, "planVersion" int, body jsonb)
), fitting AS (
  SELECT e.*, p.workshop_id, p.batch_id FROM incoming e JOIN pieces p ON p.batch_id = $2 AND p.number = e.piece
), stored AS (
  INSERT INTO events (workshop_id, id, batch_id, piece, at, device, sequence, plan_version, body, made_by)
  SELECT workshop_id, id, batch_id, piece, at, device, sequence, "planVersion", body, $3 FROM fitting
  ON CONFLICT DO NOTHING RETURNING workshop_id, id, batch_id, piece, body
), read AS (
  INSERT INTO readings (workshop_id, event_id, batch_id, piece, station_id, mm, typed)
  SELECT workshop_id, id, batch_id, piece, body->>'stationId', (body->>'mm')::float8, body->>'typed'
  FROM stored WHERE body->>'kind' = 'measured'
)
SELECT (SELECT count(*)::int FROM stored) AS stored, (SELECT array_agg(id) FROM fitting) AS fitting`;

/** The append-only stream of a batch. */
@Injectable()
export class EventStore {
  constructor(private readonly transaction: WorkshopTransaction) {}

  async append(batchId: string, raw: readonly object[]): Promise<StoredEventsView> {
    const read = await Promise.all(raw.map(readEvent));
    const events = read.flatMap((r) => (r.ok ? [r.event] : []));
    const aside = read.flatMap((r) => (r.ok ? [] : [{ raw: r.raw, why: r.why }]));
    const { stored, fitting } = await this.store(batchId, events);
    for (const event of events)
      if (!fitting.has(event.id))
        aside.push({ raw: event, why: `Piece ${event.piece} is not in this batch.` });
    return { stored, known: fitting.size - stored, setAside: await this.setAside(batchId, aside) };
  }

  of(batchId: string): Promise<RunEvent[]> {
    return this.transaction.manager.query(
      `SELECT id, piece, to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at, device, sequence, plan_version AS "planVersion", body
       FROM events WHERE batch_id = $1 ORDER BY at, device, sequence`,
      [batchId],
    );
  }

  asideOf(batchId: string): Promise<SetAsideView[]> {
    return this.transaction.manager.query(
      'SELECT id, why FROM set_aside WHERE batch_id = $1 ORDER BY received_at',
      [batchId],
    );
  }

  private async store(
    batchId: string,
    events: readonly RunEvent[],
  ): Promise<{ stored: number; fitting: Set<string> }> {
    if (events.length === 0) return { stored: 0, fitting: new Set() };
    const [row] = await this.transaction.manager.query<[{ stored: number; fitting: string[] | null }]>(
      STORE,
      [JSON.stringify(events), batchId, this.transaction.acting.userId],
    );
    return { stored: row.stored, fitting: new Set(row.fitting ?? []) };
  }

  private async setAside(batchId: string, aside: { raw: object; why: string }[]): Promise<SetAsideView[]> {
    const views: SetAsideView[] = [];
    for (const { raw, why } of aside) {
      const id = randomUUID();
      const kept = await this.transaction.manager.query<unknown[]>(
        `INSERT INTO set_aside (workshop_id, id, batch_id, raw, why) SELECT workshop_id, $1, id, $3, $4 FROM batches WHERE id = $2 RETURNING id`,
        [id, batchId, JSON.stringify(raw), why],
      );
      if (kept.length === 0) throw Problem.notFound('batch');
      views.push({ id: 'id' in raw && typeof raw.id === 'string' ? raw.id : null, why });
    }
    return views;
  }
}
