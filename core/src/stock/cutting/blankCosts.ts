import type { BoardCut } from './boardCut.js';
import type { CutDemand, CutInput } from './cutInput.js';
import { stockCosts } from './stockCosts.js';
import type { CutPlan } from './study.js';

/**
 * What each demand and each offcut of a cut counts when the piece's cost is shared out: its volume, mm³; kerf
 * and waste are paid by the blanks, and offcuts pay only where the workshop says that they are worth something.
 */
export function costWeights(
  cut: BoardCut,
  demand: readonly CutDemand[],
  offcutsCarryCost: boolean,
): { blanks: { demand: CutDemand; count: number; weight: number }[]; offcuts: number[] } {
  const blanks = demand.flatMap((d) => {
    const count = cut.blanks.filter((b) => b.demandId === d.id).reduce((sum, b) => sum + b.layers, 0);
    return count > 0 ? [{ demand: d, count, weight: count * d.section ** 2 * d.length }] : [];
  });
  const offcuts = cut.offcuts.map((o) =>
    offcutsCarryCost ? o.length * o.width * o.thickness * o.pieces : 0,
  );
  return { blanks, offcuts };
}

/**
 * What one blank of each demand costs on the mean, minor units, as it will be booked; empty where no price of
 * any stock is known.
 */
export function blankCosts(plan: CutPlan, { demand, stock, sawing }: CutInput): Map<string, number> {
  if (plan.byVolume) return new Map();
  const { costs } = stockCosts(stock);
  const sums = new Map<string, { cost: number; count: number }>();
  for (const cut of plan.cuts) {
    const cost = costs[stock.findIndex((s) => s.id === cut.stockId)] ?? 0;
    const { blanks, offcuts } = costWeights(cut, demand, sawing.offcutsCarryCost === true);
    const all = [...blanks.map((b) => b.weight), ...offcuts].reduce((a, b) => a + b, 0);
    for (const { demand: d, count, weight } of blanks) {
      const before = sums.get(d.id) ?? { cost: 0, count: 0 };
      sums.set(d.id, { cost: before.cost + (cost * weight) / all, count: before.count + count });
    }
  }
  return new Map([...sums].map(([id, { cost, count }]) => [id, cost / count]));
}
