import { stepDoes } from '@compas/core';
import 'fake-indexeddb/auto';
import { randomUUID } from 'node:crypto';
import type { RunEvent } from '@compas/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { clear } from 'idb-keyval';
import { answersOf, exampleBatch, recorded } from '../../test/exampleBatch.js';
import { answering, shownInApp } from '../../test/inApp.js';
import RunScreen from './RunScreen.js';

const { steps } = exampleBatch().snapshot.plan.parts[0];
const measuring = steps.find((s) => stepDoes(s, 'measure'))!;
const trial = steps.find((s) => s.trialFit)!;

/** Piece 1 at the lathe with everything done before a step, and what of it is sent. */
function standsAt(stepId: string, ...more: RunEvent[]) {
  const before = steps.slice(
    0,
    steps.findIndex((s) => s.id === stepId),
  );
  const events = [...before.map(({ id }) => recorded(1, { kind: 'done', stepId: id })), ...more];
  const rejected = [2, 3].map((n) => recorded(n, { kind: 'rejected', stepId: steps[0]!.id, cause: 'split' }));
  const batch = { ...exampleBatch([...events, ...rejected]), id: randomUUID() };
  const asked = answering({
    ...answersOf(batch),
    [`POST /api/batches/${batch.id}/events`]: () => ({ body: { stored: 1, known: 0, setAside: [] } }),
  });
  shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
  return () =>
    asked
      .flatMap((a) => (a.method === 'POST' ? (a.body as { events: RunEvent[] }).events : []))
      .flatMap((e) => (e.body.kind === 'mended' ? [e.body] : []));
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => clear());

it('a fit that failed is mended by what is done again and by a step of its own, for this piece alone', async () => {
  const sent = standsAt(
    trial.id,
    recorded(1, { kind: 'tried', stepId: trial.id, fits: false, note: 'loose' }),
  );
  fireEvent.click(await screen.findByRole('button', { name: 'Mend this piece' }));
  const form = screen.getByRole('form', { name: 'Mend this piece' });
  expect(form.textContent).toMatch(/It can still become what is drawn\. \d+ steps are left on it\./);
  // one bright thing at a time: while it is mended nothing can be called done
  expect(screen.queryByRole('button', { name: /^Done/ })).toBeNull();
  fireEvent.submit(form);
  expect((await within(form).findByRole('alert')).textContent).toContain('Choose first what is done to it');
  expect(sent()).toEqual([]);
  const again = within(within(form).getByRole('group', { name: 'Do again' })).getAllByRole('button');
  fireEvent.click(again.at(-1)!);
  fireEvent.change(screen.getByLabelText('What is done to it alone'), {
    target: { value: 'Glue a sleeve on' },
  });
  fireEvent.click(screen.getByRole('radio', { name: 'bench' }));
  press('Add this step');
  fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'the peg was loose' } });
  press('Mend body 1 so');
  await waitFor(() => expect(sent()).toHaveLength(1));
  expect(sent()[0]).toMatchObject({
    stepId: trial.id,
    steps: [{ title: 'Glue a sleeve on', place: 'bench' }],
    keeps: [],
    why: 'the peg was loose',
  });
  expect(sent()[0]?.again).toHaveLength(1);
  // it goes on with what is done again
  const named = steps.find((s) => s.id === sent()[0]?.again[0])!.title;
  expect(await screen.findByRole('heading', { name: named })).toBeTruthy();
});

it('a place that came out thin may stay so; then it is offered no more', async () => {
  const station = exampleBatch().snapshot.plan.parts[0].stations.find((s) => s.label === 'neck')!;
  const thin = recorded(1, {
    kind: 'measured',
    stepId: measuring.id,
    stationId: station.id,
    mm: station.finished - 1.2,
    typed: String(station.finished - 1.2),
  });
  const sent = standsAt(measuring.id, thin);
  fireEvent.click(await screen.findByRole('button', { name: 'Mend this piece' }));
  expect(screen.getByText('Body, neck: cut deeper than it is drawn.')).toBeTruthy();
  press(/^It stays so: neck 18\.0/);
  press('Mend body 1 so');
  await waitFor(() => expect(sent()).toHaveLength(1));
  expect(sent()[0]?.keeps).toEqual([{ stationId: station.id, mm: station.finished - 1.2 }]);
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Mend this piece' })).toBeNull());
});

it('where nothing failed there is nothing to mend', async () => {
  standsAt(trial.id);
  await screen.findByRole('heading', { name: trial.title });
  expect(screen.queryByRole('button', { name: 'Mend this piece' })).toBeNull();
});

it('a place that is sized is shown with its gauge beside the tool, to be read from afar', async () => {
  const { sizing } = exampleBatch().snapshot.plan.parts[0].layout;
  const sized = steps.find((s) => stepDoes(s, 'size'))!;
  const gauge = sizing.find((s) => s.id === sized.operation?.subject)!.gauge.gauge!;
  standsAt(sized.id);
  await screen.findByRole('heading', { name: sized.title });
  expect(document.querySelector('.run-glance')?.textContent).toBe(
    [sized.operation?.tool, gauge.name, sized.speed].join(' · '),
  );
});
