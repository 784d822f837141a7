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
  const open = lines
    .filter((line) => !line.closed && !line.axis && line.strokes.length > 0)
    .map((line) => [...line.strokes]);
  const whole = lines.filter((line) => line.closed || line.axis);
  const loose = new LooseEnds(open);
  const chains: Stroke[][] = [];
  for (const [i, first] of open.entries()) {
    if (!loose.take(i)) continue;
    const behind = grown(first, loose);
    // what joins its beginning is what joins the end of it turned round
    const before = grown(backwards(first.slice(0, 1)), loose);
    chains.push([...backwards(before.slice(1)), ...behind]);
  }
  return [...whole, ...chains.map((strokes) => ({ strokes, closed: comesBack(strokes) }))];
}

/** A line with all that joins its end, and the end of that. */
function grown(line: readonly Stroke[], loose: LooseEnds): Stroke[] {
  const run = [...line];
  for (;;) {
    const last = run.at(-1);
    const next = last && loose.takeAt(last.x1, last.y1);
    if (!next) return run;
    for (const stroke of next) run.push(stroke);
  }
}

/** Lines that are not in a chain yet, found by where they end: a drawing of many loose ones is read at once all the same. */
class LooseEnds {
  /** cell of the plane → lines with an end in it, in their order */
  private readonly cells = new Map<string, Set<number>>();
  private readonly taken = new Set<number>();

  constructor(private readonly lines: readonly Stroke[][]) {
    for (const [i, line] of lines.entries())
      for (const [x, y] of endsOf(line)) {
        const key = `${Math.floor(x / TOUCH)} ${Math.floor(y / TOUCH)}`;
        this.cells.set(key, (this.cells.get(key) ?? new Set<number>()).add(i));
      }
  }

  /** @returns whether it was there to be taken */
  take(i: number): boolean {
    if (this.taken.has(i)) return false;
    this.taken.add(i);
    for (const [x, y] of endsOf(this.lines[i] ?? []))
      this.cells.get(`${Math.floor(x / TOUCH)} ${Math.floor(y / TOUCH)}`)?.delete(i);
    return true;
  }

  /** The first line that has an end at a point, running away from it. */
  takeAt(x: number, y: number): Stroke[] | null {
    const found: number[] = [];
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const i of this.cells.get(`${Math.floor(x / TOUCH) + dx} ${Math.floor(y / TOUCH) + dy}`) ?? [])
          if (endsOf(this.lines[i] ?? []).some(([ex, ey]) => meets(ex, ey, x, y))) {
            found.push(i);
            break;
          }
    if (found.length === 0) return null;
    const first = Math.min(...found);
    this.take(first);
    const line = this.lines[first] ?? [];
    const [start] = endsOf(line);
    return start && meets(start[0], start[1], x, y) ? line : backwards(line);
  }
}

function endsOf(line: readonly Stroke[]): [number, number][] {
  const [first, last] = [line[0], line.at(-1)];
  return first && last
    ? [
        [first.x0, first.y0],
        [last.x1, last.y1],
      ]
    : [];
}

const comesBack = (strokes: readonly Stroke[]): boolean => {
  const [first, last] = [strokes[0], strokes.at(-1)];
  return strokes.length > 1 && !!first && !!last && meets(first.x0, first.y0, last.x1, last.y1);
};

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
