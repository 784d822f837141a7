import fc from 'fast-check';
import { dim } from '../../measure/index.js';
import { STARTING_FORMS } from '../forms/index.js';
import { outlineOf } from '../outline.js';
import type { Part, TurningAxis } from '../pattern.js';
import { radiusAt } from '../radius.js';
import { drilledRadius, drilledReach, hasWood, type Body, type SawnForm } from './body.js';
import { unlikeSurfaces } from './bodyDifference.js';
import { drawnBody, placementOf } from './drawnBody.js';
import {
  aboutAxis,
  HERE,
  into,
  outOf,
  placedIn,
  sameLine,
  seenFrom,
  type Placement,
  type Vector,
} from './space.js';

const stock = (form: SawnForm): Body => ({ form, skins: [], flats: [], drilled: [] });
const turned = (elements: Part['turnings'][0]['elements'], rest: Partial<Part> = {}): Part => ({
  id: 'p',
  name: 'Part',
  perItem: 1,
  materialId: 'ash',
  turnings: [{ id: 't', startDiameter: dim(20), elements }],
  holes: [],
  ...rest,
});

describe('stock', () => {
  it.each<[SawnForm['kind'], Vector[], Vector[]]>([
    // 40 across: a corner of the square lies 28.28 from the axis, of the octagon 21.65
    [
      'square',
      [[1, 19.9, 19.9]],
      [
        [1, 20.1, 0],
        [-0.1, 0, 0],
        [100.1, 0, 0],
      ],
    ],
    [
      'octagon',
      [[1, 19.9, 8]],
      [
        [1, 19.9, 8.5],
        [1, 15, 15],
      ],
    ],
    ['round', [[1, 14, 14]], [[1, 14.2, 14.2]]],
    [
      'oval',
      [
        [1, 19.9, 0],
        [1, 0, 14.9],
      ],
      [
        [1, 0, 15.1],
        [1, 15, 10],
      ],
    ],
  ])('%s has wood where it has', (kind, inside, outside) => {
    const body = stock({ kind, across: 40, length: 100, ...(kind === 'oval' ? { short: 30 } : {}) });
    for (const p of inside) expect(hasWood(body, p)).toBe(true);
    for (const p of outside) expect(hasWood(body, p)).toBe(false);
  });
});

describe('a hole', () => {
  const hole = {
    id: 'h',
    at: HERE,
    steps: [
      { diameter: 12, depth: 10 },
      { diameter: 8, depth: 30 },
    ],
    pointAngle: 118,
  };

  it('is as wide as its bits, and ends in the cone of the last', () => {
    expect(drilledRadius(hole, -0.1)).toBe(0);
    expect(drilledRadius(hole, 9.9)).toBe(6);
    expect(drilledRadius(hole, 10.1)).toBe(4);
    // the point of 8 at 118° is 4 / tan 59° = 2.403 long; half-way down it is half as wide
    expect(drilledReach(hole)).toBeCloseTo(32.403, 3);
    expect(drilledRadius(hole, 31.2017)).toBeCloseTo(2, 3);
    expect(drilledRadius(hole, 32.41)).toBe(0);
  });

  it('that is reamed is a cone', () =>
    expect(drilledRadius({ ...hole, steps: [{ diameter: 12, depth: 20, endDiameter: 8 }] }, 10)).toBe(5));
});

const axes = fc.record({
  shift: fc.double({ min: 0, max: 20, noNaN: true }).map(dim),
  direction: fc.integer({ min: 0, max: 359 }),
  tilt: fc.integer({ min: -180, max: 180 }),
  along: fc.double({ min: 0, max: 100, noNaN: true }).map(dim),
}) satisfies fc.Arbitrary<TurningAxis>;
const points = fc.tuple(...[0, 1, 2].map(() => fc.double({ min: -80, max: 80, noNaN: true })));
const near = (a: Vector, b: Vector) => a.forEach((v, i) => expect(v).toBeCloseTo(b[i]!, 6));

describe('an axis', () => {
  it('at 90° stands straight across, in the direction that is said', () => {
    const up = placementOf({ shift: dim(0), direction: 0, tilt: 90, along: dim(23) });
    near(up.at, [23, 0, 0]);
    near(up.along, [0, 0, 1]);
    const aside = placementOf({ shift: dim(4), direction: 90, tilt: 0 });
    near(aside.at, [0, 4, 0]);
    near(aside.along, [1, 0, 0]);
  });

  it('places points there and back again, through frames within frames', () =>
    fc.assert(
      fc.property(axes, axes, points, (a, b, p) => {
        const [outer, inner] = [placementOf(a), placementOf(b)] as [Placement, Placement];
        const at = p as unknown as Vector;
        near(outOf(into(at, outer), outer), at);
        near(into(at, placedIn(inner, outer)), into(into(at, outer), inner));
        near(outOf(at, seenFrom(inner, outer)), into(outOf(at, inner), outer));
        // a point's distance from an axis is that of its own y and z
        const [x, y, z] = into(at, outer);
        expect(aboutAxis(at, outer).x).toBeCloseTo(x, 6);
        expect(aboutAxis(at, outer).r).toBeCloseTo(Math.hypot(y, z), 6);
      }),
    ));

  it('is the same line whichever way it runs, and not one that is shifted or leans', () => {
    const at = (axis: Partial<TurningAxis>) => placementOf({ shift: dim(0), direction: 0, tilt: 0, ...axis });
    expect(sameLine(HERE, at({ along: dim(30) }))).toEqual({ shift: 30, opposite: false });
    expect(sameLine(HERE, at({ tilt: 180 }))?.opposite).toBe(true);
    expect(sameLine(HERE, at({ shift: dim(1) }))).toBeNull();
    expect(sameLine(HERE, at({ tilt: 1 }))).toBeNull();
  });
});

