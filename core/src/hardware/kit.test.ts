import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { MATERIALS } from '../material/index.js';
import { outlineOf, type Part } from '../pattern/index.js';
import { exampleWorkshop } from '../plan/exampleShop.js';
import { kitNeeds, kitProblems, pecks, planDrilling, type Kit } from './index.js';
import { holeForBody, holeForThread } from './fit.js';

const insert = (base: number, body: number): Kit => ({
  id: 'k',
  name: 'K',
  onHand: 1,
  kind: 'tapped-insert',
  baseDiameter: dim(base),
  insertDiameter: dim(body),
  insertLength: dim(20),
  thread: 'M8',
  glue: 'epoxy',
});

const site = { material: MATERIALS[0], workshop: exampleWorkshop(), choices: [], usual: undefined };

describe('kits that cannot be', () => {
  it('say which face was measured wrongly', () => {
    expect(kitProblems(insert(32, 11.5))).toEqual([]);
    expect(kitProblems(insert(32, 33))[0]?.why).toContain(
      'Body of the insert, not its flange: 33 mm is not below the base',
    );
    const stud: Kit = {
      id: 's',
      name: 'S',
      onHand: 0,
      kind: 'self-tapping-stud',
      baseDiameter: dim(29),
      rootDiameter: dim(8),
      outsideDiameter: dim(8),
      studLength: dim(16),
      thread: 's',
    };
    expect(kitProblems(stud)[0]?.field).toBe('rootDiameter');
  });
});

describe('fits', () => {
  it('press is under, glue gap and slip are over, each range round its best', () => {
    expect(holeForBody(10, 'press').best).toBeLessThan(10);
    for (const fit of ['press', 'glue gap', 'slip'] as const) {
      const { least, best, most } = holeForBody(10, fit);
      expect(least).toBeLessThan(best);
      expect(best).toBeLessThan(most);
    }
  });

  it('a thread-forming hole never goes under the root, and is wider the harder the wood', () => {
    const sizes = fc.record({
      root: fc.double({ min: 3, max: 12, noNaN: true }),
      thread: fc.double({ min: 0.5, max: 4, noNaN: true }),
    });
    fc.assert(
      fc.property(sizes, ({ root, thread }) => {
        const best = (kind: string) =>
          holeForThread(
            root,
            root + thread,
            MATERIALS.find((m) => m.class === kind)!,
          ).best;
        const order = ['softwood', 'hardwood', 'dense hardwood', 'resin'].map(best);
        return order.every(
          (d, i) => d >= root - 1e-9 && d <= root + thread / 2 + 1e-9 && (i === 0 || d > (order[i - 1] ?? 0)),
        );
      }),
    );
  });
});

describe('withdrawing', () => {
  it('comes at rising depths, all within the hole, none further apart than three diameters', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 25, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        (d, depth) => {
          const depths = [0, ...pecks(depth, d, MATERIALS[0])];
          const steps = depths.slice(1).map((at, i) => at - (depths[i] ?? 0));
          return depths.every((at) => at < depth) && steps.every((s) => s > 0 && s <= 3 * d + 1e-9);
        },
      ),
    );
  });
});

describe('holes drawn in the pattern', () => {
  const part: Part = {
    id: 'p',
    name: 'Body',
    perItem: 1,
    materialId: 'ash',
    turnings: [
      { id: 't', startDiameter: dim(30), elements: [{ kind: 'cylinder', id: 'e', length: dim(90) }] },
    ],
    holes: [
      {
        id: 'tang',
        name: 'tang hole',
        from: 'reference',
        through: false,
        pointAngle: 118,
        steps: [
          { diameter: dim(10), depth: dim(20) },
          { diameter: dim(8), depth: dim(50) },
        ],
      },
    ],
  };
  const drill = planDrilling(part, outlineOf(part.turnings[0]), [], site);

  it('are drilled step by step, the widest first, and drawn as one', () => {
    expect(drill.operations.map((o) => [o.bit?.diameter.mm, o.toShoulder])).toEqual([
      [10, 20],
      [8, 50],
    ]);
    expect(drill.holes).toHaveLength(1);
    expect(drill.holes[0]?.steps).toHaveLength(2);
    expect(drill.findings.filter((f) => f.severity !== 'note')).toEqual([]);
  });

  it('stop the plan when no bit is anywhere near', () => {
    const [tang] = part.holes;
    const odd = { ...part, holes: [{ ...tang!, steps: [{ diameter: dim(19), depth: dim(20) }] }] };
    const [finding] = planDrilling(odd, outlineOf(odd.turnings[0]), [], site).findings;
    expect(finding).toMatchObject({ severity: 'stop', what: 'The workshop owns no bit for the tang hole.' });
  });

  it('a stud that engages too little wood is noticed', () => {
    const short: Kit = {
      id: 's',
      name: 'S',
      onHand: 1,
      kind: 'self-tapping-stud',
      baseDiameter: dim(30),
      rootDiameter: dim(7.5),
      outsideDiameter: dim(9),
      studLength: dim(8),
      thread: 's',
    };
    const needs = kitNeeds(short, { end: 'reference', material: MATERIALS[0], room: 1.5, bits: [] });
    const bare = { ...part, holes: [] };
    const found = planDrilling(bare, outlineOf(part.turnings[0]), needs.holes, site).findings;
    expect(found.map((f) => f.id)).toContain('drill.thread.s:reference');
  });
});
