import type { Finding, Stage } from '../measure/index.js';
import { nameOf, type Decoration, type Part } from '../pattern/index.js';

/**
 * What is drawn and made by no step of the list: a plan that is silent about it would call itself whole. Each
 * goes when the route that makes it takes the place of the list.
 */
export const unmadeFindings = (part: Part): Finding[] => [
  ...part.turnings
    .slice(1)
    .map((turning) =>
      unmade(
        part,
        turning.id,
        'turn',
        'What is turned about the further axis',
        'after everything on the first axis',
      ),
    ),
  ...(part.hollows ?? []).map((hollow) =>
    unmade(part, hollow.id, 'turn', `The ${hollow.name}`, 'after its outside, held anew'),
  ),
  ...(part.decorations ?? []).map((decoration) =>
    unmade(
      part,
      decoration.id,
      'surface',
      decorationWords(part, decoration),
      'after sanding and before the finish',
    ),
  ),
];

function decorationWords(part: Part, { kind, elementId }: Decoration): string {
  const elements = part.turnings.flatMap((t) => t.elements);
  const element = elements.find((e) => e.id === elementId);
  return `The ${kind} on the ${element ? nameOf(element) : 'piece'}`;
}

const unmade = (part: Part, id: string, stage: Stage, what: string, when: string): Finding => ({
  id: `unmade.${part.id}.${id}`,
  severity: 'stop',
  stage,
  partId: part.id,
  what: `${what} is drawn and made by no step.`,
  why: 'The list of steps does not know it yet, and its minutes are not counted.',
  remedy: `Do it beside the list, ${when}, or take it out of the pattern.`,
});
