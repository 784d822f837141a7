import { Injectable } from '@nestjs/common';
import { Problem } from '../edge/problem.js';
import { WorkshopTransaction } from './workshopTransaction.js';

/** Answers are kept this long, so that a change sent again is still known. */
const KEPT = '30 days';

/** Begins a change unless it was made before; whoever sends it at the same time waits here. Old answers go. */
const BEGIN = `
WITH old AS (DELETE FROM answers WHERE made_at < now() - interval '${KEPT}')
INSERT INTO answers (workshop_id, id, asked, made_by) VALUES ($1, $2, $3, $4) ON CONFLICT DO NOTHING RETURNING id`;

/** What was answered to each change, so that a change sent twice is made once and answered alike. */
@Injectable()
export class Answers {
  constructor(private readonly transaction: WorkshopTransaction) {}

  /**
   * Makes a change that carries an id of its client's: the first time it is done, later its answer is given.
   * @param asked fingerprint of what was asked; the same id for something else is refused
   */
  async once(id: string, asked: string, work: () => Promise<unknown>): Promise<unknown> {
    const { manager, acting } = this.transaction;
    const begun = await manager.query<unknown[]>(BEGIN, [acting.workshopId, id, asked, acting.userId]);
    if (begun.length === 0) return this.known(id, asked);
    const answer = await work();
    await manager.query('UPDATE answers SET answer = $3 WHERE workshop_id = $1 AND id = $2', [
      acting.workshopId,
      id,
      JSON.stringify(answer ?? null),
    ]);
    return answer;
  }

  private async known(id: string, asked: string): Promise<unknown> {
    const [row] = await this.transaction.manager.query<{ asked: string; answer: unknown }[]>(
      'SELECT asked, answer FROM answers WHERE workshop_id = $1 AND id = $2',
      [this.transaction.acting.workshopId, id],
    );
    if (row?.asked !== asked)
      throw Problem.unusable([
        {
          field: 'x-change',
          why: 'This change was sent before with other content. Give what is new an id of its own.',
        },
      ]);
    return row.answer ?? undefined;
  }
}
