import { dim } from '../measure/index.js';
import { outlineOf, type Hole, type Part } from '../pattern/index.js';
import { exampleWorkshop } from '../plan/exampleShop.js';
import { mountFindings, proposeMounts, type MountWish } from './index.js';

const workshop = exampleWorkshop();
const wish = (
  rest: Partial<MountWish> & { diameter?: number; length?: number; holes?: Hole[] } = {},
): MountWish => {
  const { diameter = 25, length = 80, holes = [] } = rest;
  const part: Part = {
    id: 'p',
    name: 'Body',
    perItem: 1,
    materialId: 'ash',
    turnings: [
      {
        id: 't',
        startDiameter: dim(diameter),
        elements: [{ kind: 'cylinder', id: 'e1', length: dim(length) }],
      },
    ],
    holes,
  };
  return {
    part,
    kind: 'handle',
    outline: outlineOf(part.turnings[0]),
    kit: undefined,
    kitEnd: undefined,
    mandrelThread: undefined,
    ...rest,
  };
};
const bore: Hole = {
  id: 'h',
  name: 'cord hole',
  from: 'reference',
  through: false,
  pointAngle: 118,
  steps: [{ diameter: dim(4), depth: dim(20) }],
};

describe('ways to hold', () => {
  it('takes the kit’s mandrel first when the workshop has it, and not when it has not', () => {
    expect(proposeMounts(wish({ mandrelThread: 'M8' }), workshop)[0]?.kind).toBe('mandrel');
    const without = proposeMounts(wish({ mandrelThread: 'M8' }), { ...workshop, mandrels: [] });
    expect(without[0]?.kind).toBe('between centres');
    expect(without.find((m) => m.kind === 'mandrel')?.missing).toEqual(['a mandrel for M8']);
  });

  it('puts a drilled end at the tail, where no waste hides the hole', () => {
    const [centres] = proposeMounts(wish({ holes: [bore] }), workshop);
    expect(centres).toMatchObject({ kind: 'between centres', headstockEnd: 'far', wasteTail: 0 });
  });

  it('sizes the tenon to the best grip of jaws no wider than the piece', () => {
    const chuck = proposeMounts(wish({ kind: 'finial' }), workshop)[0];
    expect(chuck?.tenon).toEqual({ diameter: 20, length: 12 });
    expect(proposeMounts(wish({ kind: 'finial', diameter: 10 }), workshop)[1]?.missing).toHaveLength(1);
  });
});

describe('what the lathe must have', () => {
  const ids = (w: MountWish, blank: { diagonal: number; length: number }) => {
    const [mount] = proposeMounts(w, workshop);
    return mountFindings(mount, 'p', w.outline, blank, workshop).map((f) => f.id);
  };

  it('is enough for a short handle', () => expect(ids(wish(), { diagonal: 40, length: 110 })).toEqual([]));
  it('is swing and length between centres', () =>
    expect(ids(wish(), { diagonal: 301, length: 501 })).toEqual(
      expect.arrayContaining(['mount.swing.p', 'mount.bed.p']),
    ));
  it('is stiffness: a slender piece whips, a free one chatters', () => {
    expect(ids(wish({ diameter: 8 }), { diagonal: 20, length: 110 })).toEqual(['mount.slender.p']);
    const free = { ...workshop, centres: [] };
    const chuck = proposeMounts(wish({ kind: 'finial' }), free)[0];
    expect(
      mountFindings(chuck, 'p', wish().outline, { diagonal: 40, length: 110 }, free).map((f) => f.id),
    ).toEqual(['mount.overhang.p']);
  });
});
