import type { OwnWay, PlanInputs } from '@compas/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { press, type } from '../../test/decidedStage.js';
import { answering, shownInApp } from '../../test/inApp.js';
import DraftPlan from './DraftPlan.js';

/** What the stand-in for the planning worker has been asked last and not answered yet. */
const mockWorker: { answers: () => void; slow: boolean } = { answers: () => undefined, slow: false };

// the worker of the browser: here the plan is made in place, and comes when the test lets it
jest.mock('../workers/usePlan.js', () => {
  const { useEffect, useState } = jest.requireActual<typeof import('react')>('react');
  const { plan } = jest.requireActual<typeof import('@compas/core')>('@compas/core');
  return {
    usePlan: (inputs: PlanInputs) => {
      const [planned, setPlanned] = useState<object>({ plan: null, of: null, error: null });
      useEffect(() => {
        mockWorker.answers = () => {
          const { pattern, workshop, stock, order, schools } = inputs;
          setPlanned({ plan: plan(pattern, workshop, stock, order, schools), of: inputs, error: null });
        };
        if (!mockWorker.slow) mockWorker.answers();
      }, [inputs]);
      return planned;
    },
  };
});

const { pattern, workshop, stock } = exampleInputs(3);

/** A plan in the making, at a stage; from now on plans come only when they are let. */
async function begun(stage: string) {
  const asked = answering({
    'GET /api/session': () => ({
      body: { userId: 'u', userName: 'Ines', workshopId: 'w', workshops: [], demo: false },
    }),
    'GET /api/patterns/p1': () => ({
      body: { id: 'p1', name: 'Stopper', kind: 'stopper', revision: 1, version: 7, body: pattern },
    }),
    'GET /api/workshop': () => ({ body: { id: 'w', name: 'Ours', version: 3, body: workshop } }),
    'GET /api/kits': () => ({ body: { kits: stock.kits.map((kit) => ({ kit, version: 1 })) } }),
    'GET /api/drying': () => ({ body: [] }),
    'GET /api/drafts': () => ({ body: [] }),
    'PUT /api/drafts/p1': () => ({ status: 204 }),
    'GET /api/orders': () => ({ body: [] }),
    'POST /api/orders': () => ({ status: 201, body: {} }),
    'POST /api/batches': () => ({ status: 201, body: { id: 'b1' } }),
  });
  mockWorker.slow = false;
  const app = shownInApp(<DraftPlan />, {
    at: `/patterns/p1/plan/${stage}?pieces=3`,
    path: '/patterns/:id/plan/:stage?',
  });
  await screen.findByRole('button', { name: 'Keep the plan' });
  mockWorker.slow = true;
  const sent = (path: string) => asked.find((a) => a.method === 'POST' && a.path === path)?.body;
  return { ...app, sent, ways: () => waysAt(app.router.state.location.search) };
}

const waysAt = (search: string): OwnWay[] =>
  JSON.parse(new URLSearchParams(search).get('ways') ?? '[]') as OwnWay[];
const plansArrive = () => act(() => mockWorker.answers());
const fill = (field: string, value: string) => {
  fireEvent.change(screen.getByLabelText(field), { target: { value } });
  fireEvent.blur(screen.getByLabelText(field));
};

describe('a plan whose next one is not there yet', () => {
  it('is kept with what was typed last, as soon as that is planned', async () => {
    const { sent } = await begun('stock');
    press(/change$/);
    fill('Pieces in a blank', '2');
    press('Keep the plan');
    expect(sent('/api/batches')).toBeUndefined();
    plansArrive();
    await waitFor(() => expect(sent('/api/batches')).toMatchObject({ pieces: 3, perBlank: 2 }));
  });

  it('is laid aside with what was typed last', async () => {
    const { sent } = await begun('stock');
    press(/change$/);
    fill('How many', '5');
    press('Lay it aside');
    expect(sent('/api/orders')).toBeUndefined();
    plansArrive();
    await waitFor(() =>
      expect(sent('/api/orders')).toMatchObject({ lines: [{ pieces: 5, choices: 'pieces=5' }] }),
    );
  });

  it('keeps each of two decisions that are made one after the other', async () => {
    const { ways } = await begun('turn');
    for (const step of ['Collar', 'Rough to round']) {
      press(`Otherwise: ${step}`);
      fireEvent.click(within(screen.getByLabelText(`What of: ${step}`)).getByText('its minutes'));
      type(`Minutes: ${step}`, '4');
      press('Do it so');
    }
    expect(ways()).toHaveLength(2);
  });
});
