import { stepDoes } from '../route/index.js';
import { dim } from '../measure/index.js';
import { finishedReadings } from '../inspect/index.js';
import { STARTING_FORMS } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan, planDifference, type PlanInputs } from './index.js';

const planOf = (inputs: PlanInputs) =>
  plan(inputs.pattern, inputs.workshop, inputs.stock, inputs.order, inputs.schools);
const steps = (inputs: PlanInputs) => planOf(inputs).parts[0].steps.map((s) => s.id);

/** An order of plain pieces from a starting form, without hardware. */
const from = (formId: string, pieces = 8): PlanInputs => {
  const form = STARTING_FORMS.find((f) => f.id === formId);
  if (!form) throw new Error(formId);
  const inputs = exampleInputs(pieces);
  return { ...inputs, pattern: form.body({}, 'ash'), order: { ...inputs.order, materialId: 'ash' } };
};

const handle = (): PlanInputs => {
  const inputs = from('tool-handle');
  inputs.pattern.hardware = [{ id: 'h1', kitId: 'ferrule', partId: 'part1', end: 'reference' }];
  inputs.stock.kits = [
    {
      id: 'ferrule',
      name: 'Ferrule',
      onHand: 20,
      kind: 'ferrule',
      bore: dim(20),
      outsideDiameter: dim(22),
      length: dim(18),
      tangDiameter: dim(8),
      tangLength: dim(45),
      glue: 'epoxy',
    },
  ];
  return inputs;
};

describe('a handle with a ferrule', () => {
  it('has its ferrule seated before it is shaped, and its tang glued at the end', () => {
    const order = steps(handle());
    const at = (id: string) => order.indexOf(id);
    expect(at('size:start')).toBeLessThan(at('shape:e1'));
    expect(at('shape:e1')).toBeLessThan(at('join:ferrule'));
    // it goes on over the end that is free: off the lathe, on with the ferrule, back on the same centres
    expect(order.slice(at('join:ferrule') - 1, at('join:ferrule') + 2)).toEqual([
      'hold:off:blank part1:ferrule',
      'join:ferrule',
      'hold:centres:ferrule',
    ]);
    expect(at('join:ferrule')).toBeLessThan(at('shape:e3'));
    expect(order.at(-1)).toBe('join:assemble');
  });

  it('turns with the drilled end on the live centre, and nothing wasted there', () => {
    const [part] = planOf(handle()).parts;
    expect(part.mount).toMatchObject({ kind: 'between centres', headstockEnd: 'far', wasteTail: 0 });
    // 140 + 4 parting + 15 at the drive
    expect(part.blank.length).toBe(159);
  });

  it('cuts from the tail towards the drive', () => {
    expect(planOf(handle()).parts[0].cuts.map((c) => c.elementId)).toEqual(['e1', 'e2', 'e3', 'e4', 'e5']);
  });

  it('measures its tenon while it can be reached, and counts that for the twins', () => {
    const [part] = planOf(handle()).parts;
    const measures = (id: string) => part.steps.find((s) => s.id === id)?.measures ?? [];
    expect(measures('size:start')).toEqual(['start']);
    expect(measures('measure:all')).not.toContain('start');
    const reading = {
      eventId: 'e',
      device: 'tablet',
      piece: 1,
      stepId: 'size:start',
      stationId: 'start',
      mm: 20.02,
      typed: '20.02',
      at: '',
    };
    const shaped = { ...reading, stationId: part.stations[1]?.id ?? '' };
    expect(finishedReadings([reading, shaped], part.steps, part.stations)).toEqual([reading]);
  });

  it('meets the ferrule to a tenth, and the rest as seen', () => {
    const [tenon, ...seen] = planOf(handle()).parts[0].stations;
    expect(tenon).toMatchObject({ id: 'start', finished: 20, cutTo: 20, tolerance: 0.1, mating: true });
    const across = seen.filter((s) => !s.along);
    expect(across.every((s) => s.tolerance === 0.5 && Math.abs(s.cutTo - s.finished - 0.2) < 1e-9)).toBe(
      true,
    );
    expect(seen.find((s) => s.id === 'along.length')).toMatchObject({ finished: 140, cutTo: 140 });
  });
});

