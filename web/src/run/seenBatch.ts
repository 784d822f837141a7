import { lotsOf, readSnapshot, type StoredSnapshot } from '@compas/core';
import { get, set } from 'idb-keyval';
import type { BatchDetail } from '../api/batch.js';

/** A batch as it was last heard of. */
export interface SeenBatch {
  batch: BatchDetail;
  /** instant of that by the server's clock, ms; null where an older Compas did not note it */
  seenAt: number | null;
}

/** The batch as it was last seen, for when the server cannot be reached. */
export const rememberBatch = ({ batch, seenAt }: SeenBatch): Promise<void> =>
  set(`batch/${batch.id}`, { ...batch, seenAt });

/**
 * A batch that was kept before plans had addresses and events numbers is shown as it was; what came since
 * its beginning is then asked for.
 */
export async function recallBatch(id: string): Promise<SeenBatch | undefined> {
  const kept = await get<
    Omit<BatchDetail, 'snapshot'> & { snapshot: StoredSnapshot; seenAt?: number | null }
  >(`batch/${id}`);
  if (!kept) return undefined;
  const { seenAt = null, ...found } = kept;
  const batch = { ...found, snapshot: readSnapshot(found.snapshot) };
  // what was kept before batches knew parts has one
  const lots = batch.lots ?? lotsOf([{ partId: batch.snapshot.plan.parts[0].partId, pieces: batch.pieces }]);
  return {
    batch: { ...batch, lots, planHash: batch.planHash ?? '', lastEvent: batch.lastEvent ?? 0 },
    seenAt,
  };
}
