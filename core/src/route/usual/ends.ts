import { len } from '../../measure/index.js';
import type { PartEnd } from '../../pattern/index.js';
import { fromOf, fromWords } from '../figure.js';
import type { Datum } from '../shop.js';
import { STUB } from '../../mounting/index.js';
import type { Bench } from './bench.js';
import { drillAt } from './drill.js';
import { hollowEnd, hollowSides } from './hollows.js';
import { each, MINUTES } from './minutes.js';
import { fitIn } from './prepare.js';
import { spotWords, tips } from './shape.js';
import { stretchWords } from './stretchWords.js';
import { coat } from './surface.js';

/** How long a nib is made, mm: a saw goes in beside it. */
const NIB_LONG = 5;

/** Where a nib is, and how thick. mm */
const nibWords = (across: number, x0: number, x1: number, datum: Datum): string =>
  `Down to ${len(across)} across, ${stretchWords(x0, x1, datum)}.`;

/** Where something is cut off: beside the line, so that the line stays on the piece. mm */
const cutOffWords = (mm: number, datum: Datum): string[] =>
  mm < 0.05
    ? []
    : [`The line lies ${len(mm)} ${fromWords(fromOf(datum))}: cut beside it, on the side of the waste.`];

/** Parted down between a piece and the next one towards the drive until only a nib joins them. */
export function nibBetween(bench: Bench): void {
  const { wood, writer, work, lie } = bench;
  const { length } = work.outline;
  const edge = lie.drive === 'far' ? length : -work.gap;
  const [far, reference] = [bench.nib('far').diameter / 2, bench.nib('reference').diameter / 2];
  const between = Math.min(far, reference);
  const from = edge - tipLength(bench, 'far');
  const to = edge + work.gap + tipLength(bench, 'reference');
  const straight = (x0: number, x1: number, r: number) => ({ elementId: '', x0, r0: r, x1, r1: r, bulge: 0 });
  writer.cut({
    wood,
    kind: 'part to a nib',
    subject: 'to the next piece',
    profile: bench.told(
      far === reference
        ? [straight(from, to, between)]
        : [
            straight(from, edge, far),
            straight(edge, edge + work.gap, between),
            straight(edge + work.gap, to, reference),
          ].filter((s) => s.x1 - s.x0 > 1e-6),
    ),
    title: 'Part down to a nib towards the next piece',
    words: [
      nibWords(2 * between, bench.from(from), bench.from(to), bench.datum('reference')),
      `${len(work.gap)} of waste lies between the two; leave the nib until the lathe stands.`,
    ],
    ...bench.pressing,
    tool: work.parter.name,
    speed: bench.speed('part off'),
    minutes: each(MINUTES.nib),
  });
}

/**
 * The waste beyond an end is turned down, with what runs out to a tip there, before what carries it is thin. The centre
 * stays in what is left.
 */
export function stub(bench: Bench, end: PartEnd): void {
  const { wood, writer, work } = bench;
  const waste = bench.waste(end);
  const diameter = Math.max(STUB, bench.nib(end).diameter);
  const to = waste + tipLength(bench, end);
  writer.cut({
    wood,
    kind: 'turn a stub',
    subject: `${end} end`,
    profile: { from: bench.datum(end), x: 0, diameter, to: [{ x: to, diameter }] },
    title: `Turn the waste at the ${end} end down to a stub`,
    words: [nibWords(diameter, 0, to, bench.datum(end)), 'The tail bears on it until its end is done.'],
    ...bench.pressing,
    tool: work.parter.name,
    speed: bench.speed('size'),
    minutes: each(MINUTES.nib),
  });
}

/** How far a tip runs out that is left at an end, mm. */
const tipLength = (bench: Bench, end: PartEnd): number =>
  bench.tip(end).reduce((sum, s) => sum + s.x1 - s.x0, 0);

/**
 * Parted down beside an end until only a nib carries it.
 * @param lightly where what carries it is too thin for a cut that presses hard
 */
export function nib(bench: Bench, end: PartEnd, lightly = false): void {
  const { wood, writer, work } = bench;
  const waste = bench.waste(end);
  const long = Math.min(NIB_LONG, waste);
  const reach = tipLength(bench, end);
  const { diameter } = bench.nib(end);
  writer.cut({
    wood,
    kind: 'part to a nib',
    subject: `${end} end`,
    profile: {
      from: bench.datum(end),
      x: waste - long,
      diameter,
      to: [{ x: waste + reach, diameter }],
    },
    title: `Part the ${end} end down to a nib`,
    words: [
      nibWords(diameter, waste - long, waste + reach, bench.datum(end)),
      ...(lightly ? ['Light cuts: what carries it is thin by now.'] : []),
      'Leave the nib: it carries the work until the lathe stands.',
    ],
    ...(lightly ? { lightly } : bench.pressing),
    tool: work.parter.name,
    speed: bench.speed('part off'),
    minutes: each(MINUTES.nib),
  });
}

/** Whether an end is parted to a nib: a square is sawn to length, and without waste there is nothing to part. */
export const hasNib = (bench: Bench, end: PartEnd): boolean =>
  bench.waste(end) > 1e-6 && !bench.staysSquare(end);

