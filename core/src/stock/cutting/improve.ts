import type { SolveLinear } from '../linear.js';
import type { Column } from './column.js';
import { dive } from './dive.js';
import type { Need } from './master.js';

/** Boards that are put back at a time. */
const WINDOW = 4;

/** Rounds of putting back, each a dive; fewer when the plan is near enough to the bound. */
const ROUNDS = 6;
const NEAR = 1.005;

/**
 * Betters a plan a window at a time: the boards that pay worst are put back together with some others,
 * and what came out of them is cut anew from them and from all that lies unopened. Taken when cheaper.
 */
export function improve(
  need: Need,
  plan: readonly Column[],
  pool: readonly Column[],
  bound: number,
  solve: SolveLinear,
): Column[] {
  let best = [...plan];
  for (let round = 0; round < ROUNDS && best.length > 1 && countedCost(need, best) > bound * NEAR; round++) {
    const ordered = worstFirst(need, best);
    const back = new Set(
      Array.from(
        { length: WINDOW },
        (_, i) => ordered[i === 0 ? 0 : (round * (WINDOW - 1) + i) % ordered.length],
      ),
    );
    const stay = best.filter((c) => !back.has(c));
    const open = stillNeeded(need, stay);
    const other = [...stay, ...dive(open, pool, solve)];
    const cheaper = covers(need, other) && countedCost(need, other) < countedCost(need, best) - 1e-6;
    // all boards were in the window: another round would ask the same
    if (!cheaper && stay.length === 0) return best;
    if (cheaper) best = other;
  }
  return best;
}

/** What a plan costs as the study counts. */
const countedCost = (need: Need, plan: readonly Column[]): number =>
  plan.reduce((sum, c) => sum + (need.costs[c.sheet.stock] ?? 0), 0);

export const covers = (need: Need, plan: readonly Column[]): boolean =>
  need.wanted.every((w, d) => plan.reduce((sum, c) => sum + (c.counts[d] ?? 0), 0) >= w);

/** Boards by what they cost for the wood that is wanted of them, the dearest first. */
function worstFirst(need: Need, plan: readonly Column[]): Column[] {
  const left = [...need.wanted];
  const rate = new Map<Column, number>();
  for (const column of plan) {
    let used = 0;
    for (const { strip, runs } of column.strips)
      for (const { entries } of runs)
        for (const e of entries) {
          const layers = Math.min(e.layers, left[e.demand] ?? 0);
          left[e.demand] = (left[e.demand] ?? 0) - layers;
          used += strip.size * strip.size * e.size * layers;
        }
    rate.set(column, countedCost(need, [column]) / Math.max(1, used));
  }
  return [...plan].sort((a, b) => (rate.get(b) ?? 0) - (rate.get(a) ?? 0));
}

function stillNeeded(need: Need, stay: readonly Column[]): Need {
  const wanted = [...need.wanted];
  const there = [...need.there];
  for (const column of stay) {
    const s = column.sheet.stock;
    there[s] = (there[s] ?? 0) - 1;
    column.counts.forEach((n, d) => (wanted[d] = Math.max(0, (wanted[d] ?? 0) - n)));
  }
  return { ...need, wanted, there };
}
