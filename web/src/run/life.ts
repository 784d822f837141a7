import { delMany, get, keys, set } from 'idb-keyval';
import { queueSentAgain } from './keptEvents.js';

const KEPT_BATCH = 'batch/';

/** Forgets the batches as they were last seen; what is queued of them stays. */
export const forgetBatches = async (): Promise<void> =>
  delMany((await keys<string>()).filter((key) => String(key).startsWith(KEPT_BATCH)));

/**
 * Takes note of the life of the server's database. After a restore it is another: what this device sent since the backup may
 * be gone, so it is queued again, and what it last saw is no longer so.
 * @returns whether it is another than before
 */
export async function knowLife(life: string): Promise<boolean> {
  const before = await get<string>('life');
  if (before === life) return false;
  if (before !== undefined) {
    await queueSentAgain();
    await forgetBatches();
  }
  await set('life', life);
  return before !== undefined;
}
