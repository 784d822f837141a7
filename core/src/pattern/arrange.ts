import { dim } from '../measure/index.js';
import { radiusOn, type Segment } from './arc.js';
import type { Element } from './element.js';
import { outlineOf, type ElementSpan } from './outline.js';
import type { Turning } from './pattern.js';

/** Gives ids that were never used in the pattern. */
export type NextId = () => string;

/** The turning end for end: the same outline read from its other end. */
export function mirroredTurning(turning: Turning): Turning {
  const { spans } = outlineOf(turning);
  return {
    ...turning,
    startDiameter: dim(spans.at(-1)?.endDiameter ?? turning.startDiameter.mm),
    elements: [...spans].reverse().map(mirroredElement),
  };
}

/** An element turned end for end, with its size: it ends where it began. */
function mirroredElement({ element, startDiameter, x1, x0 }: ElementSpan): Element {
  const endDiameter = dim(startDiameter);
  switch (element.kind) {
    case 'taper':
    case 'shoulder':
    case 'sphere':
    case 'oval':
    case 'arc':
    case 'fillet':
    case 'square':
      return { ...element, endDiameter };
    case 'ogee': {
      const turn = element.turn ? { turn: dim(element.length.mm - element.turn.mm) } : {};
      return { ...element, ...turn, endDiameter, side: element.side === 'out' ? 'in' : 'out' };
    }
    case 'balloon':
      return { ...element, endDiameter, ball: element.ball === 'first' ? 'last' : 'first' };
    case 'fair':
      return {
        ...element,
        endDiameter,
        points: element.points.map((p) => ({ at: dim(x1 - x0 - p.at.mm), diameter: p.diameter })).reverse(),
      };
    default:
      return element;
  }
}

/** Elements that can be cut in two at a place and stay what they are. */
export function canSplit(element: Element): boolean {
  return element.kind === 'cylinder' || element.kind === 'taper' || element.kind === 'arc';
}

/** The turning with the element at x cut in two there; unchanged when it cannot be. mm. */
export function splitAt(turning: Turning, x: number, nextId: NextId): Turning {
  const outline = outlineOf(turning);
  const span = outline.spans.find((s) => s.x0 < x - 1e-6 && s.x1 > x + 1e-6);
  if (!span || !canSplit(span.element)) return turning;
  const own = outline.segments.find((s) => s.elementId === span.element.id);
  const first = { ...piece(span.element, own, span.x0, x), takesUp: undefined };
  const second = { ...piece(span.element, own, x, span.x1, span.endDiameter), id: nextId() };
  return withElements(turning, (e) => (e.id === span.element.id ? [first, second] : [e]));
}

function piece(
  element: Element,
  segment: Segment | undefined,
  x0: number,
  x1: number,
  endDiameter?: number,
): Element {
  const length = dim(x1 - x0);
  if (element.kind === 'cylinder') return { ...element, length };
  if (element.kind !== 'taper' && element.kind !== 'arc') return element;
  const end = dim(endDiameter ?? 2 * (segment ? radiusOn(segment, x1) : 0));
  return { ...element, length, endDiameter: end };
}

/** Whether an element can be joined with the one after it into one. */
export function canJoin(first: Element, second: Element | undefined): boolean {
  if (first.kind === 'cylinder' || first.kind === 'taper')
    return second?.kind === 'cylinder' || second?.kind === 'taper';
  return (
    first.kind === 'arc' &&
    second?.kind === 'arc' &&
    first.side === second.side &&
    Math.abs(first.radius.mm - second.radius.mm) < 0.01
  );
}

/** The turning with an element and the one after it made one of the same length and ends. */
export function joinWithNext(turning: Turning, id: string): Turning {
  const { spans } = outlineOf(turning);
  const i = spans.findIndex((s) => s.element.id === id);
  const [first, second] = [spans[i], spans[i + 1]];
  if (!first || !second || !canJoin(first.element, second.element)) return turning;
  const length = dim(second.x1 - first.x0);
  const level = Math.abs(first.startDiameter - second.endDiameter) < 1e-6;
  const base = { id: first.element.id, name: first.element.name, tolerance: first.element.tolerance };
  const end = dim(second.endDiameter);
  const whole: Element =
    first.element.kind === 'arc'
      ? { ...first.element, length, endDiameter: end }
      : level
        ? { ...base, kind: 'cylinder', length }
        : { ...base, kind: 'taper', length, endDiameter: end };
  return withElements(turning, (e) => (e.id === id ? [whole] : e.id === second.element.id ? [] : [e]));
}

/** The turning with an element made a row of so many of itself. */
export function repeated(turning: Turning, id: string, times: number, nextId: NextId): Turning {
  return withElements(turning, (e) => {
    if (e.id !== id || e.kind === 'repeat') return [e];
    return [{ kind: 'repeat', id: nextId(), times, elements: [{ ...e, takesUp: undefined }] }];
  });
}

/** Copies of elements under ids of their own. */
export function copied(elements: readonly Element[], nextId: NextId): Element[] {
  return elements.map((element) => {
    const id = nextId();
    if (element.kind !== 'repeat') return { ...element, id, takesUp: undefined };
    return { ...element, id, elements: element.elements.map((e, i) => ({ ...e, id: `${id}.${i + 1}` })) };
  });
}

/** The turning with each element replaced by those that `change` gives for it. */
export const withElements = (turning: Turning, change: (element: Element) => Element[]): Turning => ({
  ...turning,
  elements: turning.elements.flatMap(change),
});
