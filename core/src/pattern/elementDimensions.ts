import type { Dimension } from '../measure/index.js';
import type { Element, ElementKind } from './pattern.js';

export type DimensionKey = 'length' | 'endDiameter' | 'crown' | 'bottom' | 'depth' | 'diameter' | 'radius';

/** The dimensions a turner gives for each kind of element, in the order they are asked. */
export const DIMENSIONS_OF: Record<ElementKind, readonly DimensionKey[]> = {
  cylinder: ['length'],
  taper: ['length', 'endDiameter'],
  bead: ['length', 'crown'],
  cove: ['length', 'bottom'],
  shoulder: ['endDiameter'],
  'v-groove': ['length', 'depth'],
  sphere: ['diameter', 'endDiameter'],
  arc: ['length', 'endDiameter', 'radius'],
};

export const DIMENSION_WORDS: Record<DimensionKey, string> = {
  length: 'length',
  endDiameter: 'end diameter',
  crown: 'crown diameter',
  bottom: 'bottom diameter',
  depth: 'depth',
  diameter: 'ball diameter',
  radius: 'radius',
};

/** A dimension of an element, or undefined when its kind has none of that name. */
export function dimensionOf(element: Element, key: DimensionKey): Dimension | undefined {
  return key in element ? (element as Partial<Record<DimensionKey, Dimension>>)[key] : undefined;
}

/** The element with one dimension changed; unchanged when its kind has none of that name. */
export function withDimension<E extends Element>(element: E, key: DimensionKey, value: Dimension): E {
  return DIMENSIONS_OF[element.kind].includes(key) ? { ...element, [key]: value } : element;
}
