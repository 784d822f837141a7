import { screen, waitFor } from '@testing-library/react';
import type { Reading, RunEventBody, Step } from '@compas/core';
import { useState } from 'react';
import { shownInApp } from '../../test/inApp.js';
import { ReadingEntry } from './ReadingEntry.js';
import { useReadings } from './useReadings.js';

const step = { id: 'measure', measures: ['collar', 'waist', 'foot'] } as unknown as Step;
const SIZE = { collar: 12, waist: 16, foot: 20 };
const station = (id: string) => ({
  id,
  label: id,
  x: 10,
  finished: SIZE[id as keyof typeof SIZE],
  cutTo: SIZE[id as keyof typeof SIZE],
  tolerance: 0.2,
  mating: false,
});

/** What the lathe screen does with readings, and a store that takes a while to keep each, or refuses. */
function Measuring({ keep }: { keep: (body: RunEventBody) => Promise<void> }) {
  const [kept, setKept] = useState<Reading[]>([]);
  const { open, failed, take } = useReadings(step, kept, async (body) => {
    await keep(body);
    if (body.kind === 'measured')
      setKept((k) => [
        ...k,
        { ...body, eventId: '', device: 'tablet', piece: 1, at: '2026-03-02T08:00:00.000Z' },
      ]);
  });
  const [at] = open;
  return at === undefined ? (
    <p>All measured</p>
  ) : (
    <ReadingEntry
      key={`${at} ${failed.has(at)}`}
      station={station(at)}
      again={failed.get(at)}
      take={(reading) => void take(at, reading)}
    />
  );
}

it('a calliper that types one reading after the other without a pause finds the place of each', async () => {
  const kept: string[] = [];
  const keep = async (body: RunEventBody) => {
    await new Promise((slow) => setTimeout(slow, 50));
    if (body.kind === 'measured') kept.push(`${body.stationId} ${body.mm}`);
  };
  const { user } = shownInApp(<Measuring keep={keep} />);
  await user.keyboard('12.1{Enter}16.05{Enter}19.9{Enter}');
  expect(await screen.findByText('All measured')).toBeTruthy();
  await waitFor(() => expect(kept).toEqual(['collar 12.1', 'waist 16.05', 'foot 19.9']));
});

it('a reading that could not be kept is back at its place as it was typed, and can be taken once more', async () => {
  let full = true;
  const kept: number[] = [];
  const keep = (body: RunEventBody) => {
    if (full) return Promise.reject(new DOMException('full', 'QuotaExceededError'));
    if (body.kind === 'measured') kept.push(body.mm);
    return Promise.resolve();
  };
  const { user } = shownInApp(<Measuring keep={keep} />);
  await user.keyboard('12.1{Enter}');
  expect((await screen.findByRole('alert')).textContent).toContain('could not keep it');
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Measure collar' }).value).toBe('12.1');
  full = false;
  await user.click(screen.getByRole('button', { name: 'Take the reading' }));
  expect(await screen.findByRole('textbox', { name: 'Measure waist' })).toBeTruthy();
  expect(kept).toEqual([12.1]);
});
