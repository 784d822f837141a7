import { Injectable } from '@nestjs/common';
import { inRecordedOrder, reckonedAt, type RunEvent, type SendingClock, type StepLine } from '@compas/core';
import { Recorders, type ClaimedRecorder } from '../access/recorders.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { AsideStore, type Aside } from './asideStore.js';
import {
  readEvent,
  type CreditView,
  type EventPageView,
  type SetAsideView,
  type StoredEventsView,
} from './event.dto.js';
import { Notices } from './notices.js';
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

/** Events of one answer at most, and bytes of them as they are stored: with photos they are many. */
const PAGE = 2000;
const PAGE_BYTES = 4_000_000;

const SINCE = `
SELECT number, ${EVENT_COLUMNS} FROM (
  SELECT e.*, sum(pg_column_size(body)) OVER (ORDER BY number) - pg_column_size(body) AS before
  FROM events e WHERE batch_id = $1 AND number > $2 ORDER BY number LIMIT $3
) e WHERE before < $4 ORDER BY number`;

const CREDIT = `
SELECT p.name, count(*) FILTER (WHERE e.body->>'kind' = 'done')::int AS steps, count(*) FILTER (WHERE e.body->>'kind' = 'measured')::int AS readings
FROM events e JOIN access_recorded_by($1) p ON p.user_id = e.made_by WHERE e.batch_id = $1
GROUP BY p.user_id, p.name ORDER BY count(*) DESC, p.name`;

/** Whether how far a piece is hangs on others: those of its blank, or those of other parts. */
const dependOnOthers = (steps: readonly StepLine[]): boolean =>
  steps.some((s) => s.partId !== steps[0]?.partId || s.share !== undefined);

const notInBatch = ({ piece }: RunEvent): string => `Piece ${piece} is not in this batch.`;

/** The recorder that something names which could not be read otherwise. */
const recorderIn = (raw: object): string =>
  'recorder' in raw && typeof raw.recorder === 'string' ? raw.recorder : '';

/** It was read, and is not counted for what it says. */
const refused = (raw: RunEvent, why: string, madeBy?: string): Aside => ({ raw, why, unread: false, madeBy });

/** The append-only stream of a batch. */
@Injectable()
export class EventStore {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly summaries: PieceSummaries,
    private readonly recorders: Recorders,
    private readonly aside: AsideStore,
    private readonly notices: Notices,
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
    const received = Date.now();
    const recorders = await this.recorders.known(claimed);
    const aside = read.flatMap((r): Aside[] =>
      r.ok
        ? []
        : [{ raw: r.raw, why: r.why, unread: true, madeBy: recorders.get(recorderIn(r.raw))?.userId }],
    );
    const taken: { event: RunEvent; reckoned: ReckonedEvent }[] = [];
    for (const one of read) {
      if (!one.ok) continue;
      const { event } = one;
      const at = reckonedAt(event, clock, received);
      const by = recorders.get(event.recorder ?? '');
      if (by && by.endedAt !== null && at > by.endedAt)
        aside.push(refused(event, `${by.name} had left the workshop when this was recorded.`, by.userId));
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
    for (const { event, reckoned } of taken)
      if (!fitting.has(event.id)) aside.push(refused(event, notInBatch(event), reckoned.madeBy));
      else if (clashing.has(event.id)) aside.push(refused(event, CLASHES, reckoned.madeBy));
    return {
      stored: stored.size,
      known: [...fitting].filter((id) => !stored.has(id) && !clashing.has(id)).length,
      setAside: await this.aside.add(batchId, aside),
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
    const { manager } = this.transaction;
    const page = await manager.query<(RunEvent & { number: string })[]>(SINCE, [
      batchId,
      after,
      PAGE,
      PAGE_BYTES,
    ]);
    const last = Number(page.at(-1)?.number ?? after);
    const [batch] = await manager.query<{ last: string }[]>(
      'SELECT last_event AS last FROM batches WHERE id = $1',
      [batchId],
    );
    return {
      events: page.map(({ number: _, ...event }) => event),
      last,
      more: page.length > 0 && last < Number(batch?.last ?? 0),
    };
  }

  /** Who recorded what on a batch, whoever sent it; those who recorded most first. */
  credit(batchId: string): Promise<CreditView[]> {
    return this.transaction.manager.query(CREDIT, [batchId]);
  }

  /** What is set aside of a batch; what an older Compas could not read and this one can is counted first. */
  async setAside(batchId: string): Promise<SetAsideView[]> {
    const aside = await this.aside.of(batchId);
    return aside.length > 0 && (await this.readAgain(batchId)) ? this.aside.of(batchId) : aside;
  }

  /** @returns whether there was anything that could not be read */
  private async readAgain(batchId: string): Promise<boolean> {
    const unread = await this.aside.unread(batchId);
    for (const { id, raw, sentBy, madeBy, receivedAt } of unread) {
      const read = await readEvent(raw);
      if (!read.ok) {
        await this.aside.stays(id, read.why, true);
        continue;
      }
      const { event } = read;
      const reckoned = new Date(reckonedAt(event, null, receivedAt)).toISOString();
      const own = { ...event, reckoned, ...(madeBy === null ? {} : { madeBy }) };
      const { fitting, clashing } = await this.store(batchId, [own], sentBy);
      if (!fitting.has(event.id)) await this.aside.stays(id, notInBatch(event), false);
      else if (clashing.has(event.id)) await this.aside.stays(id, CLASHES, false);
      else await this.aside.giveUp(id);
    }
    return unread.length > 0;
  }

  private async store(
    batchId: string,
    events: readonly ReckonedEvent[],
    sentBy: string | null = null,
  ): Promise<Record<'stored' | 'fitting' | 'clashing', ReadonlySet<string>>> {
    if (events.length === 0) return { stored: new Set(), fitting: new Set(), clashing: new Set() };
    const { manager, acting } = this.transaction;
    const [{ recorded }] = await manager.query<[{ recorded: Recorded | null }]>(
      'SELECT record_events($1, $2::jsonb, $3) AS recorded',
      [batchId, JSON.stringify(events), sentBy ?? acting.userId],
    );
    if (!recorded) throw Problem.notFound('batch');
    const { pieces, steps, events: ofPieces } = recorded;
    if (pieces) await this.notices.tell(manager, acting.workshopId, batchId);
    // what is done to a blank is done to all pieces in it, and parts wait for each other: their events did not come along
    if (pieces && dependOnOthers(steps)) await this.summaries.refresh(manager, batchId, steps);
    else if (pieces) await this.summaries.keepAlone(manager, batchId, steps, pieces, ofPieces ?? []);
    return {
      stored: new Set(recorded.stored),
      fitting: new Set(recorded.fitting),
      clashing: new Set(recorded.clashing),
    };
  }
}
