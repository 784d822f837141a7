import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { RunEvent, StepLine } from '@compas/core';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { readEvent, type EventPageView, type SetAsideView, type StoredEventsView } from './event.dto.js';
import { EVENT_COLUMNS, PieceSummaries } from './pieceSummaries.js';

/** What the database did with events, and what the summing up of their pieces needs. */
interface Recorded {
  known: number;
  fitting: string[] | null;
  pieces: number[] | null;
  steps: StepLine[];
  events: RunEvent[] | null;
}

/** Events of one answer at most. */
const PAGE = 2000;

/** Whether how far a piece is hangs on others: those of its blank, or those of other parts. */
const dependOnOthers = (steps: readonly StepLine[]): boolean =>
  steps.some((s) => s.partId !== steps[0]?.partId || s.share !== undefined);

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
    const [{ recorded }] = await manager.query<[{ recorded: Recorded | null }]>(
      'SELECT record_events($1, $2::jsonb, $3) AS recorded',
      [batchId, JSON.stringify(events), acting.userId],
    );
    if (!recorded) throw Problem.notFound('batch');
    const { known, fitting, pieces, steps, events: ofPieces } = recorded;
    // what is done to a blank is done to all pieces in it, and parts wait for each other: their events did not come along
    if (pieces && dependOnOthers(steps)) await this.summaries.refresh(manager, batchId, steps);
    else if (pieces) await this.summaries.keepAlone(manager, batchId, steps, pieces, ofPieces ?? []);
    return { stored: (fitting?.length ?? 0) - known, fitting: new Set(fitting ?? []) };
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
