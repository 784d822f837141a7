/** A line of an order, as an address names it. */
export interface LineRef {
  orderId: string;
  number: number;
}

/** The lines of orders that a plan is made for. */
export const LINES = 'lines';
/** The order that a plan will be one more line of. */
export const ORDER = 'order';
export const FOR = 'for';
/** The part that is shown. */
export const SHOWN = 'show';

const BETWEEN = ',';
const WITHIN = '.';

export const linesText = (lines: readonly LineRef[]): string =>
  lines.map(({ orderId, number }) => `${orderId}${WITHIN}${number}`).join(BETWEEN);

/** The lines that an address names; what does not read as one is left out. */
export function linesIn(text: string | null): LineRef[] {
  return (text ?? '').split(BETWEEN).flatMap((one) => {
    const [orderId = '', number] = one.split(WITHIN);
    const at = Number(number);
    return orderId !== '' && Number.isInteger(at) && at >= 1 ? [{ orderId, number: at }] : [];
  });
}

interface WantedLine {
  number: number;
  patternId: string;
  pieces: number;
  choices: string;
}

/** Where the plan of a line that is ordered is made: with what was chosen for it so far. */
export function planAddress(
  order: { id: string; due: string | null },
  { number, patternId, pieces, choices }: WantedLine,
): string {
  const search = new URLSearchParams(choices);
  search.set('pieces', search.get('pieces') ?? String(pieces));
  if (order.due !== null && !search.has('due')) search.set('due', order.due);
  search.set(LINES, linesText([{ orderId: order.id, number }]));
  return `/patterns/${patternId}/plan/stock?${search.toString()}`;
}
