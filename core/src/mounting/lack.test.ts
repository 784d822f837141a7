import { dim } from '../measure/index.js';
import { outlineOf, STARTING_FORMS, type Hole, type Part } from '../pattern/index.js';
import { exampleWorkshop } from '../plan/exampleShop.js';
import type { Workshop } from '../workshop/index.js';
import { proposeMounts, type Entry, type Mount } from './index.js';
import type { MountWish } from './mount.js';

const bare: Workshop = { ...exampleWorkshop(), centres: [], chucks: [], mandrels: [], fixtures: [] };
let entries = 0;
function withEntry(workshop: Workshop, lack: Entry): Workshop {
  const { list, entry } = lack;
  const added = { id: `n${++entries}`, ...entry };
  if (lack.list !== 'jaws') return { ...workshop, [list]: [...(workshop[lack.list] ?? []), added] };
  const jaws = { ...lack.entry, id: added.id };
  return {
    ...workshop,
    chucks: workshop.chucks.map((c) => (c.id === lack.chuckId ? { ...c, jaws: [...c.jaws, jaws] } : c)),
  };
}

const bore = (steps: [number, number][], through: boolean): Hole => ({
  id: 'h',
  name: 'bore',
  from: 'reference',
  through,
  pointAngle: 118,
  steps: steps.map(([d, deep]) => ({ diameter: dim(d), depth: dim(deep) })),
});
function wished(part: Part, more: Partial<MountWish> = {}): MountWish {
  const plain = { kit: undefined, kitEnd: undefined, mandrelThread: undefined };
  return { ...plain, part, outline: outlineOf(part.turnings[0]), holes: part.holes, ...more };
}
const pin: Part = {
  id: 'p',
  name: 'Body',
  perItem: 1,
  materialId: 'ash',
  turnings: [{ id: 't', startDiameter: dim(30), elements: [{ kind: 'cylinder', id: 'e', length: dim(80) }] }],
  holes: [],
};

const WISHES: [string, MountWish][] = [
  ...STARTING_FORMS.map((f): [string, MountWish] => [f.id, wished(f.body({}, 'maple').parts[0])]),
  [
    'what is turned beside its axis',
    wished({
      ...pin,
      turnings: [
        pin.turnings[0],
        { ...pin.turnings[0], id: 'u', axis: { shift: dim(4), direction: 90, tilt: 0 } },
      ],
    }),
  ],
  ['a thread', wished(pin, { mandrelThread: 'M8' })],
  ['a blind hole', wished({ ...pin, holes: [bore([[12, 40]], false)] })],
  ['a through hole', wished({ ...pin, holes: [bore([[8, 80]], true)] })],
  [
    'a through hole of two widths',
    wished({
      ...pin,
      holes: [
        bore(
          [
            [14, 30],
            [8, 80],
          ],
          true,
        ),
      ],
    }),
  ],
  [
    'a glued shaft',
    wished(pin, {
      shaft: { name: 'spindle', end: 'reference', through: false, diameter: 6, x0: -50, x1: 0 },
    }),
  ],
];

/** Adds what lacks to a workshop, one thing after the other, until nothing more can be added. */
function mended(wish: MountWish, kind: Mount['kind']): Mount {
  let workshop = bare;
  for (let added = 0; added < 12; added++) {
    const mount = proposeMounts(wish, workshop).find((m) => m.kind === kind)!;
    const lack = mount.lacks?.find((l) => l.adds !== undefined);
    if (!lack?.adds) return mount;
    workshop = withEntry(workshop, lack.adds);
    // of two that are alike one is asked for then
    const after = proposeMounts(wish, workshop).find((m) => m.kind === kind)!;
    const alike = (m: Mount) =>
      m.missing.filter((w) => w.replace(/^a second /, 'a ') === lack.words.replace(/^a second /, 'a '));
    expect(alike(after)).toHaveLength(alike(mount).length - 1);
    expect(new Set(mount.missing).size).toBe(mount.missing.length);
  }
  throw new Error(`There is no end of what lacks to hold it: ${kind}.`);
}

it.each(WISHES)('what lacks to hold %s can be added as it is listed, and then nothing lacks', (_, wish) => {
  for (const { kind } of proposeMounts(wish, bare))
    expect([kind, mended(wish, kind).missing]).toEqual([kind, []]);
});

it('the ways that lack something are there to be looked at: none is forgotten by the test above', () => {
  const kinds = new Set(
    WISHES.flatMap(([, wish]) => proposeMounts(wish, bare).flatMap((m) => (m.lacks ? [m.kind] : []))),
  );
  expect([...kinds].sort()).toEqual([
    'between centres',
    'chuck',
    'cups',
    'dowel',
    'friction pair',
    'glued shaft',
    'mandrel',
    'shifted centre',
    'through mandrel',
  ]);
});

it('jaws come into a chuck that is there, and close on what the piece has room for', () => {
  const big = { id: 'j', name: 'Big', gripLeast: 80, gripBest: 90, gripMost: 120, depth: 20 };
  const owned = { ...bare, chucks: [{ id: 'c', name: 'Ours', fastest: 2000, jaws: [big] }] };
  const chuck = proposeMounts(wished(pin), owned).find((m) => m.kind === 'chuck')!;
  expect(chuck.lacks).toMatchObject([
    {
      words: 'jaws for a tenon of ⟦30⟧ or less',
      adds: { list: 'jaws', chuckId: 'c', entry: { gripBest: 30 } },
    },
  ]);
  const held = proposeMounts(wished(pin), withEntry(owned, chuck.lacks![0]!.adds!));
  expect(held.find((m) => m.kind === 'chuck')?.tenon?.diameter).toBe(30);
});

it('what the work asks for is exact', () => {
  const [dowel] = proposeMounts(wished({ ...pin, holes: [bore([[12, 40]], false)] }), bare)
    .find((m) => m.kind === 'dowel')!
    .lacks!.flatMap((l) => l.adds ?? []);
  expect(dowel).toMatchObject({ list: 'fixtures', entry: { kind: 'dowel', diameter: 12 } });
  const owned = withEntry(bare, {
    list: 'fixtures',
    entry: { name: 'Rod', kind: 'through mandrel', diameter: 8, length: 140 },
  });
  const onRod = proposeMounts(wished({ ...pin, holes: [bore([[8, 80]], true)] }), owned).find(
    (m) => m.kind === 'through mandrel',
  )!;
  expect(onRod.lacks?.[0]?.adds).toMatchObject({ entry: { kind: 'bushing', bore: 8, diameter: 10 } });
});
