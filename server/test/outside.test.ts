import type { NestExpressApplication } from '@nestjs/platform-express';
import { WorkshopTransaction } from '../src/database/workshopTransaction.js';
import { newOwner, openApp } from './app.js';

let app: NestExpressApplication;
beforeAll(async () => {
  app = await openApp();
});
afterAll(() => app.close());

/** A transaction of a new workshop, by its owner. */
async function inWorkshop<T>(work: (transaction: WorkshopTransaction, attempt: number) => Promise<T>) {
  const owner = await newOwner(app);
  const { body } = await owner.get('/api/session').expect(200);
  const { workshopId, userId } = body as { workshopId: string; userId: string };
  const transaction = app.get(WorkshopTransaction);
  let attempts = 0;
  return transaction.run(workshopId, userId, () => work(transaction, (attempts += 1)));
}
const renamed = (name: string) => `UPDATE workshops SET name = '${name}'`;
const nameOf = async ({ manager }: WorkshopTransaction) =>
  (await manager.query<{ name: string }[]>('SELECT name FROM workshops'))[0]?.name;

describe('what is done outside of a transaction', () => {
  it('finds none open; afterwards all is read anew, and saved once', async () => {
    const found = await inWorkshop(async (transaction, attempt) => {
      const before = await nameOf(transaction);
      await transaction.manager.query(renamed(`of attempt ${attempt}`));
      const outcome = await transaction.outside('key', () =>
        Promise.resolve().then(() => {
          expect(() => transaction.manager).toThrow('outside of a transaction');
          return 'done';
        }),
      );
      return { before, outcome, attempt, after: await nameOf(transaction) };
    });
    expect(found).toEqual({ before: 'Shop', outcome: 'done', attempt: 2, after: 'of attempt 2' });
  });

  it('is done again where what it depends on has changed, and given up when that never ends', async () => {
    const found = await inWorkshop(async (transaction, attempt) => ({
      attempt,
      sum: await transaction.outside(`a ${Math.min(attempt, 3)}`, () => Promise.resolve(attempt)),
    }));
    expect(found).toEqual({ attempt: 4, sum: 3 });
    await expect(
      inWorkshop((transaction, attempt) => transaction.outside(`${attempt}`, () => Promise.resolve(0))),
    ).rejects.toThrow('changes all the time');
  });

  it('that fails saves nothing', async () => {
    const failed = inWorkshop(async (transaction) => {
      await transaction.manager.query(renamed('never'));
      return transaction.outside('key', () => Promise.reject(new Error('No.')));
    });
    await expect(failed).rejects.toThrow('No.');
  });
});
