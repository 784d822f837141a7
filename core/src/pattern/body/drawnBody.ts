import type { Segment } from '../arc.js';
import { chain } from '../chain.js';
import { outlineOf } from '../outline.js';
import type { CrossHole, Hole, Hollow, Part, Turning, TurningAxis } from '../pattern.js';
import { extremes, radiusAt } from '../radius.js';
import type { Outline } from '../shape.js';
import type { Body, Drilled, Skin } from './body.js';
import { endForEnd, HERE, plus, round, times, type Placement } from './space.js';

/** A part as it is drawn, as a body in its own frame: x from its reference end along its first axis. mm */
export function drawnBody(part: Part): Body {
  const [first, ...others] = part.turnings;
  const outline = outlineOf(first);
  const hollows = part.hollows ?? [];
  const far: Placement = { ...HERE, at: [outline.length, 0, 0] };
  return {
    form: squareOf(outline),
    skins: [
      turnedSkin(first, outline),
      ...others.map((t) => turnedSkin(t, outlineOf(t))),
      ...hollows.map((hollow) => hollowSkin(hollow, outline.length)),
    ],
    flats: [
      { id: FINISHED.reference, at: endForEnd(HERE, 0) },
      { id: FINISHED.far, at: far },
      ...hollows
        .filter((h) => h.opens === 'side')
        .map((h) => ({ id: `${h.id}.rim`, at: rimOf(h, outline.length) })),
    ],
    drilled: [
      ...part.holes.map((hole) => drilledHole(hole, outline.length)),
      ...(part.crossHoles ?? []).map((hole) => crossDrilled(hole, outline)),
    ],
  };
}

/** What the two ends of a part are called as surfaces. */
export const FINISHED = { reference: 'reference end', far: 'far end' } as const;

/** A square that is left keeps the flats of its stock. */
function squareOf({ squares = [], length }: Outline): Body['form'] {
  const side = Math.max(0, ...squares.map((s) => s.side));
  return side === 0 ? { kind: 'boundless' } : { kind: 'square', across: side, length };
}

const turnedSkin = (turning: Turning, outline: Outline): Skin => ({
  id: turning.id,
  axis: placementOf(turning.axis),
  side: 'outside',
  profile: turnedProfile(outline),
  fat: [],
});

/**
 * An outline as it is turned: of a square that is left not its flats, which are the stock's own, but what clips its
 * corners and the shoulder it ends in.
 */
export function turnedProfile({ segments, squares = [] }: Outline): Segment[] {
  const isFlat = (s: Segment) =>
    squares.some(
      ({ elementId, side }) =>
        s.elementId === elementId && s.x1 > s.x0 && s.bulge === 0 && s.r0 === side / 2 && s.r1 === side / 2,
    );
  return [...segments.filter((s) => !isFlat(s)), ...squares.flatMap((s) => s.corners)].sort(
    (a, b) => a.x0 - b.x0,
  );
}

/**
 * Where an axis lies in its part: through a point `shift` from the first axis at `along`, leaning by `tilt`
 * in the plane of the shift's direction; 90° stands across. Facing lies in that plane.
 */
export function placementOf(axis: TurningAxis | undefined): Placement {
  if (!axis) return HERE;
  const away = round(HERE, axis.direction);
  const tilt = (axis.tilt * Math.PI) / 180;
  return {
    at: plus([axis.along?.mm ?? 0, 0, 0], times(away, axis.shift.mm)),
    along: plus([Math.cos(tilt), 0, 0], times(away, Math.sin(tilt))),
    facing: plus([-Math.sin(tilt), 0, 0], times(away, Math.cos(tilt))),
  };
}

/** The flat that a hollow is cut from, x out of the wood: an end, or across its own axis, so far along it. mm */
export function rimOf({ opens, axis, rim }: Hollow, length: number): Placement {
  if (opens === 'reference') return endForEnd(HERE, 0);
  if (opens === 'far') return { ...HERE, at: [length, 0, 0] };
  const lies = placementOf(axis);
  return { ...lies, at: plus(lies.at, times(lies.along, rim?.mm ?? 0)) };
}

/** The wall of a hollow, x from its rim inwards. */
function hollowSkin(hollow: Hollow, length: number): Skin {
  const { segments } = chain(hollow.elements, hollow.startDiameter.mm);
  const axis = endForEnd(rimOf(hollow, length), 0);
  return { id: hollow.id, axis, side: 'inside', profile: segments, fat: [] };
}

/** How far the wood reaches between two places, the corners of a square that stays included, mm. */
const highestIn = (outline: Outline, from: number, to: number): number =>
  Math.max(
    extremes(outline, from, to).largest.diameter / 2,
    ...(outline.squares ?? []).flatMap(({ x0, x1, side }) =>
      x1 > from && x0 < to ? [side * Math.SQRT1_2] : [],
    ),
  );

function drilledHole(hole: Hole, length: number): Drilled {
  const last = hole.steps.at(-1);
  const steps = hole.steps.map(({ diameter, depth, endDiameter }) => ({
    diameter: diameter.mm,
    depth: hole.through && last?.depth === depth ? length : depth.mm,
    ...(endDiameter ? { endDiameter: endDiameter.mm } : {}),
  }));
  return {
    id: hole.id,
    at: hole.from === 'reference' ? HERE : endForEnd(HERE, length),
    steps,
    pointAngle: hole.through ? 180 : hole.pointAngle,
  };
}

/** A cross hole is begun where nothing stands before its whole width: on a slope the bit goes through more than at its middle. */
function crossDrilled(hole: CrossHole, outline: Outline): Drilled {
  const x = hole.from === 'reference' ? hole.at.mm : outline.length - hole.at.mm;
  const surface = radiusAt(outline, x);
  const mouth = Math.max(surface, highestIn(outline, x - hole.diameter.mm / 2, x + hole.diameter.mm / 2));
  const away = round(HERE, hole.angle);
  const depth = hole.through ? 2 * mouth : mouth - surface + (hole.depth?.mm ?? 0);
  return {
    id: hole.id,
    at: { at: plus([x, 0, 0], times(away, mouth)), along: times(away, -1), facing: [1, 0, 0] },
    steps: [{ diameter: hole.diameter.mm, depth }],
    pointAngle: 180,
  };
}