/** The lathe stands, it comes off, and what both ends were held by is sawn away. */
export function stopAndSaw(bench: Bench): void {
  bench.writer.takeOff(bench.wood, 'Stop the lathe and take it off', undefined, each(MINUTES.tail));
  bench.hold = null;
  bench.forEach(() =>
    ([bench.lie.tail, bench.lie.drive] as const)
      .filter((end) => bench.waste(end) > 1e-6)
      .forEach((end) => sawNib(bench, end)),
  );
}

/** What runs out thinner than a nib is carved when nothing turns any more. */
export const carveTips = (bench: Bench): void => {
  for (const end of ['far', 'reference'] as const) tips(bench, end, 'hand');
};

function sawNib(bench: Bench, end: PartEnd): void {
  const { wood, writer } = bench;
  const mm = bench.waste(end);
  const spare = bench.spare(end);
  // said of the wood as it is before it is cut out of its blank
  const turned = (['nib', 'stub'] as const).find((doing) => bench.isTurned(doing, end));
  const left = turned ?? (bench.isOuter(end) ? 'waste' : 'nib');
  const spot = bench.tip(end).length === 0 ? [spotWords(bench, end, true)] : [];
  writer.part({
    wood,
    subject: `${end} nib`,
    from: bench.datum(end),
    mm,
    into: bench.apart(end),
    ...(bench.staysSquare(end)
      ? {
          kind: 'saw to length' as const,
          title: `Saw the square to length at its ${end} end`,
          words: [`${len(spare)} off, square to its faces, against the stop.`],
          tool: 'saw',
        }
      : {
          kind: 'saw a nib' as const,
          title: `Saw the ${left} off the ${end} end and pare it flush`,
          words: [...cutOffWords(mm, bench.datum(end)), ...spot],
          tool: 'fine saw',
        }),
    minutes: each(MINUTES.part),
  });
}

/** The tip of an end is turned, and what lies beyond is cut away while it turns. */
export function cutFree(
  bench: Bench,
  end: PartEnd,
  manner: {
    kind: 'part off' | 'cut waste away';
    title: string;
    words: string[];
    tool: string;
    lightly?: true;
  },
): void {
  const { work, wood, writer, lie } = bench;
  tips(bench, end, 'turning');
  // a rule is laid on the end that is free, not on what the drive holds
  const from = bench.datum(lie.tail);
  const mm = bench.waste(lie.tail) + (end === lie.tail ? 0 : work.outline.length);
  writer.part({
    wood,
    subject: `${end} end`,
    from,
    mm,
    into: bench.apart(end),
    ...manner,
    words: [...cutOffWords(mm, from), ...manner.words],
    speed: bench.speed('part off'),
    minutes: each(MINUTES.part),
  });
}

/** The tail is let go; what it held is cut away, and what opens in that end is hollowed. Only the first time. */
export function freeTail(bench: Bench): void {
  const { work, writer, lie } = bench;
  if (bench.tailGone) return;
  bench.tailGone = true;
  if (work.mount.tailstock !== null) writer.tailAway('Tailstock away', undefined, each(MINUTES.tail));
  if (bench.waste(lie.tail) > 1e-6)
    cutFree(bench, lie.tail, {
      kind: 'cut waste away',
      title: 'Cut the waste at the tail away',
      words: ['Light cuts to the middle; what is beyond falls.'],
      tool: 'skew',
      lightly: true,
    });
  hollowEnd(bench, lie.tail);
}

/** Off the lathe: late holes, the sizes, coats that are put on a standing piece, and what is put in at the end. */
export function finishOff(bench: Bench): void {
  hollowSides(bench);
  // wet it has the sizes that are drawn; dry it is smaller and oval
  if (bench.work.green) measure(bench);
  rest(bench);
  drillAt(bench, 'after parting');
  fitIn(bench, 'after the tenon', bench.lie.drive);
  if (!bench.work.green) measure(bench);
  coat(bench, false);
  fitIn(bench, 'at the end');
}

/** Wet wood rests before anything has to fit it, and before it is finished. */
function rest({ work, wood, writer }: Bench): void {
  if (!work.green) return;
  writer.dry({
    wood,
    minutesUntilDry: work.green.dries,
    title: 'Let it dry',
    words: [
      'In its own shavings or a paper bag, away from sun and stove. It is dry when two weighings a week apart are the same.',
      'Afterwards it is oval: what has to be round or to fit is cut then.',
    ],
    stage: 'surface',
    minutes: each(MINUTES.rest),
  });
}

/** What hides the wood is not measured through. */
function measure(bench: Bench): void {
  const { work, wood, writer } = bench;
  const { length } = work.outline;
  const hidden = (x: number) =>
    work.fits.some(
      ({ covers, end, when }) =>
        when === 'after the tenon' && (end === 'reference' ? x < covers - 1e-6 : x > length - covers + 1e-6),
    );
  const open = work.layout.sizing.filter((s) => !hidden(s.x));
  const along = (work.layout.along ?? []).filter((s) => !hidden(s.x));
  const measures = [...open, ...along].map((s) => s.id);
  const on = work.outline.spans.flatMap((span) => {
    const skin = bench.amid(span);
    return skin && open.some((s) => s.x >= span.x0 - 1e-6 && s.x <= span.x1 + 1e-6) ? [skin] : [];
  });
  writer.look('measure', {
    wood,
    subject: 'all',
    on,
    title: 'Measure',
    words: [
      'Measure every station once, calliper square to the axis.',
      'Places along the axis: on the wood, from its reference end.',
    ],
    measures,
    minutes: each(MINUTES.measurePerStation * measures.length),
  });
}
