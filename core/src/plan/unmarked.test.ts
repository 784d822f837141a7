import { partOf, planned, said, way } from '../../test/exampleWays.js';

const usual = partOf({});
const ids = (part: typeof usual) => part.layout.marks.map(({ id }) => id);
const words = (part: typeof usual) => part.steps.find((s) => s.id === 'mark:stick')?.words.join(' ');
// neither an end nor what is measured from
const dropped = usual.layout.marks[1]!.id;
const unmarked = way({ kind: 'unmarked', markId: dropped });

it('a place that needs no notch gets none: on the stick, in the step, and it says so', () => {
  const part = partOf({ pattern: [unmarked] });
  expect(ids(part)).toEqual(ids(usual).filter((id) => id !== dropped));
  expect(words(usual)).toContain(`its ${usual.layout.marks.length} notches`);
  expect(words(part)).toContain(`its ${usual.layout.marks.length - 1} notches`);
  expect(part.own?.map(({ way, scope }) => [way.id, scope])).toEqual([[unmarked.id, 'pattern']]);
});

it('nothing else changes by it: what is sized, measured and cut', () => {
  const part = partOf({ order: [unmarked] });
  expect(part.layout.sizing).toEqual(usual.layout.sizing);
  expect(part.layout.along).toEqual(usual.layout.along);
  expect(part.steps.map((s) => s.id)).toEqual(usual.steps.map((s) => s.id));
});

it.each([
  ['an end', usual.layout.marks.at(-1)!.id],
  ['what all is measured from', 'start'],
  ['what is not there', 'gone'],
])('%s stays, and the decision is said to have no place', (_, markId) => {
  const { parts, findings } = planned({ order: [way({ kind: 'unmarked', markId })] });
  expect(ids(parts[0])).toEqual(ids(usual));
  const [lost] = said(findings, 'own.homeless');
  expect(lost).toMatchObject({ stage: 'mark', severity: 'warn' });
  expect(lost?.what).toContain(`no mark for ${markId}`);
});

it('the mark that was chosen to measure from stays as well', () => {
  const plan = planned({ order: [unmarked] });
  expect(plan.parts[0].layout.marks.some((m) => m.id === dropped)).toBe(false);
  const from = planned({ order: [unmarked], datum: dropped });
  expect(from.parts[0].layout.marks.some((m) => m.id === dropped)).toBe(true);
});
