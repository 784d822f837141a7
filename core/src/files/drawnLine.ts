/**
 * A piece of a drawn line, y upwards, mm. `bulge` is the tangent of a quarter of the included angle,
 * above 0 when the arc lies to the left of its direction.
 */
export interface Stroke {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
  bulge: number;
}

/** Strokes that follow each other. */
export interface DrawnLine {
  strokes: Stroke[];
  closed: boolean;
  /** the drawing itself calls it the axis */
  axis?: boolean;
}

/** What was found in a drawing, and what was left aside, in words. */
export interface Drawing {
  lines: DrawnLine[];
  leftAside: string[];
}

/** Ends nearer than this are one, mm. */
const TOUCH = 0.01;

const meets = (x0: number, y0: number, x1: number, y1: number): boolean =>
  Math.hypot(x1 - x0, y1 - y0) <= TOUCH;

const turnedRound = (s: Stroke): Stroke => ({
  x0: s.x1,
  y0: s.y1,
  x1: s.x0,
  y1: s.y0,
  bulge: -s.bulge,
});

export const backwards = (strokes: readonly Stroke[]): Stroke[] => [...strokes].reverse().map(turnedRound);

/** Joins strokes and lines whose ends touch into as few lines as there are; the rest stay alone. */
export function chained(lines: readonly DrawnLine[]): DrawnLine[] {
  const open = lines.filter((line) => !line.closed && !line.axis).map((line) => [...line.strokes]);
  const whole = lines.filter((line) => line.closed || line.axis);
  const chains: Stroke[][] = [];
  while (open.length > 0) {
    let chain = open.shift() ?? [];
    for (let grown = true; grown;) {
      grown = false;
      for (let i = 0; i < open.length && !grown; i++) {
        const joined = joinedEnds(chain, open[i] ?? []);
        if (joined) {
          chain = joined;
          open.splice(i, 1);
          grown = true;
        }
      }
    }
    chains.push(chain);
  }
  return [...whole, ...chains.map((strokes) => ({ strokes, closed: comesBack(strokes) }))];
}

const comesBack = (strokes: readonly Stroke[]): boolean => {
  const [first, last] = [strokes[0], strokes.at(-1)];
  return strokes.length > 1 && !!first && !!last && meets(first.x0, first.y0, last.x1, last.y1);
};

function joinedEnds(a: Stroke[], b: Stroke[]): Stroke[] | null {
  const [a0, a1, b0, b1] = [a[0], a.at(-1), b[0], b.at(-1)];
  if (!a0 || !a1 || !b0 || !b1) return null;
  if (meets(a1.x1, a1.y1, b0.x0, b0.y0)) return [...a, ...b];
  if (meets(a1.x1, a1.y1, b1.x1, b1.y1)) return [...a, ...backwards(b)];
  if (meets(b1.x1, b1.y1, a0.x0, a0.y0)) return [...b, ...a];
  if (meets(b0.x0, b0.y0, a0.x0, a0.y0)) return [...backwards(b), ...a];
  return null;
}

/** Smallest box round a line's ends and arc crests, mm. */
export interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}

export function boxOf(strokes: readonly Stroke[]): Box {
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
  for (const stroke of strokes)
    for (const [x, y] of pointsOn(stroke, 12)) {
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.low = Math.min(box.low, y);
      box.high = Math.max(box.high, y);
    }
  return box;
}

/** Points along a stroke, both ends included; an arc gets `steps` pieces. */
export function pointsOn(s: Stroke, steps: number): [number, number][] {
  if (s.bulge === 0)
    return [
      [s.x0, s.y0],
      [s.x1, s.y1],
    ];
  return Array.from({ length: steps + 1 }, (_, i) => pointOn(s, i / steps));
}

/** Point of a stroke by its share of the angle (see `pointAt` of the pattern's segments). */
export function pointOn({ x0, y0, x1, y1, bulge }: Stroke, t: number): [number, number] {
  const [dx, dy] = [x1 - x0, y1 - y0];
  if (bulge === 0) return [x0 + t * dx, y0 + t * dy];
  const angle = 4 * Math.atan(bulge);
  const radius = (Math.hypot(dx, dy) * (1 + bulge * bulge)) / (4 * bulge);
  const along = Math.atan2(dy, dx) + angle / 2 - (t * angle) / 2;
  const step = 2 * radius * Math.sin((t * angle) / 2);
  return [x0 + step * Math.cos(along), y0 + step * Math.sin(along)];
}
