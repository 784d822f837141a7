import type { Sawing } from '../../workshop/index.js';
import type { Holding } from '../ledger/ledger.js';
import type { StockItem } from '../stockItem.js';
import type { CutDemand, CutStock } from './cutInput.js';

/**
 * A shelf item as the cutting study sees it, or null when it is nothing that is sawn into blanks.
 * Offcuts and blanks have been planed and trimmed already.
 */
export function cutStockOf(item: StockItem, holding: Holding, sawing: Sawing): CutStock | null {
  const pieces = Math.floor(holding.amount + 1e-9);
  if (pieces < 1) return null;
  const cost =
    holding.cost > 0 || ('offcut' in item && item.offcut) ? Math.round(holding.cost / holding.amount) : null;
  const base = { id: item.id, label: item.label, pieces, cost, zones: [], rough: false };
  const sawn = (materialId: string, offcut: boolean, thickness: number, width: number, length: number) => ({
    materialId,
    thickness,
    width,
    length,
    endTrim: offcut ? 0 : sawing.endTrim,
  });
  switch (item.kind) {
    case 'board':
      return {
        ...base,
        ...sawn(item.materialId, item.offcut, item.thickness.mm, item.width.mm, item.length.mm),
        form: 'board',
        zones: item.zones,
        rough: !item.offcut,
      };
    case 'square':
      return {
        ...base,
        ...sawn(item.materialId, item.offcut, item.side.mm, item.side.mm, item.length.mm),
        form: 'square',
      };
    case 'rod':
      return {
        ...base,
        ...sawn(item.materialId, item.offcut, item.diameter.mm, item.diameter.mm, item.length.mm),
        form: 'rod',
      };
    case 'tip': {
      const { thickEnd, thinEnd, length } = item;
      const [thick, thin] = [Math.max(thickEnd.mm, thinEnd.mm), Math.min(thickEnd.mm, thinEnd.mm)];
      return {
        ...base,
        ...sawn(item.materialId, item.offcut, thick, thick, length.mm),
        form: 'tip',
        thinEnd: thin,
      };
    }
    case 'blank':
      return item.form === 'square'
        ? {
            ...base,
            ...sawn(item.materialId, true, item.size.mm, item.size.mm, item.length.mm),
            form: 'blank',
          }
        : null;
    default:
      return null;
  }
}

/**
 * Share of pieces that are rejected, from the log: (rejected + 1) ÷ (made + 20), the mean of a beta
 * distribution that begins at one in twenty and gives way to what was seen (Laplace's rule, weighted).
 */
export const rejectRate = (made: number, rejected: number): number => (rejected + 1) / (made + 20);

/** Blanks to cut so that, at a reject rate, the count is still there. */
export const withSpare = (demand: CutDemand, rate: number): CutDemand => ({
  ...demand,
  count: Math.ceil(demand.count / (1 - Math.min(0.5, rate)) - 1e-9),
});
