import { stepDoes } from '../../route/index.js';
import { dim } from '../../measure/index.js';
import { STARTING_FORMS } from '../../pattern/index.js';
import type { Decision } from '../../workshop/index.js';
import { base, partOf, planned, said, way, type Where } from '../../../test/exampleWays.js';
import { plan } from '../index.js';

const usual = partOf({});
const NONE: Decision = { kind: 'grits', grits: [], burnish: false };

it('nothing decided leaves the plan as it is', () =>
  expect([usual.own, usual.homeless]).toEqual([undefined, undefined]));

describe('how it is sanded', () => {
  it('not at all: no grit, no room left for one, and nothing is said against it', () => {
    const plain = planned({ order: [way(NONE)] });
    const [part] = plain.parts;
    expect(part.ladder).toEqual([]);
    expect(part.steps.filter((s) => stepDoes(s, 'sanded'))).toEqual([]);
    expect(part.layout.sizing.map((s) => s.cutTo)).toEqual(part.layout.sizing.map((s) => s.finished));
    expect(said(plain.findings, 'surface.gap')).toEqual([]);
    expect(said(plain.findings, 'surface.start')).toEqual([]);
    expect(part.own?.[0]).toMatchObject({ scope: 'order', instead: 'P150, P180, P240, P320, P400' });
  });

  it('burnished instead: one step with its shavings before the finish', () => {
    const { steps } = partOf({ order: [way({ ...NONE, burnish: true })] });
    const at = steps.findIndex((s) => s.id === 'burnished:all:shavings');
    expect(at).toBeGreaterThan(steps.findLastIndex((s) => stepDoes(s, 'shape')));
    expect(at).toBeLessThan(steps.findIndex((s) => stepDoes(s, 'coated')));
  });

  it('with grits of one’s own: a gap is said, and one that is not there', () => {
    const { findings } = planned({
      order: [
        way({ kind: 'grits', grits: [150, 600].map((grit) => ({ grit, scale: 'P' })), burnish: false }),
      ],
    });
    expect(said(findings, 'surface.gap')[0]?.what).toBe('Gap between P150 and P600.');
    expect(said(findings, 'surface.missing')[0]?.what).toBe('The workshop has no P600.');
  });
});

describe('the narrower goes before the wider', () => {
  const P240: Decision = { kind: 'grits', grits: [{ grit: 240, scale: 'P' }], burnish: false };
  const P320: Decision = { kind: 'grits', grits: [{ grit: 320, scale: 'P' }], burnish: false };
  const ladder = (where: Where) => partOf(where).ladder.map((s) => s.abrasive.grit);

  it('order, pattern, wood, workshop', () => {
    const workshop = [way(NONE), way(P240, { materialId: 'maple' })];
    expect(ladder({ workshop })).toEqual([240]);
    expect(ladder({ workshop, pattern: [way(P320)] })).toEqual([320]);
    expect(ladder({ workshop, pattern: [way(P320)], order: [way(NONE)] })).toEqual([]);
  });

  it('a habit of another wood or another kind of item says nothing here', () => {
    const elsewhere = [way(NONE, { materialId: 'ash' }), way(NONE, { itemKind: 'handle' })];
    const part = partOf({ workshop: elsewhere });
    expect(part.ladder).toEqual(usual.ladder);
    expect(part.homeless).toBeUndefined();
  });

  it('a habit can be left for once', () => {
    const habit = way(NONE, { materialId: 'maple' });
    expect(ladder({ workshop: [habit], order: [way({ kind: 'usual', wayId: habit.id })] })).toEqual(
      usual.ladder.map((s) => s.abrasive.grit),
    );
  });

  it('of one scope the newest', () => {
    const older = way(P240, { at: '2026-02-01T08:00:00.000Z' });
    expect(ladder({ order: [way(P320), older] })).toEqual([320]);
  });
});

