import { stepDoes } from '@compas/core';
import { screen, within } from '@testing-library/react';
import { answersOf, exampleBatch, recorded } from '../../test/exampleBatch.js';
import { exampleTops, madeWhole } from '../../test/exampleItems.js';
import { answering, shownInApp } from '../../test/inApp.js';
import TwinsScreen from './TwinsScreen.js';

// charts draw on a canvas, which this page has not
jest.mock('./StationChart.js', () => ({ __esModule: true, default: () => null }));

const { stations } = exampleBatch().snapshot.plan.parts[0];
const [station] = stations;
const measured = (piece: number, mm: number) =>
  recorded(piece, {
    kind: 'measured',
    stepId: 'measure',
    stationId: station!.id,
    mm,
    typed: String(mm),
  });

const shown = async (events: ReturnType<typeof recorded>[]) => {
  const batch = exampleBatch(events);
  answering(answersOf(batch));
  shownInApp(<TwinsScreen />, { at: `/batches/${batch.id}/twins`, path: '/batches/:id/twins' });
  await screen.findByRole('navigation', { name: 'Stages' });
  return document.body.textContent ?? '';
};

describe('twins', () => {
  const good = station!.finished;

  it('are drawn on the piece where they were measured, and nowhere else', async () => {
    await shown([]);
    const bands = () => [...document.querySelectorAll('.tolerance')];
    expect(bands()).toEqual([]);
    document.body.innerHTML = '';
    // the first station lies at the end of the piece
    await shown([measured(1, good)]);
    const marks = [...document.querySelectorAll('.strip-ruler line')].map((l) =>
      Number(l.getAttribute('x1')),
    );
    const [band, ...others] = bands();
    expect(others).toEqual([]);
    const x = Number(band!.getAttribute('x'));
    expect(x).toBeGreaterThanOrEqual(Math.min(...marks) - 1e-6);
    expect(x + Number(band!.getAttribute('width'))).toBeLessThanOrEqual(Math.max(...marks) + 1e-6);
  });

  it('are judged by what was corrected, not by the slip', async () => {
    const slip = measured(2, good * 10);
    const corrected = recorded(2, {
      kind: 'corrected',
      eventId: slip.id,
      mm: good,
      typed: String(good),
      why: 'decimal point',
    });
    const before = await shown([measured(1, good), slip, measured(3, good)]);
    document.body.innerHTML = '';
    const after = await shown([measured(1, good), slip, measured(3, good), corrected]);
    document.body.innerHTML = '';
    const never = await shown([measured(1, good), measured(2, good), measured(3, good)]);
    expect(before).not.toBe(never);
    expect(after).toBe(never);
  });

  it('leave a rejected piece out of the verdict', async () => {
    const out = good + 3;
    const with2 = await shown([measured(1, good), measured(2, out), measured(3, good)]);
    document.body.innerHTML = '';
    const without2 = await shown([
      measured(1, good),
      measured(2, out),
      measured(3, good),
      recorded(2, { kind: 'rejected', stepId: 'measure', cause: 'too fat' }),
    ]);
    const fat = (text: string) => (text.match(/too fat|rework|fat/gi) ?? []).length;
    expect(fat(with2)).toBeGreaterThan(0);
    expect(without2).not.toBe(with2);
  });
});

describe('what was noted at the lathe', () => {
  const shape = exampleBatch().snapshot.plan.parts[0].steps.find((s) => stepDoes(s, 'shape'))!;
  const noted = recorded(2, { kind: 'noted', stepId: shape.id, words: 'took it down a hair' });

  it('leads to the pattern at the element, and to the plan at the step, with the note in hand', async () => {
    await shown([noted]);
    const link = (name: string) => new URL(screen.getByRole<HTMLAnchorElement>('link', { name }).href);
    expect(screen.getByText(new RegExp(`^piece 2, ${shape.title}: took it down a hair`))).toBeTruthy();
    const next = link('Into the next revision');
    expect(next.pathname).toMatch(/^\/patterns\/[^/]+$/);
    expect(Object.fromEntries(next.searchParams)).toEqual({
      noted: 'took it down a hair',
      where: `piece 2, ${shape.title}`,
      about: shape.operation!.subject,
    });
    const always = link('Do it always so');
    expect(always.pathname).toMatch(/\/plan\/turn$/);
    expect(always.searchParams.get('about')).toBe(shape.id);
  });
});

