import { createHash, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { AsideRecordView, SetAsideView } from './event.dto.js';

/** What came and is not in the record of its batch, with the reason. */
export interface Aside {
  raw: object;
  why: string;
  /** it could not be read at all: a newer Compas may read it */
  unread: boolean;
  /** who recorded it, where that was shown */
  madeBy?: string | undefined;
}

/** Something that an older Compas could not read. */
export interface Unread {
  id: string;
  raw: object;
  sentBy: string | null;
  madeBy: string | null;
  /** instant, ms */
  receivedAt: number;
}

/**
 * Goes up whenever more can be read: a kind of event or a field that was not known before. What an older Compas set aside is
 * then read again.
 */
export const READING_RULE = 1;

const SET_ASIDE = `
WITH batch AS (SELECT workshop_id, id FROM batches WHERE id = $2), kept AS (
  INSERT INTO set_aside (workshop_id, id, batch_id, raw, why, hash, sent_by, made_by, read_by)
  SELECT workshop_id, $1, id, $3, $4, $5, $6, $7, $8 FROM batch ON CONFLICT DO NOTHING
)
SELECT id FROM batch`;

const LISTED = `
SELECT s.id, s.batch_id AS "batchId", b.name AS batch, s.why, s.raw, to_char(s.received_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS "receivedAt"
FROM set_aside s JOIN batches b ON b.workshop_id = s.workshop_id AND b.id = s.batch_id ORDER BY s.received_at DESC, s.id LIMIT 500`;

/** Records that came and are not counted: in sight until somebody gives them up. */
@Injectable()
export class AsideStore {
  constructor(private readonly transaction: WorkshopTransaction) {}

  /** Sets aside what is not there yet: what comes again, however often, is there once. */
  async add(batchId: string, aside: readonly Aside[]): Promise<SetAsideView[]> {
    const { manager, acting } = this.transaction;
    const views: SetAsideView[] = [];
    for (const { raw, why, unread, madeBy } of aside) {
      const [batch] = await manager.query<unknown[]>(SET_ASIDE, [
        randomUUID(),
        batchId,
        JSON.stringify(raw),
        why,
        createHash('sha256').update(JSON.stringify(raw)).digest('hex'),
        acting.userId,
        madeBy ?? null,
        unread ? READING_RULE : null,
      ]);
      if (!batch) throw Problem.notFound('batch');
      views.push({ id: 'id' in raw && typeof raw.id === 'string' ? raw.id : null, why });
    }
    return views;
  }

  of(batchId: string): Promise<SetAsideView[]> {
    return this.transaction.manager.query(
      'SELECT id, why FROM set_aside WHERE batch_id = $1 ORDER BY received_at',
      [batchId],
    );
  }

  /** What an older Compas could not read of a batch. */
  async unread(batchId: string): Promise<Unread[]> {
    const rows = await this.transaction.manager.query<(Omit<Unread, 'receivedAt'> & { at: Date })[]>(
      'SELECT id, raw, sent_by AS "sentBy", made_by AS "madeBy", received_at AS at FROM set_aside WHERE batch_id = $1 AND read_by < $2 ORDER BY received_at',
      [batchId, READING_RULE],
    );
    return rows.map(({ at, ...row }) => ({ ...row, receivedAt: at.getTime() }));
  }

  /** It was read again: it says something that is not counted, or still nobody can read it. */
  async stays(id: string, why: string, unread: boolean): Promise<void> {
    await this.transaction.manager.query('UPDATE set_aside SET why = $2, read_by = $3 WHERE id = $1', [
      id,
      why,
      unread ? READING_RULE : null,
    ]);
  }

  /** All of the workshop, the newest first. */
  list(): Promise<AsideRecordView[]> {
    return this.transaction.manager.query(LISTED);
  }

  /** @returns whether it was there */
  async giveUp(id: string): Promise<boolean> {
    const [, gone] = await this.transaction.manager.query<[unknown[], number]>(
      'DELETE FROM set_aside WHERE id = $1',
      [id],
    );
    return gone > 0;
  }
}
