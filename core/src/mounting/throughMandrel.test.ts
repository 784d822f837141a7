import { dim } from '../measure/index.js';
import { outlineOf, type Hole, type Part } from '../pattern/index.js';
import { exampleWorkshop } from '../plan/exampleShop.js';
import type { Fixture } from '../workshop/index.js';
import { proposeMounts } from './index.js';
import { bushingFor, seatOf } from './ways/bushings.js';

const made = (
  kind: Fixture['kind'],
  diameter: number,
  length: number,
  rest: Partial<Fixture> = {},
): Fixture => ({
  id: `${kind}${diameter}${length}`,
  name: `${kind} ${diameter}`,
  kind,
  diameter,
  length,
  ...rest,
});
const rod = made('through mandrel', 8, 110);
const hole = (steps: [number, number][], rest: Partial<Hole> = {}): Hole => ({
  id: 'h',
  name: 'bore',
  from: 'reference',
  through: true,
  pointAngle: 118,
  steps: steps.map(([d, deep]) => ({ diameter: dim(d), depth: dim(deep) })),
  ...rest,
});
/** A cylinder 80 long on a rod, with what the workshop owns for it. */
function onRod(holes: Hole[], ...fixtures: Fixture[]) {
  const part: Part = {
    id: 'p',
    name: 'Body',
    perItem: 1,
    materialId: 'ash',
    turnings: [
      { id: 't', startDiameter: dim(30), elements: [{ kind: 'cylinder', id: 'e', length: dim(80) }] },
    ],
    holes,
  };
  const outline = outlineOf(part.turnings[0]);
  const wish = {
    part,
    outline,
    kit: undefined,
    kitEnd: undefined,
    mandrelThread: undefined,
  };
  const mounts = proposeMounts({ ...wish, holes }, { ...exampleWorkshop(), fixtures });
  return mounts.find((m) => m.kind === 'through mandrel');
}
const plain = [made('bushing', 14, 10, { bore: 8.1 }), made('bushing', 16, 12, { bore: 8 })];

describe('a bushing', () => {
  it('goes onto a rod without play, and never onto one that is thicker than its bore', () => {
    const at = { across: 8, centredByRod: true };
    const one = (bore: number) => bushingFor(at, rod, [made('bushing', 14, 10, { bore })]);
    expect([7.9, 8, 8.4, 8.5].map((bore) => one(bore) !== null)).toEqual([false, true, true, false]);
    expect(bushingFor(at, rod, [made('bushing', 14, 10)])).not.toBeNull();
    // told by what it slides on, as all were before
    expect(bushingFor(at, rod, [made('bushing', 8, 10)])).not.toBeNull();
    expect(bushingFor(at, rod, [made('bushing', 8.6, 10)])).toBeNull();
  });

  it('enters a socket that it fills, bears on a rim where the rod centres, and else must be a cone', () => {
    const socket = { across: 20, centredByRod: false };
    expect(seatOf(made('bushing', 19.7, 10), socket)).toBe('enters');
    expect(seatOf(made('bushing', 20.1, 10), socket)).toBeNull();
    expect(seatOf(made('bushing', 26, 10), socket)).toBeNull();
    expect(seatOf(made('cone bushing', 26, 10), socket)).toBe('cone');
    expect(seatOf(made('cone bushing', 21, 10), socket)).toBeNull();
    expect(seatOf(made('bushing', 26, 10), { across: 20, centredByRod: true })).toBe('bears');
  });
});

describe('work on a through mandrel', () => {
  it('has one bushing before it, the other and what fills up behind it, where the nut is', () => {
    const mount = onRod([hole([[8, 80]])], rod, ...plain);
    expect(mount?.missing).toEqual([]);
    expect(mount?.stack?.map((s) => [s.what, s.behind ?? false])).toEqual([
      ['bushing 14', false],
      ['bushing 16', true],
    ]);
    // 110 − 80 − 10 − 12 leaves 8, which the nut closes
    expect(mount?.reach).toBe(22);
  });

  it('in a socket at one end takes what fills the socket there, whichever end that is', () => {
    const filling = made('bushing', 20, 10, { bore: 8 });
    const thinner = made('through mandrel', 8, 105);
    const socketed = (from: Hole['from']) =>
      onRod(
        [
          hole(
            [
              [20, 6],
              [8, 80],
            ],
            { from },
          ),
        ],
        thinner,
        ...plain,
        filling,
      );
    expect(socketed('reference')?.stack?.[0]?.what).toBe('bushing 20');
    expect(socketed('far')?.stack?.find((s) => s.behind)?.what).toBe('bushing 20');
  });

  it('takes a thin rod where cones centre the work, and says what is wanting where none do', () => {
    const wide = [hole([[12, 80]])];
    const cones = [made('cone bushing', 20, 12, { bore: 8 }), made('cone bushing', 22, 12, { bore: 8 })];
    expect(onRod(wide, rod, ...cones)?.missing).toEqual([]);
    const without = onRod(wide, rod, ...plain);
    expect(without?.missing).toHaveLength(2);
    expect(without?.missing[0]).toContain('a cone of more than');
    // a rod that fills the hole needs no cones
    const filling = made('through mandrel', 12, 110);
    expect(onRod(wide, rod, ...cones, filling, ...plain)?.headstock).toBe('through mandrel 8');
    expect(
      onRod(
        wide,
        rod,
        ...cones,
        filling,
        made('bushing', 20, 10, { bore: 12 }),
        made('bushing', 22, 10, { bore: 12 }),
      )?.headstock,
    ).toBe('through mandrel 12');
  });

  it('is not asked of a hole that opens by its point alone', () => {
    const blind = (deep: number) => onRod([hole([[8, deep]], { through: false })], rod, ...plain);
    // the point of ⌀8 at 118° is 2.4 long: 79 + 2.4 opens the end, but no rod of 8 comes out
    expect(blind(79)).toBeUndefined();
    expect(blind(80)?.missing).toEqual([]);
  });
});
