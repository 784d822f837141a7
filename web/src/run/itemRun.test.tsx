import 'fake-indexeddb/auto';
import { randomUUID } from 'node:crypto';
import type { RunEvent } from '@compas/core';
import { screen, waitFor, within } from '@testing-library/react';
import { clear } from 'idb-keyval';
import { answersOf, recorded } from '../../test/exampleBatch.js';
import { exampleTops, madeWhole } from '../../test/exampleItems.js';
import { answering, shownInApp, unhurried, type Asked } from '../../test/inApp.js';
import RunScreen from './RunScreen.js';

const plain = exampleTops(2);
const [join, look] = plain.snapshot.plan.item!.steps;
const whole = (...pieces: number[]) => pieces.flatMap((n) => madeWhole(plain, n));

/** The lathe screen of two tops: stems are pieces 1 and 2, bodies 3 and 4. */
function atTheLathe(events: RunEvent[]) {
  const batch = { ...exampleTops(2, events), id: randomUUID() };
  const asked = answering({
    ...answersOf(batch),
    [`POST /api/batches/${batch.id}/events`]: () => ({ body: { stored: 1, known: 0, setAside: [] } }),
    [`POST /api/batches/${batch.id}/spares`]: () => ({ body: {} }),
  });
  const shown = shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
  return { ...shown, user: unhurried(shown.user), batch, asked };
}
const bodiesOf = (asked: Asked[]) =>
  asked.flatMap((a) =>
    a.method === 'POST' && a.path.endsWith('/events')
      ? (a.body as { events: RunEvent[] }).events.filter((e) => e.body.kind !== 'started')
      : [],
  );

beforeEach(() => clear());

describe('items at the lathe', () => {
  it('are made part by part; each piece is called by its part', async () => {
    atTheLathe([]);
    expect(await screen.findByText('stem 1 of 2')).toBeTruthy();
    const pieces = screen.getByRole('navigation', { name: 'Pieces' });
    expect(within(pieces).getByText('Stem')).toBeTruthy();
    expect(within(pieces).getByText('Body')).toBeTruthy();
    expect(within(pieces).getByRole('button', { name: 'Body 2, Saw the blank' })).toBeTruthy();
  });

  it('are joined from the pieces that were chosen, and say so', async () => {
    const { user, asked } = atTheLathe(whole(1, 2, 3, 4));
    expect(await screen.findByRole('heading', { name: join!.title })).toBeTruthy();
    // the drawing goes on: the place where it sits is the one large figure
    expect(screen.getByText('its middle')).toBeTruthy();
    const offered = screen.getByRole('radiogroup', { name: 'Goes with' });
    expect(within(offered).getByRole('radio', { name: 'body 1' }).getAttribute('aria-checked')).toBe('true');
    await user.click(within(offered).getByRole('radio', { name: 'body 2' }));
    await user.click(screen.getByRole('button', { name: 'It fits' }));
    await user.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() =>
      expect(bodiesOf(asked).map((e) => [e.piece, e.body])).toEqual([
        [1, { kind: 'tried', stepId: join!.id, fits: true, note: '' }],
        [1, { kind: 'joined', stepId: join!.id, pieces: [4] }],
        [1, { kind: 'done', stepId: join!.id }],
      ]),
    );
    // stem 2 is next, and body 2 is not offered again
    expect(await screen.findByText('stem 2 of 2')).toBeTruthy();
    const left = screen.getByRole('radiogroup', { name: 'Goes with' });
    expect(
      within(left)
        .getAllByRole('radio')
        .map((b) => b.textContent),
    ).toEqual(['body 1']);
    expect(screen.getByRole('button', { name: 'Body 2, joined to stem 1' })).toBeTruthy();
  });

  it('wait for the glue, then are looked over with their check', async () => {
    const joined = [
      recorded(1, { kind: 'joined', stepId: join!.id, pieces: [3] }),
      recorded(1, { kind: 'done', stepId: join!.id }),
    ];
    const { user } = atTheLathe([...whole(1, 3), ...joined]);
    await screen.findByText(/of 2$/);
    await user.click(screen.getByRole('button', { name: `Stem 1, ${look!.title}` }));
    expect(screen.getByRole('heading', { name: look!.title })).toBeTruthy();
    expect(screen.getByText('Spins on a plate')).toBeTruthy();
  });

  it('go on with a piece that was rejected by mistake', async () => {
    const { user } = atTheLathe([
      ...whole(1, 2, 3),
      recorded(4, { kind: 'rejected', stepId: 'part2/rough:round', cause: 'a knot' }),
    ]);
    await user.click(await screen.findByRole('button', { name: 'Body 2, rejected' }));
    await user.click(screen.getByRole('button', { name: 'It is good after all' }));
    // it is as it was, with its steps before it
    expect(await screen.findByRole('button', { name: /^Body 2, (?!rejected)/ })).toBeTruthy();
    expect(screen.queryByText(/■ Rejected/)).toBeNull();
    expect(screen.getByRole('button', { name: /^Done/ })).toBeTruthy();
  });

  it('take a spare for a piece that was rejected', async () => {
    const { user, asked, batch } = atTheLathe([
      ...whole(1, 2, 3),
      recorded(4, { kind: 'rejected', stepId: 'part2/rough:round', cause: 'a knot' }),
    ]);
    await user.click(await screen.findByRole('button', { name: 'Body 2, rejected' }));
    await user.click(screen.getByRole('button', { name: 'Make one more body' }));
    await waitFor(() =>
      expect(asked.find((a) => a.path.endsWith('/spares'))).toMatchObject({
        path: `/api/batches/${batch.id}/spares`,
        body: { partId: 'part2', count: 1 },
      }),
    );
    expect(await screen.findByRole('button', { name: 'One more is in the batch' })).toBeTruthy();
  });
});
