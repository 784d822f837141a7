import { capitalised, len } from '../../measure/index.js';
import { extremes, nameOf, outlineOf, placementOf, type PartEnd, type Turning } from '../../pattern/index.js';
import { carries, FORCES, STRENGTHS } from '../../stiffness/index.js';
import { cutWords } from '../../turning/index.js';
import { reachOf, tipName, type Bench } from './bench.js';
import { everyGrit } from './grits.js';
import { ROUGH, roughDown } from './roughing.js';
import { each, MINUTES, shapeMinutes } from './minutes.js';
import { fitIn } from './prepare.js';
import { turnedSegments } from './profiles.js';
import { besideRings, clearOfRings, freeRings, shapeRings } from './rings.js';
import { sizingPlaces, type SizingPlace } from './sizing.js';
import type { Work } from './work.js';

/** Pencil lines where the notches of the story stick fall, on what is round now. */
export function mark(bench: Bench): void {
  const { work, wood, writer } = bench;
  const ends = [bench.x(0), bench.x(work.outline.length)];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const round = bench.now.body.skins.flatMap((s) => {
    const { x0, x1 } = reachOf(s);
    const own = { id: s.id, x0: Math.max(x0, low), x1: Math.min(x1, high) };
    return s.leaves === 'roughed' && own.x1 - own.x0 > 2 ? [own] : [];
  });
  const speed = bench.speed('mark');
  writer.look('mark off', {
    wood,
    subject: 'stick',
    on: round.slice(-1).map((s) => ({ of: 'skin', id: s.id, ...amid(s) })),
    title: 'Mark from the story stick',
    words: [
      `Hold the stick with its ${work.layout.datum?.label ?? 'reference end'} ${bench.where(work.layout.datum?.x ?? 0)}, and let the pencil fall into its ${work.layout.marks.length} notches, ${speed?.rpm === 0 ? 'turning the work by hand' : 'the work turning'}.`,
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
  const own = places
    .filter((p) => p.elementId === elementId && p.across + 2 * bench.leave < bench.work.stock.across - HAIR)
    .sort(fromTail);
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

/** What is nearer than this is one size, mm. */
const HAIR = 1e-6;

/** Whether a feature is so wide that its stock has nothing left for sanding round it. */
function isAsWideAsStock({ work, leave }: Bench, elementId: string): boolean {
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  return (
    span !== undefined &&
    extremes(work.outline, span.x0, span.x1).largest.diameter + 2 * leave > work.stock.across
  );
}

/** Whether a further axis crosses a feature: what it leaves there of the first is rubbed by hand, and not sanded down. */
function isCrossed({ work }: Bench, elementId: string): boolean {
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  return work.part.turnings.slice(1).some((turning) => {
    const { at, along } = placementOf(turning.axis);
    const x1 = at[0] + along[0] * outlineOf(turning).length;
    const aside = work.stock.across * Math.hypot(along[1], along[2]);
    return (
      span !== undefined && span.x0 < Math.max(at[0], x1) + aside && span.x1 > Math.min(at[0], x1) - aside
    );
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
    kind: 'size',
    subject: cut.id,
    profile: bench.told([{ elementId: station.elementId, x0, r0: r, x1, r1: r, bulge: 0 }]),
    mark: Number(bench.from(cut.x).toFixed(4)),
    title: beside ? `Size: beside the ${cut.label}` : `Size: ${cut.label}`,
    words: [
      `Part down to ${len(2 * r)}, ${bench.where(cut.x)}; the tool ${sideOf(cut.x, { x0, x1 })} the mark.`,
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

/** Where the tool stands to a mark, seen from the end that the mark is laid off from. mm */
function sideOf(mark: number, { x0, x1 }: { x0: number; x1: number }): string {
  if (mark < x0 + AT_EDGE) return 'just beyond';
  return mark > x1 - AT_EDGE ? 'just before' : 'across';
}

/** Nearer than so the tool stands with its edge on the mark, mm. */
const AT_EDGE = 0.1;

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
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  const leave =
    work.bare.has(elementId) || isAsWideAsStock(bench, elementId) || isCrossed(bench, elementId)
      ? 0
      : bench.leave;
  stretches.forEach((body, i) =>
    writer.cut({
      wood,
      kind: 'shape',
      subject: elementId,
      ...(i === 0 ? {} : { pass: `${i + 1}` }),
      profile: bench.told(body),
      leave,
      title: `${capitalised(span ? nameOf(span.element) : elementId)}${besideWords(i, stretches.length)}`,
      words: [
        ...(span ? [cutWords(work.outline, span, 2 * leave)] : []),
        ...(leave > 0 ? [`Of each diameter ${len(2 * leave)} goes in sanding.`] : []),
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
  writer.look('try a peg', {
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
  writer.look('try the fit', {
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
  const tool = work.cuts.find((c) => c.elementId === bench.endElement(end))?.tool;
  // what is cut before the first grit gets all of them with the rest
  const late = by === 'hand' || bench.isTreated('sanded');
  writer.cut({
    wood,
    kind: by === 'hand' ? 'carve a tip' : 'turn a tip',
    subject: tipName(end),
    profile: bench.told(segments),
    ...(late || bare ? {} : { leave: bench.leave }),
    title: by === 'hand' ? 'Round the tip with knife and paper' : 'Turn the tip',
    ...(tool && by === 'turning' ? { tool: tool.name } : {}),
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

/** Further axes are turned after everything on the first, and rubbed while they turn. */
export function furtherAxes(bench: Bench, hold: (turning: Turning) => void): void {
  const { work, wood, writer } = bench;
  for (const turning of work.part.turnings.slice(1)) {
    hold(turning);
    const { segments } = outlineOf(turning);
    const from = alongFurther(bench, turning);
    const x1 = segments.at(-1)?.x1 ?? 0;
    writer.cut({
      wood,
      kind: 'turn about a further axis',
      subject: turning.id,
      profile: bench.told(segments.map((s) => ({ ...s, x0: s.x0 + from, x1: s.x1 + from }))),
      title: 'Turn about the further axis',
      words: ['The tool meets wood on part of each turn only: light cuts.', ...bench.firstStart('it swings')],
      speed: bench.speed('turn off axis'),
      minutes: each(2 * MINUTES.shape),
    });
    if (work.sanding.length > 0)
      writer.treat({
        wood,
        kind: 'sand a further axis',
        subject: turning.id,
        pass: 'further axis',
        from: bench.datum('reference'),
        stretches: [
          {
            on: [{ of: 'skin', id: bench.shapeId(turning.id) }],
            x0: bench.from(from),
            x1: bench.from(from + x1),
          },
        ],
        figure: everyGrit(work).figure,
        title: 'Sand what is turned about the further axis',
        words: [
          `${everyGrit(work).listed}, on a stiff pad that does not follow into the gap: cloth would catch on what swings past.`,
        ],
        speed: bench.speed('turn off axis'),
        minutes: each(MINUTES.shape),
      });
  }
}

/**
 * Where the profile of a further axis begins, as lengths along that axis are told: from the foot of the reference end on
 * it. An axis that leans makes them shorter than along the first. mm of the part
 */
function alongFurther(bench: Bench, { axis }: Turning): number {
  const { at, along } = placementOf(axis);
  const waste = bench.waste('reference');
  return (at[0] + waste) * along[0] + at[1] * along[1] + at[2] * along[2] - waste;
}
