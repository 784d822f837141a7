import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { outlineOf, STARTING_FORMS, type Element, type Part, type PatternBody } from '../pattern/index.js';
import { doesOf, covers, NoWay, play, usualRoute, type Route } from '../route/index.js';
import { differences } from '../../test/byHand/all.js';
import { routed, workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { planPart } from './part/planPart.js';
import { routeWork } from './part/routeWork.js';

/** Places where the test lathe's piece is not the drawn one, looked at so far apart. mm */
const unlike = ({ route, forJudge }: NonNullable<ReturnType<typeof routed>>, pitch: number): number =>
  differences(forJudge, route, pitch).reduce((sum, d) => sum + d.missing + d.extra, 0);

const PARTS = STARTING_FORMS.flatMap((form) => {
  const body = { ...form.body({}, 'maple'), hardware: [] };
  return body.parts.map((part) => ({ name: `${form.name}, ${part.name}`, body, part }));
});

describe('the usual route plays, covers what is drawn, and makes it on a lathe that knows only what is said', () => {
  it.each(PARTS)('$name, between centres', ({ body, part }) => {
    const made = routed(body, part, 'between centres')!;
    expect([made.stops, made.uncovered]).toEqual([[], []]);
    expect(unlike(made, 6)).toBe(0);
  });

  it.each(PARTS)('$name, in a chuck', ({ name, body, part }) => {
    const made = routed(body, part, 'chuck');
    // a stem of ten is thinner than anything that the jaws of this workshop close on
    expect(made === null).toBe(name.endsWith('Stem'));
    if (!made) return;
    expect([made.stops, made.uncovered]).toEqual([[], []]);
  });

  it('a forgotten grit is noticed, and hardware whose hole is drilled after it', () => {
    const { pattern } = exampleInputs(1);
    const made = routed(pattern, pattern.parts[0], 'mandrel')!;
    const { operations } = made.route;
    const goals = made.forJudge.pattern.parts;
    const without = operations.filter((o) => o.id !== 'sanded:all:P150');
    expect(without).toHaveLength(operations.length - 1);
    const rough = play({ schema: 2, operations: without }, made.forJudge.lengths);
    expect(
      covers(rough.end, goals)
        .map((f) => f.what)
        .join(),
    ).toContain('wood still stands there');
    const bored = operations.filter((o) => doesOf(o.kind) === 'bore');
    const late = [...operations.filter((o) => doesOf(o.kind) !== 'bore')];
    late.splice(late.findIndex((o) => doesOf(o.kind) === 'join') + 1, 0, ...bored);
    const stops = play({ schema: 2, operations: late }, made.forJudge.lengths).findings.map((f) => f.what);
    expect(stops.join()).toContain('There is no hole for it to go into');
  });

  it('a stopper on the mandrel that its insert is screwed on', () => {
    const { pattern } = exampleInputs(1);
    const made = routed(pattern, pattern.parts[0], 'mandrel')!;
    expect([made.stops, made.uncovered]).toEqual([[], []]);
    const ids = made.route.operations.map((o) => o.id);
    const order = [
      'bore:',
      'join:',
      'hold:mandrel',
      'rough:',
      'shape:e1',
      'hold:tail away',
      'part:far end',
      'sanded:',
    ];
    const places = order.map((id) => ids.findIndex((own) => own.startsWith(id)));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places).not.toContain(-1);
  });

  it('gives up where the way cannot be gone, and says why and what would do', () => {
    const { body, part } = PARTS.find(({ name }) => name.startsWith('Ball'))!;
    const base = exampleInputs(1);
    const inputs = { ...base, workshop: workshopFor(body), pattern: { ...body, hardware: [] } };
    const { plan } = planPart(part, { ...inputs, order: { ...base.order, mount: 'friction pair' } });
    expect(plan.mount.kind).toBe('friction pair');
    const none = usualRoute(routeWork(part, plan, inputs));
    expect(none).toBeInstanceOf(NoWay);
    expect((none as NoWay).why).toContain('too thin or too round');
    expect((none as NoWay).remedy).not.toBe('');
  });
});

/** Parts that are hard to hold: thin necks under heads, tips, bores from both ends, cross holes, second axes, lines. */
const length = (least: number, most: number) =>
  fc.double({ min: least, max: most, noNaN: true }).map((v) => dim(Number(v.toFixed(1))));
