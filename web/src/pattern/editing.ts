import {
  changeOne,
  copied,
  dim,
  inStep,
  joinWithNext,
  mirroredTurning,
  newElement,
  outlineOf,
  repeated,
  scaled,
  splitAt,
  type CrossHole,
  type FittedHardware,
  type Element,
  type ElementKind,
  type Hole,
  type Hollow,
  type Part,
  type PartEnd,
  type PatternBody,
  type Scaling,
  type Turning,
} from '@compas/core';

/** Changes to a pattern body; each gives a new one. */

/** The part and the turning that are being edited. */
export interface Spot {
  partId: string;
  turningId: string;
}

export const firstSpot = (body: PatternBody): Spot => ({
  partId: body.parts[0].id,
  turningId: body.parts[0].turnings[0].id,
});

/** Where an element is edited: the turning that it is drawn in, or the first. */
export function spotOf(body: PatternBody, elementId: string | null): Spot {
  for (const part of body.parts)
    for (const turning of part.turnings)
      if (turning.elements.some((e) => e.id === elementId)) return { partId: part.id, turningId: turning.id };
  return firstSpot(body);
}

export const partAt = (body: PatternBody, { partId }: Pick<Spot, 'partId'>): Part =>
  body.parts.find((p) => p.id === partId) ?? body.parts[0];

/** The profile that is edited; that of a hollow runs from its rim into the wood. */
export function turningAt(body: PatternBody, spot: Spot): Turning {
  const part = partAt(body, spot);
  const hollow = hollowAt(part, spot.turningId);
  return hollow
    ? { id: hollow.id, startDiameter: hollow.startDiameter, elements: hollow.elements }
    : (part.turnings.find((t) => t.id === spot.turningId) ?? part.turnings[0]);
}

export const hollowAt = (part: Part, id: string): Hollow | undefined =>
  part.hollows?.find((h) => h.id === id);

/** Changes a part; the other side of its joins follows. */
export const changePart = (body: PatternBody, partId: string, change: (part: Part) => Part): PatternBody =>
  inStep(body, changeOne(body, partId, change));

export const changeTurning = (
  body: PatternBody,
  { partId, turningId }: Spot,
  change: (turning: Turning) => Turning,
): PatternBody =>
  changePart(body, partId, (part) => {
    const hollow = hollowAt(part, turningId);
    if (hollow) {
      const { startDiameter, elements } = change(turningAt(body, { partId, turningId }));
      const changed = { ...hollow, startDiameter, elements };
      return { ...part, hollows: part.hollows?.map((h) => (h === hollow ? changed : h)) };
    }
    const [first, ...rest] = part.turnings;
    const of = (t: Turning) => (t.id === turningId ? change(t) : t);
    return { ...part, turnings: [of(first), ...rest.map(of)] };
  });

const changeElements = (body: PatternBody, spot: Spot, change: (elements: Element[]) => Element[]) =>
  changeTurning(body, spot, (turning) => ({ ...turning, elements: change(turning.elements) }));

export const replaceElement = (body: PatternBody, spot: Spot, element: Element): PatternBody =>
  changeElements(body, spot, (elements) => elements.map((e) => (e.id === element.id ? element : e)));

/** Ids for new things, counted up from the highest the pattern ever had. */
export function counting(body: PatternBody) {
  let last = body.lastId;
  return {
    next: (letter = 'e') => `${letter}${++last}`,
    done: (changed: PatternBody): PatternBody => ({ ...changed, lastId: last }),
  };
}

/** Puts a new element after another (or first), as large as fits the diameter there. */
export function insertElement(
  body: PatternBody,
  spot: Spot,
  kind: ElementKind,
  afterId: string | null,
): { body: PatternBody; id: string } {
  const ids = counting(body);
  const id = ids.next();
  const turning = turningAt(body, spot);
  const span = outlineOf(turning).spans.find((s) => s.element.id === afterId);
  const diameter = Math.max(4, span?.endDiameter ?? turning.startDiameter.mm);
  const fresh = newElement(kind, id, diameter);
  const element = turning.elements.at(-1)?.id === afterId ? fresh : goingOn(fresh, diameter);
  return { body: ids.done(changeElements(body, spot, (all) => inserted(all, afterId, [element]))), id };
}

/** What comes to a point at the end of a piece goes on as thick as it began amid it: it would cut it in two. */
const goingOn = (element: Element, diameter: number): Element =>
  'endDiameter' in element && element.endDiameter?.mm === 0
    ? { ...element, endDiameter: dim(diameter) }
    : element;

function inserted(elements: Element[], afterId: string | null, added: Element[]): Element[] {
  const at = elements.findIndex((e) => e.id === afterId) + 1;
  return [...elements.slice(0, at), ...added, ...elements.slice(at)];
}

