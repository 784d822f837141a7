import { plan, threeUnits, type Decision, type Finding, type OwnWay } from '@compas/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { base, press, sent, shownStage as shown, type, way } from '../../../test/decidedStage.js';
import { answering, choose, shownInApp } from '../../../test/inApp.js';
import { KeepPlan } from '../KeepPlan.js';
import { waysIn, waysText } from './waysInAddress.js';

const NO_SANDING: Decision = { kind: 'grits', grits: [], burnish: false };

describe('how it is sanded', () => {
  it('is decided where it stands, followed at once, and taken back', async () => {
    const { kept } = await shown('surface');
    expect(screen.getByRole('heading', { name: /^Sand with 5 grits/ })).toBeTruthy();
    press('Sand it otherwise');
    press('none, straight from the tool');
    type('Why: Sand it otherwise', 'crisp beads');
    press('Do it so');
    expect(screen.getByRole('heading', { name: 'Straight from the tool' })).toBeTruthy();
    const own = screen.getByRole('list', { name: 'Done your way' });
    expect(own.textContent).toContain('No sanding (usually P150, P180, P240, P320, P400)');
    expect(own.textContent).toContain('this order');
    expect(own.textContent).toContain('“crisp beads”');
    expect(kept.at(-1)?.[0]?.decides).toEqual(NO_SANDING);
    press('As usual: No sanding'.replace('No', 'no'));
    expect(kept.at(-1)).toEqual([]);
    expect(screen.queryByRole('list', { name: 'Done your way' })).toBeNull();
  });

  it('for a wood it is a habit of the workshop, by the wood and not by ids', async () => {
    const { kept, asked } = await shown('surface');
    press('Sand it otherwise');
    press('none, straight from the tool');
    await choose('Holds for: Sand it otherwise', 'everything in hard maple');
    press('Do it so');
    await waitFor(() => expect(sent(asked, 'PUT')).toBeTruthy());
    expect(sent(asked, 'PUT')).toMatchObject({ basedOn: 3 });
    expect(sent(asked, 'PUT').body.ways).toMatchObject([
      { materialId: 'maple', decides: NO_SANDING, by: 'Ines' },
    ]);
    expect(kept).toEqual([]);
  });

  it('for the pattern it is a revision of it', async () => {
    const { asked } = await shown('surface');
    press('Sand it otherwise');
    fireEvent.click(screen.getByLabelText('burnish with its own shavings'));
    await choose('Holds for: Sand it otherwise', 'this pattern, always');
    press('Do it so');
    await waitFor(() => expect(sent(asked, 'PUT')).toBeTruthy());
    expect(sent(asked, 'PUT').basedOn).toBe(7);
    expect(sent(asked, 'PUT').body.parts[0]?.ways[0]?.decides).toMatchObject({
      kind: 'grits',
      burnish: true,
    });
  });

  it('of a pattern that is edited nothing is saved from a plan: its editor does that', async () => {
    await shown('surface', { edited: true });
    press('Sand it otherwise');
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Holds for: Sand it otherwise' }));
    expect(await screen.findByTitle('everything in hard maple')).toBeTruthy();
    expect(screen.queryByTitle('this pattern, always')).toBeNull();
  });

  it('a habit is left for once, or for good', async () => {
    const habit = way(NO_SANDING, { materialId: 'maple' });
    const { kept, asked } = await shown('surface', { habits: [habit] });
    expect(screen.getByRole('list', { name: 'Done your way' }).textContent).toContain(
      'everything in hard maple · Ines, Sun 1 Mar',
    );
    press('As usual: no sanding');
    await waitFor(() => expect(sent(asked, 'PUT').body.ways).toEqual([]));
    press('Not this time: no sanding');
    expect(kept.at(-1)?.[0]?.decides).toEqual({ kind: 'usual', wayId: 'w1' });
    expect(screen.getByRole('heading', { name: /^Sand with 5 grits/ })).toBeTruthy();
    expect(screen.getByRole('list', { name: 'Done your way' }).textContent).toContain(
      'Not this time: no sanding',
    );
    press('Do it after all: no sanding');
    expect(kept.at(-1)).toEqual([]);
    expect(screen.getByRole('heading', { name: 'Straight from the tool' })).toBeTruthy();
  });
});

