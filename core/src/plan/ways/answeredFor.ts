import type { Finding } from '../../measure/index.js';
import type { Decided, Step } from '../../route/index.js';
import { isNamed } from '../../workshop/index.js';
import { WAY_SCOPES, type OwnWays } from './ownWays.js';

/** A coverage finding is about a drawn thing by its id. */
const isAbout = ({ id }: Finding, drawn: string): boolean => `${id}.`.includes(`.${drawn}.`);

/**
 * What is not made as it is drawn, and somebody answers for it: an own step makes it, or the step that would have made
 * it was left out with a reason. It is a note then, with who answers for it; everything else stays as it was found.
 */
export function answeredFor(found: readonly Finding[], { leftOut }: Decided, own: OwnWays): Finding[] {
  const makes = own
    .of('extra')
    .flatMap(({ decides }) => decides.step.makes.map((id) => ({ id, title: decides.step.title })));
  return found.map((finding) => {
    const made = makes.find(({ id }) => isAbout(finding, id));
    if (made)
      return {
        ...finding,
        severity: 'note',
        why: `Your own step “${made.title}” makes it; what it does to the wood is not reckoned.`,
        remedy: 'Look at it when that step is done.',
      };
    const left = leftOut.find(
      ({ operation: { subject } }) => subject !== null && isAbout(finding, subject),
    )?.operation;
    return left
      ? {
          ...finding,
          severity: 'note',
          why: `“${left.title}” is left out.`,
          remedy: 'Take the step in again.',
        }
      : finding;
  });
}

/** What is left out, and why, stays in sight. */
export const leftOutNotes = ({ leftOut }: Decided, own: OwnWays): Finding[] =>
  own.followed.flatMap(({ way, scope }): Finding[] => {
    const { decides } = way;
    if (decides.kind !== 'without') return [];
    const titles = leftOut.filter(({ step }) => isNamed(decides.on, step)).map((l) => l.operation.title);
    return [
      {
        id: `own.without.${way.id}`,
        severity: 'note',
        stage: 'turn',
        what: `Left out: ${[...new Set(titles)].join(', ')}.`,
        why: way.why === '' ? `Decided for ${WAY_SCOPES[scope]}.` : way.why,
        remedy: 'Take it in again where the step stood.',
      },
    ];
  });

/** An own step comes after the one it was put behind, and before the one it was put in front of. */
export function ownStepsLocked(steps: readonly Step[]): Step[] {
  const isOwn = (step: Step | undefined) => step?.operation?.kind === 'own step';
  return steps.map((step, i) => {
    const before = steps[i - 1];
    if (!before || (!isOwn(step) && !isOwn(before))) return step;
    if (step.locks.some((l) => l.stepId === before.id)) return step;
    return { ...step, locks: [...step.locks, { stepId: before.id, reason: `after “${before.title}”.` }] };
  });
}
