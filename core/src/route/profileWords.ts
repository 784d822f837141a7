import { len } from '../measure/index.js';
import { datumPlace, type DatumPlace } from './datum.js';
import { doesOf } from './kinds/operationKinds.js';
import type { Lengths, Operation } from './operation.js';
import { profileSaid, type SaidProfile } from './saidProfile.js';
import { woodOf, type Shop, type Wood } from './shop.js';

/** What a shape is turned to, place by place, from the end that stands now: what is cut is what stands here. */
export function profileWords(operation: Operation, before: Shop, lengths: Lengths): string[] {
  const does = doesOf(operation.kind);
  const profile = does === 'shape' || does === 'hollow' ? profileSaid(operation.said) : null;
  const wood = woodOf(before, operation.on[0] ?? '');
  const place = profile && wood ? datumPlace(wood, profile.from, lengths) : null;
  if (!profile || !place || !wood) return [];
  const begins = `From ${place.words}${beforeFinished(wood, place, operation.place)}`;
  return inGroups(told(stopsOf(profile))).map(
    (group, i) => `${i === 0 ? begins : 'On from there'}: ${group.map(stopWords).join(' → ')}.`,
  );
}

/** So many places are read at a time, the last of one group being the first of the next. */
const IN_GROUP = 5;
const inGroups = (stops: Stop[]): Stop[][] =>
  Array.from({ length: Math.max(1, Math.ceil((stops.length - 1) / (IN_GROUP - 1))) }, (_, i) =>
    stops.slice(i * (IN_GROUP - 1), i * (IN_GROUP - 1) + IN_GROUP),
  );

/** A curve that stands off by less than this is read as straight, mm. */
const STRAIGHT = 0.05;

function stopWords({ x, across, off }: Stop): string {
  const curve = Math.abs(off) < STRAIGHT ? '' : ` (${off > 0 ? 'round' : 'hollow'} by ${len(Math.abs(off))})`;
  return `${len(x)} ⌀ ${len(across)}${curve}`;
}

/** How far the finished end lies behind the one that is measured from, while waste still stands before it. */
function beforeFinished({ pieces }: Wood, { at }: DatumPlace, place = 1): string {
  const piece = pieces.find((p) => p.n === place) ?? pieces[0];
  const waste = piece ? (piece.at.at[0] - at.at[0]) * at.along[0] : 0;
  return waste > 0.05 && at.along[0] > 0 ? `, ${len(waste)} before the finished one` : '';
}

/** What stands off the straight by so much is a curve of its own, not one of the many arcs of a flowing one; mm. */
const OWN_CURVE = 0.5;

/**
 * Of a flowing curve, which is made of many short arcs, only its ends and the places where it turns are told; beads and
 * coves are told each.
 */
function told(stops: Stop[]): Stop[] {
  if (stops.length <= IN_GROUP) return stops;
  const rises = (i: number) => Math.sign((stops[i]?.across ?? 0) - (stops[i - 1]?.across ?? 0));
  const own = (i: number) => Math.abs(stops[i]?.off ?? 0) >= OWN_CURVE;
  const last = stops.length - 1;
  const chosen = stops.flatMap((_, i) =>
    i === 0 || i === last || own(i) || own(i + 1) || rises(i) !== rises(i + 1) ? [i] : [],
  );
  return chosen.flatMap((i, n) => {
    const stop = stops[i];
    // of a stretch that was left out in part nobody can say by how much it stands off
    const whole = i === 0 || chosen[n - 1] === i - 1;
    return stop ? [whole ? stop : { ...stop, off: 0 }] : [];
  });
}

/** A place of a profile as it is said, and how far the stretch up to it stands off the straight; hollow below 0. mm */
interface Stop {
  x: number;
  across: number;
  off: number;
}

const stopsOf = ({ x, diameter, to }: SaidProfile): Stop[] => [
  { x, across: diameter, off: 0 },
  ...to.map((p) => ({ x: p.x, across: p.diameter, off: p.off ?? 0 })),
];
