import { kindOf, nameOf, radiusAt, type Bore, type Outline } from '../pattern/index.js';
import { sizedPlaces } from './sizedPlaces.js';

/** A line on the story stick, measured from the reference end, mm. */
export interface Mark {
  id: string;
  x: number;
  label: string;
  /** finished diameters on the two sides of the line; equal unless there is a shoulder */
  before: number;
  after: number;
  /** what happens there */
  does?: MarkDoes;
  /** from the datum, towards the far end above 0, mm; plans made before there was a choice have none */
  from?: number;
}

/** What happens at a mark; each has its own sign on the stick. */
type MarkDoes = 'end' | 'change' | 'shoulder' | 'groove' | 'hole' | 'size';

/**
 * One notch at each transition, groove and cross hole, and at each place that is sized, from the reference end on.
 * @param bores across the axis; none when not said
 */
export function notchesOf(outline: Outline, bores: readonly Bore[] = []): Mark[] {
  const start = outline.spans[0]?.startDiameter ?? 0;
  const marks: Mark[] = [{ id: 'start', x: 0, label: 'reference end', before: 0, after: start, does: 'end' }];
  for (const span of outline.spans) {
    const last = marks.at(-1);
    if (last && Math.abs(last.x - span.x1) < 1e-6) {
      last.after = span.endDiameter;
      if (last.x > 0 && last.before !== last.after) last.does = 'shoulder';
    } else
      marks.push({
        id: `${span.element.id}.end`,
        x: span.x1,
        label: nameOf(span.element),
        before: span.endDiameter,
        after: span.endDiameter,
        does: 'change',
      });
  }
  const end = marks.at(-1);
  if (end) end.does = 'end';
  const drawn = [...marks, ...grooves(outline), ...bores.map(boreMark(outline))];
  return [...drawn, ...sizedMarks(outline, drawn)].sort((a, b) => a.x - b.x);
}

/** The ends are what the stick is laid against: all others can be left out. */
export const canBeLeftOut = ({ does }: Mark): boolean => does !== 'end';

/** Every place that is sized has its notch: crowns and bottoms that fall on no other. */
const sizedMarks = (outline: Outline, marks: readonly Mark[]): Mark[] =>
  sizedPlaces(outline)
    .filter(({ x }) => marks.every((m) => Math.abs(m.x - x) > SAME_NOTCH))
    .map(({ id, x, label, finished, peak }) => ({
      id,
      x,
      label: peak === undefined ? label : `${label}, ${PEAKS[peak]}`,
      before: finished,
      after: finished,
      does: 'size',
    }));

/** What the highest and the lowest place of a feature are called. */
const PEAKS = { crest: 'crown', bottom: 'bottom' } as const;

/** Nearer than this two notches are one, mm. */
const SAME_NOTCH = 0.3;

/** A V is cut at its bottom: its own notch falls between those of its rims. */
const grooves = (outline: Outline): Mark[] =>
  outline.spans
    .filter((span) => kindOf(span.element).notched)
    .map((span) => {
      const x = (span.x0 + span.x1) / 2;
      const across = 2 * radiusAt(outline, x);
      return {
        id: `${span.element.id}.bottom`,
        x,
        label: nameOf(span.element),
        before: across,
        after: across,
        does: 'groove',
      };
    });

const boreMark =
  (outline: Outline) =>
  ({ id, name, x }: Bore): Mark => {
    const across = 2 * radiusAt(outline, x);
    return { id: `hole.${id}`, x, label: name, before: across, after: across, does: 'hole' };
  };
