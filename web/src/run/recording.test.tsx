import {
  dim,
  lotsOf,
  progressOf,
  type AcceptanceCheck,
  type Dimension,
  type RunEventBody,
  type Station,
} from '@compas/core';
import { fireEvent, screen } from '@testing-library/react';
import { exampleBatch, recorded } from '../../test/exampleBatch.js';
import { shownInApp } from '../../test/inApp.js';
import { CheckEntry } from './CheckEntry.js';
import { ReadingEntry } from './ReadingEntry.js';
import { Reject } from './Reject.js';
import { StepTimers } from './StepTimers.js';
import { TrialFit } from './TrialFit.js';
import { Waiting } from './Waiting.js';

const { snapshot } = exampleBatch();
const [part] = snapshot.plan.parts;
const SAW = 'saw:blank part1';
const stepOf = (id: string) => part.steps.find((s) => s.id === id)!;
const untouched = () => progressOf(lotsOf([{ partId: part.partId, pieces: 1 }]), [], part.steps).pieces[0]!;
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

/** What was recorded, in order. */
function recorder() {
  const bodies: RunEventBody[] = [];
  return { bodies, record: (body: RunEventBody) => Promise.resolve(bodies.push(body) > 0) };
}

describe('a trial fit', () => {
  const step = stepOf('try:fit');

  it('that does not fit yet is recorded as one that does not, with what is left', async () => {
    const { bodies, record } = recorder();
    const { user } = shownInApp(<TrialFit step={step} state={untouched()} record={record} />);
    await user.type(screen.getByRole('textbox', { name: 'What is left to remove' }), ' a hair ');
    press('Not yet');
    expect(bodies).toEqual([{ kind: 'tried', stepId: 'try:fit', fits: false, note: 'a hair' }]);
  });

  it('that this device could not keep leaves its words as typed', async () => {
    const { user } = shownInApp(
      <TrialFit step={step} state={untouched()} record={() => Promise.resolve(false)} />,
    );
    await user.type(screen.getByRole('textbox', { name: 'What is left to remove' }), 'a hair');
    await user.click(screen.getByRole('button', { name: 'Not yet' }));
    expect(screen.getByRole('textbox')).toHaveProperty('value', 'a hair');
  });

  it('that fits is recorded so, and shows the last answer', () => {
    const { bodies, record } = recorder();
    const state = { ...untouched(), tried: new Map([['try:fit', false]]) };
    shownInApp(<TrialFit step={step} state={state} record={record} />);
    expect(screen.getByRole('button', { name: 'Not yet' }).getAttribute('aria-pressed')).toBe('true');
    expect(screen.getByRole('button', { name: 'It fits' }).getAttribute('aria-pressed')).toBe('false');
    press('It fits');
    expect(bodies).toEqual([{ kind: 'tried', stepId: 'try:fit', fits: true, note: '' }]);
  });
});

describe('a check', () => {
  const check = (rest: Partial<AcceptanceCheck>): AcceptanceCheck => ({
    id: 'seam',
    kind: 'felt',
    words: 'A fingernail does not catch',
    stage: 'assemble',
    ...rest,
  });
  const shown = (own: AcceptanceCheck) => {
    const { bodies, record } = recorder();
    const rendered = shownInApp(
      <CheckEntry check={own} step={stepOf('measure:all')} state={untouched()} record={record} />,
    );
    return { bodies, ...rendered };
  };

  it('that does not hold is recorded as failed, not as made', () => {
    const { bodies } = shown(check({}));
    press('It does not');
    expect(bodies).toEqual([{ kind: 'checked', stepId: 'measure:all', checkId: 'seam', passed: false }]);
  });

  it('by a number holds only within its limits, and keeps the number either way', async () => {
    const { bodies, user } = shown(check({ kind: 'number', least: 60, most: 64, unit: 'mm' }));
    const holds = () => screen.getByRole<HTMLButtonElement>('button', { name: 'It holds' });
    const input = screen.getByRole('textbox', { name: 'from 60 to 64 mm' });
    expect(holds().disabled).toBe(true);
    await user.type(input, '64,5');
    expect(holds().disabled).toBe(true);
    press('It does not');
    expect(bodies.at(-1)).toMatchObject({ passed: false, value: 64.5 });
    await user.clear(input);
    await user.type(input, '63,5');
    expect(holds().disabled).toBe(false);
    press('It holds');
    expect(bodies.at(-1)).toMatchObject({ passed: true, value: 63.5 });
  });
});

