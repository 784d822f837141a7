import { len } from '../measure/index.js';
import { unreasoned } from '../workshop/index.js';
import { crossHoleProblems } from './crossHole.js';
import { dimensionOf, dimensionsOf, dimensionWords, nameOf, usualOf } from './elementDimensions.js';
import type { DimensionKey, Element } from './element.js';
import { holeProblems } from './hole.js';
import { hollowProblems } from './hollow.js';
import { ringProblems } from './ring.js';
import { joinSides } from './joins.js';
import { outlineOf, type Outline } from './outline.js';
import { widestOf } from './radius.js';
import { ELEMENT_KINDS } from './kinds/elementKinds.js';
import type { Part, PatternBody, Turning } from './pattern.js';

/** Something in a pattern that cannot be made as it stands. */
export interface PatternProblem {
  partId: string;
  elementId?: string;
  why: string;
}

/** Diameters and lengths may be 0 (a point, a bead of no rise), but these may not. */
const MUST_BE_ABOVE_ZERO: ReadonlySet<DimensionKey> = new Set([
  'length',
  'radius',
  'diameter',
  'longAxis',
  'across',
  'hole',
]);

/** All that keeps a pattern from being made, in sentences; an empty list when it can be made. */
export function checkPattern(body: PatternBody): PatternProblem[] {
  const tooMuch = body.parts.flatMap(countProblems);
  // what is too much to be drawn is not drawn to find more
  if (tooMuch.length > 0) return tooMuch;
  return [...idProblems(body), ...body.parts.flatMap(partProblems), ...linkProblems(body)];
}

/** What a lathe of the trade takes, mm, and how finely a part is drawn: more than that is a slip, and takes minutes to plan. */
export const LONGEST = 6_000;
export const WIDEST = 1_000;
const MOST_ELEMENTS = 200;
const MOST_POINTS = 400;

/** Rows are counted as often as they are repeated. */
function countProblems(part: Part): PatternProblem[] {
  const all = [...part.turnings, ...(part.hollows ?? [])].flatMap((t) => t.elements);
  const counted = (of: (element: Element) => number): number =>
    all.reduce(
      (sum, e) =>
        sum + (e.kind === 'repeat' ? e.times * e.elements.reduce((n, within) => n + of(within), 0) : of(e)),
      0,
    );
  const elements = counted(() => 1);
  const points = counted((e) => (e.kind === 'fair' ? e.points.length : 0));
  const most = (what: string, count: number, limit: number) =>
    count <= limit
      ? []
      : [
          {
            partId: part.id,
            why: `${part.name}: ${count} ${what}, rows counted out. Draw it with ${limit} or fewer.`,
          },
        ];
  return [...most('elements', elements, MOST_ELEMENTS), ...most('points of curves', points, MOST_POINTS)];
}

function sizeProblems(part: Part, outline: Outline): PatternProblem[] {
  const across = widestOf(outline).diameter;
  return [
    ...(outline.length > LONGEST
      ? [`${part.name} is ${len(outline.length)} long. No lathe here takes more than ${len(LONGEST)}.`]
      : []),
    ...(across > WIDEST
      ? [`${part.name} is ${len(across)} across. No lathe here takes more than ${len(WIDEST)}.`]
      : []),
  ].map((why) => ({ partId: part.id, why }));
}

function partProblems(part: Part): PatternProblem[] {
  return [
    ...part.turnings.flatMap((turning) => turningProblems(part, turning)),
    ...holesOf(part).map((why) => ({ partId: part.id, why })),
    ...(part.hollows ?? []).flatMap((h) => h.elements.flatMap((e) => elementProblems(part, e))),
    ...decorationProblems(part),
    ...unreasoned(part.ways, 'ways').map(({ why }) => ({ partId: part.id, why })),
  ];
}

/** Thinner is nothing, mm. */
const NOTHING = 1e-6;

/** Only at its ends may a piece come to a point. */
function cutInTwo(part: Part, outline: Outline): PatternProblem[] {
  const { segments, length } = outline;
  if (length > 0 && widestOf(outline).diameter < NOTHING)
    return [
      {
        partId: part.id,
        why: `The ${part.name} is nothing thick from end to end. Give it a diameter to begin with.`,
      },
    ];
  const at = segments.find((s) => s.x1 < length - NOTHING && s.x1 > NOTHING && s.r1 < NOTHING);
  if (!at) return [];
  return [
    {
      partId: part.id,
      elementId: at.elementId,
      why: `The ${part.name} is cut in two ${len(at.x1)} from its beginning: nothing is left there. Give it a diameter, or make it two parts.`,
    },
  ];
}

function turningProblems(part: Part, turning: Turning): PatternProblem[] {
  const outline = outlineOf(turning);
  const problems = turning.elements.flatMap((element) => elementProblems(part, element));
  problems.push(
    ...outline.problems.map((p) => ({ partId: part.id, ...p })),
    ...sizeProblems(part, outline),
    ...cutInTwo(part, outline),
  );
  if (outline.length <= 0)
    problems.push({ partId: part.id, why: `${part.name} has no length yet. Add an element to begin.` });
  if (turning.elements.filter((e) => e.takesUp).length > 1)
    problems.push({
      partId: part.id,
      why: `Two elements of the ${part.name} take up what is left. Only one can.`,
    });
  return problems;
}

