import type { Step } from '../../route/index.js';
import type { AcceptanceCheck, Part, PatternBody } from '../../pattern/index.js';

/**
 * The steps with the pattern's acceptance checks at the step where each is made: the last of its
 * stage, or the last of all when the stage has none. A check on an element belongs to the part that
 * has it, a check on a join or the item to the first part.
 */
export function withChecks(
  steps: readonly Step[],
  part: Part,
  pattern: PatternBody,
  ofItem: ReadonlySet<string> = new Set(),
): Step[] {
  const own = (pattern.checks ?? []).filter(
    (check) => belongsTo(check, part, pattern) && !ofItem.has(check.id),
  );
  const at = new Map<number, string[]>();
  for (const check of own) {
    const inStage = steps.map((s) => s.stage).lastIndexOf(check.stage);
    const i = inStage < 0 ? steps.length - 1 : inStage;
    at.set(i, [...(at.get(i) ?? []), check.id]);
  }
  return steps.map((step, i) => {
    const checks = at.get(i);
    return checks ? { ...step, checks } : step;
  });
}

/** Checks of the whole, made when it is put together: those on no element, when it is assembled or at the end. */
export const itemChecks = (pattern: PatternBody): AcceptanceCheck[] =>
  (pattern.checks ?? []).filter(
    (check) =>
      (check.stage === 'assemble' || check.stage === 'twins') &&
      !pattern.parts.some((p) => p.turnings.some((t) => t.elements.some((e) => e.id === check.onId))),
  );

function belongsTo(check: AcceptanceCheck, part: Part, pattern: PatternBody): boolean {
  const owner = pattern.parts.find((p) =>
    p.turnings.some((t) => t.elements.some((e) => e.id === check.onId)),
  );
  return (owner ?? pattern.parts[0]).id === part.id;
}
