import {
  checkWorkshop,
  type Habit,
  keysOf,
  newWorkshop,
  sawingOf,
  SPEED_SCHOOLS,
  UNITS,
  type Workshop,
} from '@compas/core';
import { fireEvent, screen, within } from '@testing-library/react';
import { useState, type ComponentType } from 'react';
import { choose, shownInApp } from '../../test/inApp.js';
import { HabitsSection, HoursSection } from './HabitsSection.js';
import { LatheSection } from './LatheSection.js';
import { SawingSection } from './SawingSection.js';

let workshop: Workshop;
/** what it has beside what a new one has */
let owned: Partial<Workshop> = {};

/** A section of the workshop, edited in place. */
function Bench({
  Section,
}: {
  Section: ComponentType<{ workshop: Workshop; onChange: (w: Workshop) => void }>;
}) {
  const [now, setNow] = useState({ ...newWorkshop('UTC', 'mm'), ...owned });
  workshop = now;
  return <Section workshop={now} onChange={setNow} />;
}
const shown = (Section: Parameters<typeof Bench>[0]['Section']) => shownInApp(<Bench Section={Section} />);

describe('saws', () => {
  it('write each field to its own, and nothing else', () => {
    shown(SawingSection);
    const before = sawingOf(workshop);
    const fields = screen
      .getAllByRole('textbox')
      .filter((f) => f.id !== '' && f.getAttribute('aria-label') === null);
    const lengths = keysOf(before).filter((key) => typeof before[key] === 'number');
    expect(fields).toHaveLength(lengths.length);
    fields.forEach((field, i) => {
      fireEvent.change(field, { target: { value: String(7 + i) } });
      fireEvent.blur(field);
    });
    const after = sawingOf(workshop);
    const words = fields.map((f) => document.querySelector(`label[for="${f.id}"]`)?.textContent);
    expect(new Set(words).size).toBe(fields.length);
    expect(lengths.map((key) => after[key]).sort()).toEqual(fields.map((_, i) => 7 + i).sort());
    expect(after.ripKerf).toBe(7 + words.indexOf('Kerf of the rip saw'));
    expect(after.crossKerf).toBe(7 + words.indexOf('Kerf of the crosscut saw'));
    expect(after.endTrim).toBe(7 + words.indexOf('Cut off each end of new stock'));
    expect(after.splitDrift).toBe(7 + words.indexOf('A split drifts, over a metre'));
  });

  it('take the money by its letters', async () => {
    const { user } = shown(SawingSection);
    const money = screen.getByRole('textbox', { name: 'Stock is paid in' });
    await user.clear(money);
    await user.type(money, 'chf');
    expect(workshop.currency).toBe('CHF');
  });
});

describe('working hours', () => {
  const minutes = () => workshop.hours.windows.reduce((sum, w) => sum + w.to - w.from, 0);

  it('grow by a span that lies after those of its day, never over one', async () => {
    const { user } = shown(HoursSection);
    for (let i = 0; i < 3; i++) {
      const before = minutes();
      await user.click(screen.getByRole('button', { name: 'Add a span on Saturday' }));
      expect(minutes()).toBeGreaterThan(before);
      expect(checkWorkshop(workshop).filter((p) => p.field.includes('hours'))).toEqual([]);
    }
    const saturday = workshop.hours.windows.filter((w) => w.weekday === 6);
    expect(saturday).toHaveLength(3);
    saturday.slice(1).forEach((w, i) => expect(w.from).toBeGreaterThanOrEqual(saturday[i]!.to));
  });

  it('lose only the span that is taken away', async () => {
    const { user } = shown(HoursSection);
    const before = workshop.hours.windows;
    const [first] = screen.getAllByRole('button', { name: 'Take away a span on Monday' });
    await user.click(first!);
    const gone = before.findIndex((w) => w.weekday === 1);
    expect(workshop.hours.windows).toEqual(before.filter((_, i) => i !== gone));
  });

  it('keep the time zone as it is typed', async () => {
    const { user } = shown(HoursSection);
    const zone = screen.getByRole('textbox', { name: 'Time zone' });
    await user.clear(zone);
    await user.type(zone, 'Asia/Tokyo');
    expect(workshop.hours.timeZone).toBe('Asia/Tokyo');
  });
});

