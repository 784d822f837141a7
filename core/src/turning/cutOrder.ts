import type { Cut } from './cuts.js';

/** Cuts that somebody wants before others: all of `first` before any of `then`, by their elements. */
export interface CutsBefore {
  id: string;
  first: readonly string[];
  then: readonly string[];
}

/**
 * Cuts brought into the order that is wanted: one wish after the other, each moving as little as it needs, so that the
 * last one is met whatever it breaks. Elements that are not there are passed over.
 */
export function cutsInOrder<T extends Pick<Cut, 'elementId'>>(
  cuts: readonly T[],
  wishes: readonly CutsBefore[],
): T[] {
  const ordered = [...cuts];
  const at = (id: string) => ordered.findIndex((c) => c.elementId === id);
  for (const { first, then } of wishes)
    for (const later of then)
      for (const earlier of first) {
        const [from, to] = [at(earlier), at(later)];
        if (from < 0 || to < 0 || from < to) continue;
        ordered.splice(to, 0, ...ordered.splice(from, 1));
      }
  return ordered;
}

/** Wishes that an order of cuts does not meet. */
export function brokenOrders<T extends CutsBefore>(
  cuts: readonly Pick<Cut, 'elementId'>[],
  wishes: readonly T[],
): T[] {
  const place = new Map(cuts.map((c, i) => [c.elementId, i]));
  const isBroken = (earlier: string, later: string) =>
    (place.get(earlier) ?? -Infinity) > (place.get(later) ?? Infinity);
  return wishes.filter(({ first, then }) => first.some((a) => then.some((b) => isBroken(a, b))));
}

/** Before and after, as somebody wants it. */
interface Order {
  first: string[];
  then: string[];
}

/**
 * The wishes that lead from one order of elements to another, as few as the moved ones: each cut that was moved goes
 * before what it now precedes, or after what it now follows. None where both orders are the same.
 */
export function ordersFrom(usual: readonly string[], wanted: readonly string[]): Order[] {
  const stays = new Set(longestKept(usual, wanted));
  const moved = wanted.filter((id) => !stays.has(id));
  const was = (id: string) => usual.indexOf(id);
  const few = moved.flatMap((id): Order[] => {
    const at = wanted.indexOf(id);
    const then = wanted.slice(at + 1).filter((other) => was(other) < was(id));
    const first = wanted.slice(0, at).filter((other) => was(other) > was(id));
    return [
      ...(then.length > 0 ? [{ first: [id], then }] : []),
      ...(first.length > 0 ? [{ first, then: [id] }] : []),
    ];
  });
  // where several were moved past one another, each is said against the next
  return leadsTo(usual, few, wanted)
    ? few
    : wanted.slice(1).map((id, i) => ({ first: [wanted[i] ?? id], then: [id] }));
}

/** Wishes are applied the last first, as own ways are. */
function leadsTo(usual: readonly string[], orders: readonly Order[], wanted: readonly string[]): boolean {
  const cuts = usual.map((elementId) => ({ elementId }));
  const wishes = orders.map((order) => ({ id: '', ...order })).toReversed();
  return cutsInOrder(cuts, wishes).every((c, i) => c.elementId === wanted[i]);
}

/** The longest run of elements that stand in the same order in both. */
function longestKept(usual: readonly string[], wanted: readonly string[]): string[] {
  const best: string[][] = [];
  for (const [i, id] of wanted.entries()) {
    const before = best
      .slice(0, i)
      .filter((run) => usual.indexOf(run.at(-1) ?? '') < usual.indexOf(id))
      .reduce<string[]>((longest, run) => (run.length > longest.length ? run : longest), []);
    best.push([...before, id]);
  }
  return best.reduce<string[]>((longest, run) => (run.length > longest.length ? run : longest), []);
}
