import {
  bitWords,
  SETUP_WORDS,
  wholeHole,
  type BoredHole,
  type CrossOperation,
  type DrillOperation,
} from '../../hardware/index.js';
import { len, type DrillMoment, type DrillSetup } from '../../measure/index.js';
import { radiusAt, type CrossHole, type PartEnd } from '../../pattern/index.js';
import { surfaceAt } from '../say/place.js';
import type { SurfaceRef } from '../shop.js';
import type { Bench } from './bench.js';
import { each, MINUTES } from './minutes.js';
import { NoWay } from './noWay.js';

type Bored = CrossOperation | DrillOperation;
const isAcross = (o: Bored): o is CrossOperation => 'angle' in o;
const momentOf = (o: Bored): DrillMoment => o.moment ?? 'square blank';
const setupOf = (o: Bored): DrillSetup => o.setup ?? 'drill press';

/** An end that is drilled, and has no more waste than makes it flat, is squared before: the hole is counted from it. */
export function squareEnds(bench: Bench): void {
  const { work, wood, writer, lie } = bench;
  for (const end of ['reference', 'far'] as const) {
    const drilled = work.drilling.some((o) => o.hole.from === end);
    const faced = lie.tail === end || work.mount.wasteDrive === 0;
    const waste = bench.waste(end);
    if (drilled && faced && waste > 1e-6 && waste <= 2)
      writer.face({
        kind: 'square an end',
        wood,
        subject: `${end} end`,
        from: bench.datum(end),
        mm: waste,
        title: `Square the ${end} end`,
        words: [`${len(waste)} off, flat and at right angles: holes are counted from it.`],
        minutes: each(MINUTES.face),
        stage: 'stock',
      });
  }
}

/** The holes of a moment, across before along; those of one set-up that follow one another share it. */
export function drillAt(bench: Bench, moment: DrillMoment): void {
  const { drilling, across } = bench.work;
  const own: Bored[] = [...across, ...drilling].filter((o) => momentOf(o) === moment);
  const groups = own.reduce<Bored[][]>((found, o) => {
    const last = found.at(-1);
    if (last?.[0] && setupOf(last[0]) === setupOf(o)) last.push(o);
    else found.push([o]);
    return found;
  }, []);
  groups.forEach((group, i) => {
    const [first] = group;
    if (first) SETUPS[setupOf(first)](bench, group, i === 0 ? moment : `${moment} ${i + 1}`);
  });
}

/** What the wood lies in at the drill press: what has no flat faces cannot be clamped by them. */
const WHERE_IT_LIES = {
  square: { words: 'blank in the vise', title: 'In the vise of the drill press' },
  cornerless: { words: 'blank in a V block', title: 'In a V block, at the drill press' },
  turned: { words: 'piece in the V block', title: 'In a V block cut to its shape, at the drill press' },
};

const cornersOf = ({ work }: Bench): 'square' | 'cornerless' =>
  work.stock.kind === 'square' ? 'square' : 'cornerless';

/** How each set-up goes: what holds the wood while the bit goes in. */
const SETUPS: Record<DrillSetup, (bench: Bench, bores: Bored[], pass: string) => void> = {
  'drill press': (bench, bores, pass) =>
    offTheLathe(bench, pass, () => {
      const lies = WHERE_IT_LIES[bench.now.body.skins.length > 0 ? 'turned' : cornersOf(bench)];
      bench.writer.hold({
        wood: bench.wood,
        by: 'vise',
        pass,
        place: 'drill press',
        drive: {
          by: 'vise',
          words: lies.words,
          on: middleOf(bench),
        },
        tail: null,
        keepsTrue: true,
        title: lies.title,
        minutes: each(MINUTES.vise),
        stage: 'drill',
      });
      bores.forEach((o) => boreOne(bench, o));
      bench.writer.takeOff(bench.wood, 'Out of the vise', `${pass} vise`, each(MINUTES.vise), 'drill');
    }),
  headstock: (bench, bores, pass) =>
    offTheLathe(bench, pass, () => {
      bench.writer.hold({
        wood: bench.wood,
        by: 'hand feed',
        pass,
        place: 'lathe',
        drive: { by: 'fed by hand', words: 'bit in the headstock, draw bar tight', on: middleOf(bench) },
        tail: null,
        keepsTrue: true,
        title: 'Bit in the headstock',
        words: [SETUP_WORDS.headstock.how],
        minutes: each(MINUTES.vise),
        stage: 'drill',
      });
      bores.forEach((o) => boreOne(bench, o));
      bench.writer.takeOff(bench.wood, 'Off the bit', `${pass} bit`, each(MINUTES.vise), 'drill');
    }),
  tailstock: fromTheTailstock,
};

