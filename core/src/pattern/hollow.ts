import { len } from '../measure/index.js';
import { chain } from './chain.js';
import { rimOf } from './body/drawnBody.js';
import { endForEnd, outOf, plus, round, times } from './body/space.js';
import type { Hollow } from './pattern.js';
import { pointsAlong, radiusAt } from './radius.js';
import type { Outline } from './shape.js';

/** The wall of a hollow: x from its rim into the wood, r from its axis. mm */
export const wallOf = ({ elements, startDiameter }: Hollow): Outline => chain(elements, startDiameter.mm);

/**
 * The section of a hollow in the plane it lies in: x along the part from its reference end, y from its axis
 * towards the direction it opens; one in an end to both sides of the axis. Closed over its rim. mm
 * @param chord how far a drawn chord may stray from its arc, mm
 */
export function hollowSection(hollow: Hollow, length: number, chord: number): { x: number; y: number }[] {
  const wall = pointsAlong(wallOf(hollow), chord);
  const both = [
    ...wall.map(({ x, r }) => [x, r] as const),
    ...wall.toReversed().map(({ x, r }) => [x, -r] as const),
  ];
  if (hollow.opens === 'reference') return both.map(([x, r]) => ({ x, y: r }));
  if (hollow.opens === 'far') return both.map(([x, r]) => ({ x: length - x, y: r }));
  const tilt = ((hollow.axis?.tilt ?? 90) * Math.PI) / 180;
  const [along, across] = [Math.cos(tilt), Math.sin(tilt)];
  const out = (depth: number) => (hollow.rim?.mm ?? 0) - depth;
  return both.map(([depth, r]) => ({
    x: (hollow.axis?.along?.mm ?? 0) + along * out(depth) - across * r,
    y: (hollow.axis?.shift.mm ?? 0) + across * out(depth) + along * r,
  }));
}

/** How finely a wall is looked at: along its profile, mm, and round its axis, degrees. */
const PITCH = 0.5;
const TURN = 15;

/**
 * Least wood between the wall of a hollow and the outside, measured square to the part's axis, and where along it;
 * what the flat of its rim cuts away is no wall. mm
 */
export function leastHollowWall(hollow: Hollow, outline: Outline): { wall: number; x: number } {
  const inner = wallOf(hollow);
  const rim = rimOf(hollow, outline.length);
  const axis = endForEnd(rim, 0);
  let least = { wall: Infinity, x: 0 };
  for (let depth = 0; depth <= inner.length; depth += PITCH)
    for (let angle = 0; angle < 360; angle += TURN) {
      const at = plus(outOf([depth, 0, 0], axis), times(round(axis, angle), radiusAt(inner, depth)));
      const wall = radiusAt(outline, at[0]) - Math.hypot(at[1], at[2]);
      if (wall < least.wall) least = { wall, x: at[0] };
    }
  return least;
}

/** What keeps a hollow from being made, in sentences. */
export function hollowProblems(hollow: Hollow, outline: Outline): string[] {
  const wall = wallOf(hollow);
  const { name } = hollow;
  const own = wall.problems.map(({ why }) => `${name}: ${why}`);
  if (wall.length <= 0) return [...own, `${name} has no depth yet. Add an element to its profile.`];
  const lies = hollow.opens === 'side' ? inSide(hollow, wall, outline) : inEnd(hollow, wall, outline);
  if (own.length + lies.length > 0) return [...own, ...lies];
  const least = leastHollowWall(hollow, outline);
  return least.wall > 0
    ? []
    : [`${name} comes out through the outside at ${len(least.x)}. Make it narrower or shallower.`];
}

function inEnd({ name, opens, startDiameter }: Hollow, wall: Outline, outline: Outline): string[] {
  const across = 2 * radiusAt(outline, opens === 'reference' ? 0 : outline.length);
  if (startDiameter.mm >= across)
    return [
      `${name} is ${len(startDiameter.mm)} wide at its rim, the end it opens in ${len(across)}. Make it narrower, or the end wider.`,
    ];
  return wall.length >= outline.length
    ? [`${name} is ${len(wall.length)} deep, the part ${len(outline.length)} long. Make it shallower.`]
    : [];
}

function inSide({ name, axis, rim }: Hollow, wall: Outline, outline: Outline): string[] {
  if (!axis || !rim)
    return [`${name} opens in a side. Say where its middle lies and how high its rim stands.`];
  const at = axis.along?.mm ?? 0;
  if (at < 0 || at > outline.length)
    return [`${name} lies at ${len(at)}, beyond the part, which is ${len(outline.length)} long. Move it.`];
  const over = radiusAt(outline, at) - axis.shift.mm - rim.mm;
  if (axis.tilt === 90 && over <= 0)
    return [
      `The rim of ${name} stands ${len(rim.mm + axis.shift.mm)} above the axis, where the part is ${len(radiusAt(outline, at))}: no wood is there. Lower it.`,
    ];
  return wall.length - rim.mm - axis.shift.mm >= radiusAt(outline, at)
    ? [`${name} is ${len(wall.length)} deep and goes right through. Make it shallower.`]
    : [];
}
