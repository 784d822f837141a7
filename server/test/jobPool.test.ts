import { join } from 'node:path';
import { FileProblem } from '@compas/core';
import { JobPool, USUAL_LIMITS, type PoolLimits } from '../src/compute/jobPool.js';
import { Problem } from '../src/edge/problem.js';

let pool: JobPool;
const open = (limits: Partial<PoolLimits> = {}) =>
  (pool = new JobPool(join(__dirname, 'jobs/worker.mjs'), { ...USUAL_LIMITS, threads: 2, ...limits }));
afterEach(() => pool.end());

const run = (name: string, input: unknown = null, workshop = 'w') => pool.run(workshop, { name, input });
const statusOf = (job: Promise<unknown>): Promise<number | undefined> =>
  job.then(
    () => 200,
    (e: unknown) => (e instanceof Problem ? e.getStatus() : undefined),
  );
/** Two numbers that all threads see: how many run, and how many did at most. */
const seen = () => new Int32Array(new SharedArrayBuffer(8));

describe('jobs beside the thread that answers', () => {
  it('give what comes of them, or why it was refused', async () => {
    open();
    expect(await run('twice', 21)).toBe(42);
    await expect(run('refuse', 'There is no ball in it.')).rejects.toEqual(
      new FileProblem('There is no ball in it.'),
    );
    await expect(run('nothing known')).rejects.toThrow();
  });

  it('that take too long are ended with their thread, and the next one is done', async () => {
    open({ threads: 1, within: 600 });
    const [first, second] = [run('forEver'), run('twice', 1, 'another')];
    expect(await statusOf(first)).toBe(422);
    await second.catch(() => undefined);
    expect(await run('twice', 4)).toBe(8);
  });

  it('that take too much memory are ended with their thread, and the next one is done', async () => {
    open({ threads: 1, memory: 24 });
    expect(await statusOf(run('eat'))).toBe(422);
    expect(await run('twice', 4)).toBe(8);
  });

  it('of one workshop are done one after the other, those of several at once', async () => {
    open();
    const [one, several] = [seen(), seen()];
    await Promise.all([1, 2, 3].map(() => run('atOnce', one)));
    expect(one[1]).toBe(1);
    await Promise.all(['v', 'w', 'x'].map((workshop) => run('atOnce', several, workshop)));
    expect(several[1]).toBe(2);
  });

  it('that are too many have to come again, and nobody else is kept from theirs', async () => {
    open({ open: { all: 32, ofOne: 2 } });
    const shared = seen();
    const theirs = [1, 2, 3].map(() => statusOf(run('atOnce', shared)));
    expect(await run('twice', 3, 'another')).toBe(6);
    expect(await Promise.all(theirs)).toEqual([200, 200, 503]);
    await pool.end();
    open({ threads: 1, open: { all: 2, ofOne: 8 } });
    const statuses = ['a', 'b', 'c', 'd', 'e'].map((w) => statusOf(run('atOnce', shared, w)));
    expect(await Promise.all(statuses)).toEqual([200, 200, 503, 503, 503]);
  });
});
