import type { Dimension } from '../measure/index.js';
import type { DimensionKey, Element, ElementKind } from './element.js';
import { dimensionFields } from './kinds/elementKinds.js';

/** What each dimension is called, and whether it lies along the axis, across it, or is a radius of its own. */
const DIMENSIONS: Record<DimensionKey, { words: string; lies: 'along' | 'across' | 'free' }> = {
  length: { words: 'length', lies: 'along' },
  endDiameter: { words: 'end diameter', lies: 'across' },
  crown: { words: 'crown diameter', lies: 'across' },
  bottom: { words: 'bottom diameter', lies: 'across' },
  depth: { words: 'depth', lies: 'across' },
  diameter: { words: 'ball diameter', lies: 'across' },
  radius: { words: 'radius', lies: 'free' },
  longAxis: { words: 'long axis', lies: 'along' },
  across: { words: 'across the flats', lies: 'across' },
  hole: { words: 'for a hole of', lies: 'across' },
  fillet: { words: 'fillets', lies: 'along' },
  blend: { words: 'eased by', lies: 'across' },
  turn: { words: 'turns at', lies: 'along' },
  roll: { words: 'rolled over', lies: 'along' },
};

export const DIMENSION_KEYS = Object.keys(DIMENSIONS) as DimensionKey[];

/** How a dimension lies; what is scaled along the axis is along. */
export const lieOf = (key: DimensionKey): 'along' | 'across' | 'free' => DIMENSIONS[key].lies;

/** The dimensions a turner gives for a kind of element, in the order they are asked. */
export const dimensionsOf = (kind: ElementKind): DimensionKey[] => dimensionFields(kind).map(([key]) => key);

/** What a dimension of a kind is called. */
export const dimensionWords = (kind: ElementKind, key: DimensionKey): string =>
  fieldOf(kind, key)?.words ?? DIMENSIONS[key].words;

/** What a dimension that need not be given begins at, mm; undefined for one that must be. */
export const usualOf = (kind: ElementKind, key: DimensionKey): number | undefined =>
  fieldOf(kind, key)?.usual;

const fieldOf = (kind: ElementKind, key: DimensionKey) =>
  dimensionFields(kind).find(([own]) => own === key)?.[1];

/** A dimension of an element, or undefined when its kind has none of that name. */
export function dimensionOf(element: Element, key: DimensionKey): Dimension | undefined {
  return key in element ? (element as Partial<Record<DimensionKey, Dimension>>)[key] : undefined;
}

/** The element with one dimension changed; unchanged when its kind has none of that name. */
export function withDimension<E extends Element>(
  element: E,
  key: DimensionKey,
  value: Dimension | undefined,
): E {
  return fieldOf(element.kind, key) ? { ...element, [key]: value } : element;
}

/** What an element is called: the turner's own word, or its kind. */
export const nameOf = (element: Element): string => element.name ?? element.kind;
