import type { Segment } from './arc.js';
import { balloon, sphere } from './ballShapes.js';
import { bead, cove, oval, vGroove } from './beadShapes.js';
import { square, tenon } from './blockShapes.js';
import { arc, fair, fillet, ogee } from './curveShapes.js';
import type { Element, ElementOf } from './element.js';
import { line, step, type Shape, type SquareSpan } from './shape.js';

/** An element that cannot be made with the dimensions it has; the drawing shows it as a straight. */
export interface OutlineProblem {
  elementId: string;
  why: string;
}

/** Where an element begins and ends. */
export interface ElementSpan {
  element: Element;
  x0: number;
  x1: number;
  startDiameter: number;
  endDiameter: number;
}

/** The exact outline of a profile, from the reference end. */
export interface Outline {
  length: number;
  segments: Segment[];
  spans: ElementSpan[];
  problems: OutlineProblem[];
  /** square sections left in the blank; there the outline shows the flats */
  squares?: SquareSpan[];
}

/** Outline of elements that follow each other, the first beginning at a diameter. */
export function chain(elements: readonly Element[], startDiameter: number): Outline {
  const outline: Outline = { length: 0, segments: [], spans: [], problems: [] };
  let x = 0;
  let d = startDiameter;
  for (const element of elements) {
    const shape = shapeOf(element, x, d / 2);
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

function shapeOf(element: Element, x: number, r: number): Shape {
  switch (element.kind) {
    case 'cylinder':
      return line(element, x, r, element.length.mm, r);
    case 'taper':
      return line(element, x, r, element.length.mm, element.endDiameter.mm / 2);
    case 'shoulder':
      return line(element, x, r, 0, element.endDiameter.mm / 2);
    case 'bead':
      return bead(element, x, r);
    case 'cove':
      return cove(element, x, r);
    case 'ogee':
      return ogee(element, x, r);
    case 'fillet':
      return fillet(element, x, r);
    case 'v-groove':
      return vGroove(element, x, r);
    case 'sphere':
      return sphere(element, x, r);
    case 'balloon':
      return balloon(element, x, r);
    case 'oval':
      return oval(element, x, r);
    case 'arc':
      return arc(element, x, r);
    case 'square':
      return square(element, x, r);
    case 'tenon':
      return tenon(element, x, r);
    case 'fair':
      return fair(element, x, r);
    case 'repeat':
      return row(element, x, r);
  }
}

/** A row: the same elements again and again, each set beginning where the one before ended. */
function row(element: ElementOf<'repeat'>, x: number, r: number): Shape {
  const shape: Shape = { segments: [] };
  let [at, radius] = [x, r];
  for (let i = 0; i < element.times; i++) {
    const own = chain(element.elements, 2 * radius);
    const [problem] = own.problems;
    if (problem) shape.problem ??= problem.why;
    shape.segments.push(
      ...own.segments.map((s) => ({ ...s, elementId: element.id, x0: s.x0 + at, x1: s.x1 + at })),
    );
    at += own.length;
    radius = own.segments.at(-1)?.r1 ?? radius;
  }
  return shape.segments.length > 0 ? shape : { segments: step(element, x, r, r) };
}
