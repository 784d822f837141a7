import { useQuery } from '@tanstack/react-query';
import { AutoComplete, Select } from 'antd';
import { Link, useSearchParams } from 'react-router';
import { ordersQuery, type Order, type OrderLine } from '../api/orders.js';
import { dayWords } from '../ui/clock.js';
import { FOR, LINES, linesIn, linesText, ORDER, type LineRef } from '../ui/planAddress.js';

interface ForWhomProps {
  patternId: string;
  /** puts choices into the address, all at once */
  set: (changed: Record<string, string | null>) => void;
}

/** Whom a batch is made for: lines that are ordered, one more line of an order, or somebody new. */
export function ForWhom({ patternId, set }: ForWhomProps) {
  // as the address is now, not as it was when the plan that is shown was asked for: no letter waits for a plan
  const [search] = useSearchParams();
  const orders = useQuery({ ...ordersQuery, throwOnError: false }).data ?? [];
  const refs = linesIn(search.get(LINES));
  const open = openLines(orders, patternId);
  const chosen = open.filter((l) => refs.some((r) => isSame(r, l)));
  if (refs.length > 0)
    return (
      <span className="band-for">
        <Link to="/orders">Made for</Link>
        <Select
          mode="multiple"
          aria-label="Made for"
          value={chosen.map((l) => linesText([l]))}
          options={open.map((l) => ({ value: linesText([l]), label: lineWords(l) }))}
          className="w-line"
          onChange={(names: string[]) => set(forLines(open, names))}
        />
      </span>
    );
  const order = orders.find((o) => o.id === search.get(ORDER));
  return (
    <label>
      For whom
      <AutoComplete
        aria-label="For whom"
        className="w-name"
        value={order ? orderWords(order) : (search.get(FOR) ?? '')}
        maxLength={80}
        onChange={(name: string) => set({ [FOR]: name || null, [ORDER]: null })}
        onSelect={(id: string) => set(oneMore(orders.find((o) => o.id === id)))}
        options={orders
          .filter((o) => o.customer !== STOCK)
          .map((o) => ({ value: o.id, label: `One more line for ${orderWords(o)}` }))}
      />
    </label>
  );
}

/** For whom it is made, as it reads. */
export function WhomWords({ patternId }: Pick<ForWhomProps, 'patternId'>) {
  const [search] = useSearchParams();
  const orders = useQuery({ ...ordersQuery, throwOnError: false }).data ?? [];
  const refs = linesIn(search.get(LINES));
  const chosen = openLines(orders, patternId).filter((l) => refs.some((r) => isSame(r, l)));
  if (refs.length > 0) return [...new Set(chosen.map((l) => l.customer))].join(' and ') || 'an order';
  const order = orders.find((o) => o.id === search.get(ORDER));
  return order?.customer ?? (search.get(FOR) || 'the shelf');
}

/** What is made for nobody goes on the shelf. */
export const STOCK = 'stock';

interface OpenLine extends OrderLine, LineRef {
  customer: string;
  due: string | null;
}

/** Lines of a pattern that nobody makes yet. */
const openLines = (orders: readonly Order[], patternId: string): OpenLine[] =>
  orders.flatMap(({ id, customer, due, lines }) =>
    lines
      .filter((l) => l.patternId === patternId && l.batchId === null)
      .map((l) => ({ ...l, orderId: id, customer, due })),
  );

const isSame = (a: LineRef, b: LineRef): boolean => a.orderId === b.orderId && a.number === b.number;

const lineWords = ({ pieces, customer, due }: OpenLine): string =>
  `${pieces} for ${customer}${due === null ? '' : `, ${dayWords(due)}`}`;

const orderWords = ({ customer, due }: Order): string =>
  `${customer}${due === null ? '' : `, ${dayWords(due)}`}`;

/** So many as all lines want together, by the day of the first. */
function forLines(open: readonly OpenLine[], names: readonly string[]): Record<string, string | null> {
  const lines = open.filter((l) => names.includes(linesText([l])));
  if (lines.length === 0) return { [LINES]: null };
  const days = lines.flatMap((l) => l.due ?? []).sort();
  return {
    [LINES]: linesText(lines),
    pieces: String(lines.reduce((sum, l) => sum + l.pieces, 0)),
    due: days[0] ?? null,
  };
}

const oneMore = (order: Order | undefined): Record<string, string | null> =>
  order ? { [ORDER]: order.id, [FOR]: null, due: order.due } : {};
