import { stepDoes } from '../route/index.js';
import type { PatternBody } from '../pattern/index.js';
import type { Decision } from '../workshop/index.js';
import { base, partOf, planned, said, way, type Where } from '../../test/exampleWays.js';
import { plan } from './index.js';

const usual = partOf({});

describe('steps left out and put in', () => {
  const bead = { kind: 'step', id: 'shape:e3' } as const;

  it('what is left out with a reason is a note that says it, not a Stop', () => {
    const { findings, parts } = planned({
      order: [way({ kind: 'without', on: bead }, { why: 'cut by hand later' })],
    });
    expect(parts[0].steps.some((s) => s.id === 'shape:e3')).toBe(false);
    const own = said(findings, 'own.without')[0];
    expect(own).toMatchObject({ severity: 'note', why: 'cut by hand later' });
    expect(findings.filter((f) => f.id.startsWith('route.cover') && f.severity === 'stop')).toEqual([]);
    expect(said(findings, 'route.cover').map((f) => f.severity)).toContain('note');
  });

  it('what would leave the wood unheld stays a Stop that nobody can go past', () => {
    const mount = usual.steps.find(
      (s) =>
        stepDoes(s, 'hold') && s.operation?.effects.some((e) => e.do === 'hold' && e.held?.place === 'lathe'),
    )!;
    const without = way({ kind: 'without', on: { kind: 'step', id: mount.id } });
    const { findings } = planned({ order: [without] });
    const unheld = findings.filter((f) => f.final);
    expect(unheld.length).toBeGreaterThan(0);
    const past = unheld.map((f) => way({ kind: 'past', finding: f.id }));
    expect(
      planned({ order: [without, ...past] }).findings.filter((f) => f.final && f.severity === 'stop'),
    ).toHaveLength(unheld.length);
  });

  it('an own step stands where it was put, takes its time, and waits its turn', () => {
    const step = {
      title: 'Hang the tassel',
      words: 'Double knot.',
      place: 'bench',
      minutes: 4,
      after: 'shape:e3',
      makes: [],
    } as const;
    const { steps } = partOf({ order: [way({ kind: 'extra', step: { ...step, makes: [] } })] });
    const at = steps.findIndex((s) => s.title === 'Hang the tassel');
    expect(steps[at - 1]?.id).toBe('shape:e3');
    expect(steps[at]).toMatchObject({ minutes: 4, setup: { place: 'bench' }, words: ['Double knot.'] });
    expect(steps[at + 1]?.locks.map((l) => l.stepId)).toContain(steps[at]?.id);
  });

  it('what an own step makes needs no cut of the plan', () => {
    const step = {
      title: 'Carve the collar',
      words: '',
      place: 'bench',
      minutes: 9,
      after: 'shape:e2',
      makes: ['e3'],
    } as const;
    const ways = [
      way({ kind: 'without', on: bead }),
      way({ kind: 'extra', step: { ...step, makes: [...step.makes] } }),
    ];
    const about = said(planned({ order: ways }).findings, 'route.cover');
    expect(about.length).toBeGreaterThan(0);
    about.forEach((f) =>
      expect(f).toMatchObject({
        severity: 'note',
        why: expect.stringContaining('Carve the collar') as string,
      }),
    );
  });

  it('the same step is left out for every piece of a blank', () => {
    const body = {
      ...base.pattern,
      hardware: [],
      parts: [{ ...base.pattern.parts[0], holes: [] }],
    } as PatternBody;
    const order = {
      ...base.order,
      perBlank: 2,
      mount: 'between centres' as const,
      ways: [way({ kind: 'without', on: { kind: 'like', does: 'mark' } })],
    };
    const [part] = plan(body, base.workshop, base.stock, order, base.schools).parts;
    expect(part.blank.perBlank).toBe(2);
    expect(part.steps.filter((s) => stepDoes(s, 'mark'))).toEqual([]);
  });
});

describe('without a place', () => {
  it.each<[string, Decision]>([
    ['a tool that is not owned', { kind: 'tool', on: { kind: 'step', id: 'shape:e2' }, toolId: 'lost' }],
    ['a feature that is gone', { kind: 'before', first: ['gone'], then: ['e2'] }],
    ['a hole that is gone', { kind: 'depth', holeId: 'gone', mm: 20 }],
    ['a step that is gone', { kind: 'minutes', on: { kind: 'step', id: 'shape:gone' }, minutes: 2 }],
    [
      'an own step after one that is gone',
      {
        kind: 'extra',
        step: { title: 'Wait', words: '', place: 'bench', minutes: 1, after: 'shape:gone', makes: [] },
      },
    ],
  ])('%s is kept and said', (_, decides) => {
    const own = way(decides);
    const made = planned({ order: [own] });
    expect(made.parts[0].homeless?.map((h) => h.way)).toEqual([own]);
    expect(said(made.findings, 'own.homeless')).toHaveLength(1);
    expect(made.parts[0].steps.map((s) => s.id)).toEqual(usual.steps.map((s) => s.id));
  });
});

it('a Stop is gone past with its reason, for this order or the pattern', () => {
  const deep = way({ kind: 'depth', holeId: usual.drilling[0]!.id, mm: 61.9 });
  const stops = (where: Where) => planned(where).findings.filter((f) => f.severity === 'stop');
  const [stop] = stops({ order: [deep] });
  expect(stop?.id).toBe('drill.wall.part1');
  const past = way({ kind: 'past', finding: stop!.id }, { why: 'a plug covers it' });
  expect(stops({ order: [deep, past] })).toEqual([]);
  expect(planned({ order: [deep], pattern: [past] }).findings.find((f) => f.id === stop!.id)).toMatchObject({
    severity: 'note',
    past: 'a plug covers it (Ines)',
  });
});