describe('what it is cut with', () => {
  const neck = { kind: 'step', id: 'shape:e2' } as const;
  const toolOf = (where: Where, id: string) => partOf(where).steps.find((s) => s.id === id)?.operation?.tool;

  it('one feature, or all of a kind', () => {
    expect(toolOf({ order: [way({ kind: 'tool', on: neck, toolId: 'sk' })] }, 'shape:e2')).toBe('Skew');
    const coves: Decision = { kind: 'tool', on: { kind: 'like', does: 'shape', of: 'cove' }, toolId: 'sk' };
    expect(toolOf({ workshop: [way(coves)] }, 'shape:e2')).toBe('Skew');
    expect(toolOf({ workshop: [way(coves)] }, 'shape:e3')).toBe(toolOf({}, 'shape:e3'));
  });

  it('a nose that is wider than the hollow is said', () => {
    const wide = {
      ...base.workshop,
      tools: [
        ...base.workshop.tools,
        { id: 'big', name: 'Big gouge', kind: 'spindle gouge', width: 60, nose: 30 } as const,
      ],
    };
    const { findings } = plan(
      base.pattern,
      wide,
      base.stock,
      { ...base.order, ways: [way({ kind: 'tool', on: neck, toolId: 'big' })] },
      base.schools,
    );
    expect(said(findings, 'turn.nose')[0]?.what).toBe('The big gouge does not reach into the neck.');
  });

  it('roughing and parting too, and the width of the parting tool counts', () => {
    const parter: Decision = { kind: 'tool', on: { kind: 'like', does: 'size' }, toolId: 'sk' };
    const step = partOf({ order: [way(parter)] }).steps.find((s) => stepDoes(s, 'size'));
    expect(step?.operation?.tool).toBe('Skew');
    expect(
      partOf({
        order: [way({ kind: 'tool', on: { kind: 'like', does: 'rough' }, toolId: 'sg' })],
      }).steps.find((s) => stepDoes(s, 'rough'))?.operation?.tool,
    ).toBe('Spindle gouge');
  });
});

describe('the order of cuts', () => {
  // a top: its stem is thin, and stands between the drive and everything else
  const form = STARTING_FORMS.find((f) => f.id === 'finger-top')!;
  const top = { ...form.body({}, 'maple'), hardware: [] };
  const plain = partOf({}, top).cuts;
  const [farthest] = plain;
  const thin = plain.find((c) => c.x0 > 0 && c !== farthest && c !== plain.at(-1))!;
  const before: Decision = { kind: 'before', first: [thin.elementId], then: [farthest!.elementId] };

  it('is followed by cuts and steps alike', () => {
    const part = partOf({ order: [way(before)] }, top);
    const at = (id: string) => part.cuts.findIndex((c) => c.elementId === id);
    expect(at(thin.elementId)).toBeLessThan(at(farthest!.elementId));
    expect(part.cuts).toHaveLength(plain.length);
  });

  it('what it makes softer is said with both figures, and gone when it is taken back', () => {
    const reversed: Decision = {
      kind: 'before',
      first: plain
        .slice(1)
        .map((c) => c.elementId)
        .toReversed(),
      then: [farthest!.elementId],
    };
    const softer = said(planned({ order: [way(reversed)] }, top).findings, 'turn.soft');
    expect(softer.length).toBeGreaterThan(0);
    expect(softer[0]?.what).toContain(
      'the stem is thin already: it gives ⟦~0.0196⟧ under the tool, more than 20 times what it does in the usual order.',
    );
    expect(said(planned({}, top).findings, 'turn.soft')).toEqual([]);
  });

  it('two that contradict each other are a finding, the newer is kept', () => {
    const back: Decision = { kind: 'before', first: [farthest!.elementId], then: [thin.elementId] };
    const { findings, parts } = planned(
      { order: [way(before, { at: '2026-02-01T08:00:00.000Z' }), way(back)] },
      top,
    );
    expect(parts[0].cuts.map((c) => c.elementId)).toEqual(plain.map((c) => c.elementId));
    expect(said(findings, 'turn.order')).toHaveLength(1);
  });
});

