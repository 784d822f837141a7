import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import { checkPattern, type Element, type Hollow, type Part, type PatternBody } from '../pattern/index.js';
import { differences } from '../../test/byHand/all.js';
import { routed } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { oddNumbers } from './judged/oddNumbers.js';
import { snapshotOf } from './snapshot.js';

const cylinder = (id: string, length: number): Element => ({ kind: 'cylinder', id, length: dim(length) });
const bowl = (length: number, radius: number): Element[] => [
  { kind: 'arc', id: 'wall', length: dim(length), endDiameter: dim(0), radius: dim(radius), side: 'out' },
];

/** A foot, a stem and a cup of 40, its recess 24 wide at the rim. */
const cup = (hollow: Partial<Hollow> = {}): Part => ({
  id: 'cup',
  name: 'Cup',
  perItem: 1,
  materialId: 'maple',
  turnings: [
    {
      id: 't',
      startDiameter: dim(36),
      elements: [
        cylinder('foot', 6),
        { kind: 'shoulder', id: 's1', endDiameter: dim(14) },
        cylinder('stem', 20),
        { kind: 'shoulder', id: 's2', endDiameter: dim(40) },
        cylinder('body', 30),
      ],
    },
  ],
  holes: [],
  hollows: [
    { id: 'h1', name: 'cup', opens: 'far', startDiameter: dim(24), elements: bowl(12, 12), ...hollow },
  ],
});

/** A ladle: a ball of 46 with a bowl in its side, and its handle. */
const ladle = (hollow: Partial<Hollow> = {}): Part => ({
  ...cup(),
  id: 'ladle',
  name: 'Ladle',
  turnings: [
    {
      id: 't',
      startDiameter: dim(16),
      elements: [
        { kind: 'sphere', id: 'ball', diameter: dim(46), endDiameter: dim(14) },
        { kind: 'taper', id: 'handle', length: dim(80), endDiameter: dim(18) },
      ],
    },
  ],
  hollows: [
    {
      id: 'h1',
      name: 'bowl',
      opens: 'side',
      axis: { shift: dim(0), direction: 90, tilt: 90, along: dim(21.5) },
      rim: dim(8),
      startDiameter: dim(34),
      elements: bowl(15, 17.2),
      ...hollow,
    },
  ],
});

const bodyOf = (part: Part): PatternBody => ({
  ...exampleInputs(1).pattern,
  kind: 'other',
  hardware: [],
  parts: [part],
});

