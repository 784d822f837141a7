import { dim } from '../measure/index.js';
import {
  checkPattern,
  STARTING_FORMS,
  type CrossHole,
  type Decoration,
  type Element,
  type Hole,
  type Part,
  type PatternBody,
  type Turning,
} from '../pattern/index.js';
import { tenonDiameter } from '../pattern/tenonFit.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';

/**
 * Parts that any turner makes, as one would see it from the drawing. None may Stop in the way of holding that is taken
 * when nobody chooses one, nor in any that is offered without lacking something.
 */
const cylinder = (id: string, length: number): Element => ({ kind: 'cylinder', id, length: dim(length) });
const shoulder = (id: string, endDiameter: number): Element => ({
  kind: 'shoulder',
  id,
  endDiameter: dim(endDiameter),
});
const partOf = (start: number, elements: Element[], rest: Partial<Part> = {}): Part => ({
  id: 'p',
  name: 'Post',
  perItem: 1,
  materialId: 'maple',
  turnings: [{ id: 't', startDiameter: dim(start), elements }],
  holes: [],
  ...rest,
});
const bore = (from: 'reference' | 'far', ...steps: [diameter: number, depth: number][]): Hole => ({
  id: `bore ${from} ${steps[0]?.[0] ?? 0}`,
  name: `bore in the ${from} end`,
  from,
  steps: steps.map(([diameter, depth]) => ({ diameter: dim(diameter), depth: dim(depth) })),
  pointAngle: 118,
  through: false,
});
const across = (at: number, diameter: number): CrossHole => ({
  id: 'cross',
  name: 'cord hole',
  from: 'reference',
  at: dim(at),
  angle: 0,
  diameter: dim(diameter),
  through: true,
});
const peg = (id: string, hole: number): Element => ({
  kind: 'tenon',
  id,
  length: dim(15),
  hole: dim(hole),
  fit: 'glue',
});

const DOWELS = [5, 6, 7, 7.9, 8, 12].flatMap((d) =>
  [40, 120].map((long) => partOf(d, [cylinder('rod', long)])),
);
const AFTER_A_PEG = [
  partOf(tenonDiameter(10, 'glue'), [peg('peg', 10), shoulder('s', 24), cylinder('body', 50)]),
  partOf(24, [cylinder('body', 50), peg('peg', 10)]),
  partOf(tenonDiameter(8, 'glue'), [peg('one', 8), shoulder('s', 24), cylinder('body', 50), peg('other', 8)]),
];
const curve = (kind: 'ogee', id: string, endDiameter: number, side: 'out' | 'in'): Element => ({
  kind,
  id,
  length: dim(24),
  endDiameter: dim(endDiameter),
  side,
});
const CURVES = (['out', 'in'] as const).flatMap((side) => [
  partOf(30, [curve('ogee', 'o', 16, side), cylinder('body', 40)]),
  partOf(16, [cylinder('body', 40), curve('ogee', 'o', 30, side), cylinder('foot', 10)]),
]);
const BALLOONS = [
  partOf(12, [
    cylinder('neck', 20),
    { kind: 'balloon', id: 'b', length: dim(60), diameter: dim(28), endDiameter: dim(14), ball: 'first' },
    cylinder('end', 10),
  ]),
  partOf(14, [
    cylinder('end', 10),
    { kind: 'balloon', id: 'b', length: dim(60), diameter: dim(28), endDiameter: dim(12), ball: 'last' },
    cylinder('neck', 20),
  ]),
];
const SOCKETS = [
  partOf(24, [cylinder('land', 6), shoulder('s', 30), cylinder('body', 60)], {
    holes: [bore('reference', [12, 30])],
  }),
  partOf(30, [cylinder('body', 60), shoulder('s', 24), cylinder('land', 6)], {
    holes: [bore('far', [12, 30])],
  }),
  partOf(30, [cylinder('body', 80)], { holes: [bore('reference', [16, 10], [10, 30])] }),
  partOf(30, [cylinder('body', 80)], { holes: [bore('reference', [20, 6], [12, 20], [6, 40])] }),
  partOf(30, [cylinder('body', 80)], { holes: [bore('reference', [10, 25]), bore('far', [8, 20])] }),
  partOf(30, [cylinder('body', 80)], { holes: [bore('far', [16, 6]), bore('far', [4, 30])] }),
  partOf(30, [cylinder('body', 80)], { holes: [bore('reference', [16, 12])], crossHoles: [across(6, 4)] }),
];
const square = (shoulderForm: 'square' | 'rolled'): Element => ({
  kind: 'square',
  id: 'sq',
  length: dim(60),
  across: dim(40),
  endDiameter: dim(26),
  shoulder: shoulderForm,
  ...(shoulderForm === 'rolled' ? { roll: dim(16) } : {}),
});
const BEADS_AS_WIDE = (['square', 'rolled'] as const).flatMap((form) =>
  [38, 39, 40].map((crown) =>
    partOf(40, [
      square(form),
      cylinder('neck', 8),
      { kind: 'bead', id: 'bead', length: dim(16), crown: dim(crown) },
      cylinder('shaft', 60),
    ]),
  ),
);
const further = (shift: number, tilt: number): Turning => ({
  id: 't2',
  startDiameter: dim(20),
  axis: { shift: dim(shift), direction: 0, tilt, along: dim(20) },
  elements: [cylinder('hook', 10)],
});
const HOOKS = [
  [3, 0],
  [5, 0],
  [0, 3],
  [2, 2],
  [0, 5],
].map(([shift = 0, tilt = 0]): Part => {
  const part = partOf(30, [cylinder('grip', 40), shoulder('s', 24), cylinder('rest', 50)]);
  return { ...part, turnings: [part.turnings[0], further(shift, tilt)] };
});
/** A hook as thick as the neck that it is turned on: of the first surface a sliver stays on one side. */
const necked = partOf(36, [
  cylinder('head', 40),
  shoulder('s', 16.7),
  cylinder('neck', 40),
  shoulder('t', 36),
  cylinder('foot', 20),
]);
const beside: Turning['axis'] = { shift: dim(3.8), direction: 0, tilt: 0, along: dim(50) };
const SLIVER: Part = {
  ...necked,
  turnings: [necked.turnings[0], { ...further(3.8, 0), startDiameter: dim(10.5), axis: beside }],
};
const AS_WIDE = partOf(40, [square('square'), cylinder('neck', 8), shoulder('s', 40), cylinder('shaft', 60)]);
const decorated = (kind: Decoration['kind'], elementId: string): Part =>
  partOf(24, [cylinder('a', 20), cylinder('b', 20), peg('peg', 10)], {
    decorations: [{ id: 'd', kind, elementId, from: dim(0), width: dim(20) }],
  });
