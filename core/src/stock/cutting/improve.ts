import type { SolveLinear } from '../linear.js';
import type { Column } from './column.js';
import { dive } from './dive.js';
import type { Need } from './master.js';

/** Boards that are put back at a time. */
const WINDOW = 4;

/** Plans of so few boards are bettered longer: their dives are short. */
const SMALL = 2 * WINDOW;
/** Rounds of putting back, each a dive; fewer when the plan is near enough to the bound. */
const ROUNDS = { small: 16, large: 6 };
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
  const rounds = plan.length <= SMALL ? ROUNDS.small : ROUNDS.large;
  for (let round = 0; round < rounds && best.length > 1; round++) {
    if (countedCost(need, best) <= bound * NEAR) break;
    const back = putBack(worstFirst(need, best), round);
    const stay = best.filter((c) => !back.has(c));
    const other = [...stay, ...dive(stillNeeded(need, stay), pool, solve)];
    const cheaper = covers(need, other) && countedCost(need, other) < countedCost(need, best) - 1e-6;
    if (cheaper) best = other;
  }
  return best;
}

/** The worst board and some others in turn; in small plans one, two, three and so on of the worst. */
function putBack(ordered: readonly Column[], round: number): Set<Column> {
  const most = Math.min(WINDOW, ordered.length - 1);
  if (ordered.length <= SMALL) {
    const size = 1 + (round % most);
    const first = Math.floor(round / most);
    return new Set(Array.from({ length: size }, (_, i) => ordered[(first + i) % ordered.length] as Column));
  }
  return new Set(
    Array.from(
      { length: most },
      (_, i) => ordered[i === 0 ? 0 : (round * (most - 1) + i) % ordered.length] as Column,
    ),
  );
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
