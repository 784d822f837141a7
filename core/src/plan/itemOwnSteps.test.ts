import { STARTING_FORMS, type PatternBody } from '../pattern/index.js';
import { way } from '../../test/exampleWays.js';
import { exampleInputs } from './exampleShop.js';
import { chosenSchedule, plan } from './plan.js';

const top: PatternBody = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'maple');

describe('an own step of the item', () => {
  const example = exampleInputs(2);
  const own = (after: string) =>
    way({
      kind: 'extra',
      step: {
        title: 'True both together',
        words: 'Light cuts.',
        place: 'lathe',
        minutes: 6,
        after,
        makes: [],
      },
    });
  const made = (...ways: ReturnType<typeof way>[]) => {
    const { materialId, finishId, perBlank, mount } = example.order;
    const others = top.parts
      .slice(1)
      .map(({ id }) => ({ partId: id, materialId, finishId, perBlank, mount }));
    const order = { ...example.order, others, ways };
    return plan(top, example.workshop, example.stock, order, example.schools);
  };
  const usual = made();
  const [join, look] = usual.item!.steps;

  it('stands behind the join, waits for its cure, and comes before the whole is looked over', () => {
    const after = made(own(join!.id));
    const steps = after.item!.steps;
    const at = steps.findIndex((s) => s.title === 'True both together');
    expect(steps.map((s) => s.title)).toEqual([join!.title, 'True both together', look!.title]);
    expect(steps[at]).toMatchObject({ item: true, minutes: 6, setup: { place: 'lathe' } });
    expect(steps[at]!.takes).toBeUndefined();
    expect(steps[at]!.locks).toEqual([expect.objectContaining({ stepId: join!.id })]);
    expect(steps[at + 1]!.locks.map((l) => l.stepId)).toContain(steps[at]!.id);
    // the join takes the same piece, and the last step makes the same checks
    expect(steps[0]!.takes).toEqual(join!.takes);
    expect(steps[2]!.checks).toEqual(look!.checks);
    expect(after.item!.own?.map((o) => o.way.decides.kind)).toEqual(['extra']);
    expect(after.parts[0].own).toBeUndefined();
    expect(after.findings.filter((f) => f.id.startsWith('own.homeless'))).toEqual([]);
    const minutes = (of: typeof after) => chosenSchedule(of).handsOnMinutes;
    expect(minutes(after) - minutes(usual)).toBeGreaterThanOrEqual(2 * 6);
  });

  it('behind a join that is not made any more is said, and kept', () => {
    const { item, findings } = made(own('item/join:gone'));
    expect(item!.steps).toHaveLength(2);
    expect(findings.filter((f) => f.id.startsWith('own.homeless')).map((f) => f.what)).toEqual([
      'Decided for this order and without a place: own step “True both together”.',
    ]);
  });
});
