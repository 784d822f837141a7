import { screen } from '@testing-library/react';
import { answersOf, exampleBatch, recorded } from '../../test/exampleBatch.js';
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
