import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { closedOrdersQuery, ordersQuery } from '../api/orders.js';
import { OrderCard } from './OrderCard.js';
import { OrderForm } from './OrderForm.js';
import './order.css';

/** What is ordered: what of it is ready, what is being made, what nobody makes yet. */
export default function OrdersScreen() {
  const [writing, setWriting] = useState(false);
  const [withClosed, showClosed] = useState(false);
  const open = useQuery(ordersQuery);
  const closed = useQuery({ ...closedOrdersQuery, enabled: withClosed });
  if (!open.data) return null;
  return (
    <div className="column">
      <div className="row spread">
        <h1>Orders</h1>
        <Button type="primary" size="large" disabled={writing} onClick={() => setWriting(true)}>
          New order
        </Button>
      </div>
      {writing && <OrderForm order={null} onDone={() => setWriting(false)} />}
      {open.data.length === 0 && !writing && (
        <p className="sheet">
          Nothing is ordered. Write down for whom, by when, and how many of what; each line is planned when
          you come to it.
        </p>
      )}
      {open.data.map((order) => (
        <OrderCard key={order.id} order={order} />
      ))}
      <Checkbox checked={withClosed} onChange={(e) => showClosed(e.target.checked)}>
        Show the last that were handed over or closed
      </Checkbox>
      {withClosed && closed.data?.length === 0 && <p className="soft">None was closed yet.</p>}
      {withClosed && closed.data?.map((order) => <OrderCard key={order.id} order={order} />)}
    </div>
  );
}
