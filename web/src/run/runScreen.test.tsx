import 'fake-indexeddb/auto';
import type { RunEvent } from '@compas/core';
import { randomUUID } from 'node:crypto';
import { screen, waitFor, within } from '@testing-library/react';
import { clear, get, set } from 'idb-keyval';
import { answersOf, exampleBatch, recorded } from '../../test/exampleBatch.js';
import { answering, shownInApp, unhurried, type Asked } from '../../test/inApp.js';
import { queued } from './keptEvents.js';
import RunScreen from './RunScreen.js';

const stored = { body: { stored: 1, known: 0, setAside: [] } };

/** The first run of a piece: sawn, and its drilled end squared. */
const SAW = 'saw:blank part1';
const FACE = 'face:reference end';
const sawn = (piece: number) => [
  recorded(piece, { kind: 'done', stepId: SAW }),
  recorded(piece, { kind: 'done', stepId: FACE }),
];

/** Id of the batch at hand: a screen of the test before may still be sending what it had. */
let atHand = '';
/** A batch of its own for each test: what another left in the queue is not sent here. */
const someBatch = (events: RunEvent[] = []) => ({ ...exampleBatch(events), id: (atHand = randomUUID()) });

/** The lathe screen of a batch, and what it sends. */
function atTheLathe(events: RunEvent[] = [], network: () => boolean = () => true) {
  const batch = someBatch(events);
  const answers = answersOf(batch);
  const asked = answering({
    ...answers,
    [`POST /api/batches/${batch.id}/events`]: () => {
      if (!network()) throw new TypeError('fetch failed');
      return stored;
    },
  });
  const shown = shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
  return { ...shown, user: unhurried(shown.user), batch, asked };
}

const sentOf = (asked: Asked[]): RunEvent[] =>
  asked.flatMap((a) =>
    a.method === 'POST' && a.path.includes(atHand) ? (a.body as { events: RunEvent[] }).events : [],
  );
const bodiesOf = (asked: Asked[], piece: number) =>
  sentOf(asked)
    .filter((e) => e.piece === piece && e.body.kind !== 'started')
    .map((e) => e.body);

/** Id of the event that said a step is done. */
const idOfDone = (asked: Asked[], stepId: string) =>
  sentOf(asked).find((e) => e.body.kind === 'done' && e.body.stepId === stepId)?.id;

beforeEach(() => clear());

