import fc from 'fast-check';
import { materialById, type Material } from '../material/index.js';
import { dim } from '../measure/index.js';
import { withDimension } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { chosenSchedule, plan, planDifference, snapshotOf, type PlanInputs } from './index.js';

const planOf = (inputs: PlanInputs) =>
  plan(inputs.pattern, inputs.workshop, inputs.stock, inputs.order, inputs.schools);
const ids = (inputs: PlanInputs) => planOf(inputs).findings.map((f) => f.id);

describe('plan of a dozen stoppers', () => {
  const made = planOf(exampleInputs(12));
  const [part] = made.parts;

  it('knows the blank, the drill and the mandrel', () => {
    expect(part.blank).toMatchObject({ section: 43, length: 76, count: 12 }); // 40+2+1; 62 + 4 + 10
    expect(part.drilling[0]?.bit?.diameter.mm).toBe(11.6);
    expect(part.mount).toMatchObject({
      kind: 'mandrel',
      headstock: 'M8 stopper mandrel',
      headstockEnd: 'reference',
    });
    expect(part.leastWall?.wall).toBeGreaterThan(2.5);
  });

  it('puts every step behind what it needs, and makes it in the order of the wood', () => {
    const known = new Set(part.steps.map((s) => s.id));
    expect(known.size).toBe(part.steps.length);
    part.steps.forEach((step, i) => {
      step.locks.forEach((lock) => expect(part.steps.findIndex((s) => s.id === lock.stepId)).toBeLessThan(i));
    });
    expect(part.steps.map((s) => s.id)).toEqual([
      'saw:blank part1',
      'face:reference end',
      'mark:centres',
      'saw:blank part1:corners',
      'hold:vise:square blank',
      'bore:kit:reference',
      'hold:off:blank part1:square blank vise',
      'join:glue',
      'hold:mandrel:blank part1',
      'rough:round',
      'mark:stick',
      'size:e4.end',
      'shape:e5',
      'shape:e4',
      'size:e3.crest',
      'shape:e3',
      'size:e2.bottom',
      'shape:e2',
      'size:start',
      'shape:e1',
      'try:fit',
      'hold:tail away:blank part1',
      'part:far end',
      ...['P150', 'P180', 'P240', 'P320', 'P400'].map((grit) => `sanded:all:${grit}`),
      'coated:all:1',
      'hold:off:blank part1',
      'measure:all',
      'join:assemble',
    ]);
  });

  it('does not turn before the glue has cured', () => {
    const mount = part.steps.find((s) => s.id === 'hold:mandrel:blank part1');
    expect(mount?.locks).toContainEqual({ stepId: 'join:glue', reason: 'the glue cures.', minutes: 720 });
    expect(part.steps.find((s) => s.id === 'join:glue')?.wait?.minutes).toBe(720);
    expect(made.byOperation.elapsedMinutes).toBeGreaterThan(720);
  });

  it('screws the base on where the mandrel held it only when the mandrel has let go', () => {
    const base = part.steps.find((s) => s.title === 'Screw the base on')!;
    const off = part.steps.find((s) => s.title === 'Take it off')!;
    expect(part.mount.kind).toBe('mandrel');
    expect(base.locks).toContainEqual({ stepId: off.id, reason: 'it is held there until then.', minutes: 0 });
  });

  it('ties every caution to a step, and every headline figure to a working', () => {
    const known = new Set(part.steps.map((s) => s.id));
    expect(part.cautions.length).toBeGreaterThan(5);
    part.cautions.forEach((c) => c.stepIds.forEach((id) => expect(known.has(id)).toBe(true)));
    const figures = Object.values(made.figures).flat();
    expect(figures.length).toBeGreaterThan(12);
    figures.forEach((f) => {
      expect(Number.isFinite(f.value)).toBe(true);
      expect(f.working.inputs.length).toBeGreaterThan(0);
    });
  });

  it('has the mass of maple in that shape: volume less hole × 0.70', () => {
    const drilled = Math.PI * 5.8 ** 2 * 21.5 + (Math.PI * 5.8 ** 2 * (part.drilling[0]!.toPoint - 21.5)) / 3;
    const volume = made.figures.pattern?.[0]?.working.inputs[0]?.value as number;
    expect(part.mass).toBeCloseTo((volume - drilled / 1000) * 0.7, 6);
  });
});

