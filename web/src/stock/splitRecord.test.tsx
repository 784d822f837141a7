import { newWorkshop, sawingOf, type StockItem } from '@compas/core';
import { screen, waitFor } from '@testing-library/react';
import { answering, shownInApp, type Asked } from '../../test/inApp.js';
import type { HeldStock } from '../api/stock.js';
import { SplitRecord } from './SplitRecord.js';

const habits = {
  materials: [],
  sawing: sawingOf(newWorkshop('UTC', 'mm')),
  air: { temperature: 18, humidity: 55 },
  currency: 'EUR',
  timeZone: 'UTC',
} as never;
const log = { item: { id: 'log1', kind: 'log', label: 'Plum' }, amount: 1, cost: 0, version: 1 } as HeldStock;
const billet = {
  id: 'b1',
  kind: 'blank',
  label: 'Plum, split',
  materialId: 'plum',
} as StockItem;
const wish = {
  form: 'round' as const,
  hewing: 3,
  diameter: 40,
  length: 300,
  pithClearance: 8,
  heartOnly: true,
};
const SPLIT = 'POST /api/stock/log1/split';
const LAY = 'POST /api/drying';

const shown = () =>
  shownInApp(
    <SplitRecord
      held={log}
      wish={wish}
      way={{ sectors: 6, total: 11 } as never}
      moisture={58}
      target={10}
      habits={habits}
    />,
    { at: '/stock/log', path: '/stock/log' },
  );
const split = () => ({ body: [{ item: billet, amount: 9, cost: 0, version: 1 }] });
const of = (asked: Asked[], what: string) => asked.filter((a) => `${a.method} ${a.path}` === what);
const press = () => screen.getByRole('button', { name: 'The log is split' });
const countOf = () => screen.getByLabelText('Billets that came out');

describe('a split log', () => {
  it('is recorded as it was split and with the billets that came out, which go to dry', async () => {
    const asked = answering({ [SPLIT]: split, [LAY]: () => ({ body: { id: 'd1' } }) });
    const { user, router } = shown();
    expect(countOf()).toHaveProperty('value', '11');
    await user.clear(countOf());
    await user.type(countOf(), '9');
    await user.type(screen.getByLabelText('Weight of all'), '4200');
    await user.click(press());
    await waitFor(() => expect(router.state.location.pathname).toBe('/stock/drying/d1'));
    expect(of(asked, SPLIT).map((a) => a.body)).toEqual([{ sectors: 6, ...wish, billets: 9 }]);
    expect(of(asked, LAY)[0]?.body).toMatchObject({
      bundle: {
        label: 'Plum, split',
        itemId: 'b1',
        materialId: 'plum',
        pieces: 9,
        startMoisture: 58,
        target: 10,
        weighings: [{ grams: 4200 }],
      },
    });
  });

  it('lies on the shelf only, when its billets do not go to dry', async () => {
    const asked = answering({ [SPLIT]: split });
    const { user, router } = shown();
    await user.click(screen.getByRole('checkbox', { name: 'Lay them on the drying shelf' }));
    await user.click(press());
    await waitFor(() => expect(router.state.location.pathname).toBe('/stock'));
    expect(asked.filter((a) => a.method === 'POST')).toHaveLength(1);
  });

  it('is split once, though laying its billets down had to be tried again', async () => {
    let dry = false;
    const asked = answering({
      [SPLIT]: split,
      [LAY]: () =>
        dry ? { body: { id: 'd1' } } : { status: 422, body: { title: 'No', detail: 'The shelf is full.' } },
    });
    const { user, router } = shown();
    await user.click(press());
    await screen.findByText(/The shelf is full/);
    dry = true;
    await user.click(press());
    await waitFor(() => expect(router.state.location.pathname).toBe('/stock/drying/d1'));
    expect(of(asked, SPLIT)).toHaveLength(1);
    expect(of(asked, LAY)).toHaveLength(2);
  });
});
