import { len } from '../measure/index.js';
import { DIMENSION_WORDS, DIMENSIONS_OF, dimensionOf } from './elementDimensions.js';
import { holeProblems } from './hole.js';
import { outlineOf } from './outline.js';
import type { Element, Part, PatternBody } from './pattern.js';

/** Something in a pattern that cannot be made as it stands. */
export interface PatternProblem {
  partId: string;
  elementId?: string;
  why: string;
}

/** Diameters and lengths may be 0 (a point, a bead of no rise), but these may not. */
const MUST_BE_ABOVE_ZERO = new Set(['length', 'radius', 'diameter']);

/** All that keeps a pattern from being made, in sentences; an empty list when it can be made. */
export function checkPattern(body: PatternBody): PatternProblem[] {
  const [first, second] = body.parts;
  const many = second
    ? [
        {
          partId: second.id,
          why: `Compas plans one turned part per item so far; ${second.name} beside ${first.name} is one too many.`,
        },
      ]
    : [];
  return [...many, ...body.parts.flatMap(problemsOf)];
}

function problemsOf(part: Part): PatternProblem[] {
  return [
    ...idProblems(part),
    ...part.turnings[0].elements.flatMap((element) => elementProblems(part, element)),
    ...partProblems(part),
  ];
}

function partProblems(part: Part): PatternProblem[] {
  const outline = outlineOf(part.turnings[0]);
  const problems: PatternProblem[] = outline.problems.map((p) => ({ partId: part.id, ...p }));
  if (outline.length <= 0)
    problems.push({ partId: part.id, why: `${part.name} has no length yet. Add an element to begin.` });
  for (const hole of part.holes)
    problems.push(...holeProblems(hole, outline.length).map((why) => ({ partId: part.id, why })));
  return problems;
}

function elementProblems(part: Part, element: Element): PatternProblem[] {
  return DIMENSIONS_OF[element.kind].flatMap((key) => {
    const mm = dimensionOf(element, key)?.mm;
    const word = `${element.name ?? element.kind}: the ${DIMENSION_WORDS[key]}`;
    if (mm === undefined) return [problem(part, element, `${word} is missing. Give a length.`)];
    if (mm < 0) return [problem(part, element, `${word} is ${len(mm)}. It cannot be below zero.`)];
    if (mm === 0 && MUST_BE_ABOVE_ZERO.has(key))
      return [problem(part, element, `${word} is zero. Give a length above zero.`)];
    return [];
  });
}

const problem = (part: Part, element: Element, why: string): PatternProblem => ({
  partId: part.id,
  elementId: element.id,
  why,
});

function idProblems(part: Part): PatternProblem[] {
  const ids = part.turnings.flatMap((t) => t.elements.map((e) => e.id));
  const twice = ids.find((id, i) => ids.indexOf(id) !== i);
  if (twice === undefined) return [];
  return [
    { partId: part.id, elementId: twice, why: `Two elements have the id ${twice}. Each needs its own.` },
  ];
}