function holesOf(part: Part): string[] {
  const outline = outlineOf(part.turnings[0]);
  return [
    ...part.holes.flatMap((hole) => holeProblems(hole, outline.length)),
    ...(part.crossHoles ?? []).flatMap((hole) => crossHoleProblems(hole, outline)),
    ...(part.hollows ?? []).flatMap((hollow) => hollowProblems(hollow, outline)),
    ...(part.rings ?? []).flatMap((ring) => ringProblems(ring, outline)),
  ];
}

function elementProblems(part: Part, element: Element): PatternProblem[] {
  const own = dimensionsOf(element.kind).flatMap((key) => {
    const mm = dimensionOf(element, key)?.mm;
    const word = `${nameOf(element)}: the ${dimensionWords(element.kind, key)}`;
    if (mm === undefined)
      return usualOf(element.kind, key) === undefined
        ? [problem(part, element, `${word} is missing. Give a length.`)]
        : [];
    if (mm < 0) return [problem(part, element, `${word} is ${len(mm)}. It cannot be below zero.`)];
    if (mm === 0 && MUST_BE_ABOVE_ZERO.has(key) && !element.takesUp)
      return [problem(part, element, `${word} is zero. Give a length above zero.`)];
    return [];
  });
  if (element.kind !== 'repeat') return own;
  return [...rowProblems(part, element), ...element.elements.flatMap((e) => elementProblems(part, e))];
}

function rowProblems(part: Part, row: Element & { kind: 'repeat' }): PatternProblem[] {
  const name = nameOf(row);
  const { least, most } = ELEMENT_KINDS.repeat.fields.times;
  if (!Number.isInteger(row.times) || row.times < least || row.times > most)
    return [problem(part, row, `${name}: ${row.times} times. Give a whole number from ${least} to ${most}.`)];
  if (row.elements.length === 0)
    return [problem(part, row, `${name}: a row of nothing. Give it an element to repeat.`)];
  const deep = row.elements.find((e) => e.kind === 'repeat' || e.takesUp);
  if (!deep) return [];
  return [
    problem(part, row, `${name}: an element of a row is neither a row nor takes up a length. Take it out.`),
  ];
}

function decorationProblems(part: Part): PatternProblem[] {
  const outline = outlineOf(part.turnings[0]);
  return (part.decorations ?? []).flatMap((d) => {
    const span = outline.spans.find((s) => s.element.id === d.elementId);
    if (!span) return [{ partId: part.id, why: `A ${d.kind} has lost the element it was on. Take it away.` }];
    const room = span.x1 - span.x0;
    if (d.from.mm + d.width.mm <= room + 1e-6) return [];
    return [
      problem(
        part,
        span.element,
        `The ${d.kind} ends ${len(d.from.mm + d.width.mm)} into the ${nameOf(span.element)}, which is ${len(room)} long. Make it narrower or move it.`,
      ),
    ];
  });
}

function linkProblems(body: PatternBody): PatternProblem[] {
  const here = new Set(body.parts.map((p) => p.id));
  const lost = [
    ...body.hardware.filter((h) => !here.has(h.partId)).map(() => 'A piece of hardware'),
    ...(body.mates ?? []).filter((m) => !here.has(m.partId)).map((m) => `The outline of the ${m.name}`),
    ...(body.joins ?? []).filter((j) => joinSides(body, j) === null).map((j) => `The join ${j.kind}`),
  ];
  return lost.map((what) => ({
    partId: body.parts[0].id,
    why: `${what} belongs to a part or a hole that is no longer there. Choose another, or take it away.`,
  }));
}

const problem = (part: Part, element: Element, why: string): PatternProblem => ({
  partId: part.id,
  elementId: element.id,
  why,
});

/** Every id of a pattern is given once: elements with those in rows, holes, joins, checks. */
function idProblems(body: PatternBody): PatternProblem[] {
  const seen = new Set<string>();
  const problems: PatternProblem[] = [];
  const see = (partId: string, ids: string[], what: string) => {
    for (const id of ids) {
      if (seen.has(id))
        problems.push({
          partId,
          elementId: id,
          why: `Two ${what} have the id ${id}. Each needs its own.`,
        });
      seen.add(id);
    }
  };
  for (const part of body.parts) {
    const inRows = (elements: readonly Element[]): string[] =>
      elements.flatMap((e) => [e.id, ...(e.kind === 'repeat' ? inRows(e.elements) : [])]);
    see(
      part.id,
      [...part.turnings, ...(part.hollows ?? [])].flatMap((t) => inRows(t.elements)),
      'elements',
    );
    see(
      part.id,
      [...part.holes, ...(part.crossHoles ?? []), ...(part.hollows ?? []), ...(part.rings ?? [])].map(
        (h) => h.id,
      ),
      'holes',
    );
  }
  const [first] = body.parts;
  see(
    first.id,
    body.parts.map((p) => p.id),
    'parts',
  );
  see(
    first.id,
    [...(body.joins ?? []), ...(body.checks ?? [])].map((c) => c.id),
    'joins or checks',
  );
  return problems;
}
