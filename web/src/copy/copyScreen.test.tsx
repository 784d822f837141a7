import {
  fitSample,
  plan,
  type FitWishes,
  type PatternBody,
  type SamplePoint,
  type Trace,
} from '@compas/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { answering, choose, shownInApp } from '../../test/inApp.js';
import { exampleInputs, exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import CopyScreen from './CopyScreen.js';

jest.mock('../workers/tracing.js', () => ({
  tracing: () => ({
    fit: (points: SamplePoint[], wishes: FitWishes) => Promise.resolve(fitSample(points, wishes)),
  }),
}));

/** The copy screen, where a sample is measured by calliper. */
async function byCalliper() {
  const asked = answering({
    'GET /api/workshop': () => ({ body: { name: 'Ours', version: 1, body: exampleWorkshop() } }),
    'GET /api/session': () => ({ body: { userName: 'Ines' } }),
    'GET /api/samples': () => ({ body: [] }),
    'POST /api/samples': ({ body }) => ({ status: 201, body: { ...(body as object), id: 's1' } }),
    'POST /api/patterns': ({ body }) => ({ status: 201, body: { ...(body as object), id: 'p1' } }),
  });
  shownInApp(<CopyScreen />);
  fireEvent.click(await screen.findByRole('tab', { name: 'By calliper' }));
  return asked;
}

function type(label: string, text: string) {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
}

/** Rows of place and diameter, typed one after the other. */
function measure(rows: readonly [number, number][]) {
  rows.forEach(([at, diameter], i) => {
    type(`Place ${i + 1}`, String(at));
    type(`Diameter ${i + 1}`, String(diameter));
  });
}

const knob: [number, number][] = [
  [0, 20],
  [10, 20],
  [14, 28],
  [18, 20],
  [30, 12],
];

it('a bead that is named at its crown is copied as it was measured, with kind, wood, names and gauges', async () => {
  const asked = await byCalliper();
  measure(knob);
  await choose('What is at place 3', 'crown of a bead');
  const crown = await screen.findByLabelText('Name of element 2');
  expect(crown.getAttribute('placeholder')).toBe('bead');
  fireEvent.change(crown, { target: { value: 'collar' } });
  fireEvent.click(screen.getByRole('checkbox', { name: /^12\.0.*at 30\.0/ }));
  fireEvent.click(screen.getByRole('checkbox', { name: /^at 10\.0/ }));
  fireEvent.change(screen.getByLabelText('Name of the copy'), { target: { value: 'Old knob' } });
  await choose('Kind of item', 'stopper');
  await choose('Usual material', 'Ash');
  fireEvent.click(screen.getByRole('button', { name: 'Make the pattern' }));
  await waitFor(() => expect(asked.some((a) => a.path === '/api/patterns')).toBe(true));

  const { name, body } = asked.find((a) => a.path === '/api/patterns')?.body as {
    name: string;
    body: PatternBody;
  };
  expect(name).toBe('Old knob');
  expect(body.kind).toBe('stopper');
  const [part] = body.parts;
  expect(part.materialId).toBe('ash');
  expect(part.turnings[0].elements.map((e) => [e.kind, e.name])).toEqual([
    ['cylinder', undefined],
    ['bead', 'collar'],
    ['taper', undefined],
  ]);
  expect(part.ways?.map(({ decides, by }) => [decides, by])).toEqual([
    [{ kind: 'without', on: { kind: 'step', id: 'size:e3.end' } }, 'Ines'],
    [{ kind: 'unmarked', markId: 'e1.end' }, 'Ines'],
  ]);
  // what is not gauged is not among the steps of a plan of it, the other places are
  const { workshop, stock, order, schools } = exampleInputs(2);
  const planned = plan({ ...body }, workshop, stock, order, schools).parts[0];
  const sized = planned.steps.filter((step) => step.id.startsWith('size:'));
  expect(sized.map((step) => step.id)).toEqual(expect.arrayContaining(['size:e2.crest']));
  expect(sized.map((step) => step.id)).not.toContain('size:e3.end');
  // nor has its stick a notch where none was wanted
  expect(planned.layout.marks.map((m) => m.id)).toEqual(['start', 'e2.crest', 'e2.end', 'e3.end']);

  const kept = asked.find((a) => a.path === '/api/samples' && a.method === 'POST')?.body as { trace: Trace };
  expect(kept.trace.seen).toEqual([{ at: 2, is: 'crown' }]);
});

it('what was not named is said to be a guess, never sure', async () => {
  await byCalliper();
  measure(knob);
  const findings = await screen.findByRole('list', { name: 'Findings' });
  expect(findings.textContent).toMatch(/Taken for a bead: the one place measured at 14/);
  expect(findings.textContent).toMatch(/small bead or groove there is lost/);
  expect(screen.queryByText(/sure everywhere/)).toBeNull();
});

it('a piece that ends in a point ends in one', async () => {
  await byCalliper();
  measure(knob.slice(0, 2));
  type('Place 3', '40');
  await choose('What is at place 3', 'a point, ⌀ 0');
  expect(await screen.findByLabelText('Name of element 2')).toBeTruthy();
  expect(screen.getByLabelText('Name of element 2').getAttribute('placeholder')).toBe('taper');
});

it('two elements become one curve, and two again', async () => {
  await byCalliper();
  measure([...knob, [60, 16]]);
  await choose('What is at place 3', 'crown of a bead');
  await screen.findByLabelText('Name of element 4');
  fireEvent.click(await screen.findByLabelText('One curve with the element before 4'));
  await waitFor(() => expect(screen.queryByLabelText('Name of element 4')).toBeNull());
  expect(screen.getByLabelText('Name of element 3').getAttribute('placeholder')).toBe('fair curve');
  fireEvent.click(screen.getByRole('button', { name: 'Undo the last curve' }));
  expect(await screen.findByLabelText('Name of element 4')).toBeTruthy();
});

it('a calliper that types goes on to the next diameter', async () => {
  await byCalliper();
  const first = screen.getByLabelText('Diameter 1');
  first.focus();
  fireEvent.change(first, { target: { value: '20' } });
  fireEvent.keyDown(first, { key: 'Enter' });
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Diameter 2')));
});

it('what was said of an element stays with its place when more is measured', async () => {
  await byCalliper();
  measure(knob);
  await choose('What is at place 3', 'crown of a bead');
  fireEvent.change(await screen.findByLabelText('Name of element 3'), { target: { value: 'neck' } });
  fireEvent.click(screen.getByRole('checkbox', { name: /^12\.0.*at 30\.0/ }));
  fireEvent.click(screen.getByRole('checkbox', { name: /^at 18\.0/ }));
  // a step measured before it: what was the third element is the fourth now, and a fifth follows
  type('Place 6', '10');
  type('Diameter 6', '24');
  await waitFor(() => expect(screen.queryByLabelText('Name of element 4')).toBeTruthy());
  await waitFor(() =>
    expect(screen.getByDisplayValue('neck').getAttribute('aria-label')).toBe('Name of element 4'),
  );
  expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /^12\.0.*at 30\.0/ }).checked).toBe(false);
  expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /^at 18\.0/ }).checked).toBe(false);
  expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /^at 13\.6/ }).checked).toBe(true);
});
