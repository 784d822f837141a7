import { stepDoes } from '../route/index.js';
import { freshKit, kitWays, KIT_KIND_LIST, type DrillChoice, type Kit } from '../hardware/index.js';
import { bySeverity, DRILL_MOMENTS, DRILL_SETUPS } from '../measure/index.js';
import { MOUNT_KINDS, STOCK_FORMS } from '../mounting/index.js';
import { STARTING_FORMS, type Hole } from '../pattern/index.js';
import type { Fixture } from '../workshop/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan, type PlanInputs } from './index.js';

const planOf = (inputs: PlanInputs) =>
  plan(inputs.pattern, inputs.workshop, inputs.stock, inputs.order, inputs.schools);
const partOf = (inputs: PlanInputs) => planOf(inputs).parts[0];
const stepIds = (inputs: PlanInputs) => partOf(inputs).steps.map((s) => s.id);
const findingIds = (inputs: PlanInputs) => planOf(inputs).findings.map((f) => f.id);

const form = (id: string) => {
  const found = STARTING_FORMS.find((f) => f.id === id);
  if (!found) throw new Error(id);
  return found.body({}, 'ash');
};
/** Eight tool handles with a hole of their own, ordered with choices. */
const handles = (drilling: DrillChoice[] = [], order: Partial<PlanInputs['order']> = {}): PlanInputs => {
  const inputs = exampleInputs(8);
  const pattern = form('tool-handle');
  const hole: Hole = {
    id: 'bore',
    name: 'tang hole',
    from: 'reference',
    through: false,
    pointAngle: 118,
    steps: [{ diameter: { mm: 8 }, depth: { mm: 45 } }],
  };
  pattern.parts[0].holes = [hole];
  return { ...inputs, pattern, order: { ...inputs.order, materialId: 'ash', drilling, ...order } };
};
const withKits = (...kits: [Kit, 'reference' | 'far'][]): PlanInputs => {
  const inputs = handles();
  inputs.pattern.parts[0].holes = [];
  inputs.stock = { kits: kits.map(([kit]) => kit) };
  inputs.pattern.hardware = kits.map(([kit, end], i) => ({
    id: `h${i}`,
    kitId: kit.id,
    partId: 'part1',
    end,
  }));
  return inputs;
};
const kitOf = (kind: Kit['kind'], id: string = kind): Kit => ({ ...freshKit(kind), id, onHand: 50 });

describe('the moment of a hole', () => {
  const order = (moment: (typeof DRILL_MOMENTS)[number]) => {
    const ids = stepIds(handles([{ holeId: 'bore', moment }], { mount: 'chuck' }));
    const kinds = ids.map((id) => id.split(':')[0] ?? id);
    return kinds.filter((kind, i) => kind !== 'hold' && kind !== kinds[i - 1]).join(' ');
  };

  it('puts its step where it belongs, locked by what comes before', () => {
    expect(order('square blank')).toMatch(/mark saw bore rough/);
    expect(order('after rounding')).toMatch(/rough bore mark/);
    expect(order('after shaping')).toMatch(/shape bore sanded/);
    expect(order('after parting')).toMatch(/part bore measure/);
    const late = partOf(handles([{ holeId: 'bore', moment: 'after shaping' }], { mount: 'chuck' }));
    // the tailstock leaves for the bit, and comes back into the mouth of the hole
    const ids = late.steps.map((s) => s.id);
    const at = ids.indexOf('bore:bore.1');
    expect(ids[at - 1]).toBe('hold:tail away:blank part1:after shaping');
    expect(late.steps[at + 1]?.operation?.effects[0]).toMatchObject({
      held: { tail: { on: { of: 'hole', id: 'bore:bore.1' } } },
    });
  });

  it('takes the set-up that can be used then, and the state of the lathe goes with it', () => {
    const step = (setup: (typeof DRILL_SETUPS)[number]) =>
      partOf(handles([{ holeId: 'bore', moment: 'after rounding', setup }], { mount: 'chuck' })).steps.find(
        (s) => s.id === 'bore:bore.1',
      );
    expect(step('tailstock')?.setup).toMatchObject({ place: 'lathe', tailstock: 'away' });
    const square = partOf(handles([{ holeId: 'bore', setup: 'headstock' }])).steps;
    expect(square.find((s) => s.id === 'bore:bore.1')?.setup.holding).toContain(
      'bit in the headstock, draw bar tight',
    );
    // a piece that leaves its chuck does not come back true: that is said, not done
    const leaves = handles([{ holeId: 'bore', moment: 'after rounding', setup: 'headstock' }], {
      mount: 'chuck',
    });
    expect(findingIds(leaves)).toContain('route.none.part1');
    expect(stepIds(leaves)).toEqual([]);
  });

  it('warns when no end is free, and stops without a draw bar', () => {
    const tail = handles([{ holeId: 'bore', moment: 'after rounding', setup: 'tailstock' }]);
    expect(findingIds(tail)).toContain('drill.freeend.part1');
    const head = handles([{ holeId: 'bore', setup: 'headstock' }]);
    expect(findingIds(head)).toContain('drill.drawbar.part1');
    const bar: Fixture = { id: 'b', name: 'Bar', kind: 'draw bar', diameter: 10, length: 0 };
    expect(findingIds({ ...head, workshop: { ...head.workshop, fixtures: [bar] } })).not.toContain(
      'drill.drawbar.part1',
    );
    const cautions = partOf(head).cautions.map((c) => c.id);
    expect(cautions).toContain('drill-headstock');
  });

  it('stops when the hole is needed before', () => {
    const stoppers = exampleInputs(4);
    const kitHole = { holeId: 'kit:reference', moment: 'after shaping' as const };
    expect(findingIds({ ...stoppers, order: { ...stoppers.order, drilling: [kitHole] } })).toContain(
      'drill.late.part1',
    );
    expect(findingIds(stoppers)).not.toContain('drill.late.part1');
  });

  it('is the workshop’s own for every hole that nobody chose for', () => {
    const inputs = handles();
    const usual = { ...inputs, schools: { ...inputs.schools, drilling: 'after rounding' as const } };
    expect(partOf(usual).drilling.map((d) => d.moment)).toEqual(['after rounding']);
  });
});

