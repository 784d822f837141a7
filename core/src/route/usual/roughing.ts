import { len } from '../../measure/index.js';
import { leastRound } from '../../mounting/index.js';
import { nameOf, type PartEnd, type SquareSpan } from '../../pattern/index.js';
import { reachOf, type Bench } from './bench.js';
import { each, MINUTES } from './minutes.js';
import { stretchWords } from './stretchWords.js';
import type { Work } from './work.js';

/** Room left round what is turned when it is roughed, on the diameter, mm. */
export const ROUGH = 1;

/** Room beside a square when work is trued, mm. */
const CLEAR = 0.8;

interface Roughing {
  pass: string;
  /** so much stouter than the widest place of each stretch, on the diameter, mm */
  over?: number;
  /** at least so much across the waste at the drive, for what is turned there; mm */
  atDrive?: number;
  /** what lies under the jaws at the drive, mm of the blank's end */
  gripped?: number;
  /** an end that stays square is sawn to length afterwards: its waste stays as it is */
  squareEndsSawn?: boolean;
  /** it is trued in another hold: what has no room for that is roughed there */
  truedLater?: boolean;
}

/** What is roughed in one go, mm of the part. */
interface RoughStretch {
  x0: number;
  x1: number;
  r: number;
  /** the how-manieth between the squares that stay, and of how many */
  nth: number;
  of: number;
}

/** What a stretch is called that is roughed: where squares stay, by where it lies beside them. */
function roughTitle(trued: boolean, { nth, of }: RoughStretch): string {
  const what = trued ? 'True it in the chuck' : 'Rough to round';
  if (of === 1) return what;
  return `${what}, ${nth === 0 ? 'before' : nth === of - 1 ? 'after' : 'between'} the square`;
}

/** What roughing takes off, mm³: from the square, or from what was roughed before. */
const turnedAway = ({ stock }: Work, { x0, x1, r }: RoughStretch): number =>
  Math.max(0, (x1 - x0) * (stock.across ** 2 - Math.PI * r * r));

/** Where a square keeps its corners, clipped or not: its shoulder beyond them is turned. mm */
const flats = ({ corners, x0, x1 }: SquareSpan): number[] => [corners[0]?.x0 ?? x0, corners.at(-1)?.x1 ?? x1];

/** To round, but for squares that are left and what lies under the jaws. */
export function rough(bench: Bench, how: Roughing): void {
  const { work, wood, writer } = bench;
  for (const stretch of stretchesOf(bench, how)) {
    const { x0, x1, r, nth } = stretch;
    const trued = (how.gripped ?? 0) > 0 && isRound(bench, stretch);
    writer.cut({
      wood,
      kind: trued ? 'true up' : stretch.of === 1 ? 'rough' : 'rough beside a square',
      subject: nth === 0 ? how.pass : `${how.pass} ${nth + 1}`,
      profile: bench.told([{ elementId: '', x0, r0: r, x1, r1: r, bulge: 0 }]),
      title: roughTitle(trued, stretch),
      words: trued
        ? [
            `Round to ${len(2 * r)}, ${toldStretch(bench, stretch)}: a light cut over all that stands clear of the jaws. It runs true from here on.`,
          ]
        : roundWords(bench, stretch),
      ...bench.pressing,
      tool: work.rougher,
      speed: bench.speed('rough'),
      minutes: each(MINUTES.rough + (MINUTES.roughPerCm3 * turnedAway(work, stretch)) / 1000),
    });
  }
}

/** Where a stretch lies, from the end that lengths are told from. */
const toldStretch = (bench: Bench, { x0, x1 }: Pick<RoughStretch, 'x0' | 'x1'>): string =>
  stretchWords(bench.from(x0), bench.from(x1), bench.datum('reference'));

function roundWords(bench: Bench, stretch: RoughStretch): string[] {
  const { lightCuts, work } = bench;
  const squares = (work.outline.squares ?? []).length > 0;
  const where = stretch.of === 1 ? '' : `, ${toldStretch(bench, stretch)}`;
  return [
    ...(squares ? ['Pencil the end of the square on the flat faces and nick its corners first.'] : []),
    ...(lightCuts ? ['Light cuts: all of it hangs on what it is glued to.'] : []),
    ...(stretch.nth === 0 ? bench.firstStart('it is not round yet') : []),
    `Round to ${len(2 * stretch.r)}${where}; then stop and look: no flats left ${squares ? 'there' : 'anywhere'}.`,
  ];
}

/** Whether a stretch was roughed before. */
const isRound = (bench: Bench, { x0, x1 }: RoughStretch): boolean =>
  bench.now.body.skins.some((skin) => {
    const reach = reachOf(skin);
    const middle = bench.x((x0 + x1) / 2);
    return reach.x0 < middle && reach.x1 > middle;
  });

