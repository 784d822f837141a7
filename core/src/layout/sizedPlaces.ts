import { nameOf, peaksOf, type Outline } from '../pattern/index.js';

/** A place whose diameter is worth measuring. */
export interface SizedPlace {
  id: string;
  x: number;
  label: string;
  finished: number;
  tolerance: number | undefined;
  /** it is the highest or the lowest place of its feature */
  peak?: 'crest' | 'bottom';
}

/** Least diameter worth sizing: below it the tool, not the calliper, decides. */
const LEAST_SIZED = 3;

/** Where to size: the start, each new diameter at a transition, crests and bottoms. */
export function sizedPlaces(outline: Outline): SizedPlace[] {
  const first = outline.spans[0];
  const found: SizedPlace[] = first
    ? [
        {
          id: 'start',
          x: 0,
          label: nameOf(first.element),
          finished: first.startDiameter,
          tolerance: first.element.tolerance,
        },
      ]
    : [];
  for (const span of outline.spans) {
    const { element } = span;
    const add = (id: string, x: number, finished: number, peak?: SizedPlace['peak']) =>
      found.push({
        ...(peak === undefined ? {} : { peak }),
        id: `${element.id}.${id}`,
        x,
        label: nameOf(span.element),
        finished,
        tolerance: element.tolerance,
      });
    for (const { is, x, diameter } of peaksOf(outline, span)) add(is, x, diameter, is);
    if (Math.abs(span.endDiameter - span.startDiameter) > 1e-6) add('end', span.x1, span.endDiameter);
  }
  return found.filter((s) => s.finished >= LEAST_SIZED);
}