describe('one step', () => {
  const open = (what: string) => {
    press('Otherwise: Collar');
    fireEvent.click(within(screen.getByLabelText('What of: Collar')).getByText(what));
  };

  it('has other minutes, for itself or for all that are alike', async () => {
    const { kept, asked } = await shown('turn');
    open('its minutes');
    type('Minutes: Collar', '4');
    press('Do it so');
    expect(kept.at(-1)?.[0]?.decides).toEqual({
      kind: 'minutes',
      on: { kind: 'step', id: 'shape:e3' },
      minutes: 4,
    });
    expect(screen.getByRole('list', { name: 'Done your way' }).textContent).toMatch(
      /4 min for “Collar” \(usually [\d.]+ min\)/,
    );
    open('its minutes');
    await choose('Holds for: its minutes: Collar', 'everything made here');
    expect(screen.getByText('It will hold for every bead that is shaped.')).toBeTruthy();
    press('Do it so');
    await waitFor(() =>
      expect(sent(asked, 'PUT').body.ways[0]?.decides).toMatchObject({
        on: { kind: 'like', does: 'shape', of: 'bead' },
      }),
    );
  });

  it('is cut with another tool', async () => {
    const { kept } = await shown('turn');
    open('its tool');
    await choose('Tool: Collar', 'Spindle gouge');
    press('Do it so');
    expect(kept.at(-1)?.[0]?.decides).toMatchObject({ kind: 'tool', toolId: 'sg' });
    expect(screen.getByText(/^Spindle gouge for “Collar”/)).toBeTruthy();
  });

  it('is left out only with a reason, and can be taken in again', async () => {
    const { kept } = await shown('turn');
    open('leave it out');
    expect(screen.getByRole('button', { name: 'Do it so' })).toHaveProperty('disabled', true);
    type(/^Why: leave it out/, 'carved later');
    press('Do it so');
    expect(screen.queryByRole('button', { name: 'Otherwise: Collar' })).toBeNull();
    expect(screen.getByText('Without “Collar”')).toBeTruthy();
    press(/^As usual: without/);
    expect(kept.at(-1)).toEqual([]);
    expect(screen.getByRole('button', { name: 'Otherwise: Collar' })).toBeTruthy();
  });

  it('is followed by one of one’s own', async () => {
    const { kept } = await shown('turn');
    open('own step after it');
    expect(screen.getByRole('button', { name: 'Do it so' })).toHaveProperty('disabled', true);
    type('What is done', 'Rub in chalk');
    type('How', 'White, into the grooves.');
    press('Do it so');
    expect(kept.at(-1)?.[0]?.decides).toMatchObject({
      kind: 'extra',
      step: { title: 'Rub in chalk', after: 'shape:e3', place: 'bench' },
    });
    const lines = [...screen.getByRole('list', { name: 'How it is made' }).querySelectorAll('li > b')].map(
      (b) => b.textContent,
    );
    expect(lines[lines.indexOf('Collar') + 1]).toBe('Rub in chalk');
  });
});

it('a speed of the belt is set for one stage', async () => {
  const { kept } = await shown('turn');
  press('Set another speed');
  await choose('rpm', '1900 rpm');
  press('Do it so');
  expect(kept.at(-1)?.[0]?.decides).toEqual({ kind: 'speed', stage: 'shape', rpm: 1900 });
});

it('a hole is drilled deeper', async () => {
  const { kept } = await shown('drill');
  press('Drill the insert hole otherwise');
  fireEvent.click(within(screen.getByLabelText('What of the insert hole')).getByText('depth'));
  const depth = screen.getByLabelText('Depth of the insert hole');
  fireEvent.change(depth, { target: { value: '30' } });
  fireEvent.blur(depth);
  press('Do it so');
  expect(kept.at(-1)?.[0]?.decides).toMatchObject({ kind: 'depth', mm: 30 });
  expect(screen.getByRole('list', { name: 'Done your way' }).textContent).toMatch(
    /^The insert hole 30\.0.mm deep/,
  );
});

it('waste is left at an end', async () => {
  const stock = await shown('stock');
  press('Leave more or less waste');
  fireEvent.click(within(screen.getByLabelText('End of the blank')).getByText('at the tail'));
  const waste = screen.getByLabelText('Waste');
  fireEvent.change(waste, { target: { value: '25' } });
  fireEvent.blur(waste);
  press('Do it so');
  expect(stock.kept.at(-1)?.[0]?.decides).toEqual({ kind: 'waste', end: 'tail', mm: 25 });
});

it('a mark is left out, for this order or always', async () => {
  const { kept } = await shown('mark');
  press('Leave a mark out');
  expect(screen.getByRole('button', { name: 'Do it so' })).toHaveProperty('disabled', true);
  const { marks } = plan(base.pattern, base.workshop, base.stock, base.order, base.schools).parts[0].layout;
  await choose('Mark that is left out', `${marks[1]!.label}, ${threeUnits(marks[1]!.from ?? 0)}`);
  press('Do it so');
  expect(kept.at(-1)?.[0]?.decides).toEqual({ kind: 'unmarked', markId: marks[1]!.id });
});

