import {
  nameOf,
  outlineOf,
  placementOf,
  type PartEnd,
  type SquareSpan,
  type Turning,
} from '../../pattern/index.js';
import type { Bench } from './bench.js';

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
}

/** Where a square keeps its corners, clipped or not: its shoulder beyond them is turned. mm */
const flats = ({ corners, x0, x1 }: SquareSpan): number[] => [corners[0]?.x0 ?? x0, corners.at(-1)?.x1 ?? x1];

/** To round, but for squares that are left and what lies under the jaws. */
export function rough(bench: Bench, { pass, over = ROUGH, atDrive = 0, gripped = 0 }: Roughing): void {
  const { work, wood, writer, lie } = bench;
  const { squares = [], length } = work.outline;
  const jaws = (end: PartEnd) => (lie.drive === end ? gripped : 0);
  const low = -bench.waste('reference') + jaws('reference');
  const high = length + bench.waste('far') - jaws('far');
  const edges = [low, ...squares.flatMap(flats), high];
  for (let i = 0; i + 1 < edges.length; i += 2) {
    // what is trued keeps clear of a square: its shoulder was not roughed below the flats
    const clear = gripped > 0 ? CLEAR : 0;
    const from = (edges[i] ?? 0) + (i > 0 ? clear : 0);
    const to = (edges[i + 1] ?? 0) - (i + 2 < edges.length ? clear : 0);
    const waste = to <= 0 || from >= length;
    if (to - from < 0.5 || (waste && gripped > 0)) continue;
    const drives = lie.drive === 'reference' ? i === 0 : i + 2 >= edges.length;
    const turned = bench.widest(Math.max(0, Math.min(from, length)), Math.min(length, Math.max(0, to)));
    const r = Math.min(Math.max(turned + over, drives ? atDrive : 0), work.stock.across) / 2;
    writer.cut({
      wood,
      doing: 'rough',
      subject: i === 0 ? pass : `${pass} ${i / 2 + 1}`,
      profile: bench.told([{ elementId: '', x0: from, r0: r, x1: to, r1: r, bulge: 0 }]),
      title: squares.length > 0 ? 'Rough beside the square to round' : 'Rough to round',
      words: ['Stop and look: no flats left anywhere.'],
      tool: 'roughing gouge',
    });
  }
}

/** Every element in the order of cuts, the end far from the drive first; tips thinner than a nib come later. */
export function shape(bench: Bench): void {
  for (const cut of bench.work.cuts) shapeOne(bench, cut.elementId);
}

function shapeOne(bench: Bench, elementId: string): void {
  const { work, wood, writer } = bench;
  const body = bench.withoutTips(elementId);
  if (body.every((s) => s.x1 - s.x0 < 1e-6)) return;
  const cut = work.cuts.find((c) => c.elementId === elementId);
  const element = work.outline.spans.find((s) => s.element.id === elementId)?.element;
  writer.cut({
    wood,
    doing: 'shape',
    subject: elementId,
    profile: bench.told(body),
    leave: work.bare.has(elementId) ? 0 : bench.leave,
    title: element ? nameOf(element) : elementId,
    words: cut ? [cut.words] : [],
    ...(cut?.tool ? { tool: cut.tool.name } : {}),
  });
}

/** The tip that was left at an end: turned once the tail is away, or carved when the nib has been sawn. */
export function tips(bench: Bench, end: PartEnd, by: 'turning' | 'hand'): void {
  const segments = bench.tip(end);
  if (segments.length === 0) return;
  bench.writer.cut({
    wood: bench.wood,
    doing: 'shape',
    subject: `${end} tip`,
    profile: bench.told(segments),
    byHand: by === 'hand',
    title: by === 'hand' ? 'Round the tip with knife and paper' : 'Turn the tip',
  });
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
    });
  }
}
