import type { LinearRow, SolveLinear } from '../linear.js';

/** How far the surface reaches from the trial axis at an angle, degrees and mm. */
interface Reach {
  angle: number;
  reach: number;
}

/** Readings round the piece at one place along it, mm from its drive end. */
export interface ReachStation {
  x: number;
  readings: Reach[];
}

/** The largest straight cylinder inside a piece, and where its centres lie from the trial axis. */
export interface CleanCylinder {
  diameter: number;
  /** at x of the first and of the last station */
  drive: { x: number; y: number };
  tail: { x: number; y: number };
}

/** Corners of the outline between readings: enough that chords lose less than 0.1 % of the radius. */
const CORNERS = 72;

/**
 * The largest cylinder that lies inside an irregular piece (an oval billet, antler), of any axis near
 * the trial one. Each section becomes a polygon through its readings; the cylinder keeps its radius
 * from every edge: a linear programme in the four coordinates of the two centres and the radius
 * (Chebyshev centre of a stack of polygons).
 * @param stations two or more, each with four or more readings, x ascending
 * @returns null when no cylinder lies inside
 */
export function cleanCylinder(stations: readonly ReachStation[], solve: SolveLinear): CleanCylinder | null {
  const first = stations[0]?.x ?? 0;
  const length = (stations[stations.length - 1]?.x ?? 0) - first;
  if (length <= 0) return null;
  const rows = stations.flatMap((s) =>
    edgesOf(sectionCorners(s)).map((e) => rowOf(e, (s.x - first) / length)),
  );
  const answer = solve({ costs: [0, 0, 0, 0, -1], rows, free: true });
  const [x0, y0, x1, y1, radius] = answer.values;
  if (answer.status !== 'optimal' || radius === undefined || radius <= 0) return null;
  return { diameter: 2 * radius, drive: { x: x0 ?? 0, y: y0 ?? 0 }, tail: { x: x1 ?? 0, y: y1 ?? 0 } };
}

interface Edge {
  nx: number;
  ny: number;
  d: number;
}

/** n · axis(t) + radius ≤ d, with the axis a line between the two centres. */
const rowOf = ({ nx, ny, d }: Edge, t: number): LinearRow => ({
  terms: [
    [0, nx * (1 - t)],
    [1, ny * (1 - t)],
    [2, nx * t],
    [3, ny * t],
    [4, 1],
  ],
  most: d,
});

/** Corners of a section as it is taken between its readings, left round, mm from the trial axis. */
export function sectionCorners({ readings }: ReachStation): { x: number; y: number }[] {
  const sorted = [...readings].sort((a, b) => a.angle - b.angle);
  return Array.from({ length: CORNERS }, (_, i) => {
    const angle = (360 * i) / CORNERS;
    const r = reachAt(sorted, angle);
    const a = (angle * Math.PI) / 180;
    return { x: r * Math.cos(a), y: r * Math.sin(a) };
  });
}

/**
 * Reach between readings: 1/r² is interpolated by a periodic cubic, because for an ellipse round the
 * axis it is a plain second harmonic, so ovals come out as ovals.
 */
function reachAt(sorted: readonly Reach[], angle: number): number {
  const n = sorted.length;
  const from = (sorted.findIndex((r) => r.angle > angle) - 1 + n + n) % n;
  const k = sorted.some((r) => r.angle > angle) ? from : n - 1;
  const at = (i: number) => sorted[((i % n) + n) % n] as Reach;
  const turn = (i: number) => at(i).angle + 360 * Math.floor(i / n);
  const value = (i: number) => 1 / at(i).reach ** 2;
  const position = angle < turn(k) ? angle + 360 : angle;
  const h = turn(k + 1) - turn(k);
  const t = (position - turn(k)) / h;
  const slope = (i: number) => (value(i + 1) - value(i - 1)) / (turn(i + 1) - turn(i - 1));
  const [a, b] = [value(k), value(k + 1)];
  const [da, db] = [slope(k) * h, slope(k + 1) * h];
  const inverse = a + t * (da + t * (3 * (b - a) - 2 * da - db + t * (2 * (a - b) + da + db)));
  return 1 / Math.sqrt(Math.max(inverse, Math.min(a, b) / 4));
}

function edgesOf(corners: readonly { x: number; y: number }[]): Edge[] {
  return corners.map((p, i) => {
    const q = corners[(i + 1) % corners.length] as { x: number; y: number };
    const length = Math.hypot(q.x - p.x, q.y - p.y);
    const nx = (q.y - p.y) / length;
    const ny = -(q.x - p.x) / length;
    return { nx, ny, d: nx * p.x + ny * p.y };
  });
}
