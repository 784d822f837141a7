import fc from 'fast-check';
import { checkPlausible, dim } from '../measure/index.js';
import { MATERIALS, materialById } from '../material/index.js';
import { STARTING_FORMS, outlineOf, type Part } from '../pattern/index.js';
import { exampleWorkshop } from '../plan/exampleShop.js';
import { mandrelInWork, type Bit, type BitKind } from '../workshop/index.js';
import {
  bitChanges,
  bitWords,
  freshKit,
  KIT_KIND_LIST,
  KIT_KINDS,
  kitBands,
  kitFit,
  kitNeeds,
  kitProblems,
  kitWays,
  pickBit,
  planDrilling,
  setupsAt,
  wayOf,
  type Kit,
} from './index.js';
import { bitSequence } from './bitSequence.js';
import { driftOf, drillWay } from './drillWay.js';
import { type KitPlace } from './needs/needs.js';

const ash = materialById('ash') ?? MATERIALS[0];
const bit = (mm: number, kind: BitKind = 'brad point', rest: Partial<Bit> = {}): Bit => ({
  id: `${kind}${mm}`,
  kind,
  diameter: dim(mm),
  length: 120,
  ...rest,
});
const bits = [4, 5, 6, 7, 8, 9, 10, 11, 12].map((d) => bit(d));
const place = (rest: Partial<KitPlace> = {}): KitPlace => ({
  end: 'reference',
  material: ash,
  room: 1.5,
  bits,
  ...rest,
});
const kitOf = (kind: Kit['kind'], rest: object = {}): Kit => ({ ...freshKit(kind), id: 'k', ...rest });

describe('kinds of hardware', () => {
  it.each(KIT_KIND_LIST)('%s at its usual sizes can be, and asks for something', (kind) => {
    const kit = kitOf(kind);
    expect(kitProblems(kit)).toEqual([]);
    const needs = kitNeeds(kit, place());
    expect(needs.holes.length > 0 || needs.mating !== null).toBe(true);
    for (const { hole, range } of needs.holes) {
      expect(range.least).toBeLessThanOrEqual(range.best);
      expect(range.best).toBeLessThanOrEqual(range.most);
      expect(hole.through || (hole.steps[0]?.depth.mm ?? 0) > 0).toBe(true);
    }
  });

  it.each(KIT_KIND_LIST)('%s says which faces were measured wrongly', (kind) => {
    for (const length of KIT_KINDS[kind].lengths) {
      const { below } = length;
      if (!below) continue;
      const wrong = kitOf(kind, { [length.key]: dim(900) });
      expect(kitProblems(wrong).map((p) => p.field)).toContain(length.key);
      expect(kitFit(kitOf(kind), length).maxMm).toBeGreaterThan(0);
    }
  });

  it('a fraction that lost its slash is read again, a stud as wide as a saucer is not believed', () => {
    const stud = KIT_KINDS['self-tapping-stud'].lengths.find((l) => l.key === 'outsideDiameter')!;
    const entered = { mm: 5.0625 * 25.4, typed: '5 1/16' };
    const likely = checkPlausible(entered, kitFit(kitOf('self-tapping-stud'), stud));
    expect(likely?.likely.mm).toBeCloseTo(7.9375, 6);
    expect(checkPlausible({ mm: 8 }, kitFit(kitOf('self-tapping-stud'), stud))).toBeNull();
  });

  it('a disc under the base takes its width from the mating and its thickness from the stud', () => {
    const kit = kitOf('self-tapping-stud', { discDiameter: dim(40), discThickness: dim(4) });
    const needs = kitNeeds(kit, place());
    expect(needs.mating?.diameter).toBe(40);
    expect(needs.holes[0]?.entersLength).toBe(16 - 4);
  });

  it('a cord goes right through, its knot recess first', () => {
    const needs = kitNeeds(kitOf('cord', { knotDiameter: dim(7) }), place());
    expect(needs.holes.map((h) => [h.hole.name, h.hole.through])).toEqual([
      ['knot recess', false],
      ['cord hole', true],
    ]);
  });

  it('a socket wants a cone: two diameters, its depth apart', () => {
    expect(kitNeeds(kitOf('socket'), place()).mating).toMatchObject({
      diameter: 12,
      endDiameter: 20,
      length: 38,
    });
  });
});