describe('hardware', () => {
  it.each(KIT_KIND_LIST)('%s is planned through in each of its ways', (kind) => {
    for (const { way } of kitWays(kitOf(kind))) {
      const inputs = withKits([kitOf(kind), 'reference']);
      const part = partOf({ ...inputs, order: { ...inputs.order, fitting: way } });
      expect(part.hardware?.needs.way).toBe(way);
      // what waits for glue is glued
      expect(part.joins.some((j) => j.cureMinutes !== null)).toBe(way === 'glued' || way === 'insert');
    }
  });

  it('at both ends is drilled, sized and joined at both', () => {
    const part = partOf(withKits([kitOf('head'), 'reference'], [kitOf('screw-eye'), 'far']));
    expect(part.otherHardware?.map((h) => h.kit.kind)).toEqual(['screw-eye']);
    expect(part.drilling.map((d) => d.hole.from).sort()).toEqual(['far', 'reference']);
    const joins = part.joins.map((j) => j.id);
    expect(joins).toEqual(['assemble', 'assemble.2']);
    expect(part.steps.map((s) => s.id)).toEqual(expect.arrayContaining(joins.map((id) => `join:${id}`)));
  });

  it('a socket is cut to two diameters, and a cone that misses its mouth is noticed', () => {
    const inputs = withKits([kitOf('socket'), 'reference']);
    expect(findingIds(inputs)).toEqual(expect.arrayContaining(['pattern.mating.h0', 'pattern.cone.h0']));
    const [part] = inputs.pattern.parts;
    part.turnings[0].startDiameter = { mm: 12 };
    part.turnings[0].elements.unshift({
      kind: 'taper',
      id: 'cone',
      length: { mm: 38 },
      endDiameter: { mm: 20 },
    });
    const sizing = partOf(inputs).layout.sizing.filter((s) => s.mating);
    expect(sizing.map((s) => [s.x, s.finished])).toEqual([
      [0, 12],
      [38, 20],
    ]);
    expect(findingIds(inputs)).not.toContain('pattern.cone.h0');
  });
});

describe('bits over the batch', () => {
  it('are changed as little as can be, and the steps say when', () => {
    const inputs = handles();
    const [part] = inputs.pattern.parts;
    const bore = (id: string, mm: number, from: 'reference' | 'far'): Hole => ({
      ...(part.holes[0] as Hole),
      id,
      name: id,
      from,
      steps: [{ diameter: { mm }, depth: { mm: 20 } }],
    });
    part.holes = [bore('a', 8, 'reference'), bore('b', 6, 'far'), bore('c', 8, 'far')];
    const planned = partOf(inputs);
    expect(planned.drilling.map((d) => d.name)).toEqual(['a', 'c', 'b']);
    const words = planned.steps.filter((s) => stepDoes(s, 'bore')).map((s) => s.words[0]);
    expect(words[1]).toBe('The bit stays in.');
    expect(words[2]).toBe('Change the bit: brad point 8 mm out, brad point 6 mm in.');
    const press = planned.steps.filter((s) => s.setup.place === 'drill press').map((s) => s.setup.holding);
    expect(new Set(press).size).toBe(2);
  });
});

describe('stock without corners', () => {
  it('is centred in its own way, in a blank that is larger by what that may be off, and never clipped', () => {
    const plain = partOf(handles());
    const oval = partOf(handles([], { stockForm: 'oval' }));
    expect(oval.centring?.form).toBe('oval');
    // twice the difference of the centring errors, 1.5 against 0.5
    expect(oval.blank.section - plain.blank.section).toBe(2);
    const clips = ({ steps }: typeof plain) => steps.some((s) => s.id.endsWith(':corners'));
    expect([clips(plain), clips(oval)]).toEqual([true, false]);
  });

  it('is not clamped by faces that it does not have', () => {
    const held = (stockForm?: 'round') =>
      partOf(
        handles([{ holeId: 'bore', moment: 'square blank', setup: 'drill press' }], {
          ...(stockForm ? { stockForm } : {}),
        }),
      ).steps.find((s) => s.setup.place === 'drill press')!.setup.holding;
    expect(held()).toMatch(/blank in the vise$/);
    expect(held('round')).toMatch(/blank in a V block$/);
  });
});

it('every way of holding, moment, set-up and form plans without a fault, findings most serious first', () => {
  for (const mount of MOUNT_KINDS)
    for (const moment of DRILL_MOMENTS)
      for (const [i, setup] of DRILL_SETUPS.entries()) {
        const stockForm = STOCK_FORMS[i];
        const made = planOf(
          handles([{ holeId: 'bore', moment, setup }], { mount, ...(stockForm ? { stockForm } : {}) }),
        );
        expect(made.findings).toEqual(bySeverity(made.findings));
        expect(new Set(made.findings.map((f) => f.id)).size).toBe(made.findings.length);
        const ids = made.parts[0].steps.map((s) => s.id);
        expect(ids.filter((id, j) => ids.indexOf(id) !== j)).toEqual([]);
        for (const step of made.parts[0].steps)
          for (const { stepId } of step.locks) expect(ids.indexOf(stepId)).toBeLessThan(ids.indexOf(step.id));
      }
});
