import { MATERIALS, newWorkshop, sawingOf } from '@compas/core';
import { screen, waitFor } from '@testing-library/react';
import { answering, choose, shownInApp } from '../../test/inApp.js';
import { BundleForm } from './BundleForm.js';

const habits = {
  materials: MATERIALS,
  sawing: sawingOf(newWorkshop('UTC', 'mm')),
  air: { temperature: 18, humidity: 55 },
  currency: 'EUR',
  timeZone: 'UTC',
} as never;
const form = (onDone = () => undefined as void) =>
  shownInApp(<BundleForm habits={habits} today="2026-03-02" onDone={onDone} />, { at: '/stock/drying' });

beforeEach(() => localStorage.clear());

describe('a bundle that is laid down', () => {
  it('takes its wood, its school and what it weighs today, and is then shown', async () => {
    const asked = answering({ 'POST /api/drying': () => ({ body: { id: 'b7' } }) });
    const onDone = jest.fn();
    const { user, router } = form(onDone);
    await user.type(screen.getByLabelText('What it is'), 'Plum rounds');
    await choose('Wood', 'Pear');
    await user.type(screen.getByLabelText('Weighs, g'), '1840');
    await user.click(screen.getByRole('button', { name: 'Lay it down' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    expect(asked.find((a) => a.method === 'POST')?.body).toEqual({
      bundle: {
        label: 'Plum rounds',
        materialId: 'pear',
        pieces: 6,
        school: 'dry',
        target: 12,
        startMoisture: null,
        itemId: null,
        air: null,
        weighings: [{ day: '2026-03-02', grams: 1840 }],
      },
    });
    expect(router.state.location.pathname).toBe('/stock/drying/b7');
    expect(localStorage.length).toBe(0);
  });

  it('without a name is not laid down, and without a weight begins with none', async () => {
    const asked = answering({ 'POST /api/drying': () => ({ body: { id: 'b7' } }) });
    const { user } = form();
    const lay = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Lay it down' });
    expect(lay().disabled).toBe(true);
    await user.type(screen.getByLabelText('What it is'), 'Ash');
    await user.click(lay());
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({ bundle: { weighings: [] } });
  });

  it('that the server refuses stays in the form, with the reason', async () => {
    answering({
      'POST /api/drying': () => ({ status: 400, body: { detail: 'Give a weight above 0.', errors: [] } }),
    });
    const onDone = jest.fn();
    const { user } = form(onDone);
    await user.type(screen.getByLabelText('What it is'), 'Ash');
    await user.click(screen.getByRole('button', { name: 'Lay it down' }));
    expect(await screen.findByText('Give a weight above 0.')).toBeTruthy();
    expect(onDone).not.toHaveBeenCalled();
    expect(screen.getByLabelText('What it is')).toHaveProperty('value', 'Ash');
  });
});
