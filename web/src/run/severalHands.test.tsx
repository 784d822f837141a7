import 'fake-indexeddb/auto';
import { randomUUID } from 'node:crypto';
import { screen, waitFor, within } from '@testing-library/react';
import type { RunEvent, RunEventBody } from '@compas/core';
import { answersOf, exampleBatch, recorded } from '../../test/exampleBatch.js';
import { answering, shownInApp, unhurried } from '../../test/inApp.js';
import RunScreen from './RunScreen.js';

const OTHER = 'aaaa0000-0000-4000-8000-000000000000';
const SAW = 'saw:blank part1';
const FACE = 'face:reference end';

const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
const byOther = (piece: number, minutes: number, body: RunEventBody): RunEvent =>
  recorded(piece, body, { device: OTHER, at: ago(minutes) });

/** The lathe screen of a batch on which other tablets work as well, and the bodies of what it sends. */
function besideOthers(events: RunEvent[]) {
  const batch = { ...exampleBatch(events), id: randomUUID() };
  const sent: RunEvent[] = [];
  answering({
    ...answersOf(batch),
    [`POST /api/batches/${batch.id}/events`]: ({ body }) => {
      sent.push(...(body as { events: RunEvent[] }).events);
      return { body: { stored: 1, known: 0, setAside: [] } };
    },
  });
  const shown = shownInApp(<RunScreen />, { at: `/batches/${batch.id}/run`, path: '/batches/:id/run' });
  return { sent, batch, user: unhurried(shown.user) };
}

/** What was sent about beginning and ending, in short. */
const begunAndEnded = (sent: readonly RunEvent[]) =>
  sent.map(({ piece, body }) => `${body.kind} ${piece} ${'stepId' in body ? body.stepId : ''}`);

describe('what is taken back', () => {
  it('is in hand here from then on: another tablet does not take it up', async () => {
    const { sent, user } = besideOthers([recorded(1, { kind: 'done', stepId: SAW })]);
    await user.click(await screen.findByRole('button', { name: 'Done' }));
    expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^Take back: / }));
    await waitFor(() =>
      expect(begunAndEnded(sent).slice(-3)).toEqual([
        `started 2 ${SAW}`,
        `reopened 1 ${FACE}`,
        `started 1 ${FACE}`,
      ]),
    );
    // what was begun before it came back is begun anew when it is done
    await user.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() =>
      expect(begunAndEnded(sent).slice(-2)).toEqual([`done 1 ${FACE}`, `started 2 ${SAW}`]),
    );
  });

  it('is so too where a step of the list is said not to be done yet', async () => {
    const { sent, user } = besideOthers([recorded(2, { kind: 'done', stepId: SAW })]);
    await user.click(await screen.findByRole('button', { name: /^Piece 2,/ }));
    const steps = screen.getByRole('list', { name: 'Steps of this piece' });
    await user.click(within(steps).getByRole('button', { name: /Saw the blank/ }));
    await user.click(screen.getByRole('button', { name: 'It is not done yet' }));
    await waitFor(() =>
      expect(begunAndEnded(sent).slice(-2)).toEqual([`reopened 2 ${SAW}`, `started 2 ${SAW}`]),
    );
  });
});

describe('a piece that another tablet has begun', () => {
  it('is passed over: the next one comes up, and is begun here', async () => {
    const { sent } = besideOthers([byOther(1, 0.5, { kind: 'started', stepId: SAW })]);
    expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
    await waitFor(() =>
      expect(sent.map((e) => [e.piece, e.body])).toEqual([[2, { kind: 'started', stepId: SAW }]]),
    );
  });

  it('says who began it and when, when it is looked at all the same', async () => {
    const { user } = besideOthers([
      byOther(1, 0.6, { kind: 'handed', stepId: SAW, who: 'Ines' }),
      byOther(1, 0.5, { kind: 'started', stepId: SAW }),
    ]);
    await screen.findByText('piece 2 of 3');
    await user.click(screen.getByRole('button', { name: /^Piece 1,/ }));
    expect(await screen.findByText(/Begun by Ines at .*, and not ended/)).toBeTruthy();
  });

  it('comes up again when it is long over its time, and says so', async () => {
    besideOthers([byOther(1, 600, { kind: 'started', stepId: SAW })]);
    expect(await screen.findByText('piece 1 of 3')).toBeTruthy();
    expect(screen.getByText(/Begun by tablet aaaa at .*, and not ended/)).toBeTruthy();
  });
});

it('two readings of one place that differ are settled by a touch, which names them both', async () => {
  const { snapshot } = exampleBatch();
  const [part] = snapshot.plan.parts;
  const sizing = part.steps.find((s) => s.measures.length > 0)!;
  const stationId = sizing.measures[0]!;
  const read = (mm: number, device: string) =>
    recorded(1, { kind: 'measured', stepId: sizing.id, stationId, mm, typed: String(mm) }, { device });
  const size = part.stations.find((s) => s.id === stationId)!.finished;
  const [here, there] = [read(size, randomUUID()), read(size + 1, OTHER)];
  const before = part.steps.slice(0, part.steps.indexOf(sizing));
  const { sent, user } = besideOthers([
    ...before.map(({ id }) => recorded(1, { kind: 'done', stepId: id })),
    ...[2, 3].map((n) => recorded(n, { kind: 'rejected', stepId: SAW, cause: 'split' })),
    here,
    there,
  ]);
  const question = await screen.findByRole('group', { name: /^Which holds of/ });
  expect(screen.getByText(/two devices measured what cannot both be right/)).toBeTruthy();
  await user.click(within(question).getByRole('button', { name: /by tablet aaaa/ }));
  await waitFor(() =>
    expect(sent.map((e) => e.body)).toContainEqual({
      kind: 'settled',
      stepId: sizing.id,
      eventId: there.id,
      others: [here.id],
    }),
  );
  await waitFor(() => expect(screen.queryByRole('group', { name: /^Which holds of/ })).toBeNull());
  expect(screen.queryByText(/cannot both be right/)).toBeNull();
  expect(screen.getByText(/holds, instead of/)).toBeTruthy();
});

it('a step that is open at this tablet stays so when another hears of it later', async () => {
  const { sent } = besideOthers([
    recorded(1, { kind: 'done', stepId: SAW }),
    byOther(1, 0.2, { kind: 'started', stepId: FACE }),
  ]);
  expect(await screen.findByText('piece 2 of 3')).toBeTruthy();
  await waitFor(() => expect(sent.at(0)?.piece).toBe(2));
});
