import { dim, type Dimension } from '../../measure/index.js';
import type { Element } from '../element.js';
import type {
  CaptiveRing,
  CrossHole,
  Hollow,
  Hole,
  ItemKind,
  Part,
  PartJoin,
  PatternBody,
} from '../pattern.js';

/** A size a person knows and that a starting form asks for. */
export interface FormQuestion {
  key: string;
  label: string;
  usual: number;
}

/** A starting form: a kind of item that becomes an editable pattern from a few known sizes. */
export interface StartingForm {
  id: string;
  name: string;
  kind: ItemKind;
  questions: FormQuestion[];
  body: (sizes: Record<string, Dimension>, materialId: string) => PatternBody;
}

/** One turned part of a form. */
interface FormPart {
  name?: string;
  start: Dimension;
  startHeld?: boolean;
  elements: Element[];
  holes?: Hole[];
  crossHoles?: CrossHole[];
  hollows?: Hollow[];
  rings?: CaptiveRing[];
  total?: Dimension;
  perItem?: number;
}

/** What a form draws from its sizes: one part, or several with how they join. */
export type FormShape = FormPart | { parts: [FormPart, ...FormPart[]]; joins: PartJoin[] };

/** Asks for a size by its key. */
export type Size = (key: string) => Dimension;

/** Items that touch food by their nature. */
const FOR_FOOD: ReadonlySet<ItemKind> = new Set(['stopper', 'rolling pin', 'scoop']);
/** Items that end up in a child's hand. */
const FOR_CHILDREN: ReadonlySet<ItemKind> = new Set(['top', 'rattle']);

export function form(
  id: string,
  name: string,
  kind: ItemKind,
  questions: FormQuestion[],
  shape: (size: Size) => FormShape,
): StartingForm {
  const body = (sizes: Record<string, Dimension>, materialId: string): PatternBody => {
    const size = (key: string) => sizes[key] ?? dim(questions.find((q) => q.key === key)?.usual ?? 0);
    const drawn = shape(size);
    const { parts, joins } = 'parts' in drawn ? drawn : { parts: [drawn] as [FormPart], joins: [] };
    const [first, ...rest] = parts;
    return {
      schema: 1,
      kind,
      usedBy: FOR_FOOD.has(kind) ? 'food' : FOR_CHILDREN.has(kind) ? 'child' : 'anybody',
      parts: [partOf(first, 0, materialId), ...rest.map((p, i) => partOf(p, i + 1, materialId))],
      hardware: [],
      ...(joins.length > 0 ? { joins } : {}),
      lastId: Math.max(
        100,
        parts.reduce((sum, p) => sum + p.elements.length, 0),
      ),
    };
  };
  return { id, name, kind, questions, body };
}

function partOf(drawn: FormPart, i: number, materialId: string): Part {
  const {
    name = 'Body',
    start,
    startHeld,
    elements,
    holes = [],
    crossHoles,
    hollows,
    rings,
    total,
    perItem = 1,
  } = drawn;
  return {
    id: `part${i + 1}`,
    name,
    perItem,
    materialId,
    turnings: [
      {
        id: `turning${i + 1}`,
        startDiameter: start,
        elements,
        ...(startHeld ? { startHeld } : {}),
        ...(total ? { total } : {}),
      },
    ],
    holes,
    ...(crossHoles ? { crossHoles } : {}),
    ...(hollows ? { hollows } : {}),
    ...(rings ? { rings } : {}),
  };
}

export const share = (dimension: Dimension, part: number): Dimension => dim(dimension.mm * part);

/** Radius of the arc over `length` that rises by `rise` from chord to crest (r = (l²/4 + h²)/2h). */
export const crestRadius = (length: number, rise: number): number =>
  (length * length) / (8 * rise) + rise / 2;

/**
 * Radius of an arc that leaves a diameter along the axis and falls by `drop` over `length`, so that it
 * never rises above where it began (l² + (ρ − h)² = ρ²).
 */
export const roundingRadius = (length: number, drop: number): number =>
  (length * length + drop * drop) / (2 * drop);
