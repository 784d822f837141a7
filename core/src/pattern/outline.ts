import { bulgeOfSagitta, circleOf, type Segment } from './arc.js';
import type { Element, Turning } from './pattern.js';
import { len } from '../measure/index.js';

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
}

const SLACK = 1e-9;

/** Compiles a profile to its exact outline of lines and arcs, x → r. All lengths in mm. */
export function outlineOf(turning: Turning): Outline {
  const outline: Outline = { length: 0, segments: [], spans: [], problems: [] };
  let x = 0;
  let d = turning.startDiameter.mm;
  for (const element of turning.elements) {
    const shape = shapeOf(element, x, d / 2);
    if (shape.problem !== undefined) outline.problems.push({ elementId: element.id, why: shape.problem });
    outline.segments.push(...shape.segments);
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

interface Shape {
  segments: Segment[];
  problem?: string;
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
      return bump(element, x, r, element.length.mm, element.crown.mm / 2 - r);
    case 'cove':
      return bump(element, x, r, element.length.mm, element.bottom.mm / 2 - r);
    case 'v-groove':
      return vGroove(element, x, r);
    case 'sphere':
      return sphere(element, x, r);
    case 'arc':
      return arc(element, x, r);
  }
}

function line(element: Element, x: number, r: number, length: number, r1: number): Shape {
  return { segments: [{ elementId: element.id, x0: x, r0: r, x1: x + length, r1, bulge: 0 }] };
}

/** Bead (rise above 0) or cove (below 0): an arc that comes back to the radius it began at. */
function bump(element: Element, x: number, r: number, length: number, rise: number): Shape {
  const flat = line(element, x, r, length, r);
  const kind = element.kind === 'bead' ? 'bead' : 'cove';
  const edge = kind === 'bead' ? 'crown' : 'bottom';
  if (kind === 'bead' ? rise < -SLACK : rise > SLACK)
    return {
      ...flat,
      problem: `The ${edge} of a ${kind} lies ${kind === 'bead' ? 'above' : 'below'} the diameter where it begins, ${len(2 * r)}.`,
    };
  if (Math.abs(rise) > length / 2 + SLACK)
    return {
      ...flat,
      problem: `A ${kind} ${len(length)} long can be at most ${len(length / 2)} deep; this one has ${len(Math.abs(rise))}. Make it longer or set the ${edge} to ${len(2 * (r + (Math.sign(rise) * length) / 2))}.`,
    };
  if (r + rise < -SLACK) return { ...flat, problem: 'The bottom of the cove lies beyond the axis.' };
  const bulge = length === 0 ? 0 : bulgeOfSagitta(length, rise);
  return { segments: [{ elementId: element.id, x0: x, r0: r, x1: x + length, r1: r, bulge }] };
}

function vGroove(element: Element & { kind: 'v-groove' }, x: number, r: number): Shape {
  const length = element.length.mm;
  const bottom = r - element.depth.mm;
  if (bottom < 0)
    return {
      ...line(element, x, r, length, r),
      problem: `The groove is ${len(element.depth.mm)} deep but there is only ${len(r)} to the axis.`,
    };
  const id = element.id;
  const half = x + length / 2;
  return {
    segments: [
      { elementId: id, x0: x, r0: r, x1: half, r1: bottom, bulge: 0 },
      { elementId: id, x0: half, r0: bottom, x1: x + length, r1: r, bulge: 0 },
    ],
  };
}

/** Ball between two necks: each neck meets the ball √(R² − neck²) from its centre (Pythagoras). */
function sphere(element: Element & { kind: 'sphere' }, x: number, r: number): Shape {
  const radius = element.diameter.mm / 2;
  const r1 = element.endDiameter.mm / 2;
  if (radius < r - SLACK || radius < r1 - SLACK)
    return {
      ...line(element, x, r, 0, r1),
      problem: `A ball of ${len(2 * radius)} is thinner than its neck of ${len(2 * Math.max(r, r1))}.`,
    };
  const before = Math.sqrt(Math.max(0, radius * radius - r * r));
  const after = Math.sqrt(Math.max(0, radius * radius - r1 * r1));
  // included angle from both neck angles, measured from the axis
  const angle = Math.PI - Math.atan2(r, before) - Math.atan2(r1, after);
  return {
    segments: [
      { elementId: element.id, x0: x, r0: r, x1: x + before + after, r1, bulge: Math.tan(angle / 4) },
    ],
  };
}

function arc(element: Element & { kind: 'arc' }, x: number, r: number): Shape {
  const length = element.length.mm;
  const r1 = element.endDiameter.mm / 2;
  const straight = line(element, x, r, length, r1);
  const chord = Math.hypot(length, r1 - r);
  const radius = element.radius.mm;
  if (radius < chord / 2 - SLACK)
    return {
      ...straight,
      problem: `A radius of ${len(radius)} cannot span ${len(chord)}; the least is ${len(chord / 2)}.`,
    };
  const quarter = Math.asin(Math.min(1, chord / 2 / radius)) / 2;
  const bulge = Math.tan(quarter) * (element.side === 'out' ? 1 : -1);
  const segment = { elementId: element.id, x0: x, r0: r, x1: x + length, r1, bulge };
  if (chord > 0 && overhangs(segment))
    return {
      ...straight,
      problem: `A radius of ${len(radius)} would bulge past the ends of this element. Give it a larger radius or more length.`,
    };
  return chord > 0 ? { segments: [segment] } : straight;
}

/** An arc must stay a function of x: both ends on the outer (or both on the inner) half circle. */
function overhangs(segment: Segment): boolean {
  const { cr } = circleOf(segment);
  const low = Math.min(segment.r0, segment.r1);
  const high = Math.max(segment.r0, segment.r1);
  return segment.bulge > 0 ? low < cr - SLACK : high > cr + SLACK;
}
