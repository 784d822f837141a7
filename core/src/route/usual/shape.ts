import { capitalised, len } from '../../measure/index.js';
import {
  nameOf,
  outlineOf,
  placementOf,
  type PartEnd,
  type SquareSpan,
  type Turning,
} from '../../pattern/index.js';
import { carries, FORCES, STRENGTHS } from '../../stiffness/index.js';
import { fromOf, fromWords } from '../figure.js';
import { STUB } from '../../mounting/index.js';
import { reachOf, tipName, type Bench } from './bench.js';
import { each, MINUTES, shapeMinutes } from './minutes.js';
import { fitIn } from './prepare.js';
import { turnedSegments } from './profiles.js';
import { besideRings, clearOfRings, freeRings, shapeRings } from './rings.js';
import { sizingPlaces, type SizingPlace } from './sizing.js';
import type { Work } from './work.js';

/** Room left round what is turned when it is roughed, on the diameter, mm. */
const ROUGH = 1;

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
}

/** What a stretch is called that is roughed: where squares stay, by where it lies beside them. */
function roughTitle(gripped: boolean, stretch: number, of: number): string {
  const what = gripped ? 'True it in the chuck' : 'Rough to round';
  if (of === 1) return what;
  return `${what}, ${stretch === 0 ? 'before' : stretch === of - 1 ? 'after' : 'between'} the square`;
}

/** What roughing takes off, mm³: from the square, or from what was roughed before. */
const turnedAway = ({ stock }: Work, from: number, to: number, r: number): number =>
  Math.max(0, (to - from) * (stock.across ** 2 - Math.PI * r * r));

/** Where a square keeps its corners, clipped or not: its shoulder beyond them is turned. mm */
const flats = ({ corners, x0, x1 }: SquareSpan): number[] => [corners[0]?.x0 ?? x0, corners.at(-1)?.x1 ?? x1];

