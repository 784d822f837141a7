import { len } from '../measure/index.js';
import { radiusAt, type Segment } from '../pattern/index.js';
import { datumPlace, type DatumPlace } from './datum.js';
import { saidAs } from './kinds/kindRow.js';
import { doesOf, kindRow } from './kinds/operationKinds.js';
import type { Lengths, Operation } from './operation.js';
import { profileSaid, segmentsOf } from './saidProfile.js';
import { woodOf, type Shop, type Wood } from './shop.js';

/** What a shape is turned to, place by place, from the end that stands now: what is cut is what stands here. */
export function profileWords(operation: Operation, before: Shop, lengths: Lengths): string[] {
  const profile = kindRow(operation.kind).profile === 'told' ? profileSaid(operation.said) : null;
  const leave = saidAs(operation, 'left for sanding, on the radius')?.mm ?? 0;
  const wood = woodOf(before, operation.on[0] ?? '');
  const place = profile && wood ? datumPlace(wood, profile.from, lengths) : null;
  if (!profile || !place || !wood) return [];
  const isHollow = doesOf(operation.kind) === 'hollow';
  const begins = `From ${place.words}${beforeFinished(wood, place, operation.place)}`;
  const words = (stop: Stop, i: number, n: number) => stopWords(stop, pointWords(isHollow, i + n === 0));
  return inGroups(stopsOf(told(segmentsOf(profile)), leave)).map(
    (group, i) =>
      `${i === 0 ? begins : 'On from there'}: ${group.map((stop, n) => words(stop, i, n)).join(' → ')}.`,
  );
}

/** So many places are read at a time, the last of one group being the first of the next. */
const IN_GROUP = 5;
const inGroups = (stops: Stop[]): Stop[][] =>
  Array.from({ length: Math.max(1, Math.ceil((stops.length - 1) / (IN_GROUP - 1))) }, (_, i) =>
    // how the stretch up to the first place of a group goes, the group before it has said
    stops
      .slice(i * (IN_GROUP - 1), i * (IN_GROUP - 1) + IN_GROUP)
      .map((stop, n) => (n === 0 ? { ...stop, off: 0 } : stop)),
  );

/** Nearer than so to an end or to the axis nothing is laid off, mm. */
const NOTHING = 0.05;

/** A curve that stands off by less than this is read as straight, mm. */
const STRAIGHT = 0.05;

/** Where nothing is left across: the bottom of a bowl lies in the middle, an outside begins or runs out at a point. */
const pointWords = (isHollow: boolean, isFirst: boolean): string =>
  isHollow ? 'in the middle' : isFirst ? 'from a point' : 'to a point';

function stopWords({ x, across, off }: Stop, point: string): string {
  const curve = Math.abs(off) < STRAIGHT ? '' : ` (${off > 0 ? 'round' : 'hollow'} by ${len(Math.abs(off))})`;
  const place = Math.abs(x) < NOTHING ? 'at it' : len(x);
  return `${place} ${across < NOTHING ? point : `⌀ ${len(across)}`}${curve}`;
}

/** How far the finished end lies behind the one that is measured from, while waste still stands before it. */
function beforeFinished({ pieces }: Wood, { at }: DatumPlace, place = 1): string {
  const piece = pieces.find((p) => p.n === place) ?? pieces[0];
  const waste = piece ? (piece.at.at[0] - at.at[0]) * at.along[0] : 0;
  return waste > 0.05 && at.along[0] > 0 ? `, ${len(waste)} before the finished one` : '';
}

/**
 * Of a flowing curve, which is made of many short arcs, so many places are told that an arc between two of them is what is cut;
 * where it turns is one of them. Beads and coves are told each.
 */
function told(segments: readonly Segment[]): Segment[] {
  if (segments.length < IN_GROUP) return [...segments];
  const chosen: Segment[] = [];
  for (let i = 0; i < segments.length;) {
    const { arc, next } = longestArc(segments, i);
    chosen.push(arc);
    i = next;
  }
  return chosen;
}

/** The longest arc that begins with a stretch and tells all that lies under it. */
function longestArc(segments: readonly Segment[], from: number): { arc: Segment; next: number } {
  const first = segments[from] as Segment;
  let reached = { arc: first, next: from + 1 };
  for (let next = from + 2; next <= segments.length; next++) {
    const under = segments.slice(from, next);
    const arc = arcOver(under);
    if (!arc || !under.every((s) => rises(s) === rises(first)) || !tells(arc, under)) break;
    reached = { arc, next };
  }
  return reached;
}

const rises = ({ r0, r1 }: Segment): number => Math.sign(r1 - r0);

/** Places that an arc tells lie no farther from what is cut, on the radius, mm. */
const TOLD = 0.1;

/** One arc from the first place of several to the last, through the one amid them; null where there is none. */
function arcOver(under: readonly Segment[]): Segment | null {
  const [first, last, middle] = [under[0], under.at(-1), under[Math.floor(under.length / 2)]];
  if (!first || !last || !middle) return null;
  const { x0, r0, elementId } = first;
  const { x1, r1 } = last;
  const [dx, dr] = [x1 - x0, r1 - r0];
  const share = (middle.x0 - x0) / dx;
  if (!(share > 0 && share < 1)) return null;
  const chord = Math.hypot(dx, dr);
  const above = middle.r0 - (r0 + share * dr);
  // an arc stands off most amid its chord; as a parabola it is there 1 / 4·s·(1 − s) times as high
  const off = (above * dx) / chord / (4 * share * (1 - share));
  return Math.abs(off) > chord / 2 ? null : { elementId, x0, r0, x1, r1, bulge: (2 * off) / chord };
}

/** Whether an arc lies on what it was laid over, at the ends of each stretch and amid it. */
function tells(arc: Segment, under: readonly Segment[]): boolean {
  const at = (segment: Segment, x: number) => radiusAt({ segments: [segment] }, x);
  return under.every((s) => [s.x0, (s.x0 + s.x1) / 2].every((x) => Math.abs(at(arc, x) - at(s, x)) <= TOLD));
}

/** A place of a profile as it is said, and how far the stretch up to it stands off the straight; hollow below 0. mm */
interface Stop {
  x: number;
  across: number;
  off: number;
}

/** Every place that is told as it is cut, with what goes in sanding. mm */
const stopsOf = (segments: readonly Segment[], leave: number): Stop[] => {
  const across = (r: number) => 2 * (r + leave);
  return segments.flatMap((s, i) => [
    ...(i === 0 ? [{ x: s.x0, across: across(s.r0), off: 0 }] : []),
    { x: s.x1, across: across(s.r1), off: (s.bulge * Math.hypot(s.x1 - s.x0, s.r1 - s.r0)) / 2 },
  ]);
};