/** It turns, and the bit is fed from the tailstock: where nothing holds it alone yet, jaws take it by its outside. */
function fromTheTailstock(bench: Bench, bores: Bored[], pass: string): void {
  const { hold, lie, work, wood, writer } = bench;
  const reached = bores.every((o) => !isAcross(o) && o.hole.from === lie.tail);
  if (hold?.alone) {
    if (!reached)
      throw new NoWay(
        'What turns held by its one end is bored at the other only.',
        'Drill this hole while the blank is square, or after parting.',
      );
    bench.aside(pass, () => bores.forEach((o) => boreOne(bench, o)));
    return;
  }
  offTheLathe(bench, pass, () => {
    for (const end of ['reference', 'far'] as const) {
      const own = bores.filter((o) => !isAcross(o) && o.hole.from === end);
      if (own.length === 0) continue;
      writer.hold({
        wood,
        by: 'jaws',
        pass: `${pass} ${end}`,
        place: 'lathe',
        drive: {
          by: 'jaws',
          words: work.mount.tenon ? work.mount.headstock : 'the chuck',
          on: outsideNear(bench, end === 'far' ? 'reference' : 'far'),
        },
        tail: null,
        keepsTrue: true,
        title: 'In the chuck, the end to be bored outward',
        words: [SETUP_WORDS.tailstock.how],
        minutes: each(MINUTES.mount),
        stage: 'drill',
      });
      own.forEach((o) => boreOne(bench, o));
      writer.takeOff(wood, 'Out of the chuck', `${pass} ${end}`, each(MINUTES.vise), 'drill');
    }
  });
}

/** Off the lathe and back on it, where it was on it. What is held by one end alone does not come back true. */
function offTheLathe(bench: Bench, pass: string, work: () => void): void {
  if (bench.hold === null) return work();
  if (bench.hold.alone)
    throw new NoWay(
      'It would have to come out of a hold in which it does not run true again.',
      'Drill while the blank is square, from the tailstock, or after parting.',
    );
  bench.aside(pass, work);
}

/** The outside in the middle, that a vise closes on. */
function middleOf(bench: Bench): SurfaceRef {
  const middle = bench.x(bench.work.outline.length / 2);
  return outsideAt(bench, middle - 3, middle + 3);
}

/** So much of the outside beside an end of the blank, that jaws close on. mm */
const JAWS = 12;
function outsideNear(bench: Bench, end: PartEnd): SurfaceRef {
  const x = bench.standsAt(end);
  return end === 'reference' ? outsideAt(bench, x + 0.5, x + JAWS) : outsideAt(bench, x - JAWS, x - 0.5);
}

/** What the outside is made of between two places: the last cut there, or the stock. */
function outsideAt({ now }: Bench, x0: number, x1: number): SurfaceRef {
  const skin = now.body.skins.findLast(({ side, axis, profile }) => {
    const ends = profile.flatMap((s) => [s.x0, s.x1]).map((x) => axis.at[0] + x * axis.along[0]);
    return side === 'outside' && Math.min(...ends) <= x0 && Math.max(...ends) >= x1;
  });
  return skin ? { of: 'skin', id: skin.id, x0, x1 } : { of: 'stock', id: 'stock', x0, x1 };
}

function boreOne(bench: Bench, o: Bored): void {
  if (isAcross(o)) return boreAcross(bench, o);
  boreAlong(bench, o);
}

const pecking = (o: BoredHole, waste: number): string =>
  o.pecks.length > 0
    ? `Withdraw at ${o.pecks.map((p) => len(p + waste)).join(', ')}.`
    : 'In one go, then clear the chips.';

/** Whether the bit stays in from the hole before. */
function bitChange({ work }: Bench, o: Bored): string[] {
  const own: Bored[] = [...work.across, ...work.drilling].filter((b) => momentOf(b) === momentOf(o));
  const before = own[own.indexOf(o) - 1];
  if (!before?.bit || !o.bit) return [];
  return before.bit.id === o.bit.id
    ? ['The bit stays in.']
    : [`Change the bit: ${bitWords(before.bit)} out, ${bitWords(o.bit)} in.`];
}

const manner = (o: BoredHole) => ({
  tool: o.bit ? `${bitWords(o.bit)} bit` : `${o.name} bit`,
  speed: { words: `${o.rpm} rpm`, rpm: o.rpm },
  minutes: each(MINUTES.drill + o.pecks.length * MINUTES.peck),
});

function boreAlong(bench: Bench, o: DrillOperation): void {
  const { work } = bench;
  const { from, through } = o.hole;
  const halves = through && o.toShoulder < work.outline.length;
  boreFrom(bench, o, from);
  if (halves) boreFrom(bench, o, from === 'far' ? 'reference' : 'far', 'other half');
  ream(bench, o);
}

