import fc from 'fast-check';
import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import { hasWood, outlineOf, outOf, radiusAt, type Body, type Element, type Part } from '../pattern/index.js';
import { tenonDiameter } from '../pattern/tenonFit.js';
import { doesOf, type Does, play, type Operation, type Shop } from '../route/index.js';
import { exampleInputs } from './exampleShop.js';
import { routed } from '../../test/exampleRoute.js';

const mm = (least: number, most: number) =>
  fc.double({ min: least, max: most, noNaN: true }).map((v) => Number(v.toFixed(1)));

/** An end as it is drawn, from the end inwards to the body. */
interface DrawnEnd {
  start: number;
  elements: Element[];
}
const pin = (id: string) =>
  fc.record({ across: mm(5.5, 8), long: mm(6, 50) }).map(({ across, long }): DrawnEnd => ({
    start: across,
    elements: [{ kind: 'cylinder', id: `${id} pin`, length: dim(long) }],
  }));
const peg = (id: string) =>
  fc.record({ across: mm(6, 10), long: mm(8, 20) }).map(({ across, long }): DrawnEnd => ({
    start: tenonDiameter(across, 'glue'),
    elements: [{ kind: 'tenon', id: `${id} peg`, length: dim(long), hole: dim(across), fit: 'glue' }],
  }));
const spire = (id: string) =>
  fc.record({ foot: mm(6, 12), long: mm(10, 40) }).map(({ foot, long }): DrawnEnd => ({
    start: 0,
    elements: [{ kind: 'taper', id: `${id} spire`, length: dim(long), endDiameter: dim(foot) }],
  }));
const knob = (id: string) =>
  fc.record({ ball: mm(14, 20), neck: mm(6, 9) }).map(({ ball, neck }): DrawnEnd => ({
    start: 0,
    elements: [{ kind: 'sphere', id: `${id} ball`, diameter: dim(ball), endDiameter: dim(neck) }],
  }));
const blunt = (id: string) =>
  mm(14, 24).map((across): DrawnEnd => ({
    start: across,
    elements: [{ kind: 'cylinder', id: `${id} land`, length: dim(10) }],
  }));
const END_KINDS = { pin, peg, spire, knob, blunt };
type EndKind = keyof typeof END_KINDS;
const anyEnd = (id: string) =>
  fc
    .constantFrom(...(Object.keys(END_KINDS) as EndKind[]))
    .chain((kind) => END_KINDS[kind](id).map((drawn) => ({ kind, ...drawn })));

/** The same end seen from inside: its elements the other way round, each with the diameter it ends at. */
const outwards = ({ start, elements }: DrawnEnd): Element[] =>
  elements.flatMap((e): Element[] => {
    if (e.kind === 'taper')
      return [
        { kind: 'shoulder', id: `${e.id} foot`, endDiameter: e.endDiameter },
        { ...e, endDiameter: dim(start) },
      ];
    if (e.kind === 'sphere')
      return [
        { kind: 'shoulder', id: `${e.id} neck`, endDiameter: e.endDiameter },
        { ...e, endDiameter: dim(0) },
      ];
    return [{ kind: 'shoulder', id: `${e.id} shoulder`, endDiameter: dim(start) }, e];
  });

const thinParts = fc
  .record({
    reference: anyEnd('reference'),
    far: anyEnd('far'),
    across: mm(20, 44),
    long: mm(15, 50),
    neck: fc.option(mm(6, 9)),
  })
  .map(({ reference, far, across, long, neck }) => {
    const body: Element[] = [
      { kind: 'shoulder', id: 'body edge', endDiameter: dim(across) },
      { kind: 'cylinder', id: 'body', length: dim(long) },
      ...(neck === null
        ? []
        : ([
            { kind: 'shoulder', id: 'neck edge', endDiameter: dim(neck) },
            { kind: 'cylinder', id: 'neck', length: dim(8) },
            { kind: 'shoulder', id: 'head edge', endDiameter: dim(across) },
            { kind: 'cylinder', id: 'head', length: dim(12) },
          ] as Element[])),
    ];
    const part: Part = {
      id: 'p',
      name: 'Part',
      perItem: 1,
      materialId: 'maple',
      turnings: [
        {
          id: 't1',
          startDiameter: dim(reference.start),
          elements: [...reference.elements, ...body, ...outwards(far)],
        },
      ],
      holes: [],
    };
    return { part, ends: [reference.kind, far.kind] };
  });

const at = (x: number, r: number) => outOf([x, 0, r], { at: [0, 0, 0], along: [1, 0, 0], facing: [0, 0, 1] });

/** How far round wood reaches from its axis at a place, by halving between where wood is met and where none is; mm. */
function reachByFeel(body: Body, x: number): number {
  let [wood, air] = [0, 60];
  if (!hasWood(body, at(x, 0.01))) return 0;
  for (let i = 0; i < 12; i++) {
    const middle = (wood + air) / 2;
    if (hasWood(body, at(x, middle))) wood = middle;
    else air = middle;
  }
  return wood;
}

type CutEffect = Extract<Operation['effects'][number], { do: 'cut' }>;
const cutOf = ({ effects }: Operation): CutEffect | undefined =>
  effects.find((e): e is CutEffect => e.do === 'cut');
