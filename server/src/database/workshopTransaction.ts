import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import { DataSource, type EntityManager } from 'typeorm';
import { Problem } from '../edge/problem.js';

export const ROLES = ['owner', 'maker'] as const;
export type Role = (typeof ROLES)[number];

/** The change that a request asks for, as the client names it. */
export interface Asked {
  /** made by the client: repeated, it answers as the first time */
  changeId: string | null;
  /** a change of the same client before it, whose answer was lost: no conflict with itself */
  after: string | null;
}

/** Who acts, where, and by which change, during a transaction. */
export interface Acting extends Asked {
  workshopId: string;
  userId: string;
  userName: string;
  role: Role;
}

const NOTHING_ASKED: Asked = { changeId: null, after: null };

interface Running extends Acting {
  manager: EntityManager;
  /** what was done outside of the transaction so far, by its key */
  outcomes: ReadonlyMap<string, unknown>;
}

/** Something has to be done before the transaction can go on. */
class Outside extends Error {
  constructor(
    readonly key: string,
    readonly work: () => Promise<unknown>,
  ) {
    super('Something has to be done outside of the transaction first.');
  }
}

/** What changes so often while something is worked out from it is not waited for. */
const MOST_ROUNDS = 6;

/**
 * The one transaction of a request: everything that touches data takes its entity manager from here.
 * It has the workshop set for row-level security, and is committed before the answer is sent.
 */
@Injectable()
export class WorkshopTransaction {
  private readonly running = new AsyncLocalStorage<Running>();

  constructor(private readonly source: DataSource) {}

  get manager(): EntityManager {
    return this.current.manager;
  }

  get acting(): Acting {
    return this.current;
  }

  private get current(): Running {
    const running = this.running.getStore();
    if (!running) throw new Error('Data was touched outside of a transaction.');
    return running;
  }

  /**
   * The outcome of `work`, which is done while no transaction is open: this one is rolled back, and begun anew from its start
   * when the outcome is there. Nothing was saved by then, and all is read again.
   * @param key names the work with all that it depends on
   */
  outside<T>(key: string, work: () => Promise<T>): Promise<T> {
    const { outcomes } = this.current;
    return outcomes.has(key)
      ? Promise.resolve(outcomes.get(key) as T)
      : Promise.reject(new Outside(key, work));
  }

  /**
   * Runs `work` in a transaction of a workshop; from its start again after what it wants done outside of it.
   * @returns what `work` returns, or null when the user is no member of the workshop
   */
  async run<T>(
    workshopId: string,
    userId: string,
    work: (acting: Acting) => Promise<T>,
    asked: Asked = NOTHING_ASKED,
  ): Promise<T | null> {
    const outcomes = new Map<string, unknown>();
    for (;;)
      try {
        return await this.attempt(workshopId, userId, work, { ...asked, outcomes });
      } catch (error) {
        if (!(error instanceof Outside)) throw error;
        if (outcomes.size >= MOST_ROUNDS)
          throw Problem.conflict('What this is worked out from changes all the time. Try again in a moment.');
        outcomes.set(error.key, await error.work());
      }
  }

  private async attempt<T>(
    workshopId: string,
    userId: string,
    work: (acting: Acting) => Promise<T>,
    { outcomes, ...asked }: Asked & Pick<Running, 'outcomes'>,
  ): Promise<T | null> {
    const runner = this.source.createQueryRunner();
    await runner.connect();
    try {
      await runner.startTransaction();
      const rows = (await runner.query(
        `SELECT set_config('compas.workshop_id', $1::text, true), m.role, m.name FROM (SELECT 1) here
         LEFT JOIN access_acting($2::uuid, $1::text::uuid) m ON true`,
        [workshopId, userId],
      )) as [{ role: Role | null; name: string }];
      const { role, name: userName } = rows[0];
      if (role === null) {
        await runner.rollbackTransaction();
        return null;
      }
      const acting = { workshopId, userId, userName, role, ...asked };
      const result = await this.running.run({ ...acting, manager: runner.manager, outcomes }, () =>
        work(acting),
      );
      await runner.commitTransaction();
      return result;
    } catch (error) {
      // where the connection is gone there is nothing to roll back, and the first error says more
      if (runner.isTransactionActive) await runner.rollbackTransaction().catch(() => undefined);
      // the driver gives a lost connection up by itself, and complains of that at the next question
      if (runner.isReleased) throw new Error('Connection terminated in a transaction.', { cause: error });
      throw error;
    } finally {
      await runner.release();
    }
  }
}
