import { MATERIALS, newWorkshop, sawingOf, type StockItem } from '@compas/core';
import { screen, waitFor } from '@testing-library/react';
import { answering, choose, shownInApp } from '../../test/inApp.js';
import type { Bundle, HeldStock } from '../api/stock.js';
import { ItemForm } from './ItemForm.js';
import { Weighings } from './Weighings.js';

const habits = {
  materials: MATERIALS,
  sawing: sawingOf(newWorkshop('UTC', 'mm')),
  air: { temperature: 18, humidity: 55 },
  currency: 'EUR',
  timeZone: 'UTC',
} as never;
const RECEIVE = 'POST /api/stock';

beforeEach(() => localStorage.clear());

describe('stock that comes in', () => {
  it('is taken in as its kind, with its own sizes and a price by the unit it is bought in', async () => {
    const asked = answering({ [RECEIVE]: () => ({ body: [] }), 'GET /api/stock': () => ({ body: [] }) });
    const onDone = jest.fn();
    const { user } = shownInApp(<ItemForm held={null} habits={habits} onDone={onDone} />);
    await user.type(screen.getByLabelText('What it is called'), 'Pear offcuts');
    await choose('Kind of stock', 'rod');
    expect(screen.getByLabelText('What it is called')).toHaveProperty('value', 'Pear offcuts');
    expect(screen.queryByRole('textbox', { name: 'Thickness' })).toBeNull();
    await give(user, 'Diameter', '1 1/4 in');
    await give(user, 'Length', '40 cm');
    await choose('Material of the stock', 'Pear');
    await user.type(screen.getByLabelText('Price'), '4.20 / piece');
    await user.clear(screen.getByLabelText('How many came in'));
    await user.type(screen.getByLabelText('How many came in'), '7');
    await user.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    const [sent] = asked.filter((a) => a.method === 'POST');
    expect(sent?.body).toEqual({
      received: [
        {
          amount: 7,
          item: expect.objectContaining({
            kind: 'rod',
            label: 'Pear offcuts',
            materialId: 'pear',
            diameter: expect.objectContaining({ mm: 31.75, typed: '1 1/4 in' }) as unknown,
            length: expect.objectContaining({ mm: 400 }) as unknown,
            price: expect.objectContaining({ minor: 420 }) as unknown,
          }) as unknown,
        },
      ],
    });
  });

  it('is still in the form when somebody looks elsewhere and comes back, until it is left', async () => {
    answering({});
    const form = () => shownInApp(<ItemForm held={null} habits={habits} onDone={() => undefined} />);
    const first = form();
    await first.user.type(screen.getByLabelText('What it is called'), 'Yew limb');
    await first.user.type(screen.getByLabelText('Price'), '30 /');
    await waitFor(() => expect(localStorage.getItem('compas.draft/stock/new')).toContain('30 /'));
    first.unmount();
    const second = form();
    expect(screen.getByLabelText('What it is called')).toHaveProperty('value', 'Yew limb');
    expect(screen.getByLabelText('Price')).toHaveProperty('value', '30 /');
    expect(screen.getByRole('status').textContent).toContain('were not saved and are here again');
    await second.user.click(screen.getByRole('button', { name: 'Take them back' }));
    expect(screen.getByLabelText('What it is called')).toHaveProperty('value', '');
    await second.user.type(screen.getByLabelText('What it is called'), 'Ash limb');
    await second.user.click(screen.getByRole('button', { name: 'Leave it' }));
    second.unmount();
    form();
    expect(screen.getByLabelText('What it is called')).toHaveProperty('value', '');
  });

  it('with a price nobody can read stays in the form, with a sentence', async () => {
    const asked = answering({});
    const { user } = shownInApp(<ItemForm held={null} habits={habits} onDone={() => undefined} />);
    await user.type(screen.getByLabelText('Price'), 'about ten');
    expect(screen.getByRole('alert').textContent).toContain('about ten');
    expect(screen.getByRole('button', { name: 'Put it on the shelf' })).toHaveProperty('disabled', true);
    expect(asked).toEqual([]);
  });
});

describe('stock that is put right', () => {
  it('is changed in that alone, over the version that was seen', async () => {
    const item = {
      id: 's1',
      kind: 'square',
      label: 'Ash squares',
      place: 'rack',
      price: null,
      reorderAt: null,
      materialId: 'ash',
      moisture: 11,
      origin: '',
      offcut: false,
      side: { mm: 50 },
      length: { mm: 600 },
    } as StockItem;
    const held: HeldStock = { item, amount: 3, cost: 0, version: 4 };
    const asked = answering({ 'PUT /api/stock/s1': () => ({ body: { ...held, version: 5 } }) });
    const onDone = jest.fn();
    const { user } = shownInApp(<ItemForm held={held} habits={habits} onDone={onDone} />);
    expect(screen.queryByLabelText('Kind of stock')).toBeNull();
    await user.clear(screen.getByLabelText('Where it lies'));
    await user.type(screen.getByLabelText('Where it lies'), 'loft');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    const { id: _id, ...known } = item;
    expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({
      item: { ...known, place: 'loft' },
      basedOn: 4,
    });
  });
});

describe('the weights of a bundle', () => {
  const bundle = {
    label: 'Plum',
    itemId: null,
    materialId: 'plum',
    pieces: 9,
    school: 'dry',
    target: 10,
    startMoisture: 50,
    air: null,
    weighings: [
      { day: '2026-03-01', grams: 4200 },
      { day: '2026-03-20', grams: 3600 },
    ],
  };
  const kept = { id: 'd1', version: 2, bundle } as unknown as Bundle;
  const PUT = 'PUT /api/drying/d1';

  it('are put in by day, and the field is free for the next', async () => {
    const asked = answering({ [PUT]: () => ({ body: { ...kept, version: 3 } }) });
    const { user } = shownInApp(<Weighings kept={kept} today="2026-03-10" />);
    await user.type(screen.getByLabelText('Weight, g'), '3900');
    await user.click(screen.getByRole('button', { name: 'Write the weight down' }));
    await waitFor(() => expect(screen.getByLabelText('Weight, g')).toHaveProperty('value', ''));
    expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({
      bundle: {
        ...bundle,
        weighings: [bundle.weighings[0], { day: '2026-03-10', grams: 3900 }, bundle.weighings[1]],
      },
      basedOn: 2,
    });
  });

  it('are not taken twice for a day', async () => {
    const asked = answering({});
    const { user } = shownInApp(<Weighings kept={kept} today="2026-03-20" />);
    await user.type(screen.getByLabelText('Weight, g'), '3500');
    expect(screen.getByRole('alert').textContent).toContain('2026-03-20');
    expect(screen.getByRole('button', { name: 'Write the weight down' })).toHaveProperty('disabled', true);
    expect(asked).toEqual([]);
  });

  it('lose only the one that is taken out', async () => {
    const asked = answering({ [PUT]: () => ({ body: { ...kept, version: 3 } }) });
    const { user } = shownInApp(<Weighings kept={kept} today="2026-03-21" />);
    await user.click(screen.getByRole('button', { name: 'Take out the weight of 2026-03-01' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PUT')?.body).toMatchObject({
        bundle: { weighings: [bundle.weighings[1]] },
      }),
    );
  });
});

async function give(user: ReturnType<typeof shownInApp>['user'], label: string, text: string): Promise<void> {
  const field = screen.getByRole('textbox', { name: label });
  await user.clear(field);
  await user.type(field, `${text}{Enter}`);
}
