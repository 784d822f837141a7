import type { Dimension } from '../measure/index.js';
import type { DimensionKey, Element, ElementKind } from './element.js';

/** The dimensions a turner gives for each kind of element, in the order they are asked. */
export const DIMENSIONS_OF: Record<ElementKind, readonly DimensionKey[]> = {
  cylinder: ['length'],
  taper: ['length', 'endDiameter'],
  bead: ['length', 'crown', 'fillet'],
  cove: ['length', 'bottom'],
  ogee: ['length', 'endDiameter', 'turn'],
  shoulder: ['endDiameter'],
  fillet: ['length', 'endDiameter'],
  'v-groove': ['length', 'depth'],
  sphere: ['diameter', 'endDiameter', 'blend'],
  balloon: ['length', 'diameter', 'endDiameter'],
  oval: ['longAxis', 'diameter', 'endDiameter'],
  arc: ['length', 'endDiameter', 'radius'],
  square: ['length', 'across', 'endDiameter', 'roll'],
  tenon: ['length', 'hole'],
  fair: ['length', 'endDiameter'],
  repeat: [],
};

/** Dimensions that need not be given: without them the element has its usual form. */
export const OPTIONAL_DIMENSIONS: ReadonlySet<DimensionKey> = new Set(['fillet', 'blend', 'turn', 'roll']);

export const DIMENSION_WORDS: Record<DimensionKey, string> = {
  length: 'length',
  endDiameter: 'end diameter',
  crown: 'crown diameter',
  bottom: 'bottom diameter',
  depth: 'depth',
  diameter: 'ball diameter',
  radius: 'radius',
  longAxis: 'long axis',
  across: 'across the flats',
  hole: 'for a hole of',
  fillet: 'fillets',
  blend: 'eased by',
  turn: 'turns at',
  roll: 'rolled over',
};

/** Dimensions that run along the axis; the others lie across it. */
const ALONG: ReadonlySet<DimensionKey> = new Set(['length', 'longAxis', 'turn', 'roll', 'fillet']);

/** Whether a dimension runs along the axis; a radius or a blend does neither. */
export const runsAlong = (key: DimensionKey): boolean => ALONG.has(key);

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
  return DIMENSIONS_OF[element.kind].includes(key) ? { ...element, [key]: value } : element;
}

/** What an element is called: the turner's own word, or its kind. */
export const nameOf = (element: Element): string => element.name ?? element.kind;
