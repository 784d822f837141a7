import { createHash } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { SETTINGS } from '../database/settings.token.js';
import type { Settings } from '../database/settings.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { JobPool, USUAL_LIMITS } from './jobPool.js';
import { JOBS, type JobInput, type JobName, type JobResult } from './jobs.js';

/** What takes longer than a moment: done in a thread of its own, while no transaction is open. */
@Injectable()
export class Computing implements OnModuleDestroy {
  private readonly pool: JobPool | null;

  constructor(
    @Inject(SETTINGS) { threads }: Settings,
    private readonly transaction: WorkshopTransaction,
  ) {
    this.pool =
      threads === 0
        ? null
        : new JobPool(fileURLToPath(new URL('./worker.js', import.meta.url)), { ...USUAL_LIMITS, threads });
  }

  /** What comes of it. Whatever it was read from is read again afterwards: had it changed, it is done anew. */
  async run<N extends JobName>(name: N, input: JobInput<N>): Promise<JobResult<N>> {
    const { pool } = this;
    if (pool === null) return (JOBS[name] as (input: unknown) => JobResult<N>)(input);
    const { workshopId } = this.transaction.acting;
    const key = createHash('sha256')
      .update(`${name} ${JSON.stringify(input)}`)
      .digest('hex');
    return (await this.transaction.outside(key, () => pool.run(workshopId, { name, input }))) as JobResult<N>;
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool?.end();
  }
}