describe('findings', () => {
  it('say what is missing and what would do instead', () => {
    const inputs = exampleInputs(12);
    inputs.workshop.bits = inputs.workshop.bits.filter((b) => b.diameter.mm !== 11.6);
    const bit = planOf(inputs).findings.find((f) => f.id.startsWith('drill.bit'));
    expect(bit?.remedy).toContain('Drill with ⟦12⟧');
    inputs.workshop.mandrels = [];
    expect(planOf(inputs).parts[0].mount.kind).toBe('between centres');
  });

  it('notice a base that is not flush, kits that run out, a day that is missed, a cove too tight', () => {
    const inputs = exampleInputs(30);
    inputs.pattern.parts[0].turnings[0].startDiameter = dim(33);
    inputs.order.due = '2026-03-02';
    inputs.workshop.tools = inputs.workshop.tools.map((t) => ({ ...t, nose: 30 }));
    expect(ids(inputs)).toEqual(
      expect.arrayContaining(['pattern.mating.h1', 'assemble.kits.part1', 'time.due', 'turn.tool.part1.e2']),
    );
  });

  it('stop where the kit has gone from the list, and warn where it cannot be held as was wished', () => {
    const inputs = exampleInputs(4);
    inputs.stock.kits = [];
    inputs.order.mount = 'mandrel';
    expect(planOf(inputs).findings[0]).toMatchObject({ id: 'assemble.nokit.part1', severity: 'stop' });
    expect(ids(inputs)).toContain('mount.choice.part1');
  });

  it('leave speeds out on a treadle lathe', () => {
    const inputs = exampleInputs(2);
    inputs.workshop.lathe.drive = { kind: 'treadle' };
    const [part] = planOf(inputs).parts;
    expect(part.speeds.every((s) => s.rpm === null)).toBe(true);
    expect(part.steps.find((s) => s.id === 'rough:round')?.speed).toContain('tread');
  });
});

describe('planDifference', () => {
  it('says what a plan without a bit would do instead, and nothing when nothing changed', () => {
    const before = planOf(exampleInputs(12));
    const inputs = exampleInputs(12);
    inputs.workshop.bits = inputs.workshop.bits.filter((b) => b.diameter.mm !== 11.6);
    expect(planDifference(before, planOf(inputs))[0]).toContain(
      'insert hole: ⟦12⟧ brad point instead of ⟦11.6⟧ brad point',
    );
    expect(planDifference(before, planOf(exampleInputs(12)))).toEqual([]);
  });
});

describe('plan', () => {
  it('is a function of its inputs, whatever sizes they have', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 8, max: 60, noNaN: true }),
        fc.double({ min: 2, max: 60, noNaN: true }),
        (pieces, length, crown) => {
          const inputs = exampleInputs(pieces);
          const [turning] = inputs.pattern.parts[0].turnings;
          turning.elements = turning.elements.map((e) =>
            withDimension(withDimension(e, 'length', dim(length)), 'crown', dim(crown)),
          );
          const first = snapshotOf(inputs);
          expect(JSON.parse(JSON.stringify(snapshotOf(inputs)))).toEqual(JSON.parse(JSON.stringify(first)));
          const schedule = chosenSchedule(first.plan);
          expect(schedule.end >= schedule.start).toBe(true);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('wood that is not dry', () => {
  const wood = {
    id: 'w',
    label: 'Lane maple',
    materialId: 'maple',
    readyOn: '2026-03-20',
    moisture: 19.4,
    target: 12,
  };
  const planned = (readyOn: string | null) => {
    const { pattern, workshop, stock, order, schools } = exampleInputs(3);
    const late = { ...order, start: '2026-03-02T08:00', due: null, woodId: 'w' };
    return plan(pattern, workshop, { ...stock, drying: [{ ...wood, readyOn }] }, late, schools);
  };

  it('is not planned before its day, and the wait is a figure', () => {
    const made = planned('2026-03-20');
    expect(made.byPiece.start >= '2026-03-20').toBe(true);
    expect(made.byOperation.spans.every((s) => s.from >= '2026-03-20')).toBe(true);
    expect(made.findings.find((f) => f.id === 'stock.wood.waits')?.what).toContain(
      '18 days later than wished',
    );
    expect(made.figures.time?.find((f) => f.id === 'time.wood')?.value).toBe(17 * 1440 + 16 * 60);
  });

  it('stops the plan when nobody knows its day; wood that is ready changes nothing', () => {
    expect(planned(null).findings[0]).toMatchObject({ id: 'stock.wood.unknown', severity: 'stop' });
    const ready = planned('2026-02-01');
    expect(ready.byPiece.start).toBe('2026-03-02T08:00');
    expect(ready.findings.some((f) => f.id.startsWith('stock.wood'))).toBe(false);
  });
});

it('counts with the workshop’s own material when it has one', () => {
  const inputs = exampleInputs(3);
  const own = { ...(materialById('maple') as Material), id: 'own-1', name: 'Spalted maple', density: 0.5 };
  const order = { ...inputs.order, materialId: 'own-1' };
  const known = planOf({ ...inputs, order, workshop: { ...inputs.workshop, materials: [own] } });
  expect(known.parts[0].material.name).toBe('Spalted maple');
  expect(known.findings.some((f) => f.id.startsWith('stock.material'))).toBe(false);
  const unknown = planOf({ ...inputs, order });
  expect(unknown.findings.some((f) => f.id.startsWith('stock.material'))).toBe(true);
});