describe('ways of fitting', () => {
  const insert = kitOf('tapped-insert');

  it('an M8 base goes into an insert, straight into the wood, or is glued for good', () => {
    expect(kitWays(insert).map((w) => w.way)).toEqual(['insert', 'thread in wood', 'glued']);
    const diameter = (way: 'insert' | 'thread in wood' | 'glued') =>
      kitNeeds(insert, place({ way })).holes[0]?.hole.steps[0]?.diameter.mm ?? 0;
    expect(diameter('insert')).toBeCloseTo(11.65, 6);
    expect(diameter('glued')).toBeCloseTo(8.15, 6);
    // between the root 6.47 and the middle of root and outside 7.23
    expect(diameter('thread in wood')).toBeGreaterThan(6.47);
    expect(diameter('thread in wood')).toBeLessThan(7.24);
    expect(kitNeeds(insert, place({ way: 'glued' })).mandrelThread).toBeUndefined();
  });

  it('is bored for the longer of stud and mandrel, and a shade', () => {
    const deep = (goesIn: number, way: 'insert' | 'thread in wood' | 'glued') => {
      const needs = kitNeeds(insert, place({ way, mandrelIn: (thread) => (thread === 'M8' ? goesIn : 0) }));
      return needs.holes[0]?.hole.steps[0]?.depth.mm;
    };
    expect(deep(12, 'insert')).toBe(21.5);
    expect(deep(27, 'insert')).toBe(28.5);
    expect(deep(27, 'thread in wood')).toBe(28.5);
    // glued for good it is not turned on the mandrel
    expect(deep(27, 'glued')).toBe(21.5);
    const workshop = exampleWorkshop();
    const mandrels = [{ id: 'm', name: 'M8', takes: 'M8', reach: 30, threadLength: 20 }];
    const washer = { id: 'w', name: 'Washer', kind: 'washer' as const, diameter: 30, length: 2 };
    expect(mandrelInWork({ ...workshop, mandrels, fixtures: [washer] }, 'M8')).toBe(18);
    expect(mandrelInWork({ ...workshop, mandrels }, 'M10')).toBe(0);
  });

  it('falls back to the usual way when the kit cannot be fitted as wished', () => {
    expect(wayOf(insert, 'pressed')).toBe('insert');
    expect(kitWays(kitOf('tapped-insert', { thread: 'own 9' }))).toHaveLength(1);
  });
});

describe('bits', () => {
  it('for a flat bottom are those that leave one, else it is pared', () => {
    const range = { fit: 'slip' as const, least: 11.9, best: 12, most: 12.3 };
    expect(pickBit([bit(12), bit(12.1, 'flat-bottomed')], range, 20, { flat: true }).bit?.kind).toBe(
      'flat-bottomed',
    );
    expect(pickBit([bit(12)], range, 20, { flat: true }).consequence).toContain('pare the bottom flat');
    expect(pickBit([bit(12, 'step')], range, 20).bit).toBeNull();
  });

  it('are named as they are stamped', () => {
    expect(bitWords(bit(5.1, 'twist', { diameter: { mm: 5.1054, typed: '#7' } }))).toBe('twist #7, ⟦5.1054⟧');
    expect(bitWords(bit(8))).toBe('brad point 8 mm');
    expect(bitWords(bit(8.25))).toBe('brad point 8.25 mm');
    expect(bitWords(bit(7.9375, 'twist', { diameter: { mm: 7.9375, typed: '5/16"' } }))).toBe('twist 5/16″');
    expect(bitWords(bit(7.9375))).toBe('brad point ⟦7.9375⟧');
  });

  it('stay in as long as anything may still be drilled with them', () => {
    const hole = (id: string, mm: number) => ({ id, bit: bit(mm) });
    const holes = [hole('a', 10), hole('b', 8), hole('c', 10), hole('d', 8)];
    const ordered = bitSequence(holes, new Map());
    expect(ordered.map((h) => h.id)).toEqual(['a', 'c', 'b', 'd']);
    expect(bitChanges(ordered)).toBe(2);
    expect(bitChanges(holes)).toBe(4);
    // c may only follow b
    expect(bitSequence(holes, new Map([['c', 'b']])).map((h) => h.id)).toEqual(['a', 'b', 'd', 'c']);
  });
});

describe('the order of bores', () => {
  const bores = fc
    .array(fc.record({ mm: fc.integer({ min: 4, max: 7 }), waits: fc.boolean() }), {
      minLength: 1,
      maxLength: 9,
    })
    .map((list) => list.map(({ mm, waits }, i) => ({ id: `h${i}`, bit: bit(mm), waits })));

  it('keeps every bore once, waits for what comes first, and never changes bits more often than as drawn', () =>
    fc.assert(
      fc.property(bores, (list) => {
        const before = new Map(list.flatMap((b, i) => (b.waits && i > 0 ? [[b.id, `h${i - 1}`]] : [])));
        const ordered = bitSequence(list, before);
        const at = new Map(ordered.map((b, i) => [b.id, i]));
        return (
          at.size === list.length &&
          [...before].every(([later, first]) => (at.get(first) ?? 0) < (at.get(later) ?? 0)) &&
          bitChanges(ordered) <= bitChanges(list)
        );
      }),
    ));
});

