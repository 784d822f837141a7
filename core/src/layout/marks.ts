import { len, type Figure } from '../measure/index.js';
import type { Material } from '../material/index.js';
import type { MatingFace } from '../hardware/index.js';
import { extremes, type ElementSpan, type Outline } from '../pattern/index.js';
import type { Gauge } from '../workshop/index.js';

/** A line on the story stick, measured from the reference end, mm. */
export interface Mark {
  id: string;
  x: number;
  label: string;
  /** finished diameters on the two sides of the line; equal unless there is a shoulder */
  before: number;
  after: number;
}

/** A diameter that is sized at the lathe before shaping, and measured afterwards. */
export interface SizingCut {
  /** station id: readings cite it */
  id: string;
  x: number;
  label: string;
  finished: number;
  /** what to part down to: finished + sanding allowance (none on a mating face) */
  cutTo: number;
  tolerance: number;
  mating: boolean;
  gauge: GaugeChoice;
  transfer?: string;
}

/** A fixed gauge of the right size, or a calliper to be set. */
export interface GaugeChoice {
  gauge: Gauge | null;
  words: string;
}

export interface Layout {
  marks: Mark[];
  sizing: SizingCut[];
  figures: Figure[];
}

/** Default of a seen diameter, ± mm. */
const SEEN_TOLERANCE = 0.5;

/**
 * Story stick and sizing cuts of a profile: one mark at each transition from one datum, one sizing
 * cut for each diameter that differs from its neighbours.
 * @param mating the face that meets hardware, with the x where it is
 */
export function layoutOf(
  outline: Outline,
  mating: { face: MatingFace; x: number } | null,
  material: Material,
  gauges: readonly Gauge[],
): Layout {
  const marks = marksOf(outline);
  const sizing = stations(outline).map(({ id, x, label, finished, tolerance }): SizingCut => {
    const meets = mating !== null && Math.abs(mating.x - x) < 1e-6;
    const cutTo = finished + (meets ? 0 : material.sandingAllowance);
    return {
      id,
      x,
      label: meets ? mating.face.label : label,
      finished,
      cutTo,
      tolerance: meets ? mating.face.tolerance : (tolerance ?? SEEN_TOLERANCE),
      mating: meets,
      gauge: gaugeFor(cutTo, gauges),
      ...(meets ? { transfer: mating.face.transfer } : {}),
    };
  });
  return { marks, sizing, figures: sizing.map((cut) => sizingFigure(cut, material)) };
}

function marksOf(outline: Outline): Mark[] {
  const start = outline.spans[0]?.startDiameter ?? 0;
  const marks: Mark[] = [{ id: 'start', x: 0, label: 'reference end', before: 0, after: start }];
  for (const span of outline.spans) {
    const last = marks.at(-1);
    if (last && Math.abs(last.x - span.x1) < 1e-6) last.after = span.endDiameter;
    else
      marks.push({
        id: `${span.element.id}.end`,
        x: span.x1,
        label: nameOf(span),
        before: span.endDiameter,
        after: span.endDiameter,
      });
  }
  return marks;
}

const nameOf = (span: ElementSpan): string => span.element.name ?? span.element.kind;

interface Station {
  id: string;
  x: number;
  label: string;
  finished: number;
  tolerance: number | undefined;
}

/** Least diameter worth sizing: below it the tool, not the calliper, decides. */
const LEAST_SIZED = 3;

/** Where to size: the start, each new diameter at a transition, crests and bottoms. */
function stations(outline: Outline): Station[] {
  const first = outline.spans[0];
  const found: Station[] = first
    ? [
        {
          id: 'start',
          x: 0,
          label: nameOf(first),
          finished: first.startDiameter,
          tolerance: first.element.tolerance,
        },
      ]
    : [];
  for (const span of outline.spans) {
    const { element } = span;
    const add = (id: string, x: number, finished: number) =>
      found.push({
        id: `${element.id}.${id}`,
        x,
        label: nameOf(span),
        finished,
        tolerance: element.tolerance,
      });
    if (span.x1 > span.x0) {
      const own = { segments: outline.segments.filter((s) => s.elementId === element.id) };
      const { largest, smallest } = extremes(own, span.x0, span.x1);
      const ends = [span.startDiameter, span.endDiameter];
      if (element.kind === 'cove') add('bottom', smallest.x, smallest.diameter);
      else if (largest.diameter > Math.max(...ends) + 1e-6) add('crest', largest.x, largest.diameter);
    }
    if (Math.abs(span.endDiameter - span.startDiameter) > 1e-6) add('end', span.x1, span.endDiameter);
  }
  return found.filter((s) => s.finished >= LEAST_SIZED);
}

/** How near a fixed gauge must be to serve for a cut, mm: a little over leaves room for sanding. */
const GAUGE_UNDER = 0.05;
const GAUGE_OVER = 0.3;

/** Fixed gauges beat re-set callipers: the owned slot nearest above the cut, else a calliper. */
export function gaugeFor(cutTo: number, gauges: readonly Gauge[]): GaugeChoice {
  const slot = gauges
    .filter((g) => g.kind === 'slot' && g.size !== undefined)
    .filter((g) => (g.size?.mm ?? 0) >= cutTo - GAUGE_UNDER && (g.size?.mm ?? 0) <= cutTo + GAUGE_OVER)
    .sort((a, b) => Math.abs((a.size?.mm ?? 0) - cutTo) - Math.abs((b.size?.mm ?? 0) - cutTo))[0];
  if (slot) return { gauge: slot, words: `${slot.name} slides over: stop.` };
  const calliper = gauges.find((g) => g.kind === 'calliper');
  return {
    gauge: calliper ?? null,
    words: `Set ${calliper ? `the ${calliper.name.toLowerCase()}` : 'a calliper'} to ${len(cutTo)}.`,
  };
}

function sizingFigure(cut: SizingCut, material: Material): Figure {
  return {
    id: `size.${cut.id}`,
    label: `Part down at ${cut.label}`,
    value: cut.cutTo,
    unit: 'mm',
    working: {
      rule: cut.mating
        ? 'The mating diameter itself: no sanding here.'
        : 'Finished diameter + what sanding takes off.',
      source: 'sanding allowance of the material, typical, unchecked',
      inputs: [
        { label: 'finished diameter', value: cut.finished, unit: 'mm' },
        {
          label: `sanding of ${material.name.toLowerCase()}`,
          value: cut.mating ? 0 : material.sandingAllowance,
          unit: 'mm',
        },
        { label: 'tolerance ±', value: cut.tolerance, unit: 'mm' },
      ],
    },
  };
}
