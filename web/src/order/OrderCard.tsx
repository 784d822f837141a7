import { countWords } from '@compas/core';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { closeOrder, removeOrder, takeBackDelivery, type Order, type OrderLine } from '../api/orders.js';
import { useChange } from '../api/useChange.js';
import { usePaper } from '../plan/Paper.js';
import { dayWords, onClock } from '../ui/clock.js';
import { planAddress } from '../ui/planAddress.js';
import { Trouble } from '../ui/Trouble.js';
import { HandOver } from './HandOver.js';
import { OrderForm } from './OrderForm.js';

/** One order: for whom, by when, and how each of its lines stands. */
export function OrderCard({ order }: { order: Order }) {
  const [doing, setDoing] = useState<'look' | 'change' | 'hand over'>('look');
  const done = () => setDoing('look');
  if (doing === 'change') return <OrderForm order={order} onDone={done} />;
  return (
    <article className="order sheet" aria-label={`Order for ${order.customer}`}>
      <div className="row spread">
        <h2>
          {order.customer}
          {order.due !== null && (
            <span className="soft order-due">
              by {dayWords(order.due)}
              {isOverdue(order) && ', which is over'}
            </span>
          )}
        </h2>
        <OrderTasks order={order} doing={doing} setDoing={setDoing} />
      </div>
      {order.lines.length === 0 && <p className="soft">Nothing is written down for it yet.</p>}
      {order.lines.length > 0 && (
        <table className="table">
          <tbody>
            {order.lines.map((line) => (
              <LineRow key={line.number} order={order} line={line} />
            ))}
          </tbody>
        </table>
      )}
      {doing === 'hand over' && <HandOver order={order} onDone={done} />}
    </article>
  );
}

interface OrderTasksProps {
  order: Order;
  doing: string;
  setDoing: (doing: 'change' | 'hand over') => void;
}

/** What can be done with an order as it stands. */
function OrderTasks({ order, doing, setDoing }: OrderTasksProps) {
  const close = useChange(closeOrder, 'orders', 'batches');
  const remove = useChange(removeOrder, 'orders');
  const back = useChange(takeBackDelivery, 'orders', 'batches');
  const [paper] = usePaper();
  const ready = order.lines.reduce((sum, l) => sum + l.ready.length, 0);
  const given = order.lines.some((l) => l.given.length > 0);
  const planned = order.lines.some((l) => l.batchId !== null);
  return (
    <span className="row tight">
      <Trouble error={close.error ?? remove.error ?? back.error} />
      {given && (
        <>
          <a href={`/api/orders/${order.id}/delivery.pdf?paper=${paper}`} target="_blank" rel="noreferrer">
            Delivery sheet
          </a>
          <Button type="text" onClick={() => back.mutate(order.id)}>
            It is here after all
          </Button>
        </>
      )}
      {order.closed ? (
        <Button onClick={() => close.mutate({ id: order.id, closed: false })}>Open it again</Button>
      ) : (
        <>
          <Button type="text" onClick={() => setDoing('change')}>
            Change
          </Button>
          {planned ? (
            <Button type="text" onClick={() => close.mutate({ id: order.id, closed: true })}>
              Close
            </Button>
          ) : (
            <Button type="text" onClick={() => remove.mutate(order.id)}>
              Take it out
            </Button>
          )}
        </>
      )}
      {ready > 0 && !order.closed && (
        <Button type="primary" disabled={doing === 'hand over'} onClick={() => setDoing('hand over')}>
          Hand over {ready}
        </Button>
      )}
    </span>
  );
}

function LineRow({ order, line }: { order: Order; line: OrderLine }) {
  const { batchId, pieces, patternName, patternId } = line;
  const late =
    order.due !== null &&
    line.plannedEnd !== null &&
    line.coming > 0 &&
    line.plannedEnd.slice(0, 10) > order.due;
  return (
    <tr>
      <th scope="row">
        <span className="figures">{pieces}</span> ×{' '}
        <Link to={batchId === null ? `/patterns/${patternId}` : `/batches/${batchId}/stock`}>
          {patternName}
        </Link>
      </th>
      <td>
        {standWords(line)}
        {line.stopped > 0 && (
          <span className="order-stopped">
            <b aria-hidden>■</b> {line.stopped} did not hold: cut again, mend, or reject
          </span>
        )}
        {late && line.plannedEnd !== null && (
          <span className="order-late">
            <b aria-hidden>▲</b> Look: planned to be ready {dayWords(line.plannedEnd.slice(0, 10))}
          </span>
        )}
      </td>
      <td className="number">
        {batchId === null && !order.closed && (
          <Link to={planAddress(order, line)}>
            <Button>{line.choices === '' ? 'Plan it' : 'Go on planning'}</Button>
          </Link>
        )}
        {batchId !== null && line.coming + line.stopped > 0 && (
          <Link to={`/batches/${batchId}/run`}>
            <Button>To the lathe</Button>
          </Link>
        )}
        {batchId !== null && line.short > 0 && line.coming + line.stopped === 0 && (
          <Link to={`/batches/${batchId}/run`}>
            <Button>Make a spare</Button>
          </Link>
        )}
      </td>
    </tr>
  );
}

/** Its day is over and something of it is still here. */
const isOverdue = ({ due, closed }: Order): boolean =>
  due !== null &&
  !closed &&
  due < onClock(Date.now(), Intl.DateTimeFormat().resolvedOptions().timeZone).slice(0, 10);

/** How a line stands, in words. */
function standWords({ batchId, given, ready, coming, short }: OrderLine): string {
  if (batchId === null) return 'not planned yet';
  const words = [
    ...(given.length > 0 ? [`${given.length} handed over`] : []),
    ...(ready.length > 0 ? [`${ready.length} ready (no. ${countWords(ready)})`] : []),
    ...(coming > 0 ? [`${coming} being made`] : []),
    ...(short > 0 ? [`${short} that nobody makes`] : []),
  ];
  return words.join(', ');
}