describe('a timer', () => {
  const timed = { ...stepOf('sanded:all:P150'), timers: [{ id: 'P150', label: 'P150', minutes: 1.5 }] };
  const at = Date.UTC(2026, 2, 2, 8);
  const label = (now: number, begun?: number) => {
    const { record, bodies } = recorder();
    const timers = new Map(begun === undefined ? [] : [['sanded:all:P150/P150', begun]]);
    const { unmount } = shownInApp(
      <StepTimers step={timed} state={{ ...untouched(), timers }} now={now} record={record} />,
    );
    const button = screen.getByRole('button');
    const found = { words: button.getAttribute('aria-label'), text: button.textContent };
    fireEvent.click(button);
    unmount();
    return { ...found, bodies };
  };

  it('shows its whole time, then the seconds that are truly left, then that it is over', () => {
    expect(label(at).text).toBe('P1501:30');
    expect(label(at + 20_000, at).text).toBe('P1501:10');
    expect(label(at + 89_001, at).words).toBe('P150, 1 seconds left');
    expect(label(at + 90_000, at).text).toBe('P150over');
    expect(label(at).bodies).toEqual([{ kind: 'timed', stepId: 'sanded:all:P150', timerId: 'P150' }]);
  });
});

describe('a wait', () => {
  it('says how long it is, rounded up to the minute that is not over, and until when', () => {
    const now = Date.UTC(2026, 2, 2, 8, 0, 30);
    const next = {
      kind: 'wait' as const,
      piece: 2,
      step: stepOf('rough:round'),
      until: Date.UTC(2026, 2, 2, 9, 2),
      what: 'the glue cures',
    };
    shownInApp(
      <Waiting
        next={next}
        now={now}
        timeZone="UTC"
        label="piece 2"
        back={null}
        tone={false}
        onOpen={() => undefined}
      />,
    );
    expect(screen.getByText('1 h 2 min')).toBeTruthy();
    expect(screen.getByText(/until Mon 2 Mar, 09:02/)).toBeTruthy();
    expect(screen.getByText(/piece 2/)).toBeTruthy();
  });

  it('names no hour for what waits for something that is not there', () => {
    const now = Date.UTC(2026, 2, 2, 8);
    const what = 'No piece is left to go with it: make a spare, or put this one aside.';
    const next = { kind: 'wait' as const, piece: 2, step: stepOf('rough:round'), until: now, what };
    shownInApp(
      <Waiting
        next={next}
        now={now}
        timeZone="UTC"
        label="stem 2"
        back={null}
        tone={false}
        onOpen={() => undefined}
      />,
    );
    expect(screen.getByRole('heading', { name: what })).toBeTruthy();
    expect(document.body.textContent).toContain('Then: Rough to round, stem 2.');
    expect(document.body.textContent).not.toMatch(/until|\d min/);
  });
});

describe('a reading', () => {
  const station: Station = {
    id: 'collar',
    label: 'collar',
    x: 10,
    finished: 12,
    cutTo: 12.2,
    tolerance: 0.2,
    mating: false,
  };
  const typed = async (text: string) => {
    const taken: Dimension[] = [];
    const { user } = shownInApp(
      <ReadingEntry station={station} again={undefined} take={(reading) => taken.push(reading)} />,
    );
    await user.type(screen.getByRole('textbox', { name: 'Measure collar' }), text);
    press('Take the reading');
    return taken;
  };
  const measured = (mm: number, text: string) => ({ mm, typed: text });

  it('is taken as it was typed', async () => expect(await typed('12.1')).toEqual([measured(12.1, '12.1')]));

  it('that cannot be meant is asked about; “No, it is…” keeps the number that was typed', async () => {
    const bodies = await typed('120');
    expect(bodies).toEqual([]);
    press('No, it is 120');
    expect(bodies).toEqual([measured(120, '120')]);
  });

  it('put right keeps what was typed beside the likely number', async () => {
    const bodies = await typed('120');
    press('Yes');
    expect(bodies).toMatchObject([measured(12, '120')]);
  });

  it('that is no number stays in the field with a sentence, and nothing is recorded', async () => {
    const bodies = await typed('twelve');
    expect(screen.getByRole('alert').textContent).not.toBe('');
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Measure collar' }).value).toBe('twelve');
    expect(bodies).toEqual([]);
  });
});

describe('a rejection', () => {
  it('is recorded with its cause only, and can be thought better of', async () => {
    const causes: string[] = [];
    const { user } = shownInApp(<Reject onReject={(cause) => Promise.resolve(void causes.push(cause))} />);
    press('Reject this piece');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Reject' }).disabled).toBe(true);
    press('Keep it');
    press('Reject this piece');
    await user.type(screen.getByRole('combobox'), ' knot ');
    press('Reject');
    expect(causes).toEqual(['knot']);
  });
});

it('a plan of the tests has what they look at', () => {
  for (const id of ['try:fit', 'measure:all', 'sanded:all:P150', 'rough:round'])
    expect(stepOf(id)).toBeDefined();
  expect(recorded(1, { kind: 'started', stepId: SAW }).piece).toBe(1);
  expect(dim(1).mm).toBe(1);
});
