import { createHash, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { inRecordedOrder, reckonedAt, type RunEvent, type SendingClock, type StepLine } from '@compas/core';
import { Recorders, type ClaimedRecorder } from '../access/recorders.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { readEvent, type EventPageView, type SetAsideView, type StoredEventsView } from './event.dto.js';
import { EVENT_COLUMNS, PieceSummaries } from './pieceSummaries.js';

/** With the instant at which it was recorded by the server's clock. */
type ReckonedEvent = RunEvent & { reckoned: string; madeBy?: string };

/** What the database did with events, and what the summing up of their pieces needs. */
interface Recorded {
  /** ids that are new */
  stored: string[] | null;
  /** ids of pieces that are in the batch */
  fitting: string[] | null;
  /** ids that are there with another content, or in another batch */
  clashing: string[] | null;
  pieces: number[] | null;
  steps: StepLine[];
  events: RunEvent[] | null;
}

/** Sent again it would be the same; a device that counts anew after it lost its store begins with another id. */
const CLASHES = 'Another record has this id. Somebody should look at both.';

/** Events of one answer at most. */
const PAGE = 2000;

const SET_ASIDE = `
WITH batch AS (SELECT workshop_id, id FROM batches WHERE id = $2), kept AS (
  INSERT INTO set_aside (workshop_id, id, batch_id, raw, why, hash) SELECT workshop_id, $1, id, $3, $4, $5 FROM batch ON CONFLICT DO NOTHING
)
SELECT id FROM batch`;

/** Whether how far a piece is hangs on others: those of its blank, or those of other parts. */
const dependOnOthers = (steps: readonly StepLine[]): boolean =>
  steps.some((s) => s.partId !== steps[0]?.partId || s.share !== undefined);

/** The append-only stream of a batch. */
@Injectable()
export class EventStore {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly summaries: PieceSummaries,
    private readonly recorders: Recorders,
  ) {}

  /**
   * @param clock that of the device that sends, where it says
   * @param claimed whose records it says they are
   */
  async append(
    batchId: string,
    raw: readonly object[],
    clock: SendingClock | null = null,
    claimed: readonly ClaimedRecorder[] = [],
  ): Promise<StoredEventsView> {
    const read = await Promise.all(raw.map(readEvent));
    const aside = read.flatMap((r) => (r.ok ? [] : [{ raw: r.raw, why: r.why }]));
    const received = Date.now();
    const recorders = await this.recorders.known(claimed);
    const taken: { event: RunEvent; reckoned: ReckonedEvent }[] = [];
    for (const one of read) {
      if (!one.ok) continue;
      const { event } = one;
      const at = reckonedAt(event, clock, received);
      const by = recorders.get(event.recorder ?? '');
      if (by && by.endedAt !== null && at > by.endedAt)
        aside.push({ raw: event, why: `${by.name} had left the workshop when this was recorded.` });
      else
        taken.push({
          event,
          reckoned: { ...event, reckoned: new Date(at).toISOString(), ...(by ? { madeBy: by.userId } : {}) },
        });
    }
    const { stored, fitting, clashing } = await this.store(
      batchId,
      taken.map((t) => t.reckoned),
    );
    for (const { event } of taken)
      if (!fitting.has(event.id))
        aside.push({ raw: event, why: `Piece ${event.piece} is not in this batch.` });
      else if (clashing.has(event.id)) aside.push({ raw: event, why: CLASHES });
    return {
      stored: stored.size,
      known: [...fitting].filter((id) => !stored.has(id) && !clashing.has(id)).length,
      setAside: await this.setAside(batchId, aside),
    };
  }

  /** Records of the server itself, at the instants that it gives them. */
  async appendOwn(batchId: string, events: readonly RunEvent[]): Promise<void> {
    await this.store(
      batchId,
      events.map((e) => ({ ...e, reckoned: e.at })),
    );
  }

  /** Every event of a batch in the order in which they count, as it goes into a print or a verdict. */
  async of(batchId: string): Promise<RunEvent[]> {
    const events = await this.transaction.manager.query<RunEvent[]>(
      `SELECT ${EVENT_COLUMNS} FROM events WHERE batch_id = $1`,
      [batchId],
    );
    return inRecordedOrder(events);
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
    events: readonly ReckonedEvent[],
  ): Promise<Record<'stored' | 'fitting' | 'clashing', ReadonlySet<string>>> {
    if (events.length === 0) return { stored: new Set(), fitting: new Set(), clashing: new Set() };
    const { manager, acting } = this.transaction;
    const [{ recorded }] = await manager.query<[{ recorded: Recorded | null }]>(
      'SELECT record_events($1, $2::jsonb, $3) AS recorded',
      [batchId, JSON.stringify(events), acting.userId],
    );
    if (!recorded) throw Problem.notFound('batch');
    const { pieces, steps, events: ofPieces } = recorded;
    // what is done to a blank is done to all pieces in it, and parts wait for each other: their events did not come along
    if (pieces && dependOnOthers(steps)) await this.summaries.refresh(manager, batchId, steps);
    else if (pieces) await this.summaries.keepAlone(manager, batchId, steps, pieces, ofPieces ?? []);
    return {
      stored: new Set(recorded.stored),
      fitting: new Set(recorded.fitting),
      clashing: new Set(recorded.clashing),
    };
  }

  private async setAside(batchId: string, aside: { raw: object; why: string }[]): Promise<SetAsideView[]> {
    const views: SetAsideView[] = [];
    for (const { raw, why } of aside) {
      // what comes again, however often, is set aside once
      const [batch] = await this.transaction.manager.query<unknown[]>(SET_ASIDE, [
        randomUUID(),
        batchId,
        JSON.stringify(raw),
        why,
        createHash('sha256').update(JSON.stringify(raw)).digest('hex'),
      ]);
      if (!batch) throw Problem.notFound('batch');
      views.push({ id: 'id' in raw && typeof raw.id === 'string' ? raw.id : null, why });
    }
    return views;
  }
}