describe('habits', () => {
  it('offer every unit and every school there is', async () => {
    shown(HabitsSection);
    for (const [units, words] of Object.entries(UNITS)) {
      await choose('Lengths are read in', words);
      expect(workshop.units).toBe(units);
    }
    await choose('Speed school', SPEED_SCHOOLS['surface-speed']);
    expect(workshop.schools.speed).toBe('surface-speed');
    await choose('A batch goes', 'piece by piece');
    expect(workshop.schools.batching).toBe('by-piece');
    await choose('Holes are drilled', 'after shaping');
    expect(workshop.schools).toEqual({
      speed: 'surface-speed',
      batching: 'by-piece',
      drilling: 'after shaping',
    });
  });

  it('write the ends of the speed band apart', () => {
    shown(HabitsSection);
    const low = screen.getByLabelText(/low end/);
    fireEvent.change(low, { target: { value: '100000' } });
    fireEvent.blur(low);
    expect(workshop.speedBand.low).toBe(100_000);
    expect(workshop.speedBand.high).toBe(newWorkshop('UTC', 'mm').speedBand.high);
  });
});

describe('the lathe', () => {
  it('is driven as is chosen, with what that drive needs', async () => {
    const { lathe } = newWorkshop('UTC', 'mm');
    owned = { lathe: { ...lathe, drive: { kind: 'pulleys', speeds: [430, 1180] } } };
    shown(LatheSection);
    owned = {};
    await choose('Driven by', 'treadle or pole');
    expect(workshop.lathe.drive).toEqual({ kind: 'treadle' });
    expect(screen.getByText('Plans leave speeds out.')).toBeTruthy();
    await choose('Driven by', 'motor, any speed in a range');
    const slowest = screen.getByLabelText('Slowest, rpm');
    fireEvent.change(slowest, { target: { value: '333' } });
    fireEvent.blur(slowest);
    expect(workshop.lathe.drive).toMatchObject({ kind: 'range', slowest: 333 });
    expect(within(document.body).getByLabelText('Fastest, rpm')).toBeTruthy();
    // back at the belt its own speeds are there, not fresh ones
    await choose('Driven by', 'motor with belt steps');
    expect(workshop.lathe.drive).toEqual({ kind: 'pulleys', speeds: [430, 1180] });
  });
});

describe('what is always done one’s own way', () => {
  const habit = (id: string, more: object): Habit => ({
    id,
    decides: { kind: 'grits', grits: [], burnish: false },
    why: 'crisp beads',
    by: 'Ines',
    at: '2026-03-01T08:00:00.000Z',
    ...more,
  });
  afterEach(() => (owned = {}));

  it('stands among the habits with its wood, who, when and why, and is taken back one by one', () => {
    owned = { ways: [habit('a', { materialId: 'maple' }), habit('b', { why: '' })] };
    shown(HabitsSection);
    const list = screen.getByRole('list', { name: 'Always done your way' });
    const lines = within(list).getAllByRole('listitem');
    expect(lines[0]?.textContent).toMatch(
      /^no sanding · everything in hard maple · Ines, Sun 1 Mar · “crisp beads”/,
    );
    expect(lines[1]?.textContent).toContain('everything made here');
    fireEvent.click(within(lines[0]!).getByRole('button', { name: 'Never again: no sanding' }));
    expect(workshop.ways?.map((w) => w.id)).toEqual(['b']);
  });

  it('where there is none, it says where one is made', () => {
    shown(HabitsSection);
    expect(screen.getByText(/is decided on a plan/)).toBeTruthy();
  });
});
