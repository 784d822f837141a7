import { dim, len } from '../../measure/index.js';
import type { ElementOf } from '../element.js';
import { cannot, line, straight, type Shape } from '../shape.js';
import type { KindRow } from './kindRow.js';

export const vGroove: KindRow<'v-groove'> = {
  words: 'V groove',
  fields: { length: { is: 'dimension' }, depth: { is: 'dimension' } },
  fresh: (id, d) => ({ kind: 'v-groove', id, length: dim(2), depth: dim(Math.min(1, d / 4)) }),
  shape: vGrooveShape,
  mirrored: (element) => element,
  sized: [],
  notched: true,
  breaks: true,
  tools: ['skew', 'parting tool'],
  cut: ({ depth }, name) => `Cut the ${name} with the long point, ${len(depth.mm)} deep.`,
};

function vGrooveShape(element: ElementOf<'v-groove'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const bottom = r - element.depth.mm;
  if (bottom < 0)
    return cannot(
      line(element, x, r, length, r),
      `The groove is ${len(element.depth.mm)} deep but there is only ${len(r)} to the axis.`,
    );
  return {
    segments: [
      straight(element, x, r, length / 2, bottom),
      straight(element, x + length / 2, bottom, length / 2, r),
    ],
  };
}
