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
