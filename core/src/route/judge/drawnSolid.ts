import { outlineOf, radiusAt, type Part } from '../../pattern/index.js';

type Place = readonly [number, number, number];
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Whether a drawn part has wood at a place of its own frame, worked out from its dimensions alone. */
export function drawnHas(part: Part): (p: Place) => boolean {
  const outline = outlineOf(part.turnings[0]);
  const { length, squares = [] } = outline;
  return (p) => {
    const [x, y, z] = p;
    if (x < 0 || x > length) return false;
    const square = squares.find((s) => x > s.x0 && x < s.x1);
    const r = Math.hypot(y, z);
    if (square) {
      const corner = radiusAt({ segments: square.corners }, x);
      if (Math.max(Math.abs(y), Math.abs(z)) > square.side / 2 || r > corner) return false;
    } else if (r > radiusAt(outline, x)) return false;
    return !bored(part, length, p) && !across(part, p) && !secondAxis(part, p) && !hollowed(part, p);
  };
}

function bored(part: Part, length: number, [x, y, z]: Place): boolean {
  return part.holes.some((hole) => {
    const depth = hole.from === 'reference' ? x : length - x;
    const r = Math.hypot(y, z);
    const last = hole.steps.at(-1);
    if (!last) return false;
    if (hole.through && r < last.diameter.mm / 2) return true;
    const wide = hole.steps.find((s) => depth <= s.depth.mm);
    if (wide) return r < wide.diameter.mm / 2;
    const half = last.diameter.mm / 2;
    return hole.pointAngle < 180 && r < half - (depth - last.depth.mm) * Math.tan(rad(hole.pointAngle / 2));
  });
}

function across(part: Part, [x, y, z]: Place): boolean {
  const outline = outlineOf(part.turnings[0]);
  return (part.crossHoles ?? []).some((hole) => {
    const at = hole.from === 'reference' ? hole.at.mm : outline.length - hole.at.mm;
    const [dy, dz] = [Math.sin(rad(hole.angle)), Math.cos(rad(hole.angle))];
    const height = y * dy + z * dz;
    if (Math.hypot(x - at, y - height * dy, z - height * dz) > hole.diameter.mm / 2) return false;
    return hole.through || height > radiusAt(outline, at) - (hole.depth?.mm ?? 0);
  });
}

/** Outsides about further axes that lie along the part, shifted from the first. */
function secondAxis(part: Part, [x, y, z]: Place): boolean {
  return part.turnings.slice(1).some((turning) => {
    const { axis } = turning;
    if (!axis || axis.tilt !== 0) return false;
    const outline = outlineOf(turning);
    const along = x - (axis.along?.mm ?? 0);
    if (along < 0 || along > outline.length) return false;
    const [dy, dz] = [
      axis.shift.mm * Math.sin(rad(axis.direction)),
      axis.shift.mm * Math.cos(rad(axis.direction)),
    ];
    return Math.hypot(y - dy, z - dz) > radiusAt(outline, along);
  });
}

/** Hollows whose axis stands across the part, and the flats they open in. */
function hollowed(part: Part, [x, y, z]: Place): boolean {
  return (part.hollows ?? []).some((hollow) => {
    const { axis, rim } = hollow;
    if (axis.tilt !== 90) throw new Error('Only hollows straight across are judged.');
    const [dy, dz] = [Math.sin(rad(axis.direction)), Math.cos(rad(axis.direction))];
    const height = y * dy + z * dz;
    if (height > rim.mm) return true;
    const r = Math.hypot(x - (axis.along?.mm ?? 0), y - height * dy, z - height * dz);
    const wall = outlineOf({ id: 'h', startDiameter: hollow.startDiameter, elements: hollow.elements });
    const depth = rim.mm - height;
    return depth <= wall.length && r < radiusAt(wall, depth);
  });
}
