import { len } from '../../measure/index.js';
import { heldHow } from '../../mounting/index.js';
import { nameOf } from '../../pattern/index.js';
import { withoutPart } from '../../route/index.js';
import { decisionWords, hasUsual } from '../ways/homeless.js';
import type { PartPlan } from '../part/partPlan.js';
import type { Plan } from '../plan.js';

/**
 * What a plan made anew would do otherwise than the one that was kept, in sentences: other bit,
 * holding, gauge or blank, and findings that are new. Empty when nothing would change.
 */
export function planDifference(before: Plan, after: Plan): string[] {
  const words = after.parts.flatMap((now) => {
    const old = before.parts.find((p) => p.partId === now.partId);
    const own = old ? partDifference(old, now) : [];
    return after.parts.length === 1 ? own : own.map((w) => `${now.name}: ${w}`);
  });
  if (before.parts[0].pieces === after.parts[0].pieces && before.byPiece.start !== after.byPiece.start)
    words.push(`Begins ${after.byPiece.start.slice(0, 10)} instead of ${before.byPiece.start.slice(0, 10)}.`);
  const known = new Set(before.findings.map((f) => f.id));
  words.push(
    ...after.findings
      .filter((f) => !known.has(f.id) && !f.id.startsWith('drill.bit'))
      .map((f) => `${f.what} ${f.remedy}`),
  );
  return words;
}

/** What is done otherwise on one part. */
function partDifference(old: PartPlan, now: PartPlan): string[] {
  const words: string[] = [];
  for (const operation of now.drilling) {
    const was = old.drilling.find((o) => o.id === operation.id);
    if (was?.bit?.id === operation.bit?.id) continue;
    const from = was?.bit ? `${len(was.bit.diameter.mm)} ${was.bit.kind}` : 'no bit';
    const to = operation.bit ? `${len(operation.bit.diameter.mm)} ${operation.bit.kind}` : 'no bit';
    words.push(`${operation.name}: ${to} instead of ${from}. ${operation.choice.consequence}`);
  }
  if (old.steps.every((s) => s.operation === undefined) && now.steps.some((s) => s.operation))
    words.push(
      'The steps are those of the route, with names of their own: what is recorded as done is not carried over to them.',
    );
  if (old.mount.label !== now.mount.label)
    words.push(`Held ${heldHow(now.mount)} instead of ${heldHow(old.mount)}.`);
  else if (old.mount.headstock !== now.mount.headstock)
    words.push(`${now.mount.headstock} instead of ${old.mount.headstock}.`);
  for (const cut of now.layout.sizing) {
    const was = old.layout.sizing.find((s) => s.id === cut.id);
    if (was && was.gauge.gauge?.id !== cut.gauge.gauge?.id) words.push(`${cut.label}: ${cut.gauge.words}`);
  }
  for (const cut of now.cuts) {
    const was = old.cuts.find((c) => c.elementId === cut.elementId);
    if (was && was.tool?.id !== cut.tool?.id)
      words.push(
        `${cut.tool?.name ?? `no ${cut.toolKind}`} instead of ${was.tool?.name ?? 'none'}: ${cut.words}`,
      );
  }
  const before = new Set((old.own ?? []).map(({ way }) => way.id));
  for (const { way, instead } of now.own ?? [])
    if (!before.has(way.id))
      words.push(
        `Your way: ${decisionWords(way.decides, namesIn(now, instead))}${hasUsual(way.decides) ? `, instead of ${instead}` : ''}.`,
      );
  for (const { way } of old.own ?? [])
    if (!(now.own ?? []).some((o) => o.way.id === way.id))
      words.push(`As usual again, no longer: ${decisionWords(way.decides, namesIn(old, null))}.`);
  if (old.blank.section !== now.blank.section || old.blank.length !== now.blank.length)
    words.push(
      `Blank ${len(now.blank.section)} square, ${len(now.blank.length)} long instead of ${len(old.blank.section)}, ${len(old.blank.length)}.`,
    );
  return words;
}

/** What steps and features are called. */
const namesIn =
  ({ steps, outline, partId }: PartPlan, usual: string | null) =>
  (id: string): string => {
    const span = outline.spans.find(({ element }) => element.id === id);
    return (
      (span && nameOf(span.element)) ??
      steps.find((s) => withoutPart(s.id, partId) === id)?.title ??
      usual ??
      id
    );
  };
