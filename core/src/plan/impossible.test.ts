import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import {
  checkPattern,
  type CrossHole,
  type Element,
  type Hole,
  type Hollow,
  type Part,
  type PatternBody,
} from '../pattern/index.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';

/**
 * Parts that nobody can make, as a turner would see it from the drawing. Each must Stop, and the Stop must name what it is
 * about. Nothing here asks the route's own checks what they think.
 */
interface Impossible {
  part: Part;
  mount?: MountKind;
  /** what the Stop must name */
  about: RegExp;
}

const cylinder = (id: string, length: number): Element => ({ kind: 'cylinder', id, length: dim(length) });
const taper = (id: string, length: number, endDiameter: number): Element => ({
  kind: 'taper',
  id,
  length: dim(length),
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

/** 100 long, 30 thick, but for a neck of 10 from 45 to 55. */
const necked = (rest: Partial<Part> = {}, neck = 10): Part =>
  partOf(
    30,
    [
      cylinder('head', 40),
      taper('down', 5, neck),
      { ...cylinder('neck', 10), name: 'neck' },
      taper('up', 5, 30),
      cylinder('foot', 40),
    ],
    rest,
  );
/** 80 long, 24 thick. */
const plain = (rest: Partial<Part> = {}, length = 80, diameter = 24): Part =>
  partOf(diameter, [cylinder('body', length)], rest);

const bore = (diameter: number, depth: number, rest: Partial<Hole> = {}): Hole => ({
  id: 'bore',
  name: 'long bore',
  from: 'reference',
  steps: [{ diameter: dim(diameter), depth: dim(depth) }],
  pointAngle: 118,
  through: false,
  ...rest,
});
const across = (at: number, diameter: number, rest: Partial<CrossHole> = {}): CrossHole => ({
  id: 'cross',
  name: 'cord hole',
  from: 'reference',
  at: dim(at),
  angle: 0,
  diameter: dim(diameter),
  through: true,
  ...rest,
});

const BORES = [10, 12, 16].flatMap((diameter) =>
  (['reference', 'far'] as const).flatMap((from) =>
    [50, 70, 100].map((depth): Impossible => ({
      part: necked({ holes: [bore(diameter, depth, { from, through: depth === 100 })] }),
      about: /long bore|neck/,
    })),
  ),
);
const WIDE_BORES = [24, 26, 40].flatMap((diameter) =>
  (['reference', 'far'] as const).map((from): Impossible => ({
    part: plain({ holes: [bore(diameter, 30, { from })] }),
    about: /long bore/,
  })),
);
const WIDE_CROSS = [10, 11, 14].flatMap((diameter) =>
  [0, 45, 90].map((angle): Impossible => ({
    part: necked({ crossHoles: [across(50, diameter, { angle })] }),
    about: /cord hole/,
  })),
);
const BEYOND = [81, 120].map((at): Impossible => ({
  part: plain({ crossHoles: [across(at, 5)] }),
  about: /cord hole/,
}));
const CUT_THROUGH = [20, 40, 60].flatMap((at) =>
  (['between centres', 'chuck'] as const).map((mount): Impossible => ({
    part: partOf(20, [taper('in', at, 0), { ...taper('out', 100 - at, 20), name: 'other cone' }]),
    mount,
    about: /cut in two/,
  })),
);
const TOO_DEEP = [80, 90, 200].map((depth): Impossible => ({
  part: plain({ holes: [bore(8, depth)] }),
  about: /long bore/,
}));
const hollow = (opens: 'reference' | 'far', across: number, deep: number): Hollow => ({
  id: 'hollow',
  name: 'cup',
  opens,
  startDiameter: dim(across),
  elements: [taper('wall', deep, 0)],
});
const HOLLOWS = (['reference', 'far'] as const).flatMap((opens) =>
  (
    [
      [24, 20],
      [30, 20],
      [16, 80],
      [16, 120],
    ] as const
  ).map(([diameter, deep]): Impossible => ({
    part: plain({ hollows: [hollow(opens, diameter, deep)] }),
    about: /cup/,
  })),
);
const DECORATED = (['burnt line', 'texture', 'colour'] as const).map((kind): Impossible => ({
  part: plain({ decorations: [{ id: 'd', kind, elementId: 'body', from: dim(78), width: dim(4) }] }),
  about: new RegExp(kind),
}));
const TOO_LARGE = [
  { part: plain({}, 80, 900), about: /swing|turn over|too (large|wide|thick)|across/ },
  { part: plain({}, 80, 700), about: /swing|turn over|too (large|wide|thick)|across/ },
  { part: plain({}, 5000, 24), about: /long|between/ },
  { part: plain({}, 3000, 24), about: /long|between/ },
];
const NOTHING_THERE = [
  { part: partOf(20, []), about: /no length/ },
  { part: partOf(0, [cylinder('body', 40)]), about: /nothing thick/ },
  { part: partOf(20, [cylinder('body', 0)]), about: /length/ },
  { part: partOf(20, [taper('body', 40, -3)]), about: /diameter/ },
];

const planned = ({ part, mount }: Impossible): string[] => {
  const { stock, order, schools, pattern } = exampleInputs(1);
  const body: PatternBody = { ...pattern, kind: 'other', parts: [part], hardware: [], joins: [] };
  const refused = checkPattern(body).map(({ why }) => why);
  if (refused.length > 0) return refused;
  const made = plan(body, workshopFor(body), stock, { ...order, mount: mount ?? null }, schools);
  return made.findings.filter((f) => f.severity === 'stop').map((f) => `${f.what} ${f.why}`);
};

const ALL: Record<string, Impossible[]> = {
  'a bore as wide as the neck it runs through': BORES,
  'a bore as wide as the wood': WIDE_BORES,
  'a bore deeper than the piece': TOO_DEEP,
  'a cross hole as wide as the neck': WIDE_CROSS,
  'a cross hole beyond the end': BEYOND,
  'a piece that is cut in two': CUT_THROUGH,
  'a hollow that comes out at the side or at the other end': HOLLOWS,
  'a decoration that goes on where its element ends': DECORATED,
  'a piece that the lathe does not take': TOO_LARGE,
  'a piece that is not there': NOTHING_THERE,
};

describe('what cannot be made Stops, and the Stop names what it is about', () => {
  it('there are sixty of them at least', () => {
    expect(Object.values(ALL).flat().length).toBeGreaterThanOrEqual(60);
  });

  it.each(Object.keys(ALL))('%s', (name) => {
    for (const [i, one] of ALL[name]!.entries()) {
      const stops = planned(one);
      expect([i, stops.length > 0, stops.some((s) => one.about.test(s))]).toEqual([i, true, true]);
    }
  });
});
