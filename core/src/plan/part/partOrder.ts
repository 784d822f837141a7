import { shaftOf } from '../../assembly/index.js';
import type { Part, PatternBody } from '../../pattern/index.js';
import type { OwnWay } from '../../workshop/index.js';
import type { OtherPart, PlanInputs, PlanOrder } from '../inputs.js';

/** A part that is made, and the order as it is for it. */
interface OrderedPart {
  part: Part;
  order: PlanOrder;
}

/** The parts that an order makes, the one it chooses for first; parts that the pattern no longer has are left out. */
export function partsOrdered(pattern: PatternBody, order: PlanOrder): [OrderedPart, ...OrderedPart[]] {
  const leading = pattern.parts.find((p) => p.id === order.partId) ?? pattern.parts[0];
  const others = (order.others ?? []).flatMap((choices) => {
    const part = pattern.parts.find((p) => p.id === choices.partId && p !== leading);
    return part ? [{ part, order: orderWith(order, choices) }] : [];
  });
  return [{ part: leading, order }, ...others];
}

/** The order as it is for one of its parts. */
export function orderOfPart(pattern: PatternBody, order: PlanOrder, partId: string): PlanOrder {
  return partsOrdered(pattern, order).find(({ part }) => part.id === partId)?.order ?? order;
}

/** The order with other own ways for a part; null is the one that leads it. */
export function orderWithWays(order: PlanOrder, partId: string | null, ways: OwnWay[]): PlanOrder {
  if (partId === null) return { ...order, ways };
  const others = (order.others ?? []).map((o) => (o.partId === partId ? { ...o, ways } : o));
  return { ...order, others };
}

/**
 * What one of the parts is planned from, as if it were made alone: for comparing ways of making it. What it could be
 * glued onto before it is turned stays beside it.
 */
export function inputsOfPart(inputs: PlanInputs, partId: string): PlanInputs {
  const { pattern, order: whole } = inputs;
  if (whole.others === undefined) return inputs;
  const ordered = partsOrdered(pattern, whole);
  const own = ordered.find(({ part }) => part.id === partId);
  const { others: _, ...order } = own?.order ?? whole;
  const shaft = own && shaftOf(own.part, pattern);
  const mate = ordered.find(({ part }) => part.id === shaft?.partId);
  if (!mate) return { ...inputs, order: { ...order, partId } };
  const { pieces: _p, start: _s, due: _d, others: _o, ...choices } = mate.order;
  return { ...inputs, order: { ...order, partId, others: [{ ...choices, partId: mate.part.id }] } };
}

/** What is chosen for a part stands alone: nothing of what was chosen for the first is taken over. */
function orderWith({ pieces, start, due, others = [] }: PlanOrder, choices: OtherPart): PlanOrder {
  return { ...choices, pieces, start, due, others };
}