describe('a drawn part as a body', () => {
  const parts = STARTING_FORMS.flatMap((form) =>
    form.body({}, 'ash').parts.map((part) => ({ name: `${form.name}, ${part.name}`, part })),
  );

  it.each(parts)('$name has wood below its outline and none above', ({ part }) => {
    const body = drawnBody({ ...part, holes: [], crossHoles: [], hollows: [], turnings: [part.turnings[0]] });
    const outline = outlineOf(part.turnings[0]);
    if (outline.squares) return;
    for (let i = 0; i < 60; i++) {
      const x = (outline.length * (i + 0.37)) / 60;
      const r = radiusAt(outline, x);
      const [y, z] = [Math.sin(i), Math.cos(i)];
      if (r > 0.1) expect(hasWood(body, [x, y * (r - 0.01), z * (r - 0.01)])).toBe(true);
      expect(hasWood(body, [x, y * (r + 0.01), z * (r + 0.01)])).toBe(false);
    }
  });

  it.each(parts)('$name is like itself on every side', ({ part }) => {
    const body = drawnBody(part);
    expect(unlikeSurfaces(body, body, () => 0.05)).toEqual([]);
  });

  it('keeps the flats of a square, and what its corners are clipped to', () => {
    const leg = turned([
      { kind: 'square', id: 's', length: dim(40), across: dim(30), endDiameter: dim(20), shoulder: 'square' },
      { kind: 'cylinder', id: 'c', length: dim(60) },
    ]);
    const body = drawnBody(leg);
    expect(hasWood(body, [20, 14.9, 14.9])).toBe(true);
    expect(hasWood(body, [20, 15.1, 0])).toBe(false);
    expect(hasWood(body, [70, 9.9, 0])).toBe(true);
    expect(hasWood(body, [70, 8, 8])).toBe(false);
  });

  it('is empty where a bowl is hollowed across it, and flat at its rim', () => {
    const scoop = turned([{ kind: 'cylinder', id: 'c', length: dim(80) }], {
      hollows: [
        {
          id: 'bowl',
          name: 'bowl',
          opens: 'side',
          axis: { shift: dim(0), direction: 0, tilt: 90, along: dim(30) },
          rim: dim(6),
          startDiameter: dim(12),
          elements: [{ kind: 'cylinder', id: 'w', length: dim(5) }],
        },
      ],
    });
    const body = drawnBody(scoop);
    expect(hasWood(body, [30, 0, 6.1])).toBe(false);
    expect(hasWood(body, [60, 0, 5.9])).toBe(true);
    expect(hasWood(body, [35.9, 0, 1.1])).toBe(false);
    expect(hasWood(body, [36.1, 0, 1.1])).toBe(true);
    expect(hasWood(body, [30, 0, 0.9])).toBe(true);
    expect(hasWood(body, [30, 0, -9.9])).toBe(true);
  });
});

describe('a difference', () => {
  const plain = turned([
    { kind: 'cylinder', id: 'a', length: dim(30) },
    { kind: 'cylinder', id: 'g', length: dim(2) },
    { kind: 'cylinder', id: 'b', length: dim(30) },
  ]);
  const grooved = turned([
    { kind: 'cylinder', id: 'a', length: dim(30) },
    { kind: 'v-groove', id: 'g', length: dim(2), depth: dim(0.8) },
    { kind: 'cylinder', id: 'b', length: dim(30) },
  ]);

  it('is found from the side that is drawn and from the side that is made', () => {
    const [drawn, made] = [drawnBody(grooved), drawnBody(plain)];
    expect(unlikeSurfaces(drawn, made, () => 0.15)).toMatchObject([{ elementId: 'g', is: 'proud' }]);
    expect(unlikeSurfaces(made, drawn, () => 0.15)).toMatchObject([{ elementId: 'g', is: 'gone' }]);
  });

  it('within the tolerance is none', () =>
    expect(
      unlikeSurfaces(
        drawnBody(plain),
        drawnBody({ ...plain, turnings: [{ ...plain.turnings[0], startDiameter: dim(20.2) }] }),
        () => 0.11,
      ),
    ).toEqual([]));

  it('of a hole a shade too wide, too deep or elsewhere is one', () => {
    const bored = (depth: number, diameter: number, from: 'reference' | 'far' = 'reference') =>
      drawnBody({
        ...plain,
        holes: [
          {
            id: 'h',
            name: 'hole',
            from,
            through: false,
            pointAngle: 180,
            steps: [{ diameter: dim(diameter), depth: dim(depth) }],
          },
        ],
      });
    const drawn = bored(20, 8);
    for (const made of [bored(20.5, 8), bored(20, 8.6), bored(20, 8, 'far'), bored(19.5, 8)])
      expect(unlikeSurfaces(drawn, made, () => 0.15).map((u) => u.by)).toContain('h');
  });
});