describe('the lathe screen', () => {
  it('records a step as done for the piece on the screen, once, and goes on to the next', async () => {
    const { user, asked } = atTheLathe();
    await user.click(await screen.findByRole('button', { name: 'Done' }));
    await waitFor(() => expect(bodiesOf(asked, 1)).toEqual([{ kind: 'done', stepId: SAW }]));
    // the saw is still set for this piece: its end is squared before the next one is sawn
    expect(await screen.findByRole('heading', { name: 'Square the reference end' })).toBeTruthy();
    expect(screen.getByText('piece 1 of 3')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Done' }));
    expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
  });

  it('ends all that is done in one set-up with one tap, each step recorded on its own', async () => {
    const { user, asked } = atTheLathe();
    await user.click(await screen.findByRole('button', { name: /^All 2 done, up to: Square/ }));
    await waitFor(() =>
      expect(bodiesOf(asked, 1)).toEqual([
        { kind: 'done', stepId: SAW },
        { kind: 'done', stepId: FACE },
      ]),
    );
    expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
  });

  it('shows the wood as it stands and where the step works, and lists the steps of the run at hand', async () => {
    const { user, container } = atTheLathe();
    await screen.findByRole('button', { name: 'Done' });
    const steps = () => screen.getByRole('list', { name: 'Steps of this piece' });
    await user.click(within(steps()).getByRole('button', { name: /Rough, size, shape/ }));
    const own = within(steps()).getByText('Rough, size, shape').parentElement!;
    expect(within(own).getByRole('button', { name: /Trial fit/ })).toBeTruthy();
    await user.click(within(own).getByRole('button', { name: /Size: collar/ }));
    expect(container.querySelectorAll('.standing-edge').length).toBe(1);
    expect(container.querySelector('.work-place rect')).toBeTruthy();
    // what it is parted down to is the one large figure, and stands in the words too
    expect(container.querySelector('.run-figure')!.textContent).toContain('35.2');
    expect(container.querySelector('.run-words')!.textContent).toMatch(/Part down to 35\.2\smm, /);
  });

  it('goes piece by piece when it is told to, and takes up any piece that is touched', async () => {
    const { user } = atTheLathe(sawn(1));
    expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
    await user.click(screen.getByText('piece by piece'));
    expect(await screen.findByText('piece 1 of 3')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^Piece 3,/ }));
    expect(await screen.findByText('piece 3 of 3')).toBeTruthy();
  });

  it('takes back a step that was called done by mistake, on the piece that is looked at', async () => {
    const mistaken = recorded(2, { kind: 'done', stepId: SAW });
    const { user, asked } = atTheLathe([mistaken]);
    await user.click(await screen.findByRole('button', { name: /^Piece 2,/ }));
    const steps = screen.getByRole('list', { name: 'Steps of this piece' });
    await user.click(within(steps).getByRole('button', { name: /^\S* ?(Saw the blank|Saw, square)/ }));
    await user.click(screen.getByRole('button', { name: 'It is not done yet' }));
    await waitFor(() =>
      expect(bodiesOf(asked, 2)).toEqual([{ kind: 'reopened', stepId: SAW, eventId: mistaken.id }]),
    );
  });

  it('takes the last tap back where it was made, all that it ended, until the next one', async () => {
    const { user, asked } = atTheLathe();
    expect(screen.queryByRole('button', { name: /^Take back/ })).toBeNull();
    await user.click(await screen.findByRole('button', { name: /^All 2 done/ }));
    await user.click(await screen.findByRole('button', { name: 'Take back: 2 steps, piece 1' }));
    await waitFor(() =>
      expect(bodiesOf(asked, 1).slice(2)).toEqual([
        { kind: 'reopened', stepId: FACE, eventId: idOfDone(asked, FACE) },
        { kind: 'reopened', stepId: SAW, eventId: idOfDone(asked, SAW) },
      ]),
    );
    expect(await screen.findByRole('heading', { name: 'Saw the blank' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Take back/ })).toBeNull();
  });

  it('the last tap can be taken back once more where this device could not keep that it was', async () => {
    const { user, asked } = atTheLathe();
    await user.click(await screen.findByRole('button', { name: 'Done' }));
    const back = await screen.findByRole('button', { name: /^Take back: Saw the blank/ });
    await waitFor(() => expect(bodiesOf(asked, 1)).toHaveLength(1));
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await user.click(back);
    expect(await screen.findByRole('button', { name: /^Take back: Saw the blank/ })).toBeTruthy();
    full.mockRestore();
    await user.click(screen.getByRole('button', { name: /^Take back: Saw the blank/ }));
    await waitFor(() => expect(bodiesOf(asked, 1).at(-1)).toMatchObject({ kind: 'reopened', stepId: SAW }));
  });

  it('offers the single step first on the first piece, and all of the set-up from the second on', async () => {
    const { user, container } = atTheLathe();
    await screen.findByRole('button', { name: 'Done' });
    const large = () => container.querySelector('.run-bar .run-go')!.textContent;
    expect(large()).toBe('Done');
    await user.click(screen.getByRole('button', { name: /^Piece 2,/ }));
    expect(large()).toMatch(/^All 2 done/);
    // what gives the piece up stands at the other end
    expect(container.querySelector('.run-bar-away')!.textContent).toBe('Reject this piece');
  });

  it('stops a piece whose fit did not hold, red in the row, until it holds', async () => {
    const steps = exampleBatch().snapshot.plan.parts[0].steps;
    const upToFit = steps.slice(0, steps.findIndex((s) => s.trialFit) + 1);
    const { user } = atTheLathe([
      ...upToFit.map((s) => recorded(1, { kind: 'done', stepId: s.id })),
      recorded(1, { kind: 'tried', stepId: 'try:fit', fits: false, note: 'a hair' }),
    ]);
    const button = await screen.findByRole('button', { name: 'Piece 1, did not hold: Trial fit' });
    expect(button.dataset['state']).toBe('failed');
    await user.click(button);
    expect(screen.getByText(/it did not hold. Cut again/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Done' })).toBeNull();
  });

  it('keeps the hand and the light on the tablet', async () => {
    localStorage.clear();
    const { user, container, unmount } = atTheLathe();
    await user.click(await screen.findByRole('button', { name: 'Bright' }));
    await user.click(screen.getByText('left hand'));
    const main = () => container.querySelector('main')!;
    expect([main().dataset['light'], main().dataset['hand']]).toEqual(['bright', 'left']);
    unmount();
    const again = atTheLathe();
    await screen.findByRole('button', { name: 'Dark' });
    const shown = again.container.querySelector('main')!;
    expect([shown.dataset['light'], shown.dataset['hand']]).toEqual(['bright', 'left']);
    localStorage.setItem('compas.tablet', '[broken');
    again.unmount();
    const third = atTheLathe();
    await screen.findByRole('button', { name: 'Bright' });
    expect(third.container.querySelector('main')!.dataset['hand']).toBe('right');
  });

  it('keeps what is recorded without a network and sends it later, in order', async () => {
    let up = false;
    const { user, asked } = atTheLathe([], () => up);
    await user.click(await screen.findByRole('button', { name: 'Done' }));
    // begun, done, and the next one begun
    expect(await screen.findByText(/no connection, 3 kept here/)).toBeTruthy();
    const lost = asked.length;
    up = true;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(screen.getByText(/all saved/)).toBeTruthy());
    const arrived = sentOf(asked.slice(lost));
    expect(arrived.map((e) => [e.piece, e.body.kind])).toEqual([
      [1, 'started'],
      [1, 'done'],
      [1, 'started'],
    ]);
    expect(arrived.map((e) => e.sequence)).toEqual(arrived.map((_, i) => arrived[0]!.sequence + i));
  });

  it('sends at once what is recorded while what came last is still being read', async () => {
    const batch = someBatch();
    const answers = answersOf(batch);
    const events = `GET /api/batches/${batch.id}/events` as const;
    let reads = 0;
    const asked = answering({
      ...answers,
      [`POST /api/batches/${batch.id}/events`]: () => stored,
      // from the second on the network swallows what is asked
      [events]: () => (++reads > 1 ? new Promise(() => undefined) : answers[events]!()),
    });
    const { user } = shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
    await screen.findByRole('button', { name: 'Done' });
    await waitFor(() => expect(reads).toBeGreaterThan(1));
    await user.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(bodiesOf(asked, 1)).toEqual([{ kind: 'done', stepId: SAW }]));
  });

  it('opens from what is kept when nothing answers within three seconds, and says how old that is', async () => {
    const first = atTheLathe(sawn(1));
    await screen.findByText('piece 2 of 3');
    first.unmount();
    answering(
      Object.fromEntries(
        Object.keys(answersOf(first.batch)).map((q) => [q, () => new Promise(() => undefined)]),
      ),
    );
    const seen = await get<{ seenAt: number }>(`batch/${first.batch.id}`);
    await set(`batch/${first.batch.id}`, { ...seen, seenAt: Date.UTC(2026, 2, 2, 9, 30) });
    shownInApp(<RunScreen />, { at: `/batches/${first.batch.id}/run`, path: '/batches/:id/run' });
    expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
    expect(screen.getByRole('status').textContent).toMatch(
      /^○ no (answer|connection) since Mon 2 Mar, \d\d:30/,
    );
  });

  it('still counts what was sent and not read back, when it is opened again without a network', async () => {
    let up = true;
    const { user, unmount, batch, asked } = atTheLathe([], () => up);
    await user.click(await screen.findByRole('button', { name: /^All 2 done/ }));
    await waitFor(() => expect(bodiesOf(asked, 1)).toHaveLength(2));
    // what the server answers about the batch is as it was before: the tablet has read nothing back
    await waitFor(async () => expect(await queued(batch.id)).toEqual([]));
    unmount();
    up = false;
    answering({});
    shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
    expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
  });

  it('does not call done what the server could not read: it stands aside with its words, and is sent again', async () => {
    const batch = someBatch();
    let reads = false;
    const asked = answering({
      ...answersOf(batch),
      [`POST /api/batches/${batch.id}/events`]: ({ body }) =>
        !reads && (body as { events: RunEvent[] }).events.some((e) => e.body.kind === 'done')
          ? { status: 422, body: { type: 'x', title: 'x', status: 422, detail: 'It names no step.' } }
          : stored,
    });
    const { user } = shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
    await user.click(await screen.findByRole('button', { name: 'Done' }));
    expect(await screen.findByText('▲ 1 put aside')).toBeTruthy();
    expect(screen.getByText('Piece 1, done: It names no step.')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Saw the blank' })).toBeTruthy();
    reads = true;
    await user.click(screen.getByRole('button', { name: 'Send again' }));
    expect(await screen.findByRole('heading', { name: 'Square the reference end' })).toBeTruthy();
    await waitFor(() => expect(bodiesOf(asked, 1).at(-1)).toEqual({ kind: 'done', stepId: SAW }));
  });

  it('says it where this device keeps nothing more, leaves the cause as typed, and takes it when there is room', async () => {
    const { asked, user } = atTheLathe();
    await user.click(await screen.findByRole('button', { name: 'Reject this piece' }));
    await user.type(screen.getByLabelText('What was the cause?'), 'a hidden knot');
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await user.click(screen.getByRole('button', { name: 'Reject' }));
    expect((await screen.findByRole('alert')).textContent).toContain('could not keep that');
    full.mockRestore();
    expect(screen.getByLabelText('What was the cause?')).toHaveProperty('value', 'a hidden knot');
    await user.click(screen.getByRole('button', { name: 'Reject' }));
    await waitFor(() =>
      expect(bodiesOf(asked, 1)).toEqual([{ kind: 'rejected', stepId: SAW, cause: 'a hidden knot' }]),
    );
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('goes on sending after the store of the browser refused once', async () => {
    const { asked, user } = atTheLathe();
    const refused = jest.spyOn(IDBObjectStore.prototype, 'get').mockImplementationOnce(() => {
      throw new DOMException('busy', 'UnknownError');
    });
    await user.click(await screen.findByRole('button', { name: 'Done' }));
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(bodiesOf(asked, 1).length).toBeGreaterThan(0));
    expect(refused).toHaveBeenCalled();
    refused.mockRestore();
  });

  it('asks only for events after those it has, and never for the plan again', async () => {
    const events = sawn(1);
    const { asked, client, batch } = atTheLathe(events);
    await screen.findByText('piece 2 of 3');
    await client.invalidateQueries({ queryKey: ['run', batch.id] });
    const reads = asked.filter((a) => a.method === 'GET').map((a) => a.path);
    expect(reads.filter((p) => p.startsWith('/api/snapshots/'))).toHaveLength(1);
    // it also looks of its own accord from time to time
    const [first, ...others] = reads.filter((p) => p.includes('/events?'));
    expect(first).toBe(`/api/batches/${batch.id}/events?after=0`);
    expect(new Set(others)).toEqual(new Set([`/api/batches/${batch.id}/events?after=2`]));
  });
});