describe('figures that somebody sets', () => {
  it('the speed of one operation: that one and no other, with what speaks against it', () => {
    const { steps: usual } = partOf({});
    const shape = usual.find((s) => stepDoes(s, 'shape'))!;
    const at = (rpm: number) =>
      planned({ order: [way({ kind: 'pace', on: { kind: 'step', id: shape.id }, rpm })] });
    const changed = at(1250).parts[0].steps.filter((s, i) => s.speed !== usual[i]!.speed);
    expect(changed.map(({ id, speed }) => [id, speed])).toEqual([[shape.id, '1250 rpm']]);
    expect(said(at(1250).findings, 'turn.speed.set')).toEqual([]);
    expect(said(at(2000).findings, 'turn.speed.set')[0]).toMatchObject({
      what: `${shape.title}: the lathe does not turn at 2000 rpm.`,
      why: 'Its belt gives 450, 800, 1250, 1900, 2700, 3500 rpm.',
    });
    const burn = usual.find((s) => stepDoes(s, 'sanded'))!;
    const fast = planned({ order: [way({ kind: 'pace', on: { kind: 'step', id: burn.id }, rpm: 3500 })] });
    expect(said(fast.findings, 'turn.speed.set')[0]?.what).toContain('is well above');
    // what no motor turns has no speed to set
    const hold = usual.find((s) => stepDoes(s, 'mark') && s.setup.place === 'bench')!;
    const still = planned({ order: [way({ kind: 'pace', on: { kind: 'step', id: hold.id }, rpm: 800 })] });
    expect(still.parts[0].homeless).toHaveLength(1);
    // nor has a bit, whose speed is that of its bit
    const drill = usual.find((s) => stepDoes(s, 'bore'))!;
    const bored = planned({ order: [way({ kind: 'pace', on: { kind: 'step', id: drill.id }, rpm: 3500 })] });
    expect(bored.parts[0].homeless).toHaveLength(1);
    expect(bored.parts[0].steps.find((s) => s.id === drill.id)?.speed).toBe(drill.speed);
  });

  it('a speed, with what speaks against it', () => {
    const at = (rpm: number) => planned({ order: [way({ kind: 'speed', stage: 'shape', rpm })] });
    expect(at(1900).parts[0].steps.find((s) => stepDoes(s, 'shape'))?.speed).toBe('1900 rpm');
    expect(said(at(1900).findings, 'turn.speed.set')).toEqual([]);
    expect(said(at(2000).findings, 'turn.speed.set')[0]?.why).toContain('450, 800, 1250');
    const chucked = plan(
      base.pattern,
      base.workshop,
      base.stock,
      { ...base.order, mount: 'chuck', ways: [way({ kind: 'speed', stage: 'sand', rpm: 2700 })] },
      base.schools,
    );
    expect(said(chucked.findings, 'turn.speed.set')[0]).toMatchObject({ severity: 'stop' });
  });

  it('a bit and a depth: hole, drawing and steps go with them', () => {
    const bore = usual.drilling[0]!;
    const part = partOf({
      order: [
        way({ kind: 'bit', boreId: bore.id, bitId: 'brad12' }),
        way({ kind: 'depth', holeId: bore.id, mm: 26 }),
      ],
    });
    expect(part.drilling[0]).toMatchObject({ toShoulder: 26, bit: { id: 'brad12' } });
    expect(part.holes[0]?.steps[0]).toEqual({ diameter: dim(12), depth: dim(26) });
    expect(part.steps.find((s) => stepDoes(s, 'bore'))?.operation?.said.some((s) => s.mm === 26)).toBe(true);
    expect(part.own?.map((o) => o.instead)).toEqual([expect.stringContaining('⟦11.6⟧'), '⟦21.5⟧ deep']);
  });

  it('waste makes the blank longer by as much', () => {
    const { blank } = partOf({
      order: [way({ kind: 'waste', end: 'tail', mm: usual.mount.wasteTail + 12 })],
    });
    expect(blank.length).toBe(usual.blank.length + 12);
  });

  it('a cure: what waits for it waits longer', () => {
    const glue = usual.joins.find((j) => j.cureMinutes !== null)!;
    const part = partOf({ order: [way({ kind: 'cure', of: glue.id, minutes: 2000 })] });
    expect(part.steps.flatMap((s) => s.locks).some((l) => l.minutes === 2000)).toBe(true);
    expect(partOf({ order: [way({ kind: 'cure', of: 'finish', minutes: 99 })] }).finish?.cureMinutes).toBe(
      99,
    );
  });

  it('minutes of one step or of all alike', () => {
    const minutes = (where: Where) =>
      partOf(where)
        .steps.filter((s) => stepDoes(s, 'size'))
        .map((s) => s.minutes);
    const [first] = usual.steps.filter((s) => stepDoes(s, 'size'));
    expect(
      minutes({ order: [way({ kind: 'minutes', on: { kind: 'step', id: first!.id }, minutes: 7 })] })[0],
    ).toBe(7);
    const all = minutes({
      workshop: [way({ kind: 'minutes', on: { kind: 'like', does: 'size' }, minutes: 3 })],
    });
    expect(new Set(all)).toEqual(new Set([3]));
  });
});
