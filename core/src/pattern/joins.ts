import { len, type Finding } from '../measure/index.js';
import type { Element, ElementOf } from './element.js';
import { outlineOf } from './outline.js';
import type { Hole, HoleStep, Part, PartEnd, PartJoin, PatternBody } from './pattern.js';
import { radiusAt } from './radius.js';
import { tenonDiameter } from './tenonFit.js';

/** Room a joined end leaves at the bottom of its hole for glue and air, mm. */
const BOTTOM_ROOM = 1;

/** Both sides of a join, found in the body. */
export interface JoinSides {
  join: PartJoin;
  inner: Part;
  outer: Part;
  hole: Hole;
  mouth: HoleStep;
  /** the peg at the inner part's end, when that end is one */
  peg: ElementOf<'tenon'> | null;
  /** thickness of the end that enters, mm */
  thickness: number;
}

/** Finds what a join is between; null when a part or the hole has gone. */
export function joinSides(body: Pick<PatternBody, 'parts'>, join: PartJoin): JoinSides | null {
  const inner = body.parts.find((p) => p.id === join.inner.partId);
  const outer = body.parts.find((p) => p.id === join.outer.partId);
  const hole = outer?.holes.find((h) => h.id === join.outer.holeId);
  const mouth = hole?.steps[0];
  if (!inner || !outer || !hole || !mouth) return null;
  return { join, inner, outer, hole, mouth, peg: pegOf(inner, join), thickness: thicknessOf(inner, join) };
}

const carries = (join: PartJoin): boolean => join.kind === 'ring on shaft' || join.kind === 'cord through';

function pegOf(inner: Part, join: PartJoin): ElementOf<'tenon'> | null {
  if (carries(join)) return null;
  const element = endElement(inner, join.inner.end);
  return element?.kind === 'tenon' ? element : null;
}

const endElement = (part: Part, end: PartEnd): Element | undefined => {
  const { elements } = part.turnings[0];
  return end === 'reference' ? elements[0] : elements.at(-1);
};

function thicknessOf(inner: Part, join: PartJoin): number {
  const outline = outlineOf(inner.turnings[0]);
  if (carries(join)) return 2 * radiusAt(outline, join.at?.mm ?? outline.length / 2);
  const peg = pegOf(inner, join);
  if (peg) return tenonDiameter(peg.hole.mm, peg.fit);
  const span = join.inner.end === 'reference' ? outline.spans[0] : outline.spans.at(-1);
  return span ? Math.max(span.startDiameter, span.endDiameter) : 0;
}

/**
 * Keeps both sides of every join in step after an edit: a peg follows the hole that was changed, a hole
 * follows the peg that was, and the depth follows the peg's length. What is held stays; where both
 * sides cannot agree, `partJoinFindings` says so.
 */
export function inStep(before: PatternBody, after: PatternBody): PatternBody {
  return (after.joins ?? []).reduce((body, join) => {
    const sides = joinSides(body, join);
    if (!sides?.peg) return body;
    const was = joinSides(before, join);
    const holeChanged = was !== null && was.mouth.diameter.mm !== sides.mouth.diameter.mm;
    const pegHeld = sides.peg.held?.includes('hole') === true;
    const fitted =
      sides.mouth.diameter.mm === sides.peg.hole.mm
        ? body
        : holeChanged && !pegHeld
          ? withPeg(body, sides, { ...sides.peg, hole: sides.mouth.diameter })
          : withMouth(body, sides, { ...sides.mouth, diameter: sides.peg.hole });
    return withDepth(fitted, join, sides.peg.length.mm);
  }, after);
}

function withPeg(body: PatternBody, { inner, join }: JoinSides, peg: Element): PatternBody {
  return changeOne(body, inner.id, (part) => {
    const [turning, ...rest] = part.turnings;
    const last = turning.elements.length - 1;
    const at = join.inner.end === 'reference' ? 0 : last;
    const elements = turning.elements.map((e, i) => (i === at ? peg : e));
    return { ...part, turnings: [{ ...turning, elements }, ...rest] };
  });
}

