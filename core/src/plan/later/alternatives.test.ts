import { STARTING_FORMS } from '../../pattern/index.js';
import { alternatives, otherwise } from './alternatives.js';
import { exampleInputs } from '../exampleShop.js';
import { chosenSchedule } from '../plan.js';
import { snapshotOf } from '../snapshot.js';

describe('ways of holding, each planned through', () => {
  const inputs = exampleInputs(6);
  inputs.pattern = {
    ...STARTING_FORMS.find((f) => f.id === 'finial')!.body({}, 'maple'),
    hardware: [],
  };
  const kinds = snapshotOf(inputs).plan.parts[0].mounts.map((m) => m.kind);

  it('say what they come to: the minutes and set-ups of the plan that takes them', () => {
    expect(kinds.length).toBeGreaterThan(2);
    const found = alternatives(inputs, kinds);
    expect(found.map((a) => a.kind).sort()).toEqual([...kinds].sort());
    for (const { kind, minutes, setups, against } of found) {
      const { plan } = snapshotOf({ ...inputs, order: { ...inputs.order, mount: kind } });
      const schedule = chosenSchedule(plan);
      if (minutes !== null) expect(minutes * 6).toBeCloseTo(schedule.handsOnMinutes, 6);
      expect(setups).toBe(schedule.setups);
      expect(against.every((f) => f.severity === 'stop')).toBe(true);
    }
  });

  it('those that can be gone stand first, the quickest before the others', () => {
    const found = alternatives(inputs, kinds);
    const open = found.filter((a) => a.against.length === 0);
    expect(found.slice(0, open.length)).toEqual(open);
    const minutes = open.map((a) => a.minutes ?? Infinity);
    expect(minutes).toEqual([...minutes].sort((a, b) => a - b));
    expect(open.every((a) => a.holds >= 1)).toBe(true);
  });

  it('a way that leads nowhere has no minutes and says why', () => {
    const cup = structuredClone(inputs);
    cup.pattern.parts[0].hollows = [
      {
        id: 'h1',
        name: 'recess',
        opens: 'far',
        startDiameter: { mm: 4 },
        elements: [{ kind: 'cylinder', id: 'w', length: { mm: 3 } }],
      },
    ];
    const [between] = alternatives(cup, ['between centres']);
    expect(between).toMatchObject({ minutes: null, holds: 0 });
    expect(between!.against.map((f) => f.why).join()).toContain('both ends are covered');
  });
});

describe('another order in the same hold', () => {
  const inputs = exampleInputs(6);
  const [part] = snapshotOf(inputs).plan.parts;

  it('is drilled at another moment, or turned green: each as the plan that does so', () => {
    const orders = otherwise(inputs, part);
    expect(orders.map((o) => o.id).sort()).toEqual([
      'after parting',
      'after rounding',
      'after shaping',
      'green',
      'square blank',
    ]);
    const moments = new Set(part.drilling.map((d) => d.moment));
    expect(orders.filter((o) => o.followed).map((o) => o.id)).toEqual([...moments]);
    expect(orders[0]!.followed).toBe(true);
    for (const { change, minutes, against } of orders) {
      const { plan } = snapshotOf({ ...inputs, order: { ...inputs.order, ...change } });
      if (minutes !== null) expect(minutes * 6).toBeCloseTo(chosenSchedule(plan).handsOnMinutes, 6);
      for (const { what } of against) expect(plan.findings.map((f) => f.what)).toContain(what);
    }
  });

  it('that cannot be gone says why: an insert that holds it must be in before it is turned', () => {
    const late = otherwise(inputs, part).find((o) => o.id === 'after parting')!;
    expect(late.minutes === null || late.against.length > 0).toBe(true);
  });

  it('of a piece without holes is green or dry', () => {
    const plain = structuredClone(inputs);
    plain.pattern.hardware = [];
    plain.pattern.parts[0].holes = [];
    const found = otherwise(plain, snapshotOf(plain).plan.parts[0]);
    expect(found.map((o) => [o.id, o.followed])).toEqual([
      ['dry', true],
      ['green', false],
    ]);
    const green = structuredClone(plain);
    green.order.green = true;
    expect(otherwise(green, snapshotOf(green).plan.parts[0])[0]!.id).toBe('green');
  });
});