describe('choices of the order', () => {
  it('oil goes on after the piece has come off the lathe, polish before', () => {
    const oiled = handle();
    oiled.order.finishId = 'oil';
    const order = steps(oiled);
    expect(order.indexOf('part:far nib')).toBeLessThan(order.indexOf('coated:all:1'));
    expect(order.filter((id) => id.startsWith('coated'))).toHaveLength(3);
    const polished = steps(handle());
    expect(polished.indexOf('coated:all:1')).toBeLessThan(polished.indexOf('part:far nib'));
  });

  it('coats that dry are put on all pieces before the second: waits run side by side', () => {
    const oiled = handle();
    oiled.order.finishId = 'oil';
    const made = planOf(oiled);
    const runs = made.parts[0].steps.filter((s) => stepDoes(s, 'coated')).map((s) => s.run);
    expect(new Set(runs).size).toBe(3);
    // by operation no piece waits for the coats of another: both schools end within two days of each other
    expect(Math.abs(made.byOperation.elapsedMinutes - made.byPiece.elapsedMinutes)).toBeLessThan(2 * 1440);
  });

  it('without a finish there is none', () => {
    const bare = handle();
    bare.order.finishId = null;
    expect(steps(bare).some((id) => id.startsWith('coated'))).toBe(false);
    expect(planOf(bare).parts[0].finish).toBeNull();
  });

  it('several pieces share a blank where nothing is drilled, and not where something is', () => {
    const pins = from('rolling-pin', 9);
    pins.order.perBlank = 2;
    pins.workshop.lathe.betweenCentres = 900;
    // 2 × (280 + 4) + 15 + 10, and five blanks for nine pieces
    expect(planOf(pins).parts[0].blank).toMatchObject({ perBlank: 2, length: 593, count: 5 });
    const handles = handle();
    handles.order.perBlank = 2;
    expect(planOf(handles).parts[0].blank.perBlank).toBe(1);
    expect(planOf(handles).findings.map((f) => f.id)).toContain('stock.perblank.part1');
  });

  it('corners are clipped when there are many', () => {
    const clipped = (pieces: number) =>
      steps(from('rolling-pin', pieces)).includes('saw:blank part1:corners');
    expect([clipped(3), clipped(4)]).toEqual([false, true]);
  });

  it('another way of holding can be chosen; the lathe and what is missing are checked for it', () => {
    const finial = from('finial');
    expect(planOf(finial).parts[0].mount.kind).toBe('chuck');
    finial.order.mount = 'between centres';
    expect(planOf(finial).parts[0].mount.kind).toBe('between centres');
    finial.workshop.centres = [];
    expect(
      planOf(finial)
        .findings.filter((f) => f.severity === 'stop')
        .map((f) => f.what),
    ).toEqual(['The workshop has no drive centre.', 'The workshop has no live centre.']);
  });

  it('a peg that a collet closes on is tried before it is held by it, any other where it is cut', () => {
    const finial = from('finial');
    const collet = { id: 'c', name: 'Collet', kind: 'collet' as const, diameter: 10, length: 30 };
    finial.workshop.fixtures = [...(finial.workshop.fixtures ?? []), collet];
    const tried = (mount: 'collet' | 'chuck') => {
      finial.order.mount = mount;
      expect(planOf(finial).parts[0].mount.kind).toBe(mount);
      const ids = steps(finial);
      expect(ids.filter((id) => id === 'try:e1')).toHaveLength(1);
      return ids.slice(0, ids.indexOf('try:e1'));
    };
    expect(tried('collet')).toContain('shape:e1');
    expect(tried('collet')).not.toContain('hold:collet:blank part1');
    expect(tried('chuck')).toEqual(expect.arrayContaining(['hold:chuck:blank part1', 'shape:e1']));
  });

  it('a peg is as thick as goes into its hole with glue, and nothing is sanded or put on it', () => {
    const finial = from('finial');
    const [part] = planOf(finial).parts;
    const peg = part.stations.find((s) => s.label.startsWith('peg'))!;
    expect([peg.finished, peg.cutTo]).toEqual([9.9, 9.9]);
    const treated = part.steps.flatMap((s) => s.operation?.effects.filter((e) => e.do === 'treat') ?? []);
    expect(treated.length).toBeGreaterThan(0);
    expect(treated.map((e) => e.treated.on.id)).not.toContain('shape:e1');
  });

  it('the schools differ in speed and in set-ups, not in what is made', () => {
    const one = planOf(handle());
    const inputs = handle();
    inputs.schools = { speed: 'surface-speed', batching: 'by-piece' };
    const other = planOf(inputs);
    expect(other.parts[0].speeds.map((s) => s.wish)).not.toEqual(one.parts[0].speeds.map((s) => s.wish));
    expect(other.parts[0].stations).toEqual(one.parts[0].stations);
    expect(other.byPiece).toEqual(
      planOf({ ...inputs, schools: { ...inputs.schools, batching: 'by-operation' } }).byPiece,
    );
  });
});

describe('planDifference', () => {
  it('names another way of holding, another gauge and another tool', () => {
    const before = exampleInputs(6);
    const after = exampleInputs(6);
    after.workshop.mandrels = [];
    after.workshop.gauges = after.workshop.gauges.filter((g) => g.kind === 'calliper');
    after.workshop.tools = after.workshop.tools.filter((t) => t.kind !== 'skew');
    const words = planDifference(planOf(before), planOf(after)).join('\n');
    expect(words).toContain('Held between centres instead of on the M8 mandrel.');
    expect(words).toContain('flush with the base: Set the dial calliper to ⟦32⟧.');
    expect(words).toContain('Spindle gouge instead of Skew');
  });
});