export const removeElement = (body: PatternBody, spot: Spot, id: string): PatternBody =>
  changePart(
    changeElements(body, spot, (elements) => elements.filter((e) => e.id !== id)),
    spot.partId,
    (part) =>
      part.decorations ? { ...part, decorations: part.decorations.filter((d) => d.elementId !== id) } : part,
  );

export const moveElement = (body: PatternBody, spot: Spot, id: string, by: -1 | 1): PatternBody =>
  changeElements(body, spot, (elements) => {
    const from = elements.findIndex((e) => e.id === id);
    const to = from + by;
    const element = elements[from];
    const other = elements[to];
    if (!element || !other) return elements;
    return elements.map((e, i) => (i === from ? other : i === to ? element : e));
  });

/** Puts an element where another one is: before it when it comes from behind it, else after it. */
export const moveElementTo = (body: PatternBody, spot: Spot, id: string, ontoId: string): PatternBody =>
  changeElements(body, spot, (elements) => {
    const from = elements.findIndex((e) => e.id === id);
    const to = elements.findIndex((e) => e.id === ontoId);
    const element = elements[from];
    if (!element || to < 0 || from === to) return elements;
    const others = elements.filter((e) => e !== element);
    return [...others.slice(0, to), element, ...others.slice(to)];
  });

/** Puts copies of elements (of this or another pattern) after an element, under ids of their own. */
export function pasteElements(
  body: PatternBody,
  spot: Spot,
  elements: readonly Element[],
  afterId: string | null,
): PatternBody {
  const ids = counting(body);
  const copies = copied(elements, ids.next);
  return ids.done(changeElements(body, spot, (all) => inserted(all, afterId, copies)));
}

export function repeatElement(body: PatternBody, spot: Spot, id: string, times: number): PatternBody {
  const ids = counting(body);
  return ids.done(changeTurning(body, spot, (t) => repeated(t, id, times, ids.next)));
}

/** Cuts an element in two at the middle of its length. */
export function splitElement(body: PatternBody, spot: Spot, id: string): PatternBody {
  const ids = counting(body);
  const span = outlineOf(turningAt(body, spot)).spans.find((s) => s.element.id === id);
  if (!span) return body;
  return ids.done(changeTurning(body, spot, (t) => splitAt(t, (span.x0 + span.x1) / 2, ids.next)));
}

export const joinElements = (body: PatternBody, spot: Spot, id: string): PatternBody =>
  changeTurning(body, spot, (t) => joinWithNext(t, id));

const otherEnd = (end: PartEnd): PartEnd => (end === 'reference' ? 'far' : 'reference');

/** A hollow opens in the other end; one in a side lies as far from the other end. */
const mirroredHollow = (hollow: Hollow, length: number): Hollow =>
  hollow.opens === 'side'
    ? {
        ...hollow,
        ...(hollow.axis
          ? { axis: { ...hollow.axis, along: dim(length - (hollow.axis.along?.mm ?? 0)) } }
          : {}),
      }
    : { ...hollow, opens: otherEnd(hollow.opens) };

/** Turns the part end for end: its holes, hardware and joins change ends with the profile. */
export function mirrorPart(body: PatternBody, { partId, turningId }: Spot): PatternBody {
  const mirrored = changeTurning(body, { partId, turningId }, mirroredTurning);
  const part = changePart(mirrored, partId, (p) => ({
    ...p,
    holes: p.holes.map((h) => ({ ...h, from: otherEnd(h.from) })),
    crossHoles: p.crossHoles?.map((h) => ({ ...h, from: otherEnd(h.from) })),
    rings: p.rings?.map((r) => ({ ...r, at: dim(outlineOf(p.turnings[0]).length - r.at.mm) })),
    hollows: p.hollows?.map((h) => mirroredHollow(h, outlineOf(p.turnings[0]).length)),
  }));
  return {
    ...part,
    hardware: part.hardware.map((h) => (h.partId === partId ? { ...h, end: otherEnd(h.end) } : h)),
    joins: part.joins?.map((j) =>
      j.inner.partId === partId ? { ...j, inner: { ...j.inner, end: otherEnd(j.inner.end) } } : j,
    ),
    mates: part.mates?.map((m) => (m.partId === partId ? { ...m, end: otherEnd(m.end) } : m)),
  };
}

