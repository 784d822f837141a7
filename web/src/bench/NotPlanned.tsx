import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { ordersQuery } from '../api/orders.js';
import { dayWords } from '../ui/clock.js';
import { planAddress } from '../ui/planAddress.js';

/** What is ordered and nobody makes yet; a plan that was begun goes on where it was left. */
export function NotPlanned() {
  const orders = useQuery({ ...ordersQuery, throwOnError: false });
  const open = (orders.data ?? []).flatMap((order) =>
    order.lines.filter((l) => l.batchId === null).map((line) => ({ order, line })),
  );
  if (open.length === 0) return null;
  return (
    <section>
      <h2>
        Ordered, not planned yet <Link to="/orders">see the orders</Link>
      </h2>
      {open.map(({ order, line }) => (
        <article key={`${order.id} ${line.number}`} className="bench-row bench-ordered">
          <div className="bench-what">
            <h3>
              <Link to={`/patterns/${line.patternId}`}>
                {line.pieces} × {line.patternName}
              </Link>
            </h3>
            <span className="soft">
              for {order.customer}
              {order.due !== null && `, due ${dayWords(order.due)}`}
            </span>
          </div>
          <span className="soft">{line.choices === '' ? '' : 'a plan is begun'}</span>
          <span className="bench-do">
            <Link to={planAddress(order, line)}>
              <Button size="large">{line.choices === '' ? 'Plan it' : 'Go on planning'}</Button>
            </Link>
          </span>
        </article>
      ))}
    </section>
  );
}
