import 'fake-indexeddb/auto';
import type { RunEvent } from '@compas/core';
import { screen, waitFor, within } from '@testing-library/react';
import { clear } from 'idb-keyval';
import { doneEvent } from '../../test/exampleEvents.js';
import { answering, shownInApp, type Asked } from '../../test/inApp.js';
import { randomId } from '../api/randomId.js';
import { belongsTo, enqueue, letGo, queued } from '../run/keptEvents.js';
import { useSender } from '../run/useSender.js';
import { Shell } from './Shell.js';

const OURS = { workshopId: 'w1', workshop: 'The Long Shed' };
const THEIRS = { workshopId: 'w2', workshop: 'Mill Yard' };
const session = {
  userId: 'u1',
  userName: 'Maren Holt',
  workshopId: 'w1',
  workshops: [{ id: 'w1', name: 'The Long Shed', role: 'owner' }],
  demo: false,
  signUp: true,
  life: 'l1',
};
function Sending() {
  useSender();
  return <Shell />;
}

let made: { id: string; events: RunEvent[] }[] = [];
async function kept(owner: typeof OURS, count: number): Promise<string> {
  const id = randomId();
  const events = Array.from({ length: count }, (_, i) => doneEvent(i));
  await enqueue(id, ...events);
  await belongsTo(id, owner);
  made.push({ id, events });
  return id;
}
/** Some screen of somebody in the Long Shed, with or without a network. */
function atTheDesk(network: () => boolean, more: Parameters<typeof answering>[0] = {}): Asked[] {
  const down = () => {
    throw new TypeError('fetch failed');
  };
  const asked = answering({
    'GET /api/session': () => (network() ? { body: session } : down()),
    'GET /api/workshop': () =>
      network() ? { body: { name: 'The Long Shed', version: 1, body: { units: 'mm' } } } : down(),
    ...Object.fromEntries(
      made.map(({ id }) => [
        `POST /api/batches/${id}/events`,
        () => (network() ? { body: { stored: 1, known: 0, setAside: [] } } : down()),
      ]),
    ),
    'DELETE /api/session': () => ({ status: 204 }),
    ...more,
  });
  shownInApp(<Sending />);
  return asked;
}
const sentTo = (asked: Asked[]) =>
  asked.filter((a) => a.path.endsWith('/events')).map((a) => a.path.split('/')[3]);

beforeEach(() => clear());
afterEach(async () => {
  for (const { id, events } of made) await letGo(id, events);
  made = [];
});

describe('what is kept on this device', () => {
  it('is sent from any screen, under a session of the workshop that it belongs to and of no other', async () => {
    const [ours, theirs] = [await kept(OURS, 2), await kept(THEIRS, 3)];
    const asked = atTheDesk(() => true);
    await waitFor(async () => expect(await queued(ours)).toEqual([]));
    expect(sentTo(asked)).toEqual([ours]);
    expect(await queued(theirs)).toHaveLength(3);
    const said = await screen.findByText(/kept here until it can be sent/);
    await waitFor(() =>
      expect(said.textContent).toBe('○ 3 records for Mill Yard kept here until it can be sent.'),
    );
  });

  it('waits for the next round where nothing gets through: one queue is tried, not each', async () => {
    const ids = [await kept(OURS, 1), await kept(OURS, 1), await kept(OURS, 1)];
    const down = () => {
      throw new TypeError('fetch failed');
    };
    const asked = atTheDesk(
      () => true,
      Object.fromEntries(ids.map((id) => [`POST /api/batches/${id}/events`, down])),
    );
    await waitFor(() => expect(sentTo(asked)).toHaveLength(1));
    await new Promise((later) => setTimeout(later, 300));
    expect(sentTo(asked)).toHaveLength(1);
    expect((await Promise.all(ids.map((id) => queued(id)))).flat()).toHaveLength(3);
  });

  it('is said before somebody signs out, who may stay', async () => {
    await kept(THEIRS, 1);
    const asked = atTheDesk(() => true);
    await screen.findByText(/kept here until it can be sent/);
    const leave = screen.getByRole('button', { name: 'Sign out, Maren' });
    leave.click();
    const question = await screen.findByRole('dialog');
    expect(within(question).getByText('1 record for Mill Yard not sent yet')).toBeTruthy();
    within(question).getByRole('button', { name: 'Stay' }).click();
    expect(asked.some((a) => a.method === 'DELETE')).toBe(false);
    leave.click();
    (await screen.findByRole('button', { name: 'Sign out all the same' })).click();
    await waitFor(() => expect(asked.some((a) => a.method === 'DELETE')).toBe(true));
  });
});

describe('without a network', () => {
  it('whoever was here is still here, and what is shown says since when it is so', async () => {
    let up = true;
    atTheDesk(() => up);
    await screen.findByRole('button', { name: 'Sign out, Maren' });
    await waitFor(() => expect(screen.queryByText(/No connection/)).toBeNull());
    document.body.innerHTML = '';
    up = false;
    atTheDesk(() => up);
    expect(await screen.findByRole('button', { name: 'Sign out, Maren' })).toBeTruthy();
    expect((await screen.findByText(/No connection: as it was/)).textContent).toMatch(/\d\d:\d\d\./);
  });
});
