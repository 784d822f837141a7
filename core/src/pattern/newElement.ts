import { dim } from '../measure/index.js';
import type { Element, ElementKind } from './pattern.js';

/**
 * A new element of a kind as it would usually look on stock of diameter `d` (mm): small enough to
 * fit, large enough to be seen. The user changes it from there.
 */
export function newElement(kind: ElementKind, id: string, d: number): Element {
  switch (kind) {
    case 'cylinder':
      return { kind, id, length: dim(10) };
    case 'taper':
      return { kind, id, length: dim(20), endDiameter: dim(d * 0.8) };
    case 'bead':
      return { kind, id, length: dim(6), crown: dim(d + 5) };
    case 'cove':
      return { kind, id, length: dim(8), bottom: dim(Math.max(d - 6, d / 2)) };
    case 'shoulder':
      return { kind, id, endDiameter: dim(d * 0.8) };
    case 'v-groove':
      return { kind, id, length: dim(2), depth: dim(Math.min(1, d / 4)) };
    case 'sphere':
      return { kind, id, diameter: dim(d * 1.5), endDiameter: dim(0) };
    case 'arc':
      return { kind, id, length: dim(20), endDiameter: dim(d * 0.6), radius: dim(40), side: 'out' };
  }
}
