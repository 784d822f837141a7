import { bitWords, nameOf, withoutPart, type PartPlan, type Workshop } from '@compas/core';

/**
 * What the things of a plan are called that decisions name by their ids: steps, features, bores, joins. A step that is
 * left out is called by what the plan says is done without the decision.
 */
export function namesOf(
  part: PartPlan,
  { tools, bits, finishes }: Pick<Workshop, 'tools' | 'bits' | 'finishes'>,
  usual: string | null,
): (id: string) => string {
  const names = new Map<string, string>([
    ...[...tools, ...finishes].map((t) => [t.id, t.name] as const),
    ...part.layout.marks.map((m) => [m.id, m.label] as const),
    ...bits.map((b) => [b.id, bitWords(b)] as const),
    ...part.steps.map((s) => [withoutPart(s.id, part.partId), s.title] as const),
    ...part.outline.spans.map(({ element }) => [element.id, nameOf(element)] as const),
    ...part.holes.map((h) => [h.id, h.name] as const),
    ...[...part.drilling, ...(part.crossDrilling ?? [])].map((d) => [d.id, d.name] as const),
    ...part.joins.map((j) => [j.id, j.title] as const),
  ]);
  return (id) => names.get(id) ?? usual ?? id;
}