/** To round, but for squares that are left and what lies under the jaws. */
export function rough(
  bench: Bench,
  { pass, over = ROUGH, atDrive = 0, gripped = 0, squareEndsSawn = false }: Roughing,
): void {
  const { work, wood, writer, lie } = bench;
  const { squares = [], length } = work.outline;
  // as x of the piece that is worked on: where each piece of the blank begins
  const begins = bench.lies.map(({ before }) => before - lie.before).sort((a, b) => a - b);
  const jaws = (end: PartEnd) => (lie.drive === end ? gripped : 0);
  const low = -bench.waste('reference') + jaws('reference');
  const high = length + bench.waste('far') - jaws('far');
  const edges = [low, ...begins.flatMap((x) => squares.flatMap(flats).map((edge) => x + edge)), high];
  for (let i = 0; i + 1 < edges.length; i += 2) {
    // what is trued keeps clear of a square: its shoulder was not roughed below the flats
    const clear = gripped > 0 ? CLEAR : 0;
    const from = (edges[i] ?? 0) + (i > 0 ? clear : 0);
    const to = (edges[i + 1] ?? 0) - (i + 2 < edges.length ? clear : 0);
    const turned = widestBetween(bench, begins, from, to);
    if (to - from < 0.5 || (turned === null && (gripped > 0 || squareEndsSawn))) continue;
    const drives = lie.drive === 'reference' ? i === 0 : i + 2 >= edges.length;
    const r =
      Math.min(
        Math.max((turned ?? widestAtEnd(bench, to <= 0)) + over, drives ? atDrive : 0, STUB),
        work.stock.across,
      ) / 2;
    writer.cut({
      wood,
      doing: 'rough',
      subject: i === 0 ? pass : `${pass} ${i / 2 + 1}`,
      profile: bench.told([{ elementId: '', x0: from, r0: r, x1: to, r1: r, bulge: 0 }]),
      title: roughTitle(gripped > 0, i / 2, edges.length / 2),
      words:
        gripped > 0
          ? ['A light cut over all that stands clear of the jaws: it runs true from here on.']
          : [
              ...(squares.length > 0
                ? ['Pencil the end of the square on the flat faces and nick its corners first.']
                : []),
              ...(bench.lightCuts ? ['Light cuts: all of it hangs on what it is glued to.'] : []),
              `Round to ${len(2 * r)}, then stop and look: no flats left ${squares.length > 0 ? 'there' : 'anywhere'}.`,
            ],
      ...bench.pressing,
      tool: work.rougher,
      speed: bench.speed('rough'),
      minutes: each(MINUTES.rough + (MINUTES.roughPerCm3 * turnedAway(work, from, to, r)) / 1000),
    });
  }
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

/** Pencil lines where the notches of the story stick fall, on what is round now. */
export function mark(bench: Bench): void {
  const { work, wood, writer } = bench;
  const ends = [bench.x(0), bench.x(work.outline.length)];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const round = bench.now.body.skins.flatMap((s) => {
    const { x0, x1 } = reachOf(s);
    const own = { id: s.id, x0: Math.max(x0, low), x1: Math.min(x1, high) };
    return s.id.startsWith('rough:') && own.x1 - own.x0 > 2 ? [own] : [];
  });
  const speed = bench.speed('mark');
  writer.look('mark', {
    wood,
    subject: 'stick',
    on: round.slice(-1).map((s) => ({ of: 'skin', id: s.id, ...amid(s) })),
    title: 'Mark from the story stick',
    words: [
      `Hold the stick with its ${work.layout.datum?.label ?? 'reference end'} ${bench.where(work.layout.datum?.x ?? 0)}, and let the pencil fall into its ${work.layout.marks.length} notches, ${speed?.stands ? 'turning the work by hand' : 'the work turning'}.`,
    ],
    figure: { is: 'notches', text: String(work.layout.marks.length) },
    speed,
    minutes: each(MINUTES.mark),
  });
}

/** A short stretch in the middle of one. mm */
const amid = ({ x0, x1 }: { x0: number; x1: number }) => ({
  x0: (x0 + x1) / 2 - 0.5,
  x1: (x0 + x1) / 2 + 0.5,
});

/**
 * Every element in the order of cuts, the end far from the drive first: each place is sized just before its
 * feature is cut, so that what is thin stands free as late as it can. A ferrule is seated as soon as what carries
 * it is there. Tips come later.
 * @param beforeCut what has to be done before an element is as thin as it is drawn
 */
export function shape(bench: Bench, beforeCut: (elementId: string) => void): void {
  const { work, lie } = bench;
  const places = sizingPlaces(work).filter((place) => clearOfRings(bench, place) && !bench.isInTip(place));
  const seats = work.fits.filter((f) => f.when === 'after the tenon' && f.end === lie.tail);
  work.cuts.forEach((cut, i) => {
    // what is shaped by now holds the piece: it was tried when it was
    if (!bench.isShaped(cut.elementId)) {
      beforeCut(cut.elementId);
      sizeAndShape(bench, cut.elementId, places);
      tryPeg(bench, cut.elementId);
    }
    const open = work.cuts.slice(i + 1);
    for (const seat of seats.filter((f) => f.covers > 0)) {
      const covered = (x0: number, x1: number) =>
        lie.tail === 'reference' ? x0 < seat.covers - 1e-6 : x1 > work.outline.length - seat.covers + 1e-6;
      if (covered(cut.x0, cut.x1) && !open.some((c) => covered(c.x0, c.x1)))
        bench.aside(`${seat.id}`, () => fitIn(bench, 'after the tenon', lie.tail));
    }
  });
  freeRings(bench);
}

/** What is no longer than the tool is wide, and straight, is sized and shaped by one cut. */
function sizeAndShape(bench: Bench, elementId: string, places: readonly SizingPlace[]): void {
  const fromTail = (a: SizingPlace, b: SizingPlace) => (bench.lie.tail === 'far' ? b.x0 - a.x0 : a.x0 - b.x0);
  const own = places.filter((p) => p.elementId === elementId).sort(fromTail);
  if (!bearsShaping(bench, own)) roughDown(bench, elementId);
  const [alone] = own.filter((p) => isWhole(bench, elementId, p));
  own.filter((p) => p !== alone).forEach((p) => size(bench, p));
  shapeOne(bench, elementId, alone);
}

/** Whether what is sized of an element carries the light cuts that follow, from as thick as it was roughed. */
function bearsShaping(bench: Bench, places: readonly SizingPlace[]): boolean {
  const { work } = bench;
  const r = bench.widest(0, work.outline.length) / 2 + ROUGH;
  const load = { torque: FORCES.light * r, moment: 0 };
  return places.every(({ across }) =>
    carries({ diameter: across, bore: 0 }, load, STRENGTHS[work.madeOf.class]),
  );
}

/** What is left round a thin element before it is sized, on the diameter, mm. */
const ROUND_IT = 3;

/** What is thin is roughed by itself before a place of it is sized: shaped from the thick it would be twisted off there. */
function roughDown(bench: Bench, elementId: string): void {
  const { work, wood, writer } = bench;
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  const body = bench.withoutTips(elementId);
  const [x0, x1] = [body[0]?.x0 ?? 0, body.at(-1)?.x1 ?? 0];
  const r = (bench.widest(x0, x1) + ROUND_IT) / 2;
  const before = bench.widest(0, work.outline.length) / 2;
  if (!span || x1 - x0 < 0.5 || r > before - ROUGH) return;
  const title = `Rough the ${nameOf(span.element)} down`;
  writer.cut({
    wood,
    doing: 'rough',
    subject: elementId,
    profile: bench.told([{ elementId: '', x0, r0: r, x1, r1: r, bulge: 0 }]),
    title,
    ...bench.pressing,
    words: [
      `Round to ${len(2 * r)}, from ${len(bench.from(x0))} to ${len(bench.from(x1))} ${fromWords(fromOf(bench.datum('reference')))}.`,
    ],
    tool: work.rougher,
    speed: bench.speed('rough'),
    minutes: each(
      MINUTES.rough / 2 + (MINUTES.roughPerCm3 * Math.PI * (x1 - x0) * (before ** 2 - r * r)) / 1000,
    ),
  });
}

function isWhole({ work }: Bench, elementId: string, { x0, x1 }: SizingPlace): boolean {
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  const straight = turnedSegments(work.outline, elementId).every((s) => s.r0 === s.r1 && s.bulge === 0);
  return span !== undefined && straight && span.x0 >= x0 - 1e-6 && span.x1 <= x1 + 1e-6;
}

/** What is nearer than this to its size is at it, mm on the diameter. */
const EXACT = 0.06;

function size(bench: Bench, { station, x0, x1, across }: SizingPlace): void {
  const { work, wood, writer } = bench;
  const leave = work.bare.has(station.elementId) || station.cut.mating ? 0 : bench.leave;
  const { cut } = station;
  const exact = Math.abs(across + 2 * leave - cut.cutTo) < EXACT;
  // what the tool is wide makes no difference that could be set
  const r = exact ? Math.max(across / 2, cut.cutTo / 2) : across / 2 + leave;
  const beside = work.outline.squares?.some((s) => cut.id.startsWith(`${s.elementId}.`));
  writer.cut({
    wood,
    doing: 'size',
    subject: cut.id,
    profile: bench.told([{ elementId: station.elementId, x0, r0: r, x1, r1: r, bulge: 0 }]),
    mark: Number(bench.from(cut.x).toFixed(4)),
    title: beside ? `Size: beside the ${cut.label}` : `Size: ${cut.label}`,
    words: [
      `Part down to ${len(2 * r)}, ${bench.where(cut.x)}.`,
      exact
        ? (cut.transfer ?? cut.gauge.words)
        : `Set a calliper to ${len(2 * r)}, no lower: beside it the wood must still rise.`,
    ],
    ...bench.pressing,
    tool: work.parter.name,
    stage: 'mark',
    speed: bench.speed('size'),
    measures: measured(work).includes(cut.id) && exact ? [cut.id] : [],
    minutes: each(MINUTES.size),
  });
}

/** Mating places are measured as they are cut, and where there is none the first. */
function measured({ layout: { sizing } }: Work): string[] {
  const mating = sizing.filter((s) => s.mating);
  return (mating.length > 0 ? mating : sizing.slice(0, 1)).map((s) => s.id);
}

/** An element turned to its shape, but for what was turned before. */
export function shapeOne(bench: Bench, elementId: string, sized?: SizingPlace): void {
  const { work, wood, writer } = bench;
  const stretches = besideRings(bench, bench.withoutTips(elementId)).filter((body) =>
    body.some((s) => s.x1 - s.x0 >= 1e-6),
  );
  const cut = work.cuts.find((c) => c.elementId === elementId);
  const element = work.outline.spans.find((s) => s.element.id === elementId)?.element;
  const leave = work.bare.has(elementId) ? 0 : bench.leave;
  stretches.forEach((body, i) =>
    writer.cut({
      wood,
      doing: 'shape',
      subject: elementId,
      ...(i === 0 ? {} : { pass: `${i + 1}` }),
      profile: bench.told(body),
      leave,
      title: `${capitalised(element ? nameOf(element) : elementId)}${besideWords(i, stretches.length)}`,
      words: [
        ...(cut ? [cut.words] : []),
        ...(leave > 0 ? [`Leave it ${len(2 * leave)} fat on the diameter: that goes in sanding.`] : []),
        ...(sized ? [sized.station.cut.transfer ?? sized.station.cut.gauge.words] : []),
      ],
      ...(cut?.tool ? { tool: cut.tool.name } : {}),
      measures:
        sized && i === 0 && measured(work).includes(sized.station.cut.id) ? [sized.station.cut.id] : [],
      speed: bench.speed('shape'),
      minutes: each(shapeMinutes(work.outline, elementId) / stretches.length),
    }),
  );
  shapeRings(bench, elementId);
}

/** Where a shaft is interrupted by rings, which stretch of it is meant. */
function besideWords(i: number, of: number): string {
  if (of === 1) return '';
  return i === 0 ? ', up to the ring' : i === of - 1 ? ', beyond the ring' : ', between the rings';
}

/** A peg goes home in its hole before anything else depends on it; what hides its end is no hindrance to an open block. */
export function tryPeg(bench: Bench, elementId: string): void {
  const { work, wood, writer } = bench;
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  if (span?.element.kind !== 'tenon') return;
  const on = bench.amid(span);
  writer.look('try', {
    wood,
    subject: elementId,
    on: on ? [on] : [],
    title: `Try the ${nameOf(span.element)}`,
    words: [
      `Stop. A block with a hole of ${len(span.element.hole.mm)}, sawn open on one side, goes over it by hand and does not rock: so will its own hole.`,
    ],
    minutes: each(MINUTES.trial),
  });
}

/** The hardware is held against what it must meet while both can still be changed. */
export function tryOn(bench: Bench): void {
  const { work, wood, writer, lie } = bench;
  const { trial } = work;
  if (!trial) return;
  const spans = work.outline.spans;
  const ordered = trial.end === 'reference' ? spans : spans.toReversed();
  const on = ordered.flatMap((span) => bench.amid(span) ?? []);
  writer.look('try', {
    wood,
    subject: 'fit',
    on: on.slice(0, 1),
    ...(trial.figure ? { figure: trial.figure } : {}),
    title: 'Trial fit',
    words: [
      trial.words,
      ...(trial.end === lie.drive ? ['It comes off for that, and goes back on as it was.'] : []),
    ],
    minutes: each(MINUTES.trial),
  });
}

/** The tip that was left at an end: turned once the tail is away, or carved when the nib has been sawn. */
export function tips(bench: Bench, end: PartEnd, by: 'turning' | 'hand'): void {
  const { wood, work, writer } = bench;
  const segments = bench.tip(end);
  if (segments.length === 0) return;
  const bare = work.bare.has(bench.endElement(end));
  // what is cut before the first grit gets all of them with the rest
  const late = by === 'hand' || bench.isTreated('sanded');
  writer.cut({
    wood,
    doing: 'shape',
    subject: tipName(end),
    profile: bench.told(segments),
    ...(late || bare ? {} : { leave: bench.leave }),
    byHand: by === 'hand',
    title: by === 'hand' ? 'Round the tip with knife and paper' : 'Turn the tip',
    words: late && !bare ? [spotWords(bench, end, by === 'hand')] : [],
    speed: by === 'hand' ? null : bench.speed('part off'),
    minutes: each(MINUTES.tip),
  });
}

/** What a spot gets that was made when all else was sanded. */
export function spotWords(bench: Bench, end: PartEnd, byHand: boolean): string {
  const finish = bench.isCutFinished(end) ? `, then the finish${byHand ? ', by hand' : ''}` : '';
  return bench.work.sanding.length > 0
    ? `The same grits on it${finish}.`
    : `Leave it clean from the tool${finish}.`;
}

/** Further axes are turned after everything on the first. */
export function furtherAxes(bench: Bench, hold: (turning: Turning) => void): void {
  const { work, wood, writer } = bench;
  for (const turning of work.part.turnings.slice(1)) {
    hold(turning);
    const outline = outlineOf(turning);
    const [along] = placementOf(turning.axis).at;
    writer.cut({
      wood,
      doing: 'shape',
      subject: turning.id,
      profile: bench.told(outline.segments.map((s) => ({ ...s, x0: s.x0 + along, x1: s.x1 + along }))),
      title: 'Turn about the further axis',
      words: ['The tool meets wood on part of each turn only: light cuts, slow.'],
      speed: bench.speed('rough'),
      minutes: each(2 * MINUTES.shape),
    });
  }
}