describe('how a kit is drawn', () => {
  it.each(KIT_KIND_LIST)('%s: what lies inside is what its hole is bored for', (kind) => {
    const kit = kitOf(kind);
    const needs = kitNeeds(kit, place());
    const inside = kitBands(kit, needs.way).filter((b) => b.inside);
    expect(inside.length > 0).toBe(needs.holes.length > 0);
    const deepest = Math.max(0, ...inside.map((b) => b.to));
    const bored = needs.holes.some((h) => h.hole.through)
      ? Infinity
      : Math.max(0, ...needs.holes.map((h) => h.hole.steps[0]?.depth.mm ?? 0));
    expect(deepest).toBeLessThanOrEqual(bored + 1e-9);
  });
});

describe('a step bit', () => {
  const handle = STARTING_FORMS.find((f) => f.id === 'tool-handle')!.body({}, 'ash').parts[0];
  const part: Part = {
    ...handle,
    holes: [
      {
        id: 'h',
        name: 'recess',
        from: 'reference',
        through: false,
        pointAngle: 118,
        steps: [
          { diameter: dim(12), depth: dim(10) },
          { diameter: dim(8), depth: dim(40) },
        ],
      },
    ],
  };
  const drilled = (owned: Bit[]) =>
    planDrilling(part, outlineOf(part.turnings[0]), [], {
      material: ash,
      workshop: { ...exampleWorkshop(), bits: owned },
      choices: [],
      usual: undefined,
    });

  it('drills recess and hole in one go', () => {
    const step = bit(12, 'step', { pilot: dim(8), pilotLength: 30 });
    expect(drilled([...bits, step]).operations.map((o) => o.bit?.kind)).toEqual(['step']);
    expect(drilled([...bits, step]).holes[0]?.steps).toHaveLength(2);
    expect(drilled(bits).operations).toHaveLength(2);
  });
});

describe('a through hole longer than the bits', () => {
  const handle = STARTING_FORMS.find((f) => f.id === 'tool-handle')!.body({}, 'ash').parts[0];
  const drilled = (length: number) => {
    const steps = [{ diameter: dim(8), depth: dim(0) }];
    const hole = { id: 'h', name: 'bore', from: 'reference' as const, through: true, pointAngle: 118, steps };
    return planDrilling({ ...handle, holes: [hole] }, outlineOf(handle.turnings[0]), [], {
      material: ash,
      workshop: { ...exampleWorkshop(), bits: [bit(8, 'brad point', { length })] },
      choices: [],
      usual: undefined,
    });
  };

  it('is drilled half from each end, in one go where a bit reaches, and stops where none does', () => {
    const { length } = outlineOf(handle.turnings[0]);
    const [half] = drilled(length / 2 + 5).operations;
    expect(half?.toShoulder).toBeCloseTo(length / 2 + 2, 9);
    expect(half?.after).toContain('Half of it from each end');
    expect(drilled(length + 5).operations[0]?.after).toBeUndefined();
    expect(drilled(length / 3).findings.map((f) => f.severity)).toContain('stop');
  });
});

describe('moments and set-ups', () => {
  it('are taken as chosen where that can be', () => {
    const choices = [{ holeId: 'h', moment: 'after rounding' as const, setup: 'drill press' as const }];
    expect(drillWay('h', choices, undefined)).toEqual({ moment: 'after rounding', setup: 'tailstock' });
    expect(drillWay('other', choices, 'after parting')).toEqual({
      moment: 'after parting',
      setup: 'drill press',
    });
    expect(setupsAt('after shaping', true)).toEqual(['drill press']);
  });

  it('drift grows with depth, more than in proportion for a slender bit, and less on the lathe', () => {
    const at = (depth: number) => driftOf('drill press', depth, 10, true).bottom - 0.4;
    expect(at(80) / at(40)).toBeCloseTo(2, 9);
    expect(at(160) / at(80)).toBeCloseTo(4, 9);
    expect(driftOf('tailstock', 80, 10, true).bottom).toBeLessThan(
      driftOf('drill press', 80, 10, true).bottom,
    );
    const trued = driftOf('drill press', 80, 10, true);
    expect(trued.bottom - trued.fromWall).toBeCloseTo(trued.mouth, 9);
    expect(driftOf('drill press', 80, 10, false).fromWall).toBe(trued.bottom);
  });
});
