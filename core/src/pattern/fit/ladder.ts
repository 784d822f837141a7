import { bestCurve, type Stretch } from './breaks.js';
import { curveAt, momentsOf, type Point } from './moments.js';

/** A form that differs by less than this is not seen and not felt, mm on the radius. */
const FELT = 0.05;

/** A difference of the form must be so many times what the noise leaves of the mean of the shorter stretch. */
const SURE = 8;

/**
 * Stretches from the finest to a single one: of two neighbours those are joined next whose joined curve
 * leaves their own the least, mm. Returns every rung, the finest first.
 */
export function rungsOf(points: readonly Point[], finest: readonly Stretch[], noise: number): Stretch[][] {
  const rungs = [[...finest]];
  for (let rung = [...finest]; rung.length > 1;) {
    rung = withJoined(rung, least(joinsOf(points, rung, noise)));
    rungs.push(rung);
  }
  return rungs;
}

/**
 * The stretches that a turner would draw: neighbours are joined as long as that changes the form by less
 * than can be felt, or than the noise lets one know. What is asked is how far the form moves, never how
 * many points there are to vote against it.
 */
export function drawnStretches(
  points: readonly Point[],
  finest: readonly Stretch[],
  noise: number,
): Stretch[] {
  let rung = [...finest];
  while (rung.length > 1) {
    const joins = joinsOf(points, rung, noise);
    const next = least(joins);
    if (!next || next.changes > 1) break;
    rung = withJoined(rung, next);
  }
  return rung;
}

interface Join {
  /** index of the first of the two */
  at: number;
  stretch: Stretch;
  /** how far the form moves, over what would be felt or known */
  changes: number;
}

const joinsOf = (points: readonly Point[], rung: readonly Stretch[], noise: number): Join[] =>
  rung.slice(1).map((b, at) => joined(points, rung[at] ?? b, b, at, noise));

function joined(points: readonly Point[], a: Stretch, b: Stretch, at: number, noise: number): Join {
  const penalty = Math.log(points.length);
  const curve = bestCurve(momentsOf(points, a.from, b.to), noise * noise, penalty);
  const away = Math.max(furthest(points, a, curve), furthest(points, b, curve));
  const fewest = Math.min(a.to - a.from, b.to - b.from);
  const felt = Math.max(FELT, (SURE * noise) / Math.sqrt(fewest));
  return { at, stretch: { from: a.from, to: b.to, curve }, changes: away / felt };
}

/** How far another curve leaves that of a stretch, across it, at the stretch's own points. */
function furthest(points: readonly Point[], stretch: Stretch, other: Stretch['curve']): number {
  let away = 0;
  for (let i = stretch.from; i < stretch.to; i++) {
    const x = points[i]?.x ?? 0;
    const [own, there] = [curveAt(stretch.curve, x), curveAt(other, x)];
    const slope = curveAt(stretch.curve, x + 0.01) - own;
    away = Math.max(away, Math.abs(there - own) / Math.hypot(1, slope / 0.01));
  }
  return away;
}

function least(joins: readonly Join[]): Join | undefined {
  return joins.reduce<Join | undefined>((a, b) => (a && a.changes <= b.changes ? a : b), undefined);
}

const withJoined = (rung: readonly Stretch[], join: Join | undefined): Stretch[] =>
  join ? [...rung.slice(0, join.at), join.stretch, ...rung.slice(join.at + 2)] : [...rung];
