import { Injectable } from '@nestjs/common';
import { Column, type EntityTarget, type FindOptionsWhere } from 'typeorm';
import { Problem } from '../edge/problem.js';
import { WorkshopTransaction } from './workshopTransaction.js';

/** What several people may change: which version it is, who made it, when, and by which change. */
export abstract class SharedRow {
  @Column('int') version: number;
  @Column('text', { name: 'changed_by' }) changedBy: string;
  @Column({ type: 'timestamptz', name: 'changed_at' }) changedAt: Date;
  @Column('uuid', { name: 'last_change', nullable: true }) lastChange: string | null;
}

type Stamp = Pick<SharedRow, 'version' | 'changedBy' | 'changedAt' | 'lastChange'>;

/** How rows that several people may change are saved: over the version that was read, or not at all. */
@Injectable()
export class SharedRows {
  constructor(private readonly transaction: WorkshopTransaction) {}

  /** The stamp of a row that is new. */
  first(): Stamp {
    return this.stamp(1);
  }

  /** The stamp of a row that is saved over. */
  next(row: SharedRow): Stamp {
    return this.stamp(row.version + 1);
  }

  /**
   * A row, locked until the transaction ends, so that nobody saves over what is decided about it.
   * @param what how it is called when it has gone
   */
  async locked<E extends SharedRow & { id: string }>(
    entity: EntityTarget<E>,
    id: string,
    what: string,
  ): Promise<E> {
    const row = await this.transaction.manager.findOne(entity, {
      where: { id } as FindOptionsWhere<E>,
      lock: { mode: 'pessimistic_write' },
    });
    if (!row) throw Problem.notFound(what);
    return row;
  }

  /**
   * Refuses to save over a version that was not read, with who changed it and when. A version made by a
   * change whose answer the client never got is its own.
   * @param words what was changed in between, as a sentence about it
   */
  refuseStale(row: SharedRow, basedOn: number, words: string): void {
    const { after } = this.transaction.acting;
    if (row.version === basedOn || (after !== null && row.lastChange === after)) return;
    throw Problem.conflict(words, {
      by: row.changedBy,
      at: row.changedAt.toISOString(),
      version: row.version,
    });
  }

  private stamp(version: number): Stamp {
    const { userName, changeId } = this.transaction.acting;
    return { version, changedBy: userName, changedAt: new Date(), lastChange: changeId };
  }
}
