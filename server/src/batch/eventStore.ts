import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { RunEvent, StepLine } from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { readEvent, type EventPageView, type SetAsideView, type StoredEventsView } from './event.dto.js';
import { EVENT_COLUMNS, PieceSummaries } from './pieceSummaries.js';

/** Whoever records on a batch waits here for whoever does so already, and for whoever plans it anew. */
const LOCK = `SELECT last_event::int AS last, plan_version AS version FROM batches WHERE id = $1 FOR UPDATE`;

/**
 * One statement stores the events that are new, and the readings among them; pieces outside the batch
 * find no row to join. Sending an event again changes nothing. Numbers go on from the newest one; those of
 * events that were known are left out.
 */
const STORE = `
WITH incoming AS (
  SELECT * FROM ROWS FROM (jsonb_to_recordset($1::jsonb) AS (id uuid, piece int, at timestamptz, device text, sequence int, "planVersion" int, body jsonb))
    WITH ORDINALITY AS e(id, piece, at, device, sequence, "planVersion", body, place)
), fitting AS (
  SELECT e.*, p.workshop_id, p.batch_id FROM incoming e JOIN pieces p ON p.batch_id = $2 AND p.number = e.piece
), stored AS (
  INSERT INTO events (workshop_id, id, batch_id, piece, at, device, sequence, plan_version, body, made_by, number)
  SELECT workshop_id, id, batch_id, piece, at, device, sequence, "planVersion", body, $3, $4::bigint + place FROM fitting
  ON CONFLICT DO NOTHING RETURNING workshop_id, id, batch_id, piece, body
), read AS (
  INSERT INTO readings (workshop_id, event_id, batch_id, piece, station_id, mm, typed)
  SELECT workshop_id, id, batch_id, piece, body->>'stationId', (body->>'mm')::float8, body->>'typed'
  FROM stored WHERE body->>'kind' = 'measured'
), counted AS (
  UPDATE batches SET last_event = $4::bigint + (SELECT coalesce(max(place), 0) FROM fitting) WHERE id = $2
)
SELECT (SELECT count(*)::int FROM stored) AS stored, (SELECT array_agg(id) FROM fitting) AS fitting,
  (SELECT array_agg(DISTINCT piece) FROM stored) AS pieces,
  (SELECT summary->'steps' FROM plan_versions WHERE batch_id = $2 AND version = $5) AS steps`;

interface StoredRow {
  stored: number;
  fitting: string[] | null;
  pieces: number[] | null;
  steps: StepLine[];
}

/** Events of one answer at most. */
const PAGE = 2000;

/** The append-only stream of a batch. */
@Injectable()
export class EventStore {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly summaries: PieceSummaries,
  ) {}

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

  /** Every event of a batch, as it goes into a print or a verdict. */
  of(batchId: string): Promise<RunEvent[]> {
    return this.transaction.manager.query(
      `SELECT ${EVENT_COLUMNS} FROM events WHERE batch_id = $1 ORDER BY at, device, sequence`,
      [batchId],
    );
  }

  /** Events of a batch after a number, in the order in which they were stored. */
  async since(batchId: string, after: number): Promise<EventPageView> {
    const rows = await this.transaction.manager.query<(RunEvent & { number: string })[]>(
      `SELECT number, ${EVENT_COLUMNS} FROM events WHERE batch_id = $1 AND number > $2 ORDER BY number LIMIT $3`,
      [batchId, after, PAGE + 1],
    );
    const page = rows.slice(0, PAGE);
    const last = page.at(-1);
    return {
      events: page.map(({ number: _, ...event }) => event),
      last: last ? Number(last.number) : after,
      more: rows.length > PAGE,
    };
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
    const { manager, acting } = this.transaction;
    const [batch] = await manager.query<{ last: number; version: number }[]>(LOCK, [batchId]);
    if (!batch) throw Problem.notFound('batch');
    const [row] = await manager.query<[StoredRow]>(STORE, [
      JSON.stringify(events),
      batchId,
      acting.userId,
      batch.last,
      batch.version,
    ]);
    if (row.pieces) await this.summaries.refresh(manager, batchId, row.steps, row.pieces);
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
