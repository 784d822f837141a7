import type { Blank } from './blank.js';
import type { StockItem } from './stockItem.js';

/** How far a blank on the shelf may be off what it was cut for, mm. */
const ALIKE = 0.5;

/**
 * Whether stock is a blank that was cut for a batch.
 * @param part of an item that is made of several, the part it must be for: it is told by its wood and size
 */
export const isBlankOf = (
  item: StockItem,
  batchId: string,
  part: { materialId: string; blank: Pick<Blank, 'section' | 'length'> } | null,
): boolean =>
  item.kind === 'blank' &&
  item.batchId === batchId &&
  (part === null ||
    (item.materialId === part.materialId &&
      Math.abs(item.size.mm - part.blank.section) < ALIKE &&
      Math.abs(item.length.mm - part.blank.length) < ALIKE));
