import {
  newElement,
  outlineOf,
  type Element,
  type ElementKind,
  type Hole,
  type Part,
  type PatternBody,
  type Turning,
} from '@compas/core';

/** Changes to a pattern body; each gives a new one. */

export function changePart(body: PatternBody, change: (part: Part) => Part): PatternBody {
  const [first, ...rest] = body.parts;
  return { ...body, parts: [change(first), ...rest] };
}

export const changeTurning = (body: PatternBody, change: (turning: Turning) => Turning): PatternBody =>
  changePart(body, (part) => {
    const [first, ...rest] = part.turnings;
    return { ...part, turnings: [change(first), ...rest] };
  });

const changeElements = (body: PatternBody, change: (elements: Element[]) => Element[]): PatternBody =>
  changeTurning(body, (turning) => ({ ...turning, elements: change(turning.elements) }));

export const replaceElement = (body: PatternBody, element: Element): PatternBody =>
  changeElements(body, (elements) => elements.map((e) => (e.id === element.id ? element : e)));

/** Puts a new element after another (or first), as large as fits the diameter there. */
export function insertElement(
  body: PatternBody,
  kind: ElementKind,
  afterId: string | null,
): { body: PatternBody; id: string } {
  const id = `e${body.lastId + 1}`;
  const outline = outlineOf(body.parts[0].turnings[0]);
  const span = outline.spans.find((s) => s.element.id === afterId);
  const diameter = span?.endDiameter ?? body.parts[0].turnings[0].startDiameter.mm;
  const element = newElement(kind, id, Math.max(4, diameter));
  const inserted = changeElements(body, (elements) => {
    const at = elements.findIndex((e) => e.id === afterId) + 1;
    return [...elements.slice(0, at), element, ...elements.slice(at)];
  });
  return { body: { ...inserted, lastId: body.lastId + 1 }, id };
}

export const removeElement = (body: PatternBody, id: string): PatternBody =>
  changeElements(body, (elements) => elements.filter((e) => e.id !== id));

export const moveElement = (body: PatternBody, id: string, by: -1 | 1): PatternBody =>
  changeElements(body, (elements) => {
    const from = elements.findIndex((e) => e.id === id);
    const to = from + by;
    const element = elements[from];
    const other = elements[to];
    if (!element || !other) return elements;
    return elements.map((e, i) => (i === from ? other : i === to ? element : e));
  });

export const changeHoles = (body: PatternBody, change: (holes: Hole[]) => Hole[]): PatternBody =>
  changePart(body, (part) => ({ ...part, holes: change(part.holes) }));

/** Fits a kit to the reference end, or takes the hardware away. */
export function fitKit(body: PatternBody, kitId: string | null): PatternBody {
  if (kitId === null) return { ...body, hardware: [] };
  const [fitted] = body.hardware;
  const id = fitted?.id ?? `h${body.lastId + 1}`;
  return {
    ...body,
    lastId: fitted ? body.lastId : body.lastId + 1,
    hardware: [{ id, kitId, partId: body.parts[0].id, end: fitted?.end ?? 'reference' }],
  };
}
