import { dim } from '../../src/measure/index.js';
import {
  outlineOf,
  ownSegments,
  type Element,
  type Part,
  type PatternBody,
} from '../../src/pattern/index.js';
import { saidOf } from '../../src/route/saidProfile.js';
import type { Grip } from '../../src/route/shop.js';
import { LOW } from '../../src/route/say/writer.js';

const part = (
  id: string,
  name: string,
  start: number,
  elements: Element[],
  rest: Partial<Part> = {},
): Part => ({
  id,
  name,
  perItem: 1,
  materialId: 'maple',
  turnings: [{ id: `${id}.axis`, startDiameter: dim(start), elements }],
  holes: [],
  ...rest,
});

const body = part(
  'body',
  'Body',
  20,
  [
    { kind: 'taper', id: 'under', name: 'underside', length: dim(8), endDiameter: dim(50) },
    { kind: 'cylinder', id: 'rim', name: 'rim', length: dim(6) },
    { kind: 'taper', id: 'upper', name: 'upper side', length: dim(10), endDiameter: dim(16) },
  ],
  {
    holes: [
      {
        id: 'bore',
        name: 'bore for the stem',
        from: 'reference',
        through: true,
        pointAngle: 118,
        steps: [{ diameter: dim(10), depth: dim(0) }],
      },
    ],
  },
);
const stem = part('stem', 'Stem', 0, [
  { kind: 'taper', id: 'tip', name: 'tip', length: dim(6), endDiameter: dim(10) },
  { kind: 'cylinder', id: 'peg', name: 'peg', length: dim(24) },
  { kind: 'cylinder', id: 'collar', name: 'collar', length: dim(6) },
  { kind: 'taper', id: 'grip', name: 'grip', length: dim(40), endDiameter: dim(6) },
]);
const launcher = part(
  'launcher',
  'Launcher',
  22,
  [
    { kind: 'taper', id: 'head', name: 'head', length: dim(60), endDiameter: dim(26) },
    { kind: 'taper', id: 'hand', name: 'hand', length: dim(50), endDiameter: dim(20) },
  ],
  {
    crossHoles: [
      {
        id: 'eye',
        name: 'eye for the stem',
        from: 'reference',
        at: dim(15),
        angle: 0,
        diameter: dim(10.5),
        through: true,
      },
      {
        id: 'cord',
        name: 'hole for the cord',
        from: 'reference',
        at: dim(32),
        angle: 90,
        diameter: dim(3),
        through: true,
      },
    ],
  },
);

export const topPattern: PatternBody = {
  schema: 1,
  kind: 'top',
  usedBy: 'child',
  parts: [body, stem, launcher],
  hardware: [],
  joins: [
    {
      id: 'j1',
      kind: 'glued stem',
      inner: { partId: 'stem', end: 'reference' },
      outer: { partId: 'body', holeId: 'bore' },
      depth: dim(30),
    },
  ],
  lastId: 20,
};

const outlines = new Map(topPattern.parts.map((p) => [p.id, outlineOf(p.turnings[0])]));
export const outlineNamed = (id: string) => outlines.get(id) ?? outlineOf(body.turnings[0]);
export const topLengths = (id: string): number => outlineNamed(id).length;
export const own = (partId: string, id: string, x: number) =>
  saidOf(ownSegments(outlineNamed(partId), id), LOW, { x, runs: 1 });

export const spur = (x: number): Grip => ({
  by: 'spur centre',
  words: 'the spur centre',
  on: { of: 'stock', id: 'stock', x0: x, x1: x },
});
export const live = (x: number): Grip => ({
  by: 'live centre',
  words: 'the live centre',
  on: { of: 'stock', id: 'stock', x0: x, x1: x },
});
