import { dim, speak } from '../measure/index.js';
import { STARTING_FORMS, type PatternBody } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan, stepsOfPlan } from './index.js';

const { workshop, stock, order, schools } = exampleInputs(1);

/** Of every place that is parted down and set by calliper both figures, as they are read. */
const figuresOf = (body: PatternBody) => {
  const made = plan({ ...body, hardware: [] }, workshop, stock, order, schools);
  return stepsOfPlan(made).flatMap(({ operation, words }) => {
    if (operation?.kind !== 'size') return [];
    const read = words.map((w) => speak(w, 'mm')).join(' ');
    const parted = /Part down to ([\d.]+ mm)/.exec(read)?.[1];
    const set = /[Ss]et (?:a|the) [a-z ]*calliper to ([\d.]+ mm)/.exec(read)?.[1];
    return parted && set ? [{ parted, set }] : [];
  });
};

it('what a place is parted down to is what the calliper is set to, on every form', () => {
  const figures = STARTING_FORMS.flatMap((form) => figuresOf(form.body({}, 'beech')));
  expect(figures.length).toBeGreaterThan(40);
  expect(figures.filter(({ parted, set }) => parted !== set)).toEqual([]);
});

it('so it is in a shallow hollow, which rises a little within the width of the tool', () => {
  const body = STARTING_FORMS.find((f) => f.id === 'rolling-pin')!.body({}, 'beech');
  const [turning] = body.parts[0].turnings;
  turning.startDiameter = dim(24);
  const figures = Array.from({ length: 14 }, (_, i) => 14 + 2 * i).flatMap((length) => {
    turning.elements = [
      { kind: 'cylinder', id: 'a', length: dim(40) },
      { kind: 'cove', id: 'b', length: dim(length), bottom: dim(20) },
      { kind: 'cylinder', id: 'c', length: dim(40) },
    ];
    return figuresOf(body);
  });
  expect(figures.filter(({ parted, set }) => parted !== set)).toEqual([]);
  // flat ones are at their size, in narrow ones the tool stops above it
  expect(new Set(figures.map((f) => f.set)).size).toBeGreaterThan(2);
});