const withMouth = (body: PatternBody, { outer, hole }: JoinSides, mouth: HoleStep): PatternBody =>
  changeOne(body, outer.id, (part) => ({
    ...part,
    holes: part.holes.map((h) => (h.id === hole.id ? { ...h, steps: [mouth, ...h.steps.slice(1)] } : h)),
  }));

const withDepth = (body: PatternBody, { id }: PartJoin, depth: number): PatternBody => ({
  ...body,
  joins: body.joins?.map((j) => (j.id === id && j.depth.mm !== depth ? { ...j, depth: { mm: depth } } : j)),
});

/** The body with one part changed. */
export function changeOne(body: PatternBody, partId: string, change: (part: Part) => Part): PatternBody {
  const [first, ...rest] = body.parts;
  const of = (part: Part) => (part.id === partId ? change(part) : part);
  return { ...body, parts: [of(first), ...rest.map(of)] };
}

/** Where the two sides of a join do not go together, and what would do. */
export function partJoinFindings(body: PatternBody): Finding[] {
  return (body.joins ?? []).flatMap((join) => {
    const sides = joinSides(body, join);
    if (!sides) return [lost(join)];
    return [...sizeFindings(sides), ...depthFindings(sides)];
  });
}

const lost = (join: PartJoin): Finding => ({
  id: `pattern.join.${join.id}`,
  severity: 'stop',
  stage: 'pattern',
  partId: join.inner.partId,
  what: `A join (${join.kind}) has lost one of its sides.`,
  why: 'The part or the hole that it needs is no longer there.',
  remedy: 'Choose its parts again, or take the join away.',
});

function sizeFindings({ join, inner, outer, hole, mouth, peg, thickness }: JoinSides): Finding[] {
  const gap = mouth.diameter.mm - thickness;
  const base = { stage: 'pattern', partId: inner.id, elementId: peg?.id } as const;
  if (peg && Math.abs(peg.hole.mm - mouth.diameter.mm) > 1e-6)
    return [
      {
        ...base,
        id: `pattern.join.size.${join.id}`,
        severity: 'stop',
        what: `The peg is made for ${len(peg.hole.mm)}, the ${hole.name} of the ${outer.name} is ${len(mouth.diameter.mm)}.`,
        why: 'One of the two is held, so neither follows the other.',
        remedy: `Let the peg go, or drill the ${hole.name} ${len(peg.hole.mm)}.`,
      },
    ];
  if (!peg && (gap < -0.3 || gap > (carries(join) ? 3 : 0.5)))
    return [
      {
        ...base,
        id: `pattern.join.size.${join.id}`,
        severity: 'warn',
        what: `The ${inner.name} is ${len(thickness)} where it enters, the ${hole.name} ${len(mouth.diameter.mm)}.`,
        why: gap < 0 ? 'It would have to be forced in and may split.' : 'It would stand loose.',
        remedy: `Drill the ${hole.name} for ${len(thickness)}, or make the end a tenon for ${len(mouth.diameter.mm)}.`,
      },
    ];
  return [];
}

function depthFindings({ join, inner, outer, hole, peg }: JoinSides): Finding[] {
  const enters = peg?.length.mm ?? join.depth.mm;
  const deep = hole.steps.at(-1)?.depth.mm ?? 0;
  if (hole.through || carries(join) || deep >= enters + BOTTOM_ROOM - 1e-6) return [];
  return [
    {
      id: `pattern.join.depth.${join.id}`,
      severity: 'warn',
      stage: 'pattern',
      partId: inner.id,
      elementId: peg?.id,
      what: `${len(enters)} of the ${inner.name} enter the ${hole.name} of the ${outer.name}, which is ${len(deep)} deep.`,
      why: `Without ${len(BOTTOM_ROOM)} at the bottom the glue has nowhere to go and the shoulder stands off.`,
      remedy: `Drill the ${hole.name} ${len(enters + BOTTOM_ROOM)} deep, or shorten the peg.`,
    },
  ];
}