const DECORATED = (['texture', 'colour', 'burnt line'] as const).flatMap((kind) =>
  ['a', 'b'].map((on) => decorated(kind, on)),
);

const LONG = [60, 120, 200, 300, 400].map((long) => partOf(30, [cylinder('body', long)]));
const through = (from: 'reference' | 'far', diameter: number, long: number): Hole => ({
  ...bore(from, [diameter, long]),
  through: true,
});
const THROUGH = (['reference', 'far'] as const).flatMap((from) =>
  [6, 8, 10].flatMap((d) => [
    partOf(24, [cylinder('body', 60)], { holes: [through(from, d, 60)] }),
    partOf(
      24,
      [cylinder('body', 40), { kind: 'taper', id: 'tip', length: dim(20), endDiameter: dim(d + 6) }],
      {
        holes: [through(from, d, 60)],
      },
    ),
  ]),
);

const WOODS = ['pine', 'maple', 'boxwood'];

const ALL: Record<string, Part[]> = {
  'a plain piece, short or long': LONG,
  'a piece bored right through': THROUGH,
  'a dowel': DOWELS,
  'a piece with a peg': AFTER_A_PEG,
  'a piece with an ogee': CURVES,
  'a piece with a balloon': BALLOONS,
  'a piece with a socket, a step in it, or bores from both ends': SOCKETS,
  'a leg with a bead as wide as its square': BEADS_AS_WIDE,
  'a leg whose shaft is as wide as its square': [AS_WIDE],
  'a hook about a further axis': [...HOOKS, SLIVER],
  'a decoration all over its element': DECORATED,
};

const stopsOf = (body: PatternBody): string[] => {
  const { stock, order: usual, schools } = exampleInputs(1);
  const order = { ...usual, materialId: body.parts[0].materialId };
  const refused = checkPattern(body).map(({ why }) => why);
  if (refused.length > 0) return refused;
  const workshop = workshopFor(body);
  const [first] = plan(body, workshop, stock, { ...order, mount: null }, schools).parts;
  const ways = first.mounts.filter((m) => m.missing.length === 0).map((m) => m.kind);
  return [null, ...ways].flatMap((mount) =>
    plan(body, workshop, stock, { ...order, mount }, schools)
      .findings.filter((f) => f.severity === 'stop')
      .map((f) => `${mount ?? 'as usual'}: ${f.what} ${f.why}`),
  );
};
const bodyOf = (part: Part): PatternBody => ({
  ...exampleInputs(1).pattern,
  kind: 'other',
  parts: [part],
  hardware: [],
  joins: [],
});