function boreFrom(bench: Bench, o: DrillOperation, from: PartEnd, pass?: string): void {
  const { work, wood, writer } = bench;
  const { steps, through, pointAngle } = o.hole;
  const whole = through && o.toShoulder >= work.outline.length;
  // waste that still stands before the mouth comes on top of every depth
  const waste = bench.waste(from);
  const deep = (mm: number) => (whole ? work.stock.length : mm + waste);
  const later = work.drilling.slice(work.drilling.indexOf(o) + 1);
  const last = !later.some((other) => wholeHole(other.id) === wholeHole(o.id));
  writer.bore({
    kind: 'drill',
    wood,
    subject: o.id,
    ...(pass === undefined ? {} : { pass }),
    from: bench.datum(from),
    steps: steps.map(({ diameter, depth }) => ({ diameter: diameter.mm, depth: deep(depth.mm) })),
    // only the last bore of a hole leaves its point; a wider one is cut away by it
    pointAngle: through || !last ? 180 : pointAngle,
    ...(whole ? {} : { tape: o.tapeAt + waste }),
    // two halves are told apart by where they begin
    title: `Drill the ${o.name}${through && !whole ? `, from the ${from} end` : ''}`,
    words: [
      ...(pass === undefined ? bitChange(bench, o) : ['Turn the wood end for end.']),
      whole
        ? 'Right through, a board behind.'
        : `${len(o.toShoulder + waste)} deep to the shoulder from the ${from} end as it stands; tape at ${len(o.tapeAt + waste)} from the point.`,
      ...(waste > 0 && !whole ? [`That is ${len(o.toShoulder)} from the finished end.`] : []),
      pecking(o, waste),
      ...(o.after === undefined || pass !== undefined ? [] : [o.after]),
    ],
    ...manner(o),
  });
}

/** The bores of a tapered hole stand inside the taper until it is reamed out. */
function ream(bench: Bench, o: DrillOperation): void {
  const { work, wood, writer } = bench;
  const id = wholeHole(o.id);
  const hole = work.holes.find((h) => h.id === id);
  const bores = work.drilling.filter((other) => wholeHole(other.id) === id);
  if (!hole?.steps.some((s) => s.endDiameter) || bores.at(-1) !== o) return;
  const waste = bench.waste(hole.from);
  const mouth = hole.steps[0]?.diameter.mm ?? 0;
  writer.bore({
    kind: 'ream',
    wood,
    subject: id,
    pass: 'ream',
    from: bench.datum(hole.from),
    steps: [
      ...(waste > 0 ? [{ diameter: mouth, depth: waste }] : []),
      ...hole.steps.map(({ diameter, depth, endDiameter }) => ({
        diameter: diameter.mm,
        depth: depth.mm + waste,
        ...(endDiameter ? { endDiameter: endDiameter.mm } : {}),
      })),
    ],
    pointAngle: hole.pointAngle,
    title: `Ream the ${hole.name}`,
    words: ['Ream or scrape until both calliper settings meet.'],
    tool: 'reamer or scraper',
    minutes: each(MINUTES.drill),
  });
}

/** Cross holes lie where one marked end puts them; a blind one is counted from the surface that stands there. */
function boreAcross(bench: Bench, o: CrossOperation): void {
  const { wood, writer, work } = bench;
  const drawn = work.part.crossHoles?.find((h) => h.id === o.id);
  const at = bench.from(o.x);
  const beyond = o.tapeAt - o.toShoulder;
  const depth = o.through || !drawn ? undefined : blindDepth(bench, o, drawn);
  writer.boreAcross({
    wood,
    subject: o.id,
    from: bench.datum('reference'),
    at,
    angle: o.angle,
    diameter: drawn?.diameter.mm ?? o.bit?.diameter.mm ?? 0,
    ...(depth === undefined ? {} : { depth }),
    beyond,
    title: `Drill the ${o.name} across`,
    words: [
      ...bitChange(bench, o),
      `${bench.where(o.x)}, ${faceWords(o.angle)}, ${depth === undefined ? 'through' : `${len(depth)} deep from the surface`}; tape at ${len((depth ?? thickAt(bench, o)) + beyond)} from the point.`,
      o.fromEdge === undefined
        ? 'Punch the centre.'
        : `Punch its centre first, ${len(o.fromEdge)} from the edge.`,
      o.order,
      ...(o.pecks.length > 0 ? [pecking(o, 0)] : []),
    ],
    ...manner(o),
  });
}

/** How thick the wood stands where a hole goes across, mm. */
function thickAt(bench: Bench, { x, angle }: CrossOperation): number {
  const at = bench.x(x);
  return surfaceAt(bench.now, at, angle).r + surfaceAt(bench.now, at, angle + 180).r;
}

/** What will be turned away comes on top of what is drawn. mm */
function blindDepth(bench: Bench, { x, angle }: CrossOperation, { depth }: CrossHole): number {
  const surface = surfaceAt(bench.now, bench.x(x), angle);
  return (depth?.mm ?? 0) + surface.r - radiusAt(bench.work.outline, x);
}

/** Sides of the square are counted from the one that faces the turner. */
const faceWords = (angle: number): string =>
  angle % 90 === 0 ? `on side ${((((angle / 90) % 4) + 4) % 4) + 1}` : `at ${angle}°`;
