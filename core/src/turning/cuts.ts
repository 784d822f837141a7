import { len, type Finding } from '../measure/index.js';
import {
  circleOf,
  extremes,
  kindOf,
  nameOf,
  ownSegments,
  type ElementSpan,
  type Outline,
} from '../pattern/index.js';
import type { Tool, ToolKind } from '../workshop/index.js';

/** One cut of the shaping, in order. */
export interface Cut {
  elementId: string;
  /** shaped span, mm from the reference end */
  x0: number;
  x1: number;
  tool: Tool | null;
  toolKind: ToolKind;
  words: string;
}

/** The tool that somebody takes for a feature instead of the usual one; null leaves it at that. */
export type ChosenTool = (span: ElementSpan, usual: Tool | null) => Tool | null;

export interface CutOrder {
  cuts: Cut[];
  /** how often another tool is taken up */
  toolChanges: number;
  findings: Finding[];
}

/**
 * Order of cuts: the end far from the drive first, so that the wood between the drive and the place
 * still to be cut stays thick; each cut downhill, from the larger to the smaller diameter.
 * @param headstockEnd which end of the part is held at the drive
 * @param chosen what somebody takes instead of the usual tool
 */
export function orderOfCuts(
  partId: string,
  outline: Outline,
  tools: readonly Tool[],
  headstockEnd: 'reference' | 'far',
  chosen: ChosenTool = () => null,
): CutOrder {
  const farFirst = headstockEnd === 'reference' ? [...outline.spans].reverse() : outline.spans;
  const findings: Finding[] = [];
  const cuts = farFirst.map((span): Cut => {
    const kind = kindOf(span.element);
    const kinds = kind.tools;
    const tight = tightestHollow(outline, span);
    const owned = kinds.flatMap((kind) => tools.filter((t) => t.kind === kind && fits(t, tight)));
    const own = chosen(span, owned[0] ?? null);
    const tool = own ?? owned[0] ?? null;
    if (!tool) findings.push(noTool(partId, span, kinds, tight));
    if (own && !fits(own, tight)) findings.push(tooWide(partId, span, own, tight));
    return {
      elementId: span.element.id,
      x0: span.x0,
      x1: span.x1,
      tool,
      toolKind: tool?.kind ?? kinds[0],
      words: cutWords(outline, span),
    };
  });
  return { cuts, toolChanges: toolChangesOf(cuts), findings };
}

/**
 * How a feature is cut, in words.
 * @param fat what is left on its diameter for sanding, mm
 */
export function cutWords(outline: Outline, span: ElementSpan, fat = 0): string {
  const { crown, valley } = beyondEnds(outline, span);
  return kindOf(span.element).cut(span.element, nameOf(span.element), {
    length: span.x1 - span.x0,
    startDiameter: span.startDiameter + fat,
    endDiameter: span.endDiameter + fat,
    ...(crown === undefined ? {} : { crown: crown + fat }),
    ...(valley === undefined ? {} : { valley: valley + fat }),
  });
}

/** How often another tool is taken up. */
export const toolChangesOf = (cuts: readonly Pick<Cut, 'tool'>[]): number =>
  cuts.filter((c, i) => i > 0 && c.tool?.id !== cuts[i - 1]?.tool?.id).length;

/** The thickest and the thinnest place inside a feature, where it is neither of its ends. mm */
function beyondEnds(outline: Outline, span: ElementSpan): { crown?: number; valley?: number } {
  const segments = ownSegments(outline, span.element.id);
  if (segments.length === 0) return {};
  const { largest, smallest } = extremes({ segments }, span.x0, span.x1);
  const ends = [span.startDiameter, span.endDiameter];
  return {
    ...(largest.diameter > Math.max(...ends) + BEYOND ? { crown: largest.diameter } : {}),
    ...(smallest.diameter < Math.min(...ends) - BEYOND ? { valley: smallest.diameter } : {}),
  };
}

/** Less than this is no crown, mm. */
const BEYOND = 0.05;

/** Radius of the hollow of a span, Infinity when it has none, mm. */
function tightestHollow(outline: Outline, span: ElementSpan): number {
  const hollows = ownSegments(outline, span.element.id).filter((s) => s.bulge < 0);
  return Math.min(Infinity, ...hollows.map((s) => circleOf(s).radius));
}

const fits = (tool: Tool, hollow: number): boolean =>
  hollow === Infinity || (tool.nose ?? tool.width / 2) <= hollow + 1e-6;

const tooWide = (partId: string, span: ElementSpan, tool: Tool, tight: number): Finding => ({
  id: `turn.nose.${partId}.${span.element.id}`,
  severity: 'warn',
  stage: 'turn',
  partId,
  x: (span.x0 + span.x1) / 2,
  elementId: span.element.id,
  what: `The ${tool.name.toLowerCase()} does not reach into the ${nameOf(span.element)}.`,
  why: `Its nose has a radius of ${len(tool.nose ?? tool.width / 2)}, the hollow one of ${len(tight)}.`,
  remedy: 'Take a smaller nose there, or make the hollow wider.',
});

function noTool(partId: string, span: ElementSpan, kinds: readonly ToolKind[], tight: number): Finding {
  const name = nameOf(span.element);
  return {
    id: `turn.tool.${partId}.${span.element.id}`,
    severity: 'warn',
    stage: 'turn',
    partId,
    x: (span.x0 + span.x1) / 2,
    elementId: span.element.id,
    what: `No tool of the workshop makes the ${name}.`,
    why:
      tight < Infinity
        ? `Its hollow has a radius of ${len(tight)}; a nose must be no larger.`
        : `It wants a ${kinds.join(' or a ')}.`,
    remedy:
      tight < Infinity
        ? 'Make the hollow wider, or grind a smaller nose.'
        : `Add a ${kinds[0] ?? 'tool'} to the workshop.`,
  };
}
