import type { Element } from './element.js';
import { kindOf } from './kinds/elementKinds.js';
import type { Segment } from './arc.js';
import { cannot, line, type Outline, type Shape } from './shape.js';

const isFinite = ({ x0, r0, x1, r1, bulge }: Segment): boolean =>
  [x0, r0, x1, r1, bulge].every(Number.isFinite);

/** Dimensions at the edge of what numbers can say give no point: then it stands in as nothing, and says so. */
const drawable = (shape: Shape, element: Element, x: number, r: number): Shape =>
  shape.segments.every(isFinite) && (shape.square?.corners ?? []).every(isFinite)
    ? shape
    : cannot(
        line(element, x, r, 0, r),
        'With these dimensions it cannot be drawn. One of them is next to nothing: change it.',
      );

/** What is nearer than this is one place, mm. */
const HAIR = 1e-9;

/** Stretches that begin exactly where the one before ends: a hair between two would be a place that no stretch covers. */
function meeting(segments: readonly Segment[], x: number, r: number): Segment[] {
  let [end, radius] = [x, r];
  return segments.map((segment) => {
    const x0 = Math.abs(segment.x0 - end) < HAIR ? end : segment.x0;
    const r0 = Math.abs(segment.r0 - radius) < HAIR ? radius : segment.r0;
    [end, radius] = [segment.x1, segment.r1];
    return x0 === segment.x0 && r0 === segment.r0 ? segment : { ...segment, x0, r0 };
  });
}

/** Outline of elements that follow each other, the first beginning at a diameter. */
export function chain(elements: readonly Element[], startDiameter: number): Outline {
  const outline: Outline = { length: 0, segments: [], spans: [], problems: [] };
  let x = 0;
  let d = startDiameter;
  for (const element of elements) {
    const shape = drawable(kindOf(element).shape(element, x, d / 2, chain), element, x, d / 2);
    if (shape.problem !== undefined) outline.problems.push({ elementId: element.id, why: shape.problem });
    const own = meeting(shape.segments, x, d / 2);
    outline.segments.push(...own);
    if (shape.square) (outline.squares ??= []).push(shape.square);
    const last = own.at(-1);
    const span = {
      element,
      x0: x,
      x1: last?.x1 ?? x,
      startDiameter: d,
      endDiameter: 2 * (last?.r1 ?? d / 2),
    };
    outline.spans.push(span);
    x = span.x1;
    d = span.endDiameter;
  }
  outline.length = x;
  return outline;
}
