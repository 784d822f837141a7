import { dim } from '../measure/index.js';
import type { Element, ElementKind } from './element.js';

/**
 * A new element of a kind as it would usually look on stock of diameter `d` (mm): small enough to
 * fit, large enough to be seen. The user changes it from there. A row holds elements of its own, whose
 * ids follow from the row's.
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
    case 'ogee':
      return { kind, id, length: dim(20), endDiameter: dim(d * 0.6), side: 'out' };
    case 'shoulder':
      return { kind, id, endDiameter: dim(d * 0.8) };
    case 'fillet':
      return { kind, id, length: dim(Math.max(4, d * 0.2)), endDiameter: dim(d * 0.7) };
    case 'v-groove':
      return { kind, id, length: dim(2), depth: dim(Math.min(1, d / 4)) };
    case 'sphere':
      return { kind, id, diameter: dim(d * 1.5), endDiameter: dim(0) };
    case 'balloon':
      return {
        kind,
        id,
        length: dim(d * 3),
        diameter: dim(d * 1.5),
        endDiameter: dim(d * 0.4),
        ball: 'first',
      };
    case 'oval':
      return { kind, id, longAxis: dim(d * 2), diameter: dim(d * 1.3), endDiameter: dim(0) };
    case 'arc':
      return { kind, id, length: dim(20), endDiameter: dim(d * 0.6), radius: dim(40), side: 'out' };
    case 'square':
      return { kind, id, length: dim(60), across: dim(d * 1.2), endDiameter: dim(d), shoulder: 'square' };
    case 'tenon':
      return { kind, id, length: dim(20), hole: dim(Math.max(3, Math.round(d * 0.5))), fit: 'glue' };
    case 'fair':
      return {
        kind,
        id,
        length: dim(40),
        endDiameter: dim(d * 0.7),
        points: [{ at: dim(16), diameter: dim(d * 1.15) }],
      };
    case 'repeat':
      return {
        kind,
        id,
        times: 3,
        elements: [
          { kind: 'bead', id: `${id}.1`, length: dim(5), crown: dim(d + 4) },
          { kind: 'cylinder', id: `${id}.2`, length: dim(1.5) },
        ],
      };
  }
}
