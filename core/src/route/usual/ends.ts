import { len } from '../../measure/index.js';
import type { PartEnd } from '../../pattern/index.js';
import { fromOf, fromWords } from '../figure.js';
import type { Datum } from '../shop.js';
import type { Bench } from './bench.js';
import { drillAt } from './drill.js';
import { hollowEnd, hollowSides } from './hollows.js';
import { each, MINUTES } from './minutes.js';
import { fitIn } from './prepare.js';
import { NIB } from './profiles.js';
import { tips } from './shape.js';
import { coat } from './surface.js';

/** How long a nib is made, mm: a saw goes in beside it. */
const NIB_LONG = 5;

/** Where a nib is, and how thick. mm */
function nibWords(x0: number, x1: number, datum: Datum): string {
  const where = x0 < 0.05 ? `over ${len(x1)}` : `between ${len(x0)} and ${len(x1)}`;
  return `Down to ${len(2 * NIB)} across, ${where} ${fromWords(fromOf(datum))}.`;
}

/** Where something is cut off: beside the line, so that the line stays on the piece. mm */
const cutOffWords = (mm: number, datum: Datum): string[] =>
  mm < 0.05
    ? []
    : [`The line lies ${len(mm)} ${fromWords(fromOf(datum))}: cut beside it, on the side of the waste.`];

/** Parted down between a piece and the next one towards the drive until only a nib joins them. */
export function nibBetween(bench: Bench): void {
  const { wood, writer, work, lie } = bench;
  const reach = (end: PartEnd) => bench.tip(end).reduce((sum, s) => sum + s.x1 - s.x0, 0);
  const { length } = work.outline;
  const [from, to] =
    lie.drive === 'far'
      ? [length - reach('far'), length + work.gap + reach('reference')]
      : [-work.gap - reach('far'), reach('reference')];
  writer.cut({
    wood,
    doing: 'nib',
    subject: 'to the next piece',
    profile: bench.told([{ elementId: '', x0: from, r0: NIB, x1: to, r1: NIB, bulge: 0 }]),
    title: 'Part down to a nib towards the next piece',
    words: [
      nibWords(bench.from(from), bench.from(to), bench.datum('reference')),
      `${len(work.gap)} of waste lies between the two; leave the nib until the lathe stands.`,
    ],
    tool: work.parter.name,
    speed: bench.speed('part off'),
    minutes: each(MINUTES.nib),
  });
}

/** Parted down beside an end until only a nib carries it. */
export function nib(bench: Bench, end: PartEnd): void {
  const { wood, writer, work } = bench;
  const waste = bench.waste(end);
  const long = Math.min(NIB_LONG, waste);
  const reach = bench.tip(end).reduce((sum, s) => sum + s.x1 - s.x0, 0);
  writer.cut({
    wood,
    doing: 'nib',
    subject: `${end} end`,
    profile: {
      from: bench.datum(end),
      x: waste - long,
      diameter: 2 * NIB,
      to: [{ x: waste + reach, diameter: 2 * NIB }],
    },
    title: `Part the ${end} end down to a nib`,
    words: [
      nibWords(waste - long, waste + reach, bench.datum(end)),
      'Leave the nib: it carries the work until the lathe stands.',
    ],
    tool: work.parter.name,
    speed: bench.speed('part off'),
    minutes: each(MINUTES.nib),
  });
}

export function sawNib(bench: Bench, end: PartEnd): void {
  const { wood, writer } = bench;
  const mm = bench.waste(end);
  const spare = bench.spare(end);
  writer.part({
    wood,
    subject: `${end} nib`,
    from: bench.datum(end),
    mm,
    into: bench.apart(end),
    ...(bench.staysSquare(end)
      ? {
          title: `Saw the square to length at its ${end} end`,
          words: [`${len(spare)} off, square to its faces, against the stop.`],
          tool: 'saw',
        }
      : {
          title: `Saw the nib of the ${end} end and pare it flush`,
          words: [
            ...cutOffWords(mm, bench.datum(end)),
            `Sand the end with the last grits, by hand${bench.isCutFinished(end) && bench.tip(end).length === 0 ? ', then the finish on it' : ''}.`,
          ],
          tool: 'fine saw',
        }),
    minutes: each(MINUTES.part),
  });
}

/** The tip of an end is turned, and what lies beyond is cut away while it turns. */
export function cutFree(
  bench: Bench,
  end: PartEnd,
  manner: { title: string; words: string[]; tool: string },
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

/** The tail is let go; what it held is cut away, and what opens in that end is hollowed. */
export function freeTail(bench: Bench): void {
  const { work, writer, lie } = bench;
  if (work.mount.tailstock !== null) writer.tailAway('Tailstock away', undefined, each(MINUTES.tail));
  if (bench.waste(lie.tail) > 1e-6)
    cutFree(bench, lie.tail, {
      title: 'Cut the waste at the tail away',
      words: ['Light cuts to the middle; what is beyond falls. Sand the end before the finish.'],
      tool: 'skew',
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
