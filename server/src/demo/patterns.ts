import { dim, STARTING_FORMS, type Element, type Hole, type ItemKind, type PatternBody } from '@compas/core';

/** A demo pattern and the kit it sits on. */
export interface DemoPattern {
  name: string;
  kit: 'insert' | 'stud' | 'ferrule' | null;
  body: PatternBody;
}

function pattern(
  name: string,
  kind: ItemKind,
  materialId: string,
  start: number,
  elements: Element[],
  rest: Partial<PatternBody> & { kit?: DemoPattern['kit']; holes?: Hole[] } = {},
): DemoPattern {
  const { kit = null, holes = [], ...more } = rest;
  return {
    name,
    kit,
    body: {
      schema: 1,
      kind,
      usedBy: 'anybody',
      parts: [
        {
          id: 'part1',
          name: 'Body',
          perItem: 1,
          materialId,
          turnings: [{ id: 'turning1', startDiameter: dim(start), elements }],
          holes,
        },
      ],
      hardware: [],
      lastId: elements.length,
      ...more,
    },
  };
}

const fromForm = (id: string, sizes: Record<string, number>, materialId: string): PatternBody => {
  const form = STARTING_FORMS.find((f) => f.id === id);
  if (!form) throw new Error(`There is no starting form ${id}.`);
  return form.body(Object.fromEntries(Object.entries(sizes).map(([key, mm]) => [key, dim(mm)])), materialId);
};

export const demoPatterns: DemoPattern[] = [
  pattern(
    'Dovecote carafe stopper',
    'stopper',
    'maple',
    32,
    [
      { kind: 'cylinder', id: 'e1', name: 'foot', length: dim(4) },
      { kind: 'cove', id: 'e2', name: 'neck', length: dim(17), bottom: dim(22) },
      { kind: 'bead', id: 'e3', name: 'collar', length: dim(6), crown: dim(36) },
      { kind: 'v-groove', id: 'e4', name: 'ring', length: dim(2), depth: dim(1) },
      { kind: 'taper', id: 'e5', name: 'swell', length: dim(16), endDiameter: dim(41) },
      {
        kind: 'arc',
        id: 'e6',
        name: 'crown',
        length: dim(19),
        endDiameter: dim(12),
        radius: dim(19.8),
        side: 'out',
      },
    ],
    { usedBy: 'food', longest: dim(70), kit: 'insert' },
  ),
  {
    name: 'Lantern stopper',
    kit: 'stud',
    body: { ...fromForm('stopper', { base: 29, height: 58, grip: 37 }, 'walnut'), longest: dim(64) },
  },
  {
    name: 'Bench chisel handle',
    kit: 'ferrule',
    body: fromForm('tool-handle', { bore: 20, ferrule: 18, grip: 33, length: 138 }, 'ash'),
  },
  pattern(
    'Acorn light pull',
    'ornament',
    'cherry',
    9,
    [
      { kind: 'cylinder', id: 'e1', name: 'cord end', length: dim(4) },
      { kind: 'taper', id: 'e2', name: 'stalk', length: dim(12), endDiameter: dim(12) },
      { kind: 'shoulder', id: 'e3', name: 'cap edge', endDiameter: dim(25) },
      { kind: 'bead', id: 'e4', name: 'cap', length: dim(9), crown: dim(29) },
      { kind: 'shoulder', id: 'e5', name: 'cap rim', endDiameter: dim(23) },
      {
        kind: 'arc',
        id: 'e6',
        name: 'nut',
        length: dim(24),
        endDiameter: dim(5),
        radius: dim(36.5),
        side: 'out',
      },
    ],
    {
      holes: [
        {
          id: 'cord',
          name: 'cord hole',
          from: 'reference',
          through: false,
          pointAngle: 118,
          steps: [{ diameter: dim(4), depth: dim(30) }],
        },
      ],
    },
  ),
  {
    name: 'Gallery finial',
    kit: null,
    body: fromForm('finial', { peg: 10, pegLength: 12, height: 74, ball: 19 }, 'beech'),
  },
  pattern('Garden dibber', 'other', 'ash', 30, [
    { kind: 'sphere', id: 'e1', name: 'knob', diameter: dim(38), endDiameter: dim(24) },
    { kind: 'cove', id: 'e2', name: 'neck', length: dim(26), bottom: dim(20) },
    { kind: 'taper', id: 'e3', name: 'shaft', length: dim(92), endDiameter: dim(28) },
    { kind: 'v-groove', id: 'e4', name: '50 line', length: dim(2), depth: dim(1) },
    { kind: 'taper', id: 'e5', name: 'point', length: dim(66), endDiameter: dim(7) },
  ]),
  {
    name: 'Dumpling rolling pin',
    kit: null,
    body: fromForm('rolling-pin', { end: 18, middle: 26, length: 270 }, 'maple'),
  },
];
