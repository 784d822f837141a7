import { stockVolume, type CutStock } from './cutInput.js';

/** What each stock piece counts in the study. */
export interface StockCosts {
  /** minor units; of stock without a price estimated by volume */
  costs: number[];
  /** no stock has a price: volumes (cm³) count instead of money */
  byVolume: boolean;
  estimated: string[];
}

/**
 * Costs of opening stock. Where a price is not known, the piece counts by its volume at the mean
 * price of the others of its material, or of all; where no price is known at all, volume counts.
 */
export function stockCosts(stock: readonly CutStock[]): StockCosts {
  const priced = stock.filter((s) => s.cost !== null);
  if (priced.length === 0)
    return { costs: stock.map((s) => Math.round(stockVolume(s) / 1000)), byVolume: true, estimated: [] };
  const rate = (of: readonly CutStock[]): number => {
    const volume = of.reduce((sum, s) => sum + stockVolume(s), 0);
    return volume === 0 ? 0 : of.reduce((sum, s) => sum + (s.cost ?? 0), 0) / volume;
  };
  const costs = stock.map((s) => {
    if (s.cost !== null) return s.cost;
    const alike = priced.filter((p) => p.materialId === s.materialId);
    return Math.round(stockVolume(s) * rate(alike.length > 0 ? alike : priced));
  });
  return { costs, byVolume: false, estimated: stock.filter((s) => s.cost === null).map((s) => s.label) };
}
