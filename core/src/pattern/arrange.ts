import { dim } from '../measure/index.js';
import { chain } from './chain.js';
import type { Element } from './element.js';
import { kindOf } from './kinds/elementKinds.js';
import type { Standing } from './kinds/kindRow.js';
import { outlineOf, type ElementSpan } from './outline.js';
import type { Turning } from './pattern.js';
import { ownSegments, radiusAt } from './radius.js';

/** Gives ids that were never used in the pattern. */
export type NextId = () => string;

/** The turning end for end: the same outline read from its other end. */
export function mirroredTurning(turning: Turning): Turning {
  const { spans } = outlineOf(turning);
  return {
    ...turning,
    startDiameter: dim(spans.at(-1)?.endDiameter ?? turning.startDiameter.mm),
    elements: mirroredSpans(spans),
  };
}

/**
 * Elements end for end. One that begins with a step of its own (a tenon) cannot end with one: a shoulder
 * comes after it instead.
 */
const mirroredSpans = (spans: readonly ElementSpan[]): Element[] =>
  [...spans].reverse().flatMap((span) => {
    const element = kindOf(span.element).mirrored(span.element, standingOf(span), mirroredElements);
    const ends = chain([element], span.endDiameter).spans[0]?.endDiameter ?? span.startDiameter;
    if (Math.abs(ends - span.startDiameter) < 1e-6) return [element];
    const id = `${span.element.id}.step`;
    return [element, { kind: 'shoulder', id, endDiameter: dim(span.startDiameter) }];
  });

const mirroredElements = (elements: readonly Element[], startDiameter: number): Element[] =>
  mirroredSpans(chain(elements, startDiameter).spans);

const standingOf = ({ x0, x1, startDiameter, endDiameter }: ElementSpan): Standing => ({
  length: x1 - x0,
  startDiameter,
  endDiameter,
});

/** Whether an element can be cut in two at a place and both pieces stay what it is. */
export const canSplit = (element: Element): boolean => kindOf(element).piece !== undefined;

/** The turning with the element at x cut in two there; unchanged when it cannot be. mm. */
export function splitAt(turning: Turning, x: number, nextId: NextId): Turning {
  const outline = outlineOf(turning);
  const span = outline.spans.find((s) => s.x0 < x - 1e-6 && s.x1 > x + 1e-6);
  if (!span) return turning;
  const kind = kindOf(span.element);
  if (!kind.piece) return turning;
  const { element } = span;
  const cut = 2 * radiusAt({ segments: ownSegments(outline, element.id) }, x);
  const standing = standingOf(span);
  const first = {
    ...kind.piece(element, { ...standing, length: x - span.x0, endDiameter: cut }),
    takesUp: undefined,
  };
  const second = {
    ...kind.piece(element, { ...standing, length: span.x1 - x, startDiameter: cut }),
    id: nextId(),
  };
  return withElements(turning, (e) => (e.id === element.id ? [first, second] : [e]));
}

/** Whether an element can be joined with the one after it into one. */
export const canJoin = (first: Element, second: Element | undefined): boolean =>
  second !== undefined && kindOf(first).joins?.(first, second) === true;

/** The turning with an element and the one after it made one of the same length and ends. */
export function joinWithNext(turning: Turning, id: string): Turning {
  const { spans } = outlineOf(turning);
  const i = spans.findIndex((s) => s.element.id === id);
  const [first, second] = [spans[i], spans[i + 1]];
  if (!first || !second || !canJoin(first.element, second.element)) return turning;
  const whole = kindOf(first.element).joined?.(first.element, {
    length: second.x1 - first.x0,
    startDiameter: first.startDiameter,
    endDiameter: second.endDiameter,
  });
  return withElements(turning, (e) =>
    e.id === id && whole ? [whole] : e.id === second.element.id ? [] : [e],
  );
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
