import {
  dim,
  STARTING_FORMS,
  type Decoration,
  type Element,
  type Hole,
  type ItemKind,
  type PatternBody,
} from '@compas/core';

import { oldFinialPattern } from './samples.js';
import type { DemoKit } from './workshop.js';

/** A demo pattern and the kit it sits on. */
export interface DemoPattern {
  name: string;
  kit: DemoKit | null;
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

/** Decorations on the one part of a pattern. */
const decorated = (demo: DemoPattern, decorations: Decoration[]): DemoPattern => {
  const [part] = demo.body.parts;
  return { ...demo, body: { ...demo.body, parts: [{ ...part, decorations }] } };
};

const fromForm = (id: string, sizes: Record<string, number>, materialId: string): PatternBody => {
  const form = STARTING_FORMS.find((f) => f.id === id);
  if (!form) throw new Error(`There is no starting form ${id}.`);
  return form.body(Object.fromEntries(Object.entries(sizes).map(([key, mm]) => [key, dim(mm)])), materialId);
};

/** A top whose body is glued onto its stem, and the handle that it is launched with: three parts, two things. */
function topWithLauncher(): PatternBody {
  const top = fromForm('launched-top', { body: 58, thick: 24, stem: 10, stemLength: 74 }, 'maple');
  const [launcher] = fromForm('launcher', { stem: 10, grip: 32, length: 130, cord: 4 }, 'walnut').parts;
  const [turning] = launcher.turnings;
  const elements = turning.elements.map((e) => ({ ...e, id: `l${e.id}` }));
  return {
    ...top,
    parts: [
      ...top.parts,
      { ...launcher, id: 'part3', name: 'Launcher', turnings: [{ ...turning, id: 'turning3', elements }] },
    ],
    checks: [
      {
        id: 'spins',
        kind: 'function',
        words: 'Spins on a plate',
        stage: 'assemble',
        unit: 's',
        least: 20,
      },
    ],
  };
}

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
    {
      usedBy: 'food',
      longest: dim(70),
      kit: 'insert',
      source: { from: 'own', words: 'Drawn for the dovecote labels', allows: '' },
      checks: [
        {
          id: 'seam',
          kind: 'felt',
          words: 'A fingernail does not catch between wood and base',
          stage: 'assemble',
        },
        {
          id: 'height',
          kind: 'number',
          words: 'Height over the base',
          stage: 'assemble',
          unit: 'mm',
          least: 63,
          most: 66,
        },
      ],
      mates: [
        {
          id: 'base',
          name: 'brass base',
          partId: 'part1',
          end: 'reference',
          points: [
            { at: dim(0), diameter: dim(32) },
            { at: dim(3), diameter: dim(32) },
            { at: dim(6), diameter: dim(20) },
            { at: dim(16), diameter: dim(18) },
          ],
        },
      ],
    },
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
      { kind: 'cylinder', id: 'e1', name: 'cord stub', length: dim(4) },
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
  decorated(
    pattern('Garden dibber', 'other', 'ash', 30, [
      { kind: 'sphere', id: 'e1', name: 'knob', diameter: dim(38), endDiameter: dim(24) },
      { kind: 'cove', id: 'e2', name: 'neck', length: dim(26), bottom: dim(20) },
      { kind: 'taper', id: 'e3', name: 'shaft', length: dim(92), endDiameter: dim(28) },
      { kind: 'v-groove', id: 'e4', name: '50 line', length: dim(2), depth: dim(1) },
      { kind: 'taper', id: 'e5', name: 'point', length: dim(66), endDiameter: dim(7) },
    ]),
    [
      { id: 'd1', kind: 'burnt line', elementId: 'e4', from: dim(0.6), width: dim(0.8) },
      { id: 'd2', kind: 'texture', elementId: 'e1', from: dim(10), width: dim(7), words: 'knurled' },
    ],
  ),
  {
    name: 'Dumpling rolling pin',
    kit: null,
    body: fromForm('rolling-pin', { end: 18, middle: 26, length: 270 }, 'maple'),
  },
  {
    name: 'Heron knife handle',
    kit: null,
    body: fromForm('knife-handle', { bolster: 21, grip: 29, length: 114, tang: 6, tangLength: 68 }, 'olive'),
  },
  {
    name: 'Grain scoop handle',
    kit: null,
    body: fromForm('scoop-handle', { end: 15, stud: 6, grip: 27, length: 98 }, 'cherry'),
  },
  {
    name: 'Skylark desk top',
    kit: null,
    body: fromForm('finger-top', { body: 40, height: 44, stem: 6 }, 'boxwood'),
  },
  { name: 'Meadow top with launcher', kit: null, body: topWithLauncher() },
  {
    name: 'Meadow launcher',
    kit: null,
    body: fromForm('launcher', { stem: 10, grip: 32, length: 130, cord: 4 }, 'maple'),
  },
  {
    name: 'Fair-day balloon',
    kit: null,
    body: fromForm('dowel-ornament', { dowel: 6, belly: 36, height: 88 }, 'cherry'),
  },
  { name: 'Nine-pin ball', kit: null, body: fromForm('ball', { ball: 52 }, 'oak') },
  {
    name: 'Pastry pin',
    kit: null,
    body: fromForm('tapered-pin', { middle: 38, flat: 120, end: 20, length: 300 }, 'beech'),
  },
  {
    name: 'Footstool leg',
    kit: null,
    body: fromForm('leg', { square: 40, squareLength: 70, thick: 38, foot: 22, length: 300 }, 'ash'),
  },
  {
    name: 'Nursery rattle',
    kit: null,
    body: fromForm('rattle', { shaft: 15, head: 32, length: 124 }, 'maple'),
  },
  {
    name: 'Tea caddy spoon',
    kit: null,
    body: fromForm('scoop', { bowl: 40, bowlLength: 52, handle: 14, length: 130 }, 'olive'),
  },
  { name: 'Old stair finial, copied', kit: null, body: oldFinialPattern() },
  pattern(
    'Seed awl handle',
    'handle',
    'cherry',
    16,
    [
      { kind: 'cylinder', id: 'e1', name: 'bolster end', length: dim(5) },
      { kind: 'cove', id: 'e2', name: 'finger rest', length: dim(14), bottom: dim(14.5) },
      { kind: 'taper', id: 'e3', name: 'swell', length: dim(34), endDiameter: dim(30) },
      {
        kind: 'arc',
        id: 'e4',
        name: 'palm',
        length: dim(26),
        endDiameter: dim(12),
        radius: dim(27),
        side: 'out',
      },
    ],
    { kit: 'awl' },
  ),
  pattern(
    'Bramble hook handle',
    'handle',
    'ash',
    26,
    [
      { kind: 'cylinder', id: 'e1', name: 'socket end', length: dim(12) },
      { kind: 'v-groove', id: 'e2', name: 'line', length: dim(2), depth: dim(1) },
      { kind: 'ogee', id: 'e3', name: 'grip', length: dim(70), endDiameter: dim(32), side: 'in' },
      {
        kind: 'arc',
        id: 'e4',
        name: 'butt',
        length: dim(18),
        endDiameter: dim(16),
        radius: dim(20),
        side: 'out',
      },
    ],
    { kit: 'shank' },
  ),
];