/** From square to square and to the ends of the blank, over all pieces in it; those that are turned. */
function stretchesOf(bench: Bench, how: Roughing): RoughStretch[] {
  const { work, lie } = bench;
  const { squares = [], length } = work.outline;
  const { gripped = 0 } = how;
  // as x of the piece that is worked on: where each piece of the blank begins
  const begins = bench.lies.map(({ before }) => before - lie.before).sort((a, b) => a - b);
  const jaws = (end: PartEnd) => (lie.drive === end ? gripped : 0);
  const first = -bench.waste('reference') + jaws('reference');
  const last = length + bench.waste('far') - jaws('far');
  const edges = [first, ...begins.flatMap((x) => squares.flatMap(flats).map((edge) => x + edge)), last];
  const of = edges.length / 2;
  // what is trued keeps clear of a square: its shoulder was not roughed below the flats
  const clear = gripped > 0 ? CLEAR : 0;
  return Array.from({ length: of }, (_, nth) => {
    const x0 = (edges[2 * nth] ?? 0) + (nth > 0 ? clear : 0);
    const x1 = (edges[2 * nth + 1] ?? 0) - (nth + 1 < of ? clear : 0);
    const drives = nth === (lie.drive === 'reference' ? 0 : of - 1);
    return sized(bench, begins, { x0, x1, nth, of, drives }, how);
  }).flatMap((stretch) => stretch ?? []);
}

/** How thick a stretch is left; null where nothing of it is roughed now. */
function sized(
  bench: Bench,
  begins: readonly number[],
  { drives, ...all }: Omit<RoughStretch, 'r'> & { drives: boolean },
  { over = ROUGH, atDrive = 0, gripped = 0, squareEndsSawn = false, truedLater = false }: Roughing,
): RoughStretch | null {
  const { work, lie } = bench;
  const { across } = work.stock;
  const wide = widestBetween(bench, begins, all.x0, all.x1);
  const noRoom = truedLater && (wide ?? 0) + 2 * ROUGH > across;
  // of what is roughed in the next hold only the waste is turned, for what grips it there
  const ends =
    lie.drive === 'reference'
      ? { x0: all.x0, x1: Math.min(all.x1, 0) }
      : { x0: Math.max(all.x0, work.outline.length), x1: all.x1 };
  const stretch = noRoom && drives ? { ...all, ...ends } : all;
  const turned = noRoom ? null : wide;
  const left = stretch.x1 - stretch.x0 < 0.5 || (noRoom && !drives);
  if (left || (turned === null && (gripped > 0 || squareEndsSawn))) return null;
  const beside = turned ?? widestAtEnd(bench, stretch.x1 <= 0);
  return {
    ...stretch,
    r: Math.min(Math.max(beside + over, drives ? atDrive : 0, leastRound(work.mount)), across) / 2,
  };
}

/** Largest diameter that the pieces of the blank have between two places; null where only waste lies. mm */
function widestBetween(bench: Bench, begins: readonly number[], from: number, to: number): number | null {
  const { length } = bench.work.outline;
  const all = begins.flatMap((x) =>
    to <= x || from >= x + length ? [] : [bench.widest(Math.max(0, from - x), Math.min(length, to - x))],
  );
  return all.length === 0 ? null : Math.max(...all);
}

/** Waste is as thick as the end it stands beyond. mm */
const widestAtEnd = (bench: Bench, first: boolean): number =>
  first ? bench.widest(0, 0) : bench.widest(bench.work.outline.length, bench.work.outline.length);

/** What is left round a thin element before it is sized, on the diameter, mm. */
const ROUND_IT = 3;

/** What is thin is roughed by itself before a place of it is sized: shaped from the thick it would be twisted off there. */
export function roughDown(bench: Bench, elementId: string): void {
  const { work, wood, writer } = bench;
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  const body = bench.withoutTips(elementId);
  const [x0, x1] = [body[0]?.x0 ?? 0, body.at(-1)?.x1 ?? 0];
  const r = (bench.widest(x0, x1) + ROUND_IT) / 2;
  const before = Math.max(bench.widest(0, work.outline.length), leastRound(work.mount)) / 2;
  if (!span || x1 - x0 < 0.5 || r > before - ROUGH) return;
  const title = `Rough the ${nameOf(span.element)} down`;
  writer.cut({
    wood,
    kind: 'rough down',
    subject: elementId,
    profile: bench.told([{ elementId: '', x0, r0: r, x1, r1: r, bulge: 0 }]),
    title,
    ...bench.pressing,
    words: [`Round to ${len(2 * r)}, ${toldStretch(bench, { x0, x1 })}.`],
    tool: work.rougher,
    speed: bench.speed('rough'),
    minutes: each(
      MINUTES.rough / 2 + (MINUTES.roughPerCm3 * Math.PI * (x1 - x0) * (before ** 2 - r * r)) / 1000,
    ),
  });
}
