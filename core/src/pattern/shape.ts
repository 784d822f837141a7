import type { Segment } from './arc.js';
import type { Element } from './element.js';

/** Where a square section begins and ends, and how the surface of revolution clips its corners. */
export interface SquareSpan {
  elementId: string;
  x0: number;
  x1: number;
  side: number;
  /** radius to which the corners reach, from half the side up to half the diagonal */
  corners: Segment[];
}

/** What an element adds to the outline; with a problem it stands in as a straight. */
export interface Shape {
  segments: Segment[];
  problem?: string;
  square?: SquareSpan;
}

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

/** Smaller differences of length are rounding, mm. */
export const SLACK = 1e-9;

export const straight = (element: Element, x: number, r: number, length: number, r1: number): Segment => ({
  elementId: element.id,
  x0: x,
  r0: r,
  x1: x + length,
  r1,
  bulge: 0,
});

export const line = (element: Element, x: number, r: number, length: number, r1: number): Shape => ({
  segments: [straight(element, x, r, length, r1)],
});

/** A step, left out when there is none. */
export const step = (element: Element, x: number, r: number, r1: number): Segment[] =>
  Math.abs(r1 - r) < SLACK ? [] : [straight(element, x, r, 0, r1)];

/** The first segments drawn straight, with the reason. */
export const cannot = (shape: Shape, problem: string): Shape => ({ segments: shape.segments, problem });
