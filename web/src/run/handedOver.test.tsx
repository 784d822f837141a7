import 'fake-indexeddb/auto';
import type { RunEvent } from '@compas/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { clear } from 'idb-keyval';
import { answersOf, exampleBatch } from '../../test/exampleBatch.js';
import { answering, shownInApp } from '../../test/inApp.js';
import RunScreen from './RunScreen.js';

const MEMBERS = [
  { id: 'u1', name: 'Maren Holt', email: '', role: 'owner' },
  { id: 'u2', name: 'Ines Lark', email: '', role: 'maker' },
];

/** The lathe screen of a batch; gives back what was sent of it. */
function atTheLathe(members: object[] | null) {
  const batch = exampleBatch();
  const asked = answering({
    ...answersOf(batch),
    ...(members ? { 'GET /api/members': () => ({ body: members }) } : {}),
    [`POST /api/batches/${batch.id}/events`]: ({ body }) => ({
      body: { stored: (body as { events: RunEvent[] }).events.length, known: 0, setAside: [] },
    }),
  });
  shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
  return () =>
    asked
      .filter((a) => a.method === 'POST')
      .flatMap((a) => (a.body as { events: RunEvent[] }).events)
      .map((e) => e.body)
      .filter((b) => b.kind === 'handed' || b.kind === 'done');
}
const take = async (name: string) => {
  const group = await screen.findByRole('radiogroup', { name: 'At the lathe', hidden: true });
  fireEvent.click(within(group).getByRole('radio', { name, hidden: true }));
};
const press = async (name: string | RegExp) => {
  // what is pressed sooner than it is seen does nothing
  await new Promise((seen) => setTimeout(seen, 400));
  // where both ends are offered, the first is the large one
  const [button] = await screen.findAllByRole('button', { name });
  fireEvent.click(button!);
};

beforeEach(async () => {
  localStorage.clear();
  await clear();
});

it('who works here is said once, and goes before what they record', async () => {
  const sent = atTheLathe(MEMBERS);
  await take('Maren Holt');
  expect(screen.queryByText('Maren Holt works here now.')).toBeNull();
  await press('Done');
  await waitFor(() => expect(sent().map((b) => b.kind)).toEqual(['handed', 'done']));
  await press(/^Done$|^All \d+ done/);
  await waitFor(() => expect(sent().filter((b) => b.kind === 'done').length).toBeGreaterThan(1));
  expect(sent().filter((b) => b.kind === 'handed')).toEqual([expect.objectContaining({ who: 'Maren Holt' })]);
});

it('whoever takes over sees first where it stands, and is named from there on', async () => {
  localStorage.setItem('compas.tablet', JSON.stringify({ who: 'Maren Holt' }));
  const sent = atTheLathe(MEMBERS);
  await take('Ines Lark');
  expect(await screen.findByText('Ines Lark works here now.')).toBeTruthy();
  expect(screen.getByRole('heading', { name: /^Is .* on the lathe\?$/ })).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Done' })).toBeNull();
  await press('Yes, go on');
  await press('Done');
  await waitFor(() => expect(sent()[0]).toMatchObject({ kind: 'handed', who: 'Ines Lark' }));
});

it('names are there without the network; a shop of one is not asked', async () => {
  localStorage.setItem('compas.people', JSON.stringify(['Maren Holt', 'Ines Lark']));
  atTheLathe(null);
  await take('Ines Lark');
  expect(await screen.findByLabelText('At the lathe: Ines Lark')).toBeTruthy();
  document.body.innerHTML = '';
  atTheLathe(MEMBERS.slice(0, 1));
  await screen.findByRole('button', { name: 'Done' });
  await waitFor(() =>
    expect(screen.queryByRole('radiogroup', { name: 'At the lathe', hidden: true })).toBeNull(),
  );
});
