import type { DryingWood } from './inputs.js';
import { STARTING_FORMS } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { chosenSchedule } from './plan.js';
import { snapshotOf } from './snapshot.js';

const shelf = (readyOn: string | null): DryingWood => ({
  id: 'w1',
  label: 'maple of the fallen tree',
  materialId: 'maple',
  readyOn,
  moisture: null,
  target: 10,
});

interface Turned {
  green?: boolean;
  readyOn?: string | null;
  perBlank?: number;
  finish?: string;
}

/** A plan of a starting form, turned green unless said otherwise. */
function planned(
  form: string,
  { green = true, readyOn = '2026-04-01', perBlank = 1, finish = 'oil' }: Turned = {},
) {
  const inputs = exampleInputs(2);
  inputs.pattern = { ...STARTING_FORMS.find((f) => f.id === form)!.body({}, 'maple'), hardware: [] };
  inputs.stock.drying = [shelf(readyOn)];
  Object.assign(inputs.order, { woodId: 'w1', perBlank, finishId: finish, mount: 'between centres' });
  if (green) inputs.order.green = true;
  const { plan } = snapshotOf(inputs);
  return { plan, steps: plan.parts[0].steps, ids: plan.findings.map((f) => f.id) };
}

describe('wood that is turned green', () => {
  it('is turned at once and rests afterwards, after it is measured and before it is oiled', () => {
    const { plan, steps } = planned('rattle');
    const at = (id: string) => steps.findIndex((s) => s.id.startsWith(id));
    expect(at('shape:e1')).toBeLessThan(at('dry:'));
    expect(at('part:reference nib')).toBeLessThan(at('dry:'));
    // its sizes are those of wet wood: they are measured before it shrinks
    expect(at('measure:all')).toBeLessThan(at('dry:'));
    expect(at('dry:')).toBeLessThan(at('coated:all'));
    expect(chosenSchedule(plan).start.slice(0, 10)).toBe('2026-03-02');
    expect(chosenSchedule(planned('rattle', { green: false }).plan).start.slice(0, 10)).toBe('2026-04-01');
    expect(planned('rattle', { green: false }).steps.some((s) => s.operation?.kind === 'dry')).toBe(false);
  });

  it('waits as long as the weighings say, and where they say nothing no time is made up', () => {
    const dry = (readyOn: string | null) =>
      planned('rattle', { readyOn }).steps.find((s) => s.id.startsWith('dry:'))!;
    // from 2 March, 8 o'clock, to the first of April
    expect(dry('2026-04-01').wait?.minutes).toBe(30 * 24 * 60 - 8 * 60);
    expect(dry(null).wait).toBeNull();
    expect(dry(null).words.join(' ')).toContain('two weighings a week apart');
    const { steps } = planned('rattle');
    const coat = steps.find((s) => s.id === 'coated:all:1')!;
    expect(coat.locks.find((l) => l.stepId.startsWith('dry:'))?.minutes).toBe(30 * 24 * 60 - 8 * 60);
    // what was an order that nobody could begin is one
    expect(planned('rattle', { readyOn: null, green: false }).ids).toContain('stock.wood.unknown');
    expect(planned('rattle', { readyOn: null }).ids).not.toContain('stock.wood.unknown');
  });

  it('says how oval it gets: by the shrinkage of maple from wet to 10 %', () => {
    const { plan } = planned('ball');
    const { largestDiameter } = plan.parts[0];
    const oval = plan.findings.find((f) => f.id === 'stock.green.part1')!;
    const [across, along] = [4.8, 9.9].map((s) => largestDiameter * (1 - (s / 100) * (20 / 30)));
    const said = [...oval.what.matchAll(/⟦([\d.]+)⟧/g)].map((m) => Number(m[1]));
    expect(said[0]).toBeCloseTo(largestDiameter, 2);
    expect(said[1]).toBeCloseTo(across!, 2);
    expect(said[2]).toBeCloseTo(along!, 2);
  });

  it('warns of what is cut wet and has to fit, and of a finish that goes on wet', () => {
    expect(planned('knife-handle').ids).toContain('stock.green.fit.part1');
    expect(planned('ball').ids).not.toContain('stock.green.fit.part1');
    expect(planned('ball', { finish: 'polish' }).ids).toContain('surface.green.part1');
    expect(planned('ball').ids).not.toContain('surface.green.part1');
  });

  it.each(['rattle', 'scoop', 'rolling-pin'])(
    '%s, two from one green blank: the route plays and covers',
    (form) => {
      const { plan, steps, ids } = planned(form, { perBlank: 2 });
      expect(plan.findings.filter((f) => f.id.startsWith('route.'))).toEqual([]);
      expect(ids).not.toContain('stock.perblank.part1');
      expect(steps.filter((s) => s.operation?.kind === 'dry')).toHaveLength(2);
    },
  );
});