const middle: fc.Arbitrary<Element[]> = fc.oneof(
  fc
    .record({ kind: fc.constant('cylinder' as const), id: fc.constant(''), length: length(6, 30) })
    .map((e) => [e]),
  fc
    .record({
      kind: fc.constant('taper' as const),
      id: fc.constant(''),
      length: length(8, 40),
      endDiameter: length(10, 34),
    })
    .map((e) => [e]),
  fc
    .record({
      kind: fc.constant('bead' as const),
      id: fc.constant(''),
      length: length(6, 14),
      crown: length(36, 40),
    })
    .map((e) => [e]),
  length(10, 34).map((endDiameter): Element[] => [
    { kind: 'shoulder', id: '', endDiameter },
    { kind: 'cylinder', id: '', length: dim(5) },
  ]),
  length(1, 1.4).map((depth): Element[] => [
    { kind: 'v-groove', id: '', length: dim(2.5), depth },
    { kind: 'cylinder', id: '', length: dim(5) },
  ]),
);
const tipped = fc.boolean();
const hardParts = fc
  .record({
    middle: fc.array(middle, { minLength: 1, maxLength: 5 }),
    start: length(12, 32),
    neck: fc.boolean(),
    tip: tipped,
    nose: tipped,
    bores: fc.subarray(['reference', 'far'] as const),
    across: fc.boolean(),
    line: fc.boolean(),
    second: fc.boolean(),
  })
  .map((w) => {
    const tip = (id: string, endDiameter: number): Element => ({
      kind: 'taper',
      id,
      length: dim(12),
      endDiameter: dim(endDiameter),
    });
    const neck: Element[] = [
      { kind: 'shoulder', id: 'n1', endDiameter: dim(9) },
      { kind: 'cylinder', id: 'neck', length: dim(10) },
      { kind: 'shoulder', id: 'n2', endDiameter: dim(30) },
      { kind: 'cylinder', id: 'head', length: dim(16) },
    ];
    const named = w.middle.flat().map((e, i) => ({ ...e, id: `m${i}` }));
    const elements = [
      ...(w.nose ? [tip('nose', w.start.mm)] : []),
      ...named,
      ...(w.neck ? neck : []),
      { kind: 'shoulder', id: 'last', endDiameter: dim(20) } as Element,
      { kind: 'cylinder', id: 'end', length: dim(14) } as Element,
      ...(w.tip ? [tip('tip', 0)] : []),
    ];
    const part: Part = {
      id: 'p',
      name: 'Part',
      perItem: 1,
      materialId: 'maple',
      turnings: [{ id: 't1', startDiameter: w.nose ? dim(0) : w.start, elements }],
      holes: w.bores
        .filter((end) => (end === 'far' ? !w.tip : !w.nose))
        .map((from) => ({
          id: `bore ${from}`,
          name: `hole from the ${from} end`,
          from,
          through: false,
          pointAngle: 118,
          steps: [{ diameter: dim(6), depth: dim(8) }],
        })),
      ...(w.across
        ? {
            crossHoles: [
              {
                id: 'x',
                name: 'cross hole',
                from: 'far' as const,
                at: dim(w.tip ? 19 : 7),
                angle: 90,
                diameter: dim(4),
                through: true,
              },
            ],
          }
        : {}),
      ...(w.line
        ? {
            decorations: [
              { id: 'd', kind: 'burnt line' as const, elementId: 'end', from: dim(4), width: dim(1) },
            ],
          }
        : {}),
    };
    const end = outlineOf(part.turnings[0]).spans.find((span) => span.element.id === 'end');
    if (w.second)
      part.turnings.push({
        id: 't2',
        startDiameter: dim(18),
        axis: { shift: dim(2), direction: 0, tilt: 0, along: dim((end?.x0 ?? 0) + 6) },
        elements: [{ kind: 'cylinder', id: 'flat', length: dim(6) }],
      });
    return { part, classes: w };
  });

describe('hard parts', () => {
  const body: PatternBody = { ...exampleInputs(1).pattern, hardware: [], kind: 'other' };

  it('are made as they are drawn, and every class of them is met', () => {
    const met = new Map<string, number>();
    let [tried, givenUp] = [0, 0];
    fc.assert(
      fc.property(hardParts, ({ part, classes }) => {
        tried++;
        const { neck, tip, nose, bores, across, line, second } = classes;
        for (const [name, is] of Object.entries({
          neck,
          tip,
          nose,
          across,
          line,
          second,
          bored: bores.length > 0,
          both: bores.length > 1,
        }))
          if (is) met.set(name, (met.get(name) ?? 0) + 1);
        const made = routed({ ...body, parts: [part] }, part, 'between centres');
        if (!made) {
          givenUp++;
          return;
        }
        expect([made.stops, made.uncovered]).toEqual([[], []]);
        expect(unlike(made, 5.3)).toBe(0);
      }),
      { numRuns: 30, seed: 12 },
    );
    expect(givenUp / tried).toBeLessThan(0.02);
    for (const [name, times] of met) expect([name, times / tried > 0.05]).toEqual([name, true]);
    expect(met.size).toBe(8);
  });
});

