import type { PartPlan } from '../part/partPlan.js';

/** Parts in an order in which they can be made: what another one is glued onto in the midst of its work comes before it. */
export function inOrderMade<P extends Pick<PartPlan, 'partId' | 'steps'>>(parts: readonly P[]): P[] {
  const takes = (part: P) => new Set(part.steps.flatMap((s) => s.takes ?? []));
  const made: P[] = [];
  const make = (part: P, under: readonly P[]) => {
    if (made.includes(part) || under.includes(part)) return;
    const needs = takes(part);
    parts.filter((p) => needs.has(p.partId)).forEach((p) => make(p, [...under, part]));
    made.push(part);
  };
  parts.forEach((part) => make(part, []));
  return made;
}
