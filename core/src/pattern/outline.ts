import { chain } from './chain.js';
import type { Outline } from './shape.js';
import type { Turning } from './pattern.js';
import { settled } from './takeUp.js';

export type { ElementSpan, Outline } from './shape.js';

/**
 * Compiles a profile to its exact outline of lines and arcs, x → r. All lengths in mm. Ellipses and
 * fair curves are tangent arcs within 0.001 mm. An element that takes up has the length it is left.
 */
export function outlineOf(turning: Turning): Outline {
  const { elements, problem } = settled(turning);
  const outline = chain(elements, turning.startDiameter.mm);
  if (problem) outline.problems.push(problem);
  return outline;
}