describe('what any turner makes does not Stop', () => {
  it.each(Object.keys(ALL))('%s, by turns in soft, hard and dense wood', (name) => {
    const stops = ALL[name]!.flatMap((part, i) => {
      const materialId = WOODS[i % WOODS.length]!;
      return stopsOf(bodyOf({ ...part, materialId })).map((s) => `${i} of ${materialId}, ${s}`);
    });
    expect(stops).toEqual([]);
  });

  it.each(['reference', 'far'] as const)(
    'a stopper on its mandrel, with its hardware in the %s end',
    (end) => {
      const { pattern } = exampleInputs(1);
      const fitted = { ...pattern, hardware: pattern.hardware.map((h) => ({ ...h, end })) };
      expect(fitted.hardware.length).toBeGreaterThan(0);
      const part = partOf(36, [cylinder('foot', 30), cylinder('top', 50)]);
      expect(stopsOf({ ...fitted, kind: 'other', parts: [{ ...part, id: pattern.parts[0].id }] })).toEqual(
        [],
      );
    },
  );

  it.each([
    ['the reference end', ['reference']],
    ['the far end', ['far']],
    ['either end', ['reference', 'far']],
  ] as const)('a piece with a recess in %s, held by the jaws in it', (_, ends) => {
    const { stock, order, schools } = exampleInputs(1);
    const body = bodyOf(
      partOf(44, [cylinder('body', 30), cylinder('rest', 30)], {
        holes: ends.map((end) => ({ ...bore(end, [26, 6]), pointAngle: 180 })),
      }),
    );
    const shop = workshopFor(body);
    const [chuck] = shop.chucks;
    const jaws = chuck!.jaws.map((j) => ({ ...j, recessLeast: 22, recessMost: 40 }));
    const planned = plan(
      body,
      { ...shop, chucks: [{ ...chuck!, jaws }] },
      stock,
      { ...order, mount: 'recess' },
      schools,
    );
    expect(planned.parts[0].mount.kind).toBe('recess');
    expect(planned.findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });

  it.each(['reference', 'far'] as const)(
    'a cord hole longer than any bit, begun at the %s end: bored half from each, each half by a name of its own',
    (from) => {
      const { workshop, stock, order, schools } = exampleInputs(1);
      const body = bodyOf(partOf(30, [cylinder('body', 120)], { holes: [through(from, 7, 120)] }));
      const bits = [{ id: 'short', kind: 'brad point' as const, diameter: dim(7), length: 90 }];
      const planned = plan(body, { ...workshop, bits }, stock, { ...order, mount: null }, schools);
      const titles = planned.parts[0].steps.map((s) => s.title).filter((t) => t.startsWith('Drill'));
      expect(planned.findings.filter((f) => f.severity === 'stop')).toEqual([]);
      expect(titles.map((t) => t.split(', ')[1]).sort()).toEqual([
        'from the far end',
        'from the reference end',
      ]);
    },
  );

  it('a piece in a chuck with a wide bore at its tenon, where that is bored when it has come off', () => {
    const { stock, order, schools } = exampleInputs(1);
    const body = bodyOf(
      partOf(30, [cylinder('body', 40)], { holes: [bore('reference', [10, 10]), bore('far', [22, 6])] }),
    );
    const lacksFor = (moment: 'square blank' | 'after parting') => {
      const drilling = body.parts[0].holes.slice(1).map(({ id }) => ({ holeId: id, moment }));
      const { mounts } = plan(body, workshopFor(body), stock, { ...order, drilling }, schools).parts[0];
      return mounts.find((m) => m.kind === 'chuck')?.missing.length;
    };
    expect([lacksFor('square blank'), lacksFor('after parting')]).toEqual([1, 0]);
  });

  it('a top on a stem of any thickness', () => {
    const top = STARTING_FORMS.find((f) => f.id === 'launched-top')!;
    for (const stem of [8, 10, 12, 12.7, 14])
      expect([stem, stopsOf({ ...top.body({ stem: dim(stem) }, 'maple'), hardware: [] })]).toEqual([
        stem,
        [],
      ]);
  });
});