/** Only one element takes up what is left; told again, it gives that up at the length it has. */
export function takeUp(body: PatternBody, spot: Spot, id: string): PatternBody {
  const turning = turningAt(body, spot);
  const { length, spans } = outlineOf(turning);
  const given = turning.elements.map((e) => {
    const span = spans.find((s) => s.element.id === e.id);
    return e.takesUp && 'length' in e && span
      ? { ...e, length: dim(span.x1 - span.x0), takesUp: undefined }
      : e;
  });
  const was = turning.elements.find((e) => e.id === id)?.takesUp === true;
  return changeTurning(body, spot, (t) => ({
    ...t,
    total: was ? undefined : (t.total ?? dim(Math.round(length * 100) / 100)),
    elements: given.map((e) => (e.id === id && !was ? { ...e, takesUp: true } : e)),
  }));
}

export const scalePart = (body: PatternBody, spot: Spot, by: Scaling): PatternBody =>
  changeTurning(body, spot, (t) => scaled(t, by));

export const changeHoles = (body: PatternBody, partId: string, change: (holes: Hole[]) => Hole[]) =>
  changePart(body, partId, (part) => ({ ...part, holes: change(part.holes) }));

export const changeCrossHoles = (
  body: PatternBody,
  partId: string,
  change: (holes: CrossHole[]) => CrossHole[],
): PatternBody =>
  changePart(body, partId, (part) => ({ ...part, crossHoles: change(part.crossHoles ?? []) }));

/** A thing with a fresh id added by `add`. */
export function withNew(
  body: PatternBody,
  letter: string,
  add: (id: string, body: PatternBody) => PatternBody,
): PatternBody {
  const ids = counting(body);
  const id = ids.next(letter);
  return ids.done(add(id, body));
}

/** A further part to be turned, a plain cylinder to begin with. */
export function addPart(body: PatternBody): { body: PatternBody; spot: Spot } {
  const ids = counting(body);
  const [partId, turningId, elementId] = [ids.next('part'), ids.next('turning'), ids.next()];
  const part: Part = {
    id: partId,
    name: `Part ${body.parts.length + 1}`,
    perItem: 1,
    materialId: body.parts[0].materialId,
    turnings: [
      {
        id: turningId,
        startDiameter: dim(20),
        elements: [{ kind: 'cylinder', id: elementId, length: dim(30) }],
      },
    ],
    holes: [],
  };
  return { body: ids.done({ ...body, parts: [...body.parts, part] }), spot: { partId, turningId } };
}

/** Takes a part away with everything that hung on it; the last one stays. */
export function removePart(body: PatternBody, partId: string): PatternBody {
  const [first, ...rest] = body.parts.filter((p) => p.id !== partId);
  if (!first) return body;
  return {
    ...body,
    parts: [first, ...rest],
    hardware: body.hardware.filter((h) => h.partId !== partId),
    joins: body.joins?.filter((j) => j.inner.partId !== partId && j.outer.partId !== partId),
    mates: body.mates?.filter((m) => m.partId !== partId),
  };
}

/** A second axis of the part, with a profile of its own. */
export function addTurning(body: PatternBody, partId: string): { body: PatternBody; spot: Spot } {
  const ids = counting(body);
  const [turningId, elementId] = [ids.next('turning'), ids.next()];
  const [main] = partAt(body, { partId }).turnings;
  const turning: Turning = {
    id: turningId,
    startDiameter: main.startDiameter,
    elements: [{ kind: 'cylinder', id: elementId, length: dim(outlineOf(main).length) }],
    axis: { shift: dim(5), direction: 0, tilt: 0 },
  };
  const changed = changePart(body, partId, (p) => ({ ...p, turnings: [...p.turnings, turning] }));
  return { body: ids.done(changed), spot: { partId, turningId } };
}

export const removeTurning = (body: PatternBody, { partId, turningId }: Spot): PatternBody =>
  changePart(body, partId, (part) => {
    const [main, ...rest] = part.turnings;
    return { ...part, turnings: [main, ...rest.filter((t) => t.id !== turningId)] };
  });

/** Fits a kit to an end of a part as its first or second piece of hardware, or takes that away. */
export function fitKit(
  body: PatternBody,
  partId: string,
  end: PartEnd,
  kitId: string | null,
  which = 0,
): PatternBody {
  const fitted = fittedAt(body.hardware, partId, end)[which];
  const others = body.hardware.filter((h) => h !== fitted);
  if (kitId === null) return { ...body, hardware: others };
  if (fitted) return { ...body, hardware: body.hardware.map((h) => (h === fitted ? { ...h, kitId } : h)) };
  return withNew(body, 'h', (id, b) => ({ ...b, hardware: [...others, { id, kitId, partId, end }] }));
}

/** Hardware at one end of a part, in the order in which it was fitted. */
export const fittedAt = (
  hardware: readonly FittedHardware[],
  partId: string,
  end: PartEnd,
): FittedHardware[] => hardware.filter((h) => h.partId === partId && h.end === end);
