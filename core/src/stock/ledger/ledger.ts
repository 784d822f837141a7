/** Why an amount changed. */
export const LEDGER_KINDS = {
  received: 'came in',
  cut: 'cut up',
  used: 'used',
  lost: 'lost',
  corrected: 'counted',
} as const;
export type LedgerKind = keyof typeof LEDGER_KINDS;

/** What is booked by hand, and how that is said of the item. */
export const HAND_MOVES = {
  used: 'was used',
  received: 'came in, at the same price',
  lost: 'is lost or spoilt',
  corrected: 'is there, as counted',
} as const satisfies Partial<Record<LedgerKind, string>>;
export type HandMove = keyof typeof HAND_MOVES;

/** One line of the ledger: what came or went, and its cost, minor units. Never changed, only added. */
export interface LedgerEntry {
  id: string;
  /** instant, UTC */
  at: string;
  itemId: string;
  kind: LedgerKind;
  /** in the item's unit; what goes is negative */
  amount: number;
  /** worth of what came or went, whole minor units, with the sign of what it does to the stock */
  cost: number;
  note: string;
  /** entries of one cutting or splitting belong together: their costs cancel */
  cuttingId: string | null;
}

/** What is there of an item and what it is worth. */
export interface Holding {
  amount: number;
  cost: number;
}

/** Amounts smaller than this are nothing: sums of tenths in floating point. */
const NOTHING = 1e-6;

/** What is there of every item, by adding the ledger up. */
export function holdingsOf(
  entries: readonly Pick<LedgerEntry, 'itemId' | 'amount' | 'cost'>[],
): Map<string, Holding> {
  const holdings = new Map<string, Holding>();
  for (const { itemId, amount, cost } of entries) {
    const before = holdings.get(itemId) ?? { amount: 0, cost: 0 };
    const sum = before.amount + amount;
    holdings.set(itemId, { amount: Math.abs(sum) < NOTHING ? 0 : sum, cost: before.cost + cost });
  }
  return holdings;
}

/**
 * What part of a holding's cost goes with an amount that is taken: its share at mean cost, whole minor
 * units; who takes all takes all of the cost, so that nothing is left on an empty shelf.
 */
export function costOf(holding: Holding, amount: number): number {
  if (amount >= holding.amount - NOTHING) return holding.cost;
  return Math.round((holding.cost * amount) / holding.amount);
}

/** A sentence when an amount cannot be taken from a holding, else null. */
export function takeProblem(label: string, holding: Holding, amount: number): string | null {
  if (amount <= holding.amount + NOTHING) return null;
  return `There ${holding.amount === 1 ? 'is' : 'are'} ${round(holding.amount)} of “${label}”, not ${round(amount)}. Take fewer, or correct the amount first.`;
}

const round = (amount: number): number => Math.round(amount * 1000) / 1000;

/**
 * Parts a cost by weights into whole minor units that add up to it exactly (largest remainders).
 * Weights that are all nothing part it evenly.
 */
export function shareCost(total: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  const exact = weights.map((w) => (sum > 0 ? (total * w) / sum : total / weights.length));
  const shares = exact.map(Math.floor);
  let left = total - shares.reduce((a, b) => a + b, 0);
  const byRemainder = exact
    .map((e, i) => ({ i, rest: e - Math.floor(e) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i);
  for (const { i } of byRemainder) {
    if (left <= 0) break;
    shares[i] = (shares[i] ?? 0) + 1;
    left--;
  }
  return shares;
}

/** Costs by what was booked, minor units. */
export type LedgerCosts = Record<LedgerKind, number>;

/** The ledger added up: what came, what went where, and what must still be there. */
export interface Balance {
  byKind: LedgerCosts;
  worth: number;
  /** items of which less than nothing is there, or whose empty shelf still has a cost */
  wrong: string[];
  /** cuttings whose costs do not cancel */
  openCuttings: string[];
}

/** Adds the ledger up, and says where it does not add up. */
export function balanceOf(entries: readonly LedgerEntry[]): Balance {
  const byKind: Balance['byKind'] = { received: 0, cut: 0, used: 0, lost: 0, corrected: 0 };
  const cuttings = new Map<string, number>();
  for (const e of entries) {
    byKind[e.kind] += e.cost;
    if (e.cuttingId !== null) cuttings.set(e.cuttingId, (cuttings.get(e.cuttingId) ?? 0) + e.cost);
  }
  const holdings = [...holdingsOf(entries)];
  return {
    byKind,
    worth: holdings.reduce((sum, [, h]) => sum + h.cost, 0),
    wrong: holdings.filter(([, h]) => h.amount < 0 || (h.amount === 0 && h.cost !== 0)).map(([id]) => id),
    openCuttings: [...cuttings].filter(([, cost]) => cost !== 0).map(([id]) => id),
  };
}