describe('twins of items', () => {
  const plain = exampleTops(2);
  const [join, look] = plain.snapshot.plan.item!.steps;
  const done = (piece: number, stepId: string) => recorded(piece, { kind: 'done', stepId });
  const checked = (piece: number, passed: boolean, value: number) =>
    recorded(piece, { kind: 'checked', stepId: look!.id, checkId: 'spins', passed, value });
  const events = [
    ...[1, 2, 3, 4].flatMap((n) => madeWhole(plain, n)),
    recorded(1, { kind: 'joined', stepId: join!.id, pieces: [4] }),
    done(1, join!.id),
    checked(1, true, 24),
    done(1, look!.id),
  ];

  /** The table of items, a row for each. */
  async function items(more: ReturnType<typeof recorded>[]) {
    const batch = exampleTops(2, [...events, ...more]);
    answering(answersOf(batch));
    const { user } = shownInApp(<TwinsScreen />, {
      at: `/batches/${batch.id}/twins`,
      path: '/batches/:id/twins',
    });
    const region = await screen.findByRole('region', { name: /items are together/ });
    const rows = within(region).getAllByRole('row').slice(1);
    return {
      user,
      region,
      rows: rows.map((r) =>
        within(r)
          .getAllByRole('cell')
          .map((c) => c.textContent),
      ),
    };
  }

  it('say what each is made of, what was found, and how many are together', async () => {
    const { region, rows } = await items([]);
    expect(within(region).getByRole('heading').textContent).toBe('1 of 2 items are together');
    expect(rows).toEqual([
      ['1', 'stem 1, body 2', '✓ 24 s', '✓ together'],
      ['2', 'stem 2', '–', '· not joined yet'],
    ]);
  });

  it('count none as good that failed its check, or was rejected when it was together', async () => {
    const failed = await items([
      recorded(2, { kind: 'joined', stepId: join!.id, pieces: [3] }),
      done(2, join!.id),
      checked(2, false, 6),
      done(2, look!.id),
      recorded(1, { kind: 'rejected', stepId: look!.id, cause: 'the body came loose' }),
    ]);
    expect(failed.rows.map((r) => r[3])).toEqual(['■ rejected', '■ failed a check']);
    expect(within(failed.region).getByRole('heading').textContent).toContain('0 of 2');
  });

  it('judge each part by itself', async () => {
    const station = plain.snapshot.plan.parts[1]!.stations[0]!;
    const measured = recorded(4, {
      kind: 'measured',
      stepId: 'part2/measure:all',
      stationId: station.id,
      mm: station.finished + 3,
      typed: '',
    });
    const { user } = await items([measured]);
    expect(document.body.textContent).not.toContain('body 2fat');
    await user.click(screen.getByText('Body × 2'));
    const line = screen.getByRole('row', { name: /^body 2/ });
    expect(line.textContent).toContain('fat');
    expect(screen.getByRole('row', { name: /^body 1/ }).textContent).not.toContain('fat');
  });
});

it('whose what was recorded is stands by name', async () => {
  const batch = exampleBatch([measured(1, station!.finished)]);
  answering({
    ...answersOf(batch),
    [`GET /api/batches/${batch.id}/credit`]: () => ({
      body: [
        { name: 'Maren Oxley', steps: 12, readings: 1 },
        { name: 'Tobi Ferrow', steps: 1, readings: 0 },
        { name: 'Wren Ashdown', steps: 0, readings: 0 },
      ],
    }),
  });
  shownInApp(<TwinsScreen />, { at: `/batches/${batch.id}/twins`, path: '/batches/:id/twins' });
  expect(
    await screen.findByText(
      'Recorded by Maren Oxley (12 steps, 1 reading), Tobi Ferrow (1 step, 0 readings).',
    ),
  ).toBeTruthy();
});
