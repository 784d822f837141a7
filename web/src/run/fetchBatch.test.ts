import 'fake-indexeddb/auto';
import type { BatchDetail } from '../api/batch.js';
import { loadBatch } from '../api/batch.js';
import { randomId } from '../api/randomId.js';
import { fetchBatch } from './fetchBatch.js';
import { recallBatch } from './seenBatch.js';

jest.mock('../api/batch.js', () => ({ loadBatch: jest.fn() }));
const load = loadBatch as jest.Mock<Promise<BatchDetail>, [string, BatchDetail | undefined]>;
const batchAt = (lastEvent: number) => ({ id: 'b', lastEvent }) as unknown as BatchDetail;
const later = () => undefined;
/** Until what was begun has looked into the store, which answers in order, and come to its next wait. */
const settled = () => recallBatch('nothing').then(() => undefined);

beforeEach(() => load.mockReset());

describe('a batch that is asked for while it is asked for', () => {
  it('is asked for once more when that is answered: what came in between is not in it', async () => {
    const id = randomId();
    let answer: (batch: BatchDetail) => void = later;
    load.mockReturnValueOnce(new Promise((done) => (answer = done))).mockResolvedValueOnce(batchAt(2));
    const first = fetchBatch(id, undefined, later);
    await settled();
    const [second, third] = [fetchBatch(id, undefined, later), fetchBatch(id, undefined, later)];
    await settled();
    // one question at a time
    expect(load).toHaveBeenCalledTimes(1);
    answer(batchAt(1));
    expect((await first).batch.lastEvent).toBe(1);
    expect((await second).batch.lastEvent).toBe(2);
    expect((await third).batch.lastEvent).toBe(2);
    expect(load).toHaveBeenCalledTimes(2);
  });

  it('is asked for anew after one that failed', async () => {
    const id = randomId();
    load.mockRejectedValueOnce(new TypeError('no network')).mockResolvedValueOnce(batchAt(3));
    const [first, second] = [fetchBatch(id, undefined, later), fetchBatch(id, undefined, later)];
    await expect(first).rejects.toThrow('no network');
    expect((await second).batch.lastEvent).toBe(3);
    load.mockResolvedValueOnce(batchAt(4));
    expect((await fetchBatch(id, undefined, later)).batch.lastEvent).toBe(4);
  });
});
