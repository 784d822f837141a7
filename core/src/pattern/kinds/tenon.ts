import { dim, len } from '../../measure/index.js';
import type { ElementOf } from '../element.js';
import { cannot, line, SLACK, step, straight, type Shape } from '../shape.js';
import { tenonDiameter } from '../tenonFit.js';
import type { KindRow } from './kindRow.js';

export const tenon: KindRow<'tenon'> = {
  words: 'tenon',
  fields: {
    length: { is: 'dimension' },
    hole: { is: 'dimension' },
    fit: { is: 'choice', label: 'fit', words: { press: 'press', glue: 'glue', slip: 'slip' } },
  },
  fresh: (id, d) => ({
    kind: 'tenon',
    id,
    length: dim(20),
    hole: dim(Math.max(3, Math.round(d * 0.5))),
    fit: 'glue',
  }),
  shape: tenonShape,
  mirrored: (element) => element,
  sized: [],
  tools: ['parting tool', 'skew'],
  cut: ({ hole }, name, { endDiameter }) =>
    `Part the ${name} down to ${len(endDiameter)} for its hole of ${len(hole.mm)}.`,
};

/** Step down to the peg's own diameter, then straight. */
function tenonShape(element: ElementOf<'tenon'>, x: number, r: number): Shape {
  const r1 = tenonDiameter(element.hole.mm, element.fit) / 2;
  const length = element.length.mm;
  if (r1 <= SLACK)
    return cannot(line(element, x, r, length, r), `No peg fits a hole of ${len(element.hole.mm)}.`);
  return { segments: [...step(element, x, r, r1), straight(element, x, r1, length, r1)] };
}
