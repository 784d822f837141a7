import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import { STARTING_FORMS, type Part, type PatternBody } from '../pattern/index.js';
import type { Fixture } from '../workshop/index.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';

/** What a workshop that owns one of each would hold work with. */
const fixture = (id: string, kind: Fixture['kind'], diameter: number, length: number): Fixture => ({
  id,
  name: `${kind} ${diameter}`,
  kind,
  diameter,
  length,
});
const FIXTURES: Fixture[] = [
  fixture('rod', 'through mandrel', 8, 400),
  fixture('b1', 'bushing', 14, 10),
  fixture('b2', 'bushing', 14, 10),
  fixture('pair', 'friction pair', 40, 20),
  fixture('plate', 'offset plate', 80, 20),
  fixture('screw', 'screw', 8, 15),
  fixture('tape', 'tape plate', 80, 20),
  fixture('cup', 'cup', 40, 20),
  fixture('dowel', 'dowel', 12, 40),
  fixture('bar', 'draw bar', 8, 200),
  fixture('collet', 'collet', 20, 20),
];

const planned = (
  body: PatternBody,
  part: Part,
  pieces: number,
  mount: MountKind | null,
  own: { materialId?: string; perBlank?: number } = {},
) => {
  const { stock, order, schools } = exampleInputs(pieces);
  const workshop = { ...workshopFor(body), fixtures: FIXTURES };
  return plan(body, workshop, stock, { ...order, ...own, partId: part.id, mount }, schools);
};
const stopsOf = (made: ReturnType<typeof planned>) =>
  made.findings.filter((f) => f.id.startsWith('route.')).map((f) => `${f.what} ${f.why}`);

/** Ways that cannot be gone: what is thinner than any jaws, what no flat face holds. */
const GIVEN_UP: Record<string, string> = {
  'Top on a stem, launched by a cord, Stem, chuck':
    'No jaws of the workshop close on anything as thin as this',
  'Ball, Body, friction pair': 'An end of it is too thin or too round to be held by its face',
};

const PARTS = STARTING_FORMS.flatMap((form) => {
  const body = { ...form.body({}, 'maple'), hardware: [] };
  return body.parts.map((part) => ({ name: `${form.name}, ${part.name}`, body, part }));
});

describe('every way of holding that is proposed makes the piece as it is drawn', () => {
  it.each(PARTS)('$name', ({ name, body, part }) => {
    for (const [pieces, own] of [
      [1, {}],
      // what is soft bears less, and of several in a blank one carries the next
      [12, { materialId: 'pine', perBlank: 2 }],
    ] as const)
      for (const { kind } of planned(body, part, pieces, null, own).parts[0].mounts) {
        const made = planned(body, part, pieces, kind, own);
        const why = GIVEN_UP[`${name}, ${kind}`];
        const stops = stopsOf(made);
        if (why) expect([kind, stops.join()]).toEqual([kind, expect.stringContaining(why)]);
        else expect([kind, stops]).toEqual([kind, []]);
        expect([kind, made.parts[0].steps.length > 0]).toEqual([kind, why === undefined]);
      }
  });

  it('and nearly all ways there are are proposed for one of the forms', () => {
    const ways = PARTS.flatMap(({ body, part }) => planned(body, part, 1, null).parts[0].mounts);
    expect([...new Set(ways.map((way) => way.kind))].sort()).toEqual([
      'between centres',
      'chuck',
      'collet',
      'cups',
      'friction pair',
      'screw',
      'spur drive',
      'tape plate',
      'through mandrel',
    ]);
  });
});

describe('ways that only some parts ask for', () => {
  const body: PatternBody = { ...exampleInputs(1).pattern, hardware: [], kind: 'other' };
  const part = (rest: Partial<Part>): Part => ({
    id: 'p',
    name: 'Part',
    perItem: 1,
    materialId: 'maple',
    turnings: [
      {
        id: 't1',
        startDiameter: dim(24),
        elements: [
          { kind: 'cylinder', id: 'a', length: dim(16) },
          { kind: 'taper', id: 'b', length: dim(40), endDiameter: dim(30) },
          { kind: 'cylinder', id: 'c', length: dim(10) },
        ],
      },
    ],
    holes: [],
    ...rest,
  });
  const held = (one: Part, mount: MountKind) => planned({ ...body, parts: [one] }, one, 1, mount);
  const hole = (diameter: number, depth: number, through = false) => ({
    id: 'h',
    name: 'socket',
    from: 'reference' as const,
    through,
    pointAngle: 118,
    steps: [{ diameter: dim(diameter), depth: dim(depth) }],
  });

  it('on a dowel in its hole, on a rod right through', () => {
    for (const [one, mount] of [
      [part({ holes: [hole(12, 20)] }), 'dowel'],
      [part({ holes: [hole(8, 66, true)] }), 'through mandrel'],
    ] as const) {
      const made = held(one, mount);
      expect([made.parts[0].mount.kind, stopsOf(made)]).toEqual([mount, []]);
      // what holds it is there before it is taken
      const ids = made.parts[0].steps.map((s) => s.id);
      expect(ids.indexOf('bore:h.1')).toBeLessThan(
        ids.findIndex((id) => id.startsWith('hold:') && !id.includes('vise') && !id.includes('off')),
      );
    }
  });

  it('on the offset plate: the further axis on its hole, then back to the middle', () => {
    const shifted = part({});
    shifted.turnings.push({
      id: 't2',
      startDiameter: dim(26),
      axis: { shift: dim(3), direction: 90, tilt: 0, along: dim(58) },
      elements: [{ kind: 'cylinder', id: 'f', length: dim(6) }],
    });
    const made = held(shifted, 'offset plate');
    expect([made.parts[0].mount.kind, stopsOf(made)]).toEqual(['offset plate', []]);
    const ids = made.parts[0].steps.map((s) => s.id);
    const order = [
      'hold:plate:blank p',
      'shape:b',
      'hold:plate shifted:t2',
      'shape:t2',
      'hold:plate:again',
      'part:',
    ];
    const places = order.map((id) => ids.findIndex((own) => own.startsWith(id)));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });

  it('parted off in a chuck its end is pared, or held the other way the workshop has', () => {
    const { steps } = held(part({}), 'chuck').parts[0];
    const off = steps.find((s) => s.title === 'Part it off')!;
    expect(off.words.at(-2)).toBe('Lightly, the other hand open under it; nothing wound round a finger.');
    expect(off.words.at(-1)).toMatch(
      /^Pare its end flush by hand, then the finish on it; or turn it round between cup 40/,
    );
    const bare = plan(
      { ...body, parts: [part({})] },
      workshopFor(body),
      exampleInputs(1).stock,
      { ...exampleInputs(1).order, mount: 'chuck' },
      exampleInputs(1).schools,
    ).parts[0].steps.find((s) => s.title === 'Part it off')!;
    expect(bare.words.at(-1)).toMatch(/; or for its other end cut a jam seat of/);
  });

  it('a ball in cups loses its poles about the axis that lies across them', () => {
    const { body: ball, part: own } = PARTS.find(({ name }) => name.startsWith('Ball'))!;
    const { steps } = planned(ball, own, 1, 'cups').parts[0];
    const poles = steps.find((s) => s.id === 'shape:poles')!;
    const [cut] = poles.operation!.effects;
    if (cut?.do !== 'cut') throw new Error('The poles are not cut.');
    expect(Math.abs(cut.skin.axis.along[0])).toBeLessThan(1e-9);
    expect(steps.some((s) => s.title.includes('knife'))).toBe(false);
  });
});
