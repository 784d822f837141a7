import { snapshotOf } from '@compas/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { exampleInputs, exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { answering, shownInApp } from '../../test/inApp.js';
import type { BatchSummary } from '../api/batches.js';
import Bench from './Bench.js';

const line = (id: string, title: string) => ({
  id,
  partId: 'p',
  title,
  stage: 'turn' as const,
  wait: null,
  locks: [],
});

const batch = (i: number, rest: Partial<BatchSummary> = {}): BatchSummary => ({
  id: `b${i}`,
  name: `Lot ${i}`,
  customer: 'The inn',
  due: null,
  patternId: 'p',
  patternName: 'Stopper',
  revision: 1,
  pieces: 4,
  planVersion: 1,
  putAway: false,
  plannedEnd: '2026-03-05T10:00:00',
  stepsDone: 3,
  stepsInAll: 12,
  rejected: 0,
  failed: 0,
  lots: [{ partId: 'p', first: 1, count: 4 }],
  parts: [
    {
      partId: 'p',
      name: 'Body',
      materialId: 'ash',
      blank: snapshotOf(exampleInputs(4)).plan.parts[0].blank,
      octagon: false,
      begun: 0,
    },
  ],
  next: { kind: 'do', piece: 2, step: line('saw', 'Saw the blank') },
  ...rest,
});

/** The Bench with such batches on it. */
async function onTheBench(batches: BatchSummary[], drafts: object[] = []) {
  const asked = answering({
    'GET /api/batches': () => ({ body: { batches, next: null } }),
    'GET /api/workshop': () => ({
      body: { id: 'w', name: 'Shop', version: 1, body: exampleWorkshop() },
    }),
    'GET /api/stock': () => ({ body: [] }),
    'GET /api/kits': () => ({ body: { kits: [] } }),
    'GET /api/drying': () => ({ body: [] }),
    'GET /api/drafts': () => ({ body: drafts }),
    'DELETE /api/drafts/p7': () => ({ status: 204 }),
    'PUT /api/batches/b1/put-away': () => ({ body: {} }),
  });
  const shown = shownInApp(<Bench />);
  await screen.findByRole('heading', { level: 1 });
  const group = (title: string) =>
    within(screen.getByRole('heading', { name: title }).closest('section')!)
      .queryAllByRole('heading', { level: 3 })
      .map((h) => h.textContent);
  return { ...shown, asked, group };
}

describe('the Bench', () => {
  it('says by group what can go on, what waits and until when, and what is finished', async () => {
    const until = Date.now() + 3_600_000;
    const { group } = await onTheBench([
      batch(1, { next: { kind: 'finished' } }),
      batch(2, {
        next: { kind: 'wait', piece: 1, step: line('turn', 'Rough it'), until, what: 'Glue cures' },
      }),
      batch(3),
      // a wait that is over is work again
      batch(4, {
        next: {
          kind: 'wait',
          piece: 1,
          step: line('turn', 'Rough it'),
          until: 5,
          what: 'Glue cures',
        },
      }),
    ]);
    expect(group('Can go on now')).toEqual(['Lot 3', 'Lot 4']);
    expect(group('Waits')).toEqual(['Lot 2']);
    expect(group('Finished, to be looked at')).toEqual(['Lot 1']);
    expect(screen.getByText(/Glue cures/).textContent).toContain('until');
  });

  it('says on how many pieces a check did not hold', async () => {
    await onTheBench([batch(1, { failed: 2 }), batch(2)]);
    expect(screen.getAllByText(/did not hold/)).toHaveLength(1);
    expect(screen.getByText(/On 2 a check or a fit did not hold/)).toBeTruthy();
  });

  it('puts what is due first on top, and what will be late says so', async () => {
    const { group } = await onTheBench([
      batch(1),
      batch(2, { due: '2026-03-20' }),
      batch(3, { due: '2026-03-04' }),
    ]);
    expect(group('Can go on now')).toEqual(['Lot 3', 'Lot 2', 'Lot 1']);
    expect(screen.getAllByText(/planned to be ready/)).toHaveLength(1);
  });

  it('shows twenty at once and the others when they are asked for', async () => {
    const { group, user } = await onTheBench(Array.from({ length: 25 }, (_, i) => batch(i)));
    expect(group('Can go on now')).toHaveLength(20);
    await user.click(screen.getByRole('button', { name: 'Show the other 5' }));
    expect(group('Can go on now')).toHaveLength(25);
  });

  it('puts a finished batch away', async () => {
    const { user, asked } = await onTheBench([batch(1, { next: { kind: 'finished' } })]);
    await user.click(screen.getByRole('button', { name: 'Put away' }));
    expect(asked.find((a) => a.method === 'PUT')).toMatchObject({
      path: '/api/batches/b1/put-away',
      body: { putAway: true },
    });
  });
});

describe('a bench with nothing on it', () => {
  const empty = (patterns: unknown[], demo: boolean) => {
    const asked = answering({
      'GET /api/batches': () => ({ body: { batches: [], next: null } }),
      'GET /api/workshop': () => ({ body: { id: 'w', name: 'Shop', version: 1, body: exampleWorkshop() } }),
      'GET /api/session': () => ({ body: { userName: 'Ines', demo } }),
      'GET /api/patterns': () => ({ body: { patterns, next: null } }),
      'POST /api/session/demo': () => ({ body: { userName: 'Maren', demo } }),
    });
    shownInApp(<Bench />);
    return asked;
  };

  it('shows three ways in: a form, a sample, a batch half made', async () => {
    const asked = empty([], true);
    expect((await screen.findByRole('link', { name: 'Begin with a form' })).getAttribute('href')).toBe(
      '/patterns/new',
    );
    expect(screen.getByRole('link', { name: 'Copy a sample' }).getAttribute('href')).toBe('/patterns/copy');
    expect(screen.queryByRole('link', { name: 'Choose a pattern' })).toBeNull();
    fireEvent.click(await screen.findByRole('button', { name: 'Look at a batch half made' }));
    await waitFor(() => expect(asked.some((a) => a.path === '/api/session/demo')).toBe(true));
  });

  it('chooses from the patterns there are, and offers no demo where none is open', async () => {
    empty([{ id: 'p', name: 'Stopper' }], false);
    expect(await screen.findByRole('link', { name: 'Choose a pattern' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Look at a batch half made' })).toBeNull();
  });
});

describe('plans that are begun', () => {
  const draft = {
    patternId: 'p7',
    patternName: 'Gallery finial',
    choices: 'pieces=12&for=The+inn&mount=chuck',
    changedBy: 'Ines',
    changedAt: '2026-03-02T09:00:00Z',
  };

  it('lie on the Bench with how many and for whom, go on where they were left, and can be dropped', async () => {
    const { asked } = await onTheBench([batch(1)], [draft]);
    const row = (await screen.findByRole('heading', { name: 'Gallery finial' })).closest('article')!;
    expect(row.textContent).toContain('12 pieces for The inn');
    expect(row.textContent).toContain('Ines');
    expect(within(row).getByRole('link', { name: 'Go on planning' }).getAttribute('href')).toBe(
      `/patterns/p7/plan/stock?${draft.choices}`,
    );
    fireEvent.click(within(row).getByRole('button', { name: 'Drop it' }));
    await waitFor(() => expect(asked.some((a) => a.method === 'DELETE')).toBe(true));
  });

  it('lie there too where nothing is made yet', async () => {
    await onTheBench([], [{ ...draft, choices: 'mount=chuck' }]);
    expect(await screen.findByText('neither how many nor for whom is said yet')).toBeDefined();
  });
});
