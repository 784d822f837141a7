import type { CrossSection, Point, Sector } from './section.js';

/** A square billet on the end of the log: its middle, and the direction of its sides. mm, degrees */
export interface SquarePlace extends Point {
  turned: number;
}

/** Shifts of the rows across themselves, in parts of a billet. */
const SHIFTS = 8;
const SLACK = 1e-7;

/**
 * Lays square billets into a sector as a saw takes them out: rows of one direction, each row cut to length by
 * itself. Directions along either split and between them are tried, the rows moved across in steps; the fullest
 * is kept. Exact for its direction and shift: between two splits and the bark the wood is convex, so that a
 * square lies in it when its four corners do; round the pith a stretch of the row is left out.
 */
export function packSquares(section: CrossSection, sector: Sector, side: number): SquarePlace[] {
  const angles = [sector.from, sector.to, (sector.from + sector.to) / 2];
  let best: SquarePlace[] = [];
  for (const angle of angles)
    for (let shift = 0; shift < SHIFTS; shift++) {
      const laid = rowsOf(section, sector, side, angle, shift / SHIFTS);
      if (laid.length > best.length) best = laid;
    }
  return best;
}

/** Rows in a frame that is turned to their direction, its origin at the pith. */
function rowsOf(
  section: CrossSection,
  sector: Sector,
  side: number,
  angle: number,
  shift: number,
): SquarePlace[] {
  const turn = turned(angle);
  const middle = turn.into({ x: -section.pith.x, y: -section.pith.y });
  const limits = splitLimits(sector, angle);
  // a split that the rows run along is where the first of them lies
  const first = firstRow(sector, angle);
  const rows = Math.ceil((2 * section.radius) / side) + 1;
  return Array.from({ length: 2 * rows + 1 }, (_, i) => first + (i - rows + shift) * side).flatMap((low) => {
    const [a, b] = [
      chord(low, middle, section.radius, limits),
      chord(low + side, middle, section.radius, limits),
    ];
    if (!a || !b) return [];
    const range = { from: Math.max(a.from, b.from), to: Math.min(a.to, b.to) };
    return besidePith(range, low, side, section.clearance).flatMap(({ from, to }) => {
      const count = Math.floor((to - from) / side + SLACK);
      return Array.from({ length: Math.max(0, count) }, (_, n) => {
        const p = turn.out({ x: from + (n + 0.5) * side, y: low + side / 2 });
        return { x: p.x + section.pith.x, y: p.y + section.pith.y, turned: angle };
      });
    });
  });
}

interface Range {
  from: number;
  to: number;
}

function turned(degrees: number) {
  const a = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  return {
    into: ({ x, y }: Point): Point => ({ x: x * cos + y * sin, y: y * cos - x * sin }),
    out: ({ x, y }: Point): Point => ({ x: x * cos - y * sin, y: x * sin + y * cos }),
  };
}

/** A split as n·p ≥ d in the turned frame. */
interface Limit {
  n: Point;
  d: number;
}

function splitLimits({ from, to, fromOffset, toOffset }: Sector, angle: number): Limit[] {
  const limit = (degrees: number, sign: 1 | -1, d: number): Limit => {
    const a = ((degrees - angle) * Math.PI) / 180;
    return { n: { x: -Math.sin(a) * sign, y: Math.cos(a) * sign }, d };
  };
  return [limit(from, 1, fromOffset), limit(to, -1, toOffset)];
}

/** Where the first row begins across: against the split that it runs along. */
const firstRow = ({ from, fromOffset, to, toOffset }: Sector, angle: number): number =>
  angle === from ? fromOffset : angle === to ? -toOffset : 0;

/** What of a line along the rows lies in the wood; null where it is all outside. */
function chord(y: number, middle: Point, radius: number, limits: readonly Limit[]): Range | null {
  const square = radius * radius - (y - middle.y) ** 2;
  if (square <= 0) return null;
  let [from, to] = [middle.x - Math.sqrt(square), middle.x + Math.sqrt(square)];
  for (const { n, d } of limits) {
    const rest = d - n.y * y;
    if (Math.abs(n.x) < 1e-9) {
      if (rest > SLACK) return null;
    } else if (n.x > 0) from = Math.max(from, rest / n.x);
    else to = Math.min(to, rest / n.x);
  }
  return from < to ? { from, to } : null;
}

/** A row without the stretch in which a square would come nearer to the pith than it may. */
function besidePith({ from, to }: Range, low: number, side: number, clearance: number): Range[] {
  const off = low > 0 ? low : low + side < 0 ? -(low + side) : 0;
  if (off >= clearance) return [{ from, to }];
  const half = Math.sqrt(clearance * clearance - off * off);
  return [
    { from, to: Math.min(to, -half) },
    { from: Math.max(from, half), to },
  ].filter((r) => r.from < r.to);
}