describe('the order of the usual route', () => {
  const { body, part } = PARTS.find(({ name }) => name.startsWith('Leg'))!;
  const ids = (route: Route) => route.operations.map((o) => o.id);

  it('between centres: nothing is parted while it spins, the nib at the drive is cut last', () => {
    const pin = PARTS.find(({ name }) => name.startsWith('Rolling pin'))!;
    const order = ids(routed(pin.body, pin.part, 'between centres')!.route);
    const at = (id: string) => order.findIndex((own) => own.startsWith(id));
    expect(at('nib:far end')).toBeLessThan(at('nib:reference end'));
    expect(at('nib:reference end')).toBeLessThan(at('hold:off'));
    expect(at('hold:off')).toBeLessThan(at('part:far nib'));
    expect(order.some((id) => id.startsWith('hold:tail away'))).toBe(false);
  });

  it('saws the end of a square to length: no nib is parted on its corners, its waste is never roughed', () => {
    const { route } = routed(body, part, 'between centres')!;
    const order = ids(route);
    expect(order.filter((id) => id.startsWith('nib:'))).toEqual(['nib:far end']);
    expect(order.filter((id) => id.startsWith('rough:'))).toEqual(['rough:round 2']);
    const sawn = route.operations.find((o) => o.id === 'part:reference nib')!;
    expect(sawn.title).toBe('Saw the square to length at its reference end');
    expect(order.indexOf('hold:off:blank part1')).toBeLessThan(order.indexOf(sawn.id));
  });

  it('sizes each place just before the first feature that it bounds, and none twice', () => {
    for (const { body: own, part: one } of PARTS) {
      const made = routed(own, one, 'between centres')!;
      const order = made.route.operations.filter(
        (o) => doesOf(o.kind) === 'size' || doesOf(o.kind) === 'shape',
      );
      const places = order.flatMap((o) =>
        doesOf(o.kind) === 'size'
          ? o.effects.flatMap((e) => (e.do === 'cut' ? [e.skin.profile[0]!.x0] : []))
          : [],
      );
      places.sort((a, b) => a - b).forEach((x, i) => expect(x - (places[i - 1] ?? -9)).toBeGreaterThan(0.5));
      // after a place has been sized a feature follows: places are not sized all at once
      order.forEach((o, i) => {
        if (doesOf(o.kind) === 'size')
          expect(order.slice(i + 1, i + 4).some((next) => doesOf(next.kind) === 'shape')).toBe(true);
      });
    }
  });

  it('leaves a square square: what is roughed and sanded keeps off it', () => {
    const { route } = routed(body, part, 'between centres')!;
    const square = part.turnings[0].elements.find((e) => e.kind === 'square')!;
    const whileItTurns = route.operations.flatMap((o) =>
      o.effects.flatMap((e) => (e.do === 'treat' && e.turning ? [e.treated.on.id] : [])),
    );
    expect(whileItTurns.length).toBeGreaterThan(0);
    expect(whileItTurns).not.toContain(`shape:${square.id}`);
    expect(whileItTurns).not.toContain('stock');
  });

  it('leaves the faces of a square from the plane, or from the saw where that is drawn', () => {
    const wordsOf = (faces?: 'planed' | 'sawn') => {
      const drawn = structuredClone(part);
      drawn.turnings[0].elements = drawn.turnings[0].elements.map((e) =>
        e.kind === 'square' && faces ? { ...e, faces } : e,
      );
      const { route, stops, uncovered } = routed(body, drawn, 'between centres')!;
      expect([...stops, ...uncovered]).toEqual([]);
      return route.operations.find((o) => doesOf(o.kind) === 'saw')!.words.join(' ');
    };
    expect(wordsOf()).toContain('Plane all four faces');
    expect(wordsOf('planed')).toBe(wordsOf());
    expect(wordsOf('sawn')).toContain('Do not plane them');
    expect(wordsOf('sawn')).not.toContain('Plane all four');
  });

  it('in a chuck: the tenon is turned before it is gripped, and all is trued after', () => {
    const order = ids(routed(body, part, 'chuck')!.route);
    const [tenon, grip, trued, shaped] = ['tenon:', 'hold:chuck', 'rough:true', 'shape:'].map((id) =>
      order.findIndex((own) => own.startsWith(id)),
    ) as [number, number, number, number];
    expect(tenon).toBeLessThan(grip);
    expect(grip).toBeLessThan(trued);
    expect(trued).toBeLessThan(shaped);
  });
});