describe('hollows are made where they are drawn', () => {
  const made = (part: Part, mount: MountKind, perBlank = 1) =>
    routed(bodyOf(part), part, mount, { perBlank });
  const judge = (found: NonNullable<ReturnType<typeof made>>) =>
    differences(found.forJudge, found.route, 1.9).map((d) => [d.looked > 2000, d.missing, d.extra]);

  it.each([
    ['round inside', {}],
    [
      'wider inside than at its mouth',
      {
        elements: [
          { kind: 'taper', id: 'w1', length: dim(6), endDiameter: dim(30) },
          { kind: 'taper', id: 'w2', length: dim(8), endDiameter: dim(12) },
          { kind: 'shoulder', id: 'w3', endDiameter: dim(0) },
        ] as Element[],
      },
    ],
  ])('in an end, %s: when the tail has gone, before the finish', (_, hollow) => {
    const found = made(cup(hollow), 'chuck')!;
    expect([found.stops, found.uncovered]).toEqual([[], []]);
    expect(judge(found)).toEqual([[true, 0, 0]]);
    const ids = found.route.operations.map((o) => o.id);
    const at = (id: string) => ids.findIndex((own) => own.startsWith(id));
    expect(at('hold:tail away')).toBeLessThan(at('hollow:h1'));
    expect(at('part:far end')).toBeLessThan(at('hollow:h1'));
    expect(at('hollow:h1')).toBeLessThan(at('coated:'));
    const { tool } = found.route.operations[at('hollow:h1')]!;
    expect(tool).toBe('elements' in hollow ? 'hooked scraper' : 'round scraper');
  });

  it('two cups from one blank, each hollowed in its turn; three no tenon holds, and each gets its own', () => {
    const found = made(cup(), 'chuck', 2)!;
    expect([found.stops, found.uncovered]).toEqual([[], []]);
    expect(judge(found)).toEqual(Array.from({ length: 2 }, () => [true, 0, 0]));
    const alone = made(cup(), 'chuck', 3)!;
    expect([alone.stops, judge(alone)]).toEqual([[], [[true, 0, 0]]]);
  });

  it.each(['between centres', 'chuck'] as const)(
    'in a side, %s: across in wooden jaws, flat first',
    (mount) => {
      const found = made(ladle(), mount)!;
      expect([found.stops, found.uncovered]).toEqual([[], []]);
      expect(judge(found)).toEqual([[true, 0, 0]]);
      const ids = found.route.operations.map((o) => o.id);
      const order = ['hold:wooden jaws', 'face:h1.rim', 'hollow:h1', 'sanded:h1', 'coated:h1', 'hold:off:'];
      const from = ids.indexOf('hold:wooden jaws:h1');
      const places = order.map((id) => ids.findIndex((own, i) => i >= from && own.startsWith(id)));
      expect(places).toEqual([...places].sort((a, b) => a - b));
      expect(places).not.toContain(-1);
      const finished = found.route.operations.find((o) => o.id === 'coated:h1:inside')!;
      expect(finished.words[0]).toContain('on a pad');
      expect(finished.turns).toBe('finish slow');
    },
  );

  it('what no hold reaches says why and what would do', () => {
    const none = (part: Part, mount: MountKind) => {
      const inputs = exampleInputs(1);
      inputs.pattern = bodyOf(part);
      inputs.order.mount = mount;
      const { findings } = snapshotOf(inputs).plan;
      return findings.find((f) => f.id.startsWith('route.none'));
    };
    expect(none(cup(), 'between centres')).toMatchObject({
      why: 'The cup opens in the far end, and between centres both ends are covered.',
      remedy: 'Hold it in a chuck, that end at the tail.',
    });
    expect(none(cup({ opens: 'reference' }), 'chuck')?.why).toContain('the one that is held');
    const askew = { shift: dim(0), direction: 90, tilt: 60, along: dim(21.5) };
    expect(none(ladle({ axis: askew }), 'between centres')?.why).toContain('neither in an end nor straight');
  });

  it.each([
    ['in an end, its profile empty', cup({ elements: [] })],
    ['in a side, its profile empty', ladle({ elements: [] })],
    ['in a side that nobody named', cup({ opens: 'side' })],
    ['deeper than the piece', cup({ elements: [cylinder('w', 500)] })],
    ['its rim far above the wood', ladle({ rim: dim(300) })],
  ])('half drawn, %s, it is planned without a number that is none', (_, part) => {
    for (const mount of ['between centres', 'chuck'] as const) {
      const inputs = exampleInputs(1);
      inputs.pattern = bodyOf(part);
      inputs.order.mount = mount;
      expect(checkPattern(inputs.pattern)).not.toEqual([]);
      expect(oddNumbers(snapshotOf(inputs).plan.parts[0].steps)).toEqual([]);
    }
  });

  it('goes as slow across as its far end sweeps, and not at all where that strikes the bed', () => {
    const inputs = exampleInputs(1);
    inputs.pattern = bodyOf(ladle());
    const { parts, findings } = snapshotOf(inputs).plan;
    // the far end lies 21.5 beyond the middle of the ball and its handle 80: r 9 at its end
    const end = parts[0].outline.length - 21.5;
    const sweep = 2 * Math.hypot(end, 9);
    const [flat, cut] = ['face:h1.rim', 'hollow:h1'].map((id) => parts[0].steps.find((s) => s.id === id)!);
    const rpm = Number(/\d+/.exec(cut!.speed!)![0]);
    expect(rpm * sweep).toBeLessThanOrEqual(150_000);
    expect(flat!.speed).toBe(cut!.speed);
    expect(findings.some((f) => f.id.startsWith('mount.hollow'))).toBe(false);
    inputs.workshop.lathe.overRest = Math.floor(sweep) - 1;
    const [beside] = snapshotOf(inputs).plan.findings.filter((f) => f.id.startsWith('mount.hollow'));
    expect([beside?.severity, beside?.what]).toEqual(['warn', expect.stringContaining('banjo')]);
    inputs.workshop.lathe.swing = Math.floor(sweep) - 1;
    expect(snapshotOf(inputs).plan.findings.find((f) => f.id === 'mount.hollow.ladle.h1')?.severity).toBe(
      'stop',
    );
  });

  it('tells a thin wall, and that the mass does not know of it', () => {
    const found = (part: Part) => {
      const inputs = exampleInputs(1);
      inputs.pattern = bodyOf(part);
      inputs.order.mount = 'chuck';
      return snapshotOf(inputs).plan.findings.filter((f) => f.id.startsWith('pattern.hollow'));
    };
    expect(found(cup()).map((f) => f.severity)).toEqual(['note']);
    // 40 outside, 36 inside: 2 of wall all the way down
    const thin = found(cup({ startDiameter: dim(36), elements: [cylinder('w', 10)] }));
    expect(thin.map((f) => f.severity)).toEqual(['warn', 'note']);
    expect(thin[0]!.what).toContain('⟦2⟧');
  });

  it('a hollow that cannot be is named, with what would do', () => {
    const why = (part: Part) => checkPattern(bodyOf(part)).map((p) => p.why);
    expect([...why(cup()), ...why(ladle())]).toEqual([]);
    expect(why(cup({ startDiameter: dim(41), elements: [cylinder('w', 5)] }))[0]).toContain(
      'wide at its rim',
    );
    expect(why(cup({ elements: [cylinder('w', 60)] }))[0]).toContain('Make it shallower');
    const wide: Element[] = [{ kind: 'taper', id: 'w', length: dim(8), endDiameter: dim(41) }];
    expect(why(cup({ elements: wide }))[0]).toContain('comes out through the outside');
    expect(why(cup({ elements: [] }))[0]).toContain('no depth yet');
    expect(why(cup({ opens: 'side' }))[0]).toContain('Say where its middle lies');
    expect(why(ladle({ rim: dim(24) }))[0]).toContain('no wood is there');
    expect(why(ladle({ axis: { shift: dim(0), direction: 0, tilt: 90, along: dim(140) } }))[0]).toContain(
      'beyond the part',
    );
    expect(why(ladle({ elements: [cylinder('w', 40)] }))[0]).toContain('right through');
    expect(why(cup({ elements: [{ ...cylinder('foot', 5) }] }))[0]).toContain(
      'Two elements have the id foot',
    );
  });
});
