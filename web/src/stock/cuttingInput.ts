import {
  cutStockOf,
  isBlankOf,
  rejectRate,
  withSpare,
  type CutDemand,
  type CutStock,
  type Sawing,
} from '@compas/core';
import type { BatchSummary, Made } from '../api/batches.js';
import type { HeldStock } from '../api/stock.js';

/** A batch whose blanks may still have to be cut. */
export interface WantedBlanks {
  batch: BatchSummary;
  demand: CutDemand;
  /** with what is usually rejected of this pattern on top */
  spare: CutDemand;
  rate: number;
  /** blanks that pieces were begun from */
  begun: number;
  /** blanks that lie on the shelf for it */
  shelved: number;
}

/** Blanks of open batches that no piece was begun from and that are not on the shelf yet. */
export function wantedBlanks(
  batches: readonly BatchSummary[],
  stock: readonly HeldStock[],
  made: readonly Made[],
): WantedBlanks[] {
  return batches
    .filter((b) => !b.putAway)
    .flatMap((batch) =>
      batch.parts.flatMap((part) => {
        const several = batch.parts.length > 1;
        const { section, length } = part.blank;
        const own = stock.filter((h) => isBlankOf(h.item, batch.id, several ? part : null));
        const shelved = own.reduce((sum, h) => sum + h.amount, 0);
        const count = part.blank.count - part.begun - shelved;
        if (count <= 0) return [];
        const demand = {
          id: several ? `${batch.id}/${part.partId}` : batch.id,
          batchId: batch.id,
          // of what it is and for whom; the name of a batch begins with its count
          label:
            `${batch.patternName}${several ? `, ${part.name.toLowerCase()}` : ''} for ${batch.customer}`.slice(
              0,
              120,
            ),
          materialId: part.materialId,
          section,
          length,
          count,
          octagon: part.octagon,
        };
        const rate = rateOf(made, batch.patternId);
        return [{ batch, demand, spare: withSpare(demand, rate), rate, begun: part.begun, shelved }];
      }),
    );
}

/** What the log of a pattern says about rejects. */
function rateOf(made: readonly Made[], patternId: string): number {
  const of = made.find((m) => m.patternId === patternId);
  return rejectRate(of?.made ?? 0, of?.rejected ?? 0);
}

/** Dry enough for anything: wetter stock has a drying shelf. */
const DRY = 16;

/** Stock of the wanted materials that can be sawn; what is still wet is left on the drying shelf. */
export function cuttable(
  stock: readonly HeldStock[],
  wanted: readonly CutDemand[],
  sawing: Sawing,
): { dry: CutStock[]; wet: string[] } {
  const materials = new Set(wanted.map((d) => d.materialId));
  const found = stock.flatMap((h) => {
    const cut = cutStockOf(h.item, { amount: h.amount, cost: h.cost }, sawing);
    const forOther = h.item.kind === 'blank' && h.item.batchId !== null;
    return cut && materials.has(cut.materialId) && !forOther ? [{ cut, moisture: moistureOf(h) }] : [];
  });
  const isWet = (m: number | null) => m !== null && m > DRY;
  return {
    // what is left over from before is offered first
    dry: found
      .filter((f) => !isWet(f.moisture))
      .map((f) => f.cut)
      .sort((a, b) => Number(a.rough) - Number(b.rough)),
    wet: found.filter((f) => isWet(f.moisture)).map((f) => f.cut.label),
  };
}

const moistureOf = ({ item }: HeldStock): number | null => ('moisture' in item ? item.moisture : null);
