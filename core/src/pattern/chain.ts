import type { Element } from './element.js';
import { kindOf } from './kinds/elementKinds.js';
import type { Outline } from './shape.js';

/** Outline of elements that follow each other, the first beginning at a diameter. */
export function chain(elements: readonly Element[], startDiameter: number): Outline {
  const outline: Outline = { length: 0, segments: [], spans: [], problems: [] };
  let x = 0;
  let d = startDiameter;
  for (const element of elements) {
    const shape = kindOf(element).shape(element, x, d / 2, chain);
    if (shape.problem !== undefined) outline.problems.push({ elementId: element.id, why: shape.problem });
    outline.segments.push(...shape.segments);
    if (shape.square) (outline.squares ??= []).push(shape.square);
    const last = shape.segments.at(-1);
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
