import { dim, len } from '../measure/index.js';
import type { Element } from './element.js';
import { chain } from './chain.js';
import type { Turning } from './pattern.js';
import type { OutlineProblem } from './shape.js';

/** The elements with the one that takes up at the length it is left. */
export interface Settled {
  elements: Element[];
  problem?: OutlineProblem;
}

/** Elements that have a length of their own to give. */
export const canTakeUp = (element: Element): element is Element & { length: { mm: number } } =>
  'length' in element;

/**
 * A turning of a fixed total: the element that takes up is as long as the others leave it. Their
 * lengths do not depend on its own, so one sum settles it. mm.
 */
export function settled({ elements, startDiameter, total }: Turning): Settled {
  const taker = elements.find((e) => e.takesUp);
  if (!total) return { elements };
  if (!taker || !canTakeUp(taker)) {
    const length = chain(elements, startDiameter.mm).length;
    const last = elements.at(-1);
    if (!last || Math.abs(length - total.mm) < 1e-6) return { elements };
    return {
      elements,
      problem: {
        elementId: last.id,
        why: `The elements are ${len(length)} long together, the part is fixed at ${len(total.mm)}. Let one of them take up the rest.`,
      },
    };
  }
  // at a length of one, so that the element itself stays possible while the others are added up
  const probe = elements.map((e) => (e === taker ? { ...taker, length: dim(1) } : e));
  const others = chain(probe, startDiameter.mm).length - 1;
  const left = total.mm - others;
  if (left <= 0)
    return {
      elements,
      problem: {
        elementId: taker.id,
        why: `The other elements are ${len(others)} long and leave nothing of ${len(total.mm)} for the ${taker.name ?? taker.kind}. Shorten one of them, or make the total longer than ${len(others)}.`,
      },
    };
  return { elements: elements.map((e) => (e === taker ? { ...taker, length: dim(left) } : e)) };
}
