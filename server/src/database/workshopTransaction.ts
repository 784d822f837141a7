import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import { DataSource, type EntityManager } from 'typeorm';

export const ROLES = ['owner', 'maker'] as const;
export type Role = (typeof ROLES)[number];

/** Who acts, and where, during a transaction. */
export interface Acting {
  workshopId: string;
  userId: string;
  role: Role;
}

interface Running extends Acting {
  manager: EntityManager;
}

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
   * Runs `work` in a transaction of a workshop.
   * @returns what `work` returns, or null when the user is no member of the workshop
   */
  async run<T>(workshopId: string, userId: string, work: (acting: Acting) => Promise<T>): Promise<T | null> {
    const runner = this.source.createQueryRunner();
    await runner.connect();
    try {
      await runner.startTransaction();
      const rows = (await runner.query(
        `SELECT set_config('compas.workshop_id', $1, true), access_role($2, $1::uuid) AS role`,
        [workshopId, userId],
      )) as [{ role: Role | null }];
      const { role } = rows[0];
      if (role === null) {
        await runner.rollbackTransaction();
        return null;
      }
      const acting = { workshopId, userId, role };
      const result = await this.running.run({ ...acting, manager: runner.manager }, () => work(acting));
      await runner.commitTransaction();
      return result;
    } catch (error) {
      if (runner.isTransactionActive) await runner.rollbackTransaction();
      throw error;
    } finally {
      await runner.release();
    }
  }
}
