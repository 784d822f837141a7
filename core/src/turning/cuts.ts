import { len, type Finding } from '../measure/index.js';
import { circleOf, type ElementSpan, type Outline } from '../pattern/index.js';
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

export interface CutOrder {
  cuts: Cut[];
  /** how often another tool is taken up */
  toolChanges: number;
  findings: Finding[];
}

/** Tools that make each element, best first. */
const TOOLS_FOR: Record<ElementSpan['element']['kind'], ToolKind[]> = {
  cylinder: ['skew', 'spindle gouge', 'roughing gouge', 'scraper'],
  taper: ['skew', 'spindle gouge', 'roughing gouge', 'scraper'],
  arc: ['skew', 'spindle gouge', 'scraper'],
  bead: ['skew', 'spindle gouge', 'scraper'],
  cove: ['spindle gouge', 'scraper'],
  sphere: ['spindle gouge', 'skew', 'scraper'],
  'v-groove': ['skew', 'parting tool'],
  shoulder: ['parting tool', 'skew'],
  ogee: ['spindle gouge', 'skew', 'scraper'],
  fillet: ['spindle gouge', 'scraper'],
  balloon: ['spindle gouge', 'skew', 'scraper'],
  oval: ['spindle gouge', 'skew', 'scraper'],
  square: ['skew', 'parting tool'],
  tenon: ['parting tool', 'skew'],
  fair: ['skew', 'spindle gouge', 'scraper'],
  repeat: ['skew', 'spindle gouge', 'scraper'],
};

/**
 * Order of cuts: the end far from the drive first, so that the wood between the drive and the place
 * still to be cut stays thick; each cut downhill, from the larger to the smaller diameter.
 * @param headstockEnd which end of the part is held at the drive
 */
export function orderOfCuts(
  partId: string,
  outline: Outline,
  tools: readonly Tool[],
  headstockEnd: 'reference' | 'far',
): CutOrder {
  const farFirst = headstockEnd === 'reference' ? [...outline.spans].reverse() : outline.spans;
  const findings: Finding[] = [];
  const cuts = farFirst.map((span): Cut => {
    const kinds = TOOLS_FOR[span.element.kind];
    const tight = tightestHollow(outline, span);
    const owned = kinds.flatMap((kind) => tools.filter((t) => t.kind === kind && fits(t, tight)));
    const tool = owned[0] ?? null;
    if (!tool) findings.push(noTool(partId, span, kinds, tight));
    return {
      elementId: span.element.id,
      x0: span.x0,
      x1: span.x1,
      tool,
      toolKind: tool?.kind ?? kinds[0] ?? 'spindle gouge',
      words: cutWords(span),
    };
  });
  const toolChanges = cuts.filter((c, i) => i > 0 && c.tool?.id !== cuts[i - 1]?.tool?.id).length;
  return { cuts, toolChanges, findings };
}

/** Radius of the hollow of a span, Infinity when it has none, mm. */
function tightestHollow(outline: Outline, span: ElementSpan): number {
  const hollows = outline.segments.filter((s) => s.elementId === span.element.id && s.bulge < 0);
  return Math.min(Infinity, ...hollows.map((s) => circleOf(s).radius));
}

const fits = (tool: Tool, hollow: number): boolean =>
  hollow === Infinity || (tool.nose ?? tool.width / 2) <= hollow + 1e-6;

function noTool(partId: string, span: ElementSpan, kinds: ToolKind[], tight: number): Finding {
  const name = span.element.name ?? span.element.kind;
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

function cutWords(span: ElementSpan): string {
  const { element } = span;
  const name = element.name ?? element.kind;
  switch (element.kind) {
    case 'bead':
      return `Roll the ${name} from its crown down both sides.`;
    case 'cove':
      return `Scoop the ${name} from both rims down to ${len(element.bottom.mm)}.`;
    case 'v-groove':
      return `Cut the ${name} with the long point, ${len(element.depth.mm)} deep.`;
    case 'shoulder':
      return `Square the ${name} with a peeling cut, down to ${len(Math.min(span.startDiameter, span.endDiameter))}.`;
    case 'sphere':
    case 'oval':
    case 'balloon':
      return `Round the ${name} from its middle towards both necks.`;
    case 'square':
      return element.shoulder === 'rolled'
        ? `Leave the ${name} square; nick its ends with the long point and roll its shoulders.`
        : `Leave the ${name} square; nick its ends with the long point and cut in square beside it.`;
    case 'tenon':
      return `Part the ${name} down to ${len(span.endDiameter)} for its hole of ${len(element.hole.mm)}.`;
    case 'repeat':
      return `Cut the ${name}: ${element.times} times the same, from the far one towards the drive.`;
    default: {
      const downhill =
        span.startDiameter >= span.endDiameter
          ? [span.startDiameter, span.endDiameter]
          : [span.endDiameter, span.startDiameter];
      return downhill[0] === downhill[1]
        ? `Plane the ${name} to ${len(span.endDiameter)}.`
        : `Cut the ${name} downhill, from ${len(downhill[0] ?? 0)} to ${len(downhill[1] ?? 0)}.`;
    }
  }
}