const reachOfCut = ({ skin }: CutEffect): [number, number] => {
  const xs = skin.profile.flatMap((s) => [s.x0, s.x1]).map((x) => skin.axis.at[0] + x * skin.axis.along[0]);
  return [Math.min(...xs), Math.max(...xs)];
};
const thickestOf = ({ skin }: CutEffect): number =>
  Math.max(...skin.profile.flatMap((s) => [2 * s.r0, 2 * s.r1]));
const HARD = new Set<Does>(['rough', 'size', 'stub', 'nib', 'tenon']);

/** Twist of the thinnest wood between the drive and a cut, MPa: 16·F·r ÷ (π·d³), all by feel. */
function twistByFeel({ held, woods }: Shop, operation: Operation): number {
  const cut = cutOf(operation);
  const wood = woods.find((w) => w.id === cut?.wood);
  if (!cut?.turning || !held || !wood) return 0;
  const [x0, x1] = reachOfCut(cut);
  const drivesLow = held.drive.on.x1 < (x0 + x1) / 2;
  const [from, to] = drivesLow ? [held.drive.on.x1, x0] : [x1, held.drive.on.x0];
  const force = HARD.has(doesOf(operation.kind)) && !cut.lightly ? 60 : 20;
  const lever = Math.max(...[0.02, 0.5, 0.98].map((t) => reachByFeel(wood.body, x0 + t * (x1 - x0))));
  let least = Infinity;
  for (let x = from + 0.2; x < to - 0.2; x += 0.8) least = Math.min(least, reachByFeel(wood.body, x));
  return least === Infinity ? 0 : (16 * force * lever) / (Math.PI * (2 * least) ** 3);
}

const WAYS: MountKind[] = ['between centres', 'spur drive', 'chuck'];
const body = { ...exampleInputs(1).pattern, hardware: [], kind: 'other' as const };
const plannedIn = (part: Part, way: MountKind) => {
  const made = routed({ ...body, parts: [part] }, part, way)!;
  const played = play(made.route, made.forJudge.lengths);
  return { ...made, before: played.before, operations: made.route.operations };
};

describe('a part with thin ends', () => {
  it('is made in every way of holding, and what carries a cut bears it', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(thinParts, fc.constantFrom(...WAYS), ({ part, ends }, way) => {
        ends.forEach((end) => met.add(`${end}, ${way}`));
        const { stops, uncovered, operations, before } = plannedIn(part, way);
        expect([stops, uncovered]).toEqual([[], []]);
        for (const [i, operation] of operations.entries())
          // a half millimetre of feel at the edges of the wood
          expect([operation.id, twistByFeel(before[i]!, operation) < 5.5]).toEqual([operation.id, true]);
      }),
      { numRuns: 60 },
    );
    expect(met.size).toBeGreaterThan(8);
  });

  it('is turned as far as it is 5.5 thick: only a blunt end, or what runs out thinner, is carved by hand', () => {
    let carved = 0;
    fc.assert(
      fc.property(thinParts, fc.constantFrom(...WAYS), ({ part }, way) => {
        for (const operation of plannedIn(part, way).operations) {
          const cut = cutOf(operation);
          if (!cut || cut.turning) continue;
          carved++;
          const [x0, x1] = reachOfCut(cut);
          const thickest = thickestOf(cut);
          expect([operation.id, thickest <= 5.5 || x1 - x0 <= 4]).toEqual([operation.id, true]);
        }
      }),
      { numRuns: 60 },
    );
    expect(carved).toBeGreaterThan(0);
  });

  it('gets every grit all over: after the first one only nibs are parted, and what is thinner than carries the cloth', () => {
    fc.assert(
      fc.property(thinParts, fc.constantFrom(...WAYS), ({ part }, way) => {
        const { operations } = plannedIn(part, way);
        const first = operations.findIndex((o) => doesOf(o.kind) === 'sanded');
        const late = operations.slice(first).filter((o) => cutOf(o)?.turning && doesOf(o.kind) !== 'nib');
        for (const operation of late) {
          const [x0, x1] = reachOfCut(cutOf(operation)!);
          const thickest = thickestOf(cutOf(operation)!);
          expect([operation.id, thickest <= 6.5 || x1 - x0 <= 4]).toEqual([operation.id, true]);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('tries a peg when all of it is there', () => {
    let tried = 0;
    fc.assert(
      fc.property(
        thinParts.filter(({ ends }) => ends.includes('peg')),
        fc.constantFrom(...WAYS),
        ({ part }, way) => {
          const { operations, before } = plannedIn(part, way);
          const outline = outlineOf(part.turnings[0]);
          for (const [i, operation] of operations.entries()) {
            const span = outline.spans.find((s) => s.element.id === operation.subject);
            if (doesOf(operation.kind) !== 'try' || !span) continue;
            tried++;
            const wood = before[i]!.woods.find((w) => w.id === operation.on[0])!;
            const lies = wood.pieces[0]!.at.at[0];
            for (const t of [0.05, 0.5, 0.95]) {
              const x = span.x0 + t * (span.x1 - span.x0);
              expect(reachByFeel(wood.body, lies + x)).toBeCloseTo(radiusAt(outline, x), 1);
            }
          }
        },
      ),
      { numRuns: 30 },
    );
    expect(tried).toBeGreaterThan(0);
  });
});
