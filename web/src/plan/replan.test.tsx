import type { OwnWay, PlanInputs, Workshop } from '@compas/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { exampleBatch, recorded } from '../../test/exampleBatch.js';
import { answering, shownInApp } from '../../test/inApp.js';
import { Replan } from './Replan.js';

// the worker of the browser: here the plan is made in place
jest.mock('../workers/usePlan.js', () => {
  const { plan } = jest.requireActual<typeof import('@compas/core')>('@compas/core');
  return {
    planning: () => ({
      plan: ({ pattern, workshop, stock, order, schools }: PlanInputs) =>
        Promise.resolve(plan(pattern, workshop, stock, order, schools)),
    }),
  };
});

/** The batch with its first pieces sawn, and a workshop that has changed since. */
function shown(change: (workshop: Workshop) => void, sawn = [1, 2], ways?: OwnWay[]) {
  const saw = { kind: 'done' as const, stepId: 'saw:blank part1' };
  const batch = exampleBatch(sawn.map((piece) => recorded(piece, saw)));
  const { workshop, stock } = structuredClone(batch.snapshot.inputs);
  change(workshop);
  const asked = answering({
    'GET /api/session': () => ({ body: { userName: 'Ines' } }),
    'GET /api/workshop': () => ({ body: { name: 'Ours', version: 1, body: workshop } }),
    'GET /api/kits': () => ({ body: { kits: stock.kits.map((kit) => ({ kit, version: 1 })) } }),
    'GET /api/drying': () => ({ body: [] }),
    [`POST /api/batches/${batch.id}/plans`]: () => ({ body: batch }),
  });
  const onDone = jest.fn();
  shownInApp(
    <Replan
      batch={batch}
      order={{ ...batch.snapshot.inputs.order, ...(ways ? { ways } : {}) }}
      onDone={onDone}
    />,
  );
  return { asked, onDone };
}

describe('planning a batch anew', () => {
  it('says on which pieces something is done that would be otherwise, before it is kept', async () => {
    const { asked, onDone } = shown((workshop) => (workshop.allowances.wasteTail += 6));
    const under = await screen.findByRole('region', { name: 'Pieces under way' });
    expect(
      within(under)
        .getAllByText(/^Piece \d/)
        .map((p) => p.textContent),
    ).toEqual(['Piece 1', 'Piece 2']);
    expect(within(under).getAllByText(/^Saw the blank: length/)).toHaveLength(2);
    fireEvent.click(screen.getByRole('button', { name: 'Keep it as plan 2' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    expect(asked.find((a) => a.method === 'POST')!.body).toMatchObject({ basedOn: 1, pieces: 3 });
  });

  it('says nothing of pieces where nobody has begun, or nothing changes', async () => {
    shown((workshop) => (workshop.allowances.wasteTail += 6), []);
    expect(await screen.findByText(/Planned anew with what/)).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Pieces under way' })).toBeNull();
  });

  it('keeps nothing where nothing would differ', async () => {
    shown(() => undefined);
    expect(await screen.findByText('Planned anew, nothing would differ.')).toBeTruthy();
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep it as plan 2' });
    expect(keep.disabled).toBe(true);
  });

  it('with an own way says it in words, and asks once why it may go on where that stops something', async () => {
    const noRoughing: OwnWay = {
      id: 'w1',
      decides: { kind: 'without', on: { kind: 'like', does: 'rough' } },
      why: 'blanks come round',
      by: 'Ines',
      at: '2026-03-01T08:00:00.000Z',
    };
    const { asked, onDone } = shown(() => undefined, [], [noRoughing]);
    expect(await screen.findByText('Your way: without every rough.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Keep it as plan 2' }));
    expect(asked.some((a) => a.method === 'POST')).toBe(false);
    fireEvent.change(screen.getByLabelText('Why keep it all the same'), {
      target: { value: 'round already' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Go past and keep it' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    const { ways } = asked.find((a) => a.method === 'POST')!.body as { ways: OwnWay[] };
    expect(ways[0]).toEqual(noRoughing);
    expect(ways.slice(1).every((w) => w.decides.kind === 'past' && w.why === 'round already')).toBe(true);
    expect(ways.length).toBeGreaterThan(1);
  });
});
