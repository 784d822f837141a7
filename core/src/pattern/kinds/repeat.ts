import { dim } from '../../measure/index.js';
import type { ElementOf } from '../element.js';
import { step, type Shape } from '../shape.js';
import type { Chain, KindRow } from './kindRow.js';

export const repeat: KindRow<'repeat'> = {
  words: 'row',
  fields: {
    times: { is: 'count', label: 'times', least: 1, most: 200 },
    elements: { is: 'elements', most: 20 },
  },
  fresh: (id, d) => ({
    kind: 'repeat',
    id,
    times: 3,
    elements: [
      { kind: 'bead', id: `${id}.1`, length: dim(5), crown: dim(d + 4) },
      { kind: 'cylinder', id: `${id}.2`, length: dim(1.5) },
    ],
  }),
  shape: rowShape,
  mirrored: (element, { startDiameter }, all) => ({
    ...element,
    elements: all(element.elements, startDiameter),
  }),
  sized: ['crest'],
  tools: ['skew', 'spindle gouge', 'scraper'],
  cut: ({ times }, name) => `Cut the ${name}: ${times} times the same, from the far one towards the drive.`,
};

/** A row: the same elements again and again, each set beginning where the one before ended. */
function rowShape(element: ElementOf<'repeat'>, x: number, r: number, chain: Chain): Shape {
  const shape: Shape = { segments: [] };
  let [at, radius] = [x, r];
  for (let i = 0; i < element.times; i++) {
    const own = chain(element.elements, 2 * radius);
    const [problem] = own.problems;
    if (problem) shape.problem ??= problem.why;
    shape.segments.push(
      ...own.segments.map((s) => ({ ...s, elementId: element.id, x0: s.x0 + at, x1: s.x1 + at })),
    );
    at += own.length;
    radius = own.segments.at(-1)?.r1 ?? radius;
  }
  return shape.segments.length > 0 ? shape : { segments: step(element, x, r, r) };
}
