import { screen, within } from '@testing-library/react';
import { line, order } from '../../test/exampleOrders.js';
import { answering, choose, shownInApp } from '../../test/inApp.js';
import type { Order } from '../api/orders.js';
import OrdersScreen from './OrdersScreen.js';

const pattern = (id: string, name: string) => ({ id, name, kind: 'stopper', revision: 1, version: 1 });

async function shown(orders: Order[], more: Parameters<typeof answering>[0] = {}) {
  const asked = answering({
    'GET /api/orders?closed=no': () => ({ body: orders }),
    'GET /api/orders?closed=yes': () => ({ body: [] }),
    'GET /api/patterns': () => ({
      body: { patterns: [pattern('p1', 'Stopper'), pattern('p2', 'Dibber')], next: null },
    }),
    ...more,
  });
  const app = shownInApp(<OrdersScreen />, { at: '/orders', path: '/orders' });
  await screen.findByRole('heading', { name: 'Orders' });
  return { ...app, asked };
}
const sent = (asked: { method: string; path: string; body: unknown }[], method: string) =>
  asked.filter((a) => a.method === method).map(({ path, body }) => ({ path, body }));

describe('orders', () => {
  it('say of each line what is handed over, ready, being made, and made by nobody', async () => {
    await shown([
      order('o1', {
        lines: [
          line(1, {
            batchId: 'b1',
            pieces: 8,
            given: [1],
            ready: [2, 3, 5],
            coming: 2,
            stopped: 1,
            short: 2,
            plannedEnd: '2026-03-24T10:00',
          }),
          line(2),
        ],
      }),
    ]);
    const card = screen.getByRole('article', { name: 'Order for The inn' });
    expect(card.textContent).toContain(
      '1 handed over, 3 ready (no. 2, 3, 5), 2 being made, 2 that nobody makes',
    );
    expect(card.textContent).toContain('planned to be ready Tue 24 Mar');
    expect(card.textContent).toContain('1 did not hold: cut again, mend, or reject');
    expect(within(card).getByRole('button', { name: 'Hand over 3' })).toBeTruthy();
    expect(card.textContent).toContain('not planned yet');
  });

  it('lead to the plan of a line, with what was chosen for it before', async () => {
    await shown([order('o1', { lines: [line(1), line(2, { choices: 'pieces=7&mount=screw' })] })]);
    const [first, second] = screen.getAllByRole('link', { name: /Plan it|Go on planning/ });
    expect(first?.getAttribute('href')).toBe('/patterns/p1/plan/stock?pieces=6&due=2026-03-20&lines=o1.1');
    expect(second?.getAttribute('href')).toContain('pieces=7&mount=screw');
  });

  it('are written down with as many lines as are wanted', async () => {
    const { user, asked } = await shown([], {
      'POST /api/orders': () => ({ status: 201, body: order('o2') }),
    });
    expect(screen.getByText(/Nothing is ordered/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'New order' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Write it down' }).disabled).toBe(true);
    await user.type(screen.getByLabelText('For whom'), 'The mill');
    await choose('What, line 1', 'Stopper');
    await user.click(screen.getByRole('button', { name: 'One more line' }));
    await choose('What, line 2', 'Dibber');
    await user.clear(screen.getByLabelText('How many, line 2'));
    await user.type(screen.getByLabelText('How many, line 2'), '14');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    await screen.findByText(/Nothing is ordered/);
    expect(sent(asked, 'POST')).toEqual([
      {
        path: '/api/orders',
        body: {
          customer: 'The mill',
          due: null,
          lines: [
            { patternId: 'p1', pieces: 6 },
            { patternId: 'p2', pieces: 14 },
          ],
        },
      },
    ]);
  });

  it('are changed over the version that was read; what is made stays', async () => {
    const own = order('o1', { lines: [line(1, { batchId: 'b1', coming: 6, short: 0 }), line(2)] });
    const { user, asked } = await shown([own], { 'PUT /api/orders/o1': () => ({ body: own }) });
    await user.click(screen.getByRole('button', { name: 'Change' }));
    expect(screen.queryByRole('button', { name: 'Take line 1 out' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Take line 2 out' }));
    await user.click(screen.getByRole('button', { name: 'Save the order' }));
    await screen.findByRole('article');
    expect(sent(asked, 'PUT')).toEqual([
      {
        path: '/api/orders/o1',
        body: {
          customer: 'The inn',
          due: '2026-03-20',
          lines: [{ number: 1, patternId: 'p1', pieces: 6 }],
          basedOn: 3,
        },
      },
    ]);
  });

  it('keep what was typed when the server refuses it', async () => {
    const { user } = await shown([order('o1', { lines: [line(1)] })], {
      'PUT /api/orders/o1': () => ({
        status: 409,
        body: {
          type: 'about:blank',
          title: 'Conflict',
          status: 409,
          detail: 'Somebody changed this order in between.',
        },
      }),
    });
    await user.click(screen.getByRole('button', { name: 'Change' }));
    await user.type(screen.getByLabelText('For whom'), ' at the ford');
    await user.click(screen.getByRole('button', { name: 'Save the order' }));
    expect((await screen.findByRole('alert')).textContent).toContain(
      'Somebody changed this order in between.',
    );
    expect(screen.getByLabelText<HTMLInputElement>('For whom').value).toBe('The inn at the ford');
  });
});

describe('handing over', () => {
  const ready = order('o1', { lines: [line(1, { batchId: 'b1', ready: [1, 2], coming: 4, short: 0 })] });
  const delivery = {
    lines: [
      {
        what: 'Stopper',
        wanted: 6,
        given: [1, 2],
        coming: 4,
        stopped: 0,
        short: 0,
        madeOf: ['Stopper in maple, oil'],
        care: 'Oil it again.',
        restsUntil: 'Fri, 27 Mar 2026, 10:00',
      },
    ],
  };

  it('shows which items go, how they are looked after and what still cures, before anything is handed over', async () => {
    const { user, asked } = await shown([ready], {
      'GET /api/orders/o1/delivery': () => ({ body: delivery }),
      'POST /api/orders/o1/deliveries': () => ({ status: 201, body: ready }),
    });
    await user.click(screen.getByRole('button', { name: 'Hand over 2' }));
    const panel = screen.getByRole('region', { name: 'Hand over to The inn' });
    await within(panel).findByText('2 × Stopper, no. 1, 2');
    expect(panel.textContent).toContain('Stopper still cures, until Fri, 27 Mar 2026, 10:00');
    expect(panel.textContent).toContain('Oil it again.');
    expect(panel.textContent).toContain('4 more stay to come');
    expect(sent(asked, 'POST')).toEqual([]);
    await user.click(within(panel).getByRole('button', { name: 'Handed over' }));
    await screen.findByRole('button', { name: 'Hand over 2' });
    expect(sent(asked, 'POST')).toEqual([{ path: '/api/orders/o1/deliveries', body: undefined }]);
  });

  it('is taken back, and the order closed or opened again', async () => {
    const given = order('o1', { lines: [line(1, { batchId: 'b1', given: [1], coming: 5, short: 0 })] });
    const { user, asked } = await shown([given, order('o2', { customer: 'The fair', lines: [line(1)] })], {
      'DELETE /api/orders/o1/deliveries': () => ({ body: given }),
      'PUT /api/orders/o1/closed': () => ({ body: given }),
      'DELETE /api/orders/o2': () => ({ status: 204 }),
    });
    await user.click(screen.getByRole('button', { name: 'It is here after all' }));
    await user.click(screen.getByRole('button', { name: 'Close' }));
    await user.click(screen.getByRole('button', { name: 'Take it out' }));
    expect(sent(asked, 'DELETE').map((a) => a.path)).toEqual(['/api/orders/o1/deliveries', '/api/orders/o2']);
    expect(sent(asked, 'PUT')).toEqual([{ path: '/api/orders/o1/closed', body: { closed: true } }]);
  });
});
