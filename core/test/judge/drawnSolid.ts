import { outlineOf, radiusAt, type Outline, type Part } from '../../src/pattern/index.js';

const { hypot, max, abs } = Math;

type Place = readonly [number, number, number];
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Whether a drawn part has wood at a place of its own frame, worked out from its dimensions alone. */
export function drawnHas(part: Part): (p: Place) => boolean {
  const outline = outlineOf(part.turnings[0]);
  const { length, squares = [] } = outline;
  const radius = remembered((x) => radiusAt(outline, x));
  const corners = remembered((x) => {
    const square = squares.find((s) => s.corners.some((c) => x > c.x0 && x < c.x1));
    return square ? radiusAt({ segments: square.corners }, x) : 0;
  });
  const crossed = across(part, outline);
  const beyond = secondAxis(part);
  const hollow = hollowed(part, length);
  return (p) => {
    const [x, y, z] = p;
    if (x < 0 || x > length) return false;
    const square = squares.find((s) => s.corners.some((c) => x > c.x0 && x < c.x1));
    const r = hypot(y, z);
    if (square) {
      if (max(abs(y), abs(z)) > square.side / 2 || r > corners(x)) return false;
    } else if (r > radius(x)) return false;
    return !bored(part, length, p) && !crossed(p) && !beyond(p) && !hollow(p);
  };
}

/** Curves of hundreds of arcs are asked at few places, each many times. */
function remembered(f: (x: number) => number): (x: number) => number {
  const known = new Map<number, number>();
  return (x) => {
    const found = known.get(x) ?? f(x);
    known.set(x, found);
    return found;
  };
}

function bored(part: Part, length: number, [x, y, z]: Place): boolean {
  return part.holes.some((hole) => {
    const depth = hole.from === 'reference' ? x : length - x;
    const r = hypot(y, z);
    const last = hole.steps.at(-1);
    if (!last) return false;
    if (hole.through && r < last.diameter.mm / 2) return true;
    const wide = hole.steps.find((s) => depth <= s.depth.mm);
    if (wide) return r < wide.diameter.mm / 2;
    const half = last.diameter.mm / 2;
    return hole.pointAngle < 180 && r < half - (depth - last.depth.mm) * Math.tan(rad(hole.pointAngle / 2));
  });
}

function across(part: Part, outline: Outline): (p: Place) => boolean {
  const holes = (part.crossHoles ?? []).map((hole) => {
    const at = hole.from === 'reference' ? hole.at.mm : outline.length - hole.at.mm;
    const bottom = hole.through ? -Infinity : radiusAt(outline, at) - (hole.depth?.mm ?? 0);
    return {
      at,
      bottom,
      r: hole.diameter.mm / 2,
      dy: Math.sin(rad(hole.angle)),
      dz: Math.cos(rad(hole.angle)),
    };
  });
  return ([x, y, z]) =>
    holes.some(({ at, bottom, r, dy, dz }) => {
      const height = y * dy + z * dz;
      return height > bottom && hypot(x - at, y - height * dy, z - height * dz) <= r;
    });
}

/** Outsides about further axes that lie along the part, shifted from the first. */
function secondAxis(part: Part): (p: Place) => boolean {
  const axes = part.turnings.slice(1).flatMap((turning) => {
    const { axis } = turning;
    if (!axis || axis.tilt !== 0) return [];
    const outline = outlineOf(turning);
    return [
      {
        outline,
        from: axis.along?.mm ?? 0,
        dy: axis.shift.mm * Math.sin(rad(axis.direction)),
        dz: axis.shift.mm * Math.cos(rad(axis.direction)),
        radius: remembered((x) => radiusAt(outline, x)),
      },
    ];
  });
  return ([x, y, z]) =>
    axes.some(({ outline, from, dy, dz, radius }) => {
      const along = x - from;
      return along >= 0 && along <= outline.length && hypot(y - dy, z - dz) > radius(along);
    });
}

/** Hollows in an end, and those whose axis stands across the part, with the flats they open in. */
function hollowed(part: Part, length: number): (p: Place) => boolean {
  const across = hollowedAcross(part);
  const inEnds = (part.hollows ?? []).flatMap(({ opens, startDiameter, elements }) =>
    opens === 'side' ? [] : [{ opens, wall: outlineOf({ id: 'h', startDiameter, elements }) }],
  );
  return (p) =>
    across(p) ||
    inEnds.some(({ opens, wall }) => {
      const depth = opens === 'reference' ? p[0] : length - p[0];
      return depth <= wall.length && hypot(p[1], p[2]) < radiusAt(wall, depth);
    });
}

function hollowedAcross(part: Part): (p: Place) => boolean {
  const hollows = (part.hollows ?? []).flatMap((hollow) => {
    if (hollow.opens !== 'side' || !hollow.axis || !hollow.rim) return [];
    if (hollow.axis.tilt !== 90) throw new Error('Only hollows straight across are judged.');
    const wall = outlineOf({ id: 'h', startDiameter: hollow.startDiameter, elements: hollow.elements });
    const angle = rad(hollow.axis.direction);
    const at = hollow.axis.along?.mm ?? 0;
    return [{ at, rim: hollow.rim.mm, wall, dy: Math.sin(angle), dz: Math.cos(angle) }];
  });
  return ([x, y, z]) =>
    hollows.some(({ at, rim, wall, dy, dz }) => {
      const height = y * dy + z * dz;
      if (height > rim) return true;
      const depth = rim - height;
      const r = hypot(x - at, y - height * dy, z - height * dz);
      return depth <= wall.length && r < radiusAt(wall, depth);
    });
}