it('a mark that was left out is told, and comes back', async () => {
  const { marks } = plan(base.pattern, base.workshop, base.stock, base.order, base.schools).parts[0].layout;
  const { kept } = await shown('mark', { ways: [way({ kind: 'unmarked', markId: marks[1]!.id })] });
  expect(screen.getByRole('list', { name: 'Done your way' }).textContent).toContain(
    `No mark for ${marks[1]!.label}`,
  );
  press(/^As usual: no mark/);
  expect(kept.at(-1)).toEqual([]);
});

it('a glue is given another time, in hours', async () => {
  const { kept } = await shown('assemble');
  press(/^Give the glue: .* another time$/);
  type(/^Hours: the glue/, '20');
  press('Do it so');
  expect(kept.at(-1)?.[0]?.decides).toMatchObject({ kind: 'cure', minutes: 1200 });
});

it('what has no place any more is shown, and can be taken back', async () => {
  const lost = way({ kind: 'depth', holeId: 'gone', mm: 20 });
  const { kept } = await shown('drill', { ways: [lost] });
  const own = screen.getByRole('list', { name: 'Done your way' });
  expect(own.textContent).toContain('what it is about is not there any more');
  press(/^As usual: the gone/);
  expect(kept.at(-1)).toEqual([]);
});

it('a Stop is gone past with a reason, and stops again', async () => {
  const hole = plan(base.pattern, base.workshop, base.stock, base.order, base.schools).parts[0].drilling[0]!;
  const { kept } = await shown('turn', { ways: [way({ kind: 'depth', holeId: hole.id, mm: 61.9 })] });
  press('Go past it, with a reason');
  expect(screen.getByRole('button', { name: 'Go past it' })).toHaveProperty('disabled', true);
  type(/^Why past/, 'a plug covers it');
  press('Go past it');
  expect(kept.at(-1)?.at(-1)).toMatchObject({
    decides: { kind: 'past', finding: 'drill.wall.part1' },
    why: 'a plug covers it',
  });
  expect(screen.getByText(/a plug covers it \(Ines\)/)).toBeTruthy();
  press('Stop here again');
  expect(kept.at(-1)).toHaveLength(1);
});

describe('keeping a plan', () => {
  const stop: Finding = {
    id: 'x.stop',
    severity: 'stop',
    stage: 'mount',
    what: 'No screw.',
    why: '',
    remedy: '',
  };
  const keeping = (findings: Finding[]) => {
    answering({ 'GET /api/session': () => ({ body: { userName: 'Ines' } }) });
    const onKeep = jest.fn<undefined, [readonly OwnWay[]]>();
    shownInApp(<KeepPlan findings={findings} pending={false} onKeep={onKeep} />);
    press('Keep the plan');
    return onKeep;
  };

  it('without a Stop asks nothing', () => {
    expect(keeping([]).mock.calls).toEqual([[[]]]);
  });

  it('with Stops asks once, and keeps the reason for each', () => {
    const onKeep = keeping([stop, { ...stop, id: 'y.stop' }]);
    expect(onKeep).not.toHaveBeenCalled();
    type('Why keep it all the same', 'borrowed next door');
    press('Go past and keep it');
    expect(onKeep.mock.calls[0]?.[0].map(({ decides, why }) => [decides, why])).toEqual(
      ['x.stop', 'y.stop'].map((finding) => [{ kind: 'past', finding }, 'borrowed next door']),
    );
  });

  it('never goes past wood that nothing holds', () => {
    keeping([{ ...stop, final: true }]);
    expect(screen.queryByRole('button', { name: 'Go past and keep it' })).toBeNull();
    press('Leave it');
    expect(screen.getByRole('button', { name: 'Keep the plan' })).toBeTruthy();
  });
});

it('own ways pass through an address as they are; what is no way is left out', () => {
  const ways = [way(NO_SANDING)];
  expect(waysIn(waysText(ways))).toEqual(ways);
  expect(waysText([])).toBeNull();
  expect(waysIn('{broken')).toEqual([]);
  expect(
    waysIn(
      JSON.stringify([
        { id: 'a' },
        { ...ways[0], decides: { kind: 'magic' } },
        { ...ways[0], decides: { kind: 'grits' } },
        { ...ways[0], decides: { kind: 'extra', step: {} } },
        5,
        ...ways,
      ]),
    ),
  ).toEqual(ways);
});
