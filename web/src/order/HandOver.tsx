import { countWords } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { deliveryQuery, handOver, type Order } from '../api/orders.js';
import { useChange } from '../api/useChange.js';
import { PaperChoice, usePaper } from '../plan/Paper.js';
import { Trouble } from '../ui/Trouble.js';

/** What goes out of the door now: which items, what still cures, how it is looked after; on paper too. */
export function HandOver({ order, onDone }: { order: Order; onDone: () => void }) {
  const delivery = useQuery(deliveryQuery(order.id));
  const hand = useChange(handOver, 'orders', 'batches');
  const [paper] = usePaper();
  const lines = delivery.data?.lines.filter((l) => l.given.length > 0) ?? [];
  const cures = lines.filter((l) => l.restsUntil !== null);
  const missing = order.lines.reduce((sum, l) => sum + l.coming + l.stopped + l.short, 0);
  return (
    <section className="hand-over" aria-label={`Hand over to ${order.customer}`}>
      <ul>
        {lines.map((line, i) => (
          <li key={i}>
            <b>
              {line.given.length} × {line.what}, no. {countWords(line.given)}
            </b>
            <br />
            {line.madeOf.join('; ')}. <span className="soft">{line.care}</span>
          </li>
        ))}
      </ul>
      {cures.map((line, i) => (
        <p key={i} className="order-late">
          <b aria-hidden>▲</b> Look: {line.what} still cures, until {line.restsUntil}. Say so, or wait.
        </p>
      ))}
      {missing > 0 && <p>{missing} more stay to come; the order stays open.</p>}
      <div className="row">
        <PaperChoice />
        <a href={`/api/orders/${order.id}/delivery.pdf?paper=${paper}`} target="_blank" rel="noreferrer">
          Print the delivery sheet
        </a>
        <Button
          type="primary"
          loading={hand.isPending}
          disabled={!delivery.data}
          onClick={() => hand.mutate(order.id, { onSuccess: onDone })}
        >
          Handed over
        </Button>
        <Button onClick={onDone}>Not yet</Button>
      </div>
      <Trouble error={hand.error ?? delivery.error} />
    </section>
  );
}
