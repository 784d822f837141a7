// asked for every point of every curve that is tried
const { sqrt, max, hypot, abs } = Math;

/** A point of a sampled half profile, mm. */
export interface Point {
  x: number;
  r: number;
}

/** A straight line or a circle laid through points, and the squares it leaves, mm². */
export type FittedCurve =
  | { kind: 'line'; slope: number; x: number; r: number; squares: number }
  | { kind: 'arc'; cx: number; cr: number; radius: number; side: 'out' | 'in'; squares: number };

/**
 * Sums of points about a first one, so that far along the part no digits are lost. From them a line
 * and a circle follow without going over the points again.
 */
export class Moments {
  private n = 0;
  private sx = 0;
  private sr = 0;
  private sz = 0;
  private xx = 0;
  private xr = 0;
  private rr = 0;
  private xz = 0;
  private rz = 0;
  private zz = 0;

  constructor(private readonly origin: Point) {}

  add(point: Point): this {
    const x = point.x - this.origin.x;
    const r = point.r - this.origin.r;
    const z = x * x + r * r;
    this.n++;
    this.sx += x;
    this.sr += r;
    this.sz += z;
    this.xx += x * x;
    this.xr += x * r;
    this.rr += r * r;
    this.xz += x * z;
    this.rz += r * z;
    this.zz += z * z;
    return this;
  }

  get count(): number {
    return this.n;
  }

  /** Straight line with the least squares across it (smaller eigenvalue of the scatter). */
  line(): FittedCurve {
    const { n, sx, sr } = this;
    const xx = this.xx - (sx * sx) / n;
    const xr = this.xr - (sx * sr) / n;
    const rr = this.rr - (sr * sr) / n;
    const half = (xx - rr) / 2;
    const spread = hypot(half, xr);
    const squares = max(0, (xx + rr) / 2 - spread);
    const slope = xr === 0 && half >= 0 ? 0 : (spread - half) / (xr || 1e-12);
    return { kind: 'line', slope, x: this.origin.x + sx / n, r: this.origin.r + sr / n, squares };
  }

  /**
   * Circle by G. Taubin (IEEE Trans. PAMI 13, 1991), nearly unbiased on short arcs, by N. Chernov's
   * Newton iteration on the moments (“Circular and Linear Regression”, 2010, ch. 5); null for points
   * on a line. The squares are those of (d² − R²)/2R, the distance to first order.
   */
  circle(): FittedCurve | null {
    const { n } = this;
    const mx = this.sx / n;
    const mr = this.sr / n;
    const xx = this.xx / n - mx * mx;
    const rr = this.rr / n - mr * mr;
    const xr = this.xr / n - mx * mr;
    // moments of z about the centroid: z' = x'² + r'² with x' = x − mx
    const z = xx + rr;
    const square = mx * mx + mr * mr;
    const xz =
      this.xz / n - (2 * mx * this.xx) / n - (2 * mr * this.xr) / n + (square * this.sx) / n - mx * z;
    const rz =
      this.rz / n - (2 * mx * this.xr) / n - (2 * mr * this.rr) / n + (square * this.sr) / n - mr * z;
    const zz =
      this.zz / n +
      (4 * mx * mx * this.xx + 4 * mr * mr * this.rr) / n +
      square * square -
      (4 * mx * this.xz) / n -
      (4 * mr * this.rz) / n +
      (2 * square * this.sz) / n +
      (8 * mx * mr * this.xr) / n -
      (4 * square * (mx * this.sx + mr * this.sr)) / n;
    const root = smallestRoot(xx, xr, rr, xz, rz, zz);
    const determinant = root * root - root * z + xx * rr - xr * xr;
    if (abs(determinant) < 1e-14) return null;
    const a = (xz * (rr - root) - rz * xr) / determinant / 2;
    const b = (rz * (xx - root) - xz * xr) / determinant / 2;
    const radius = sqrt(a * a + b * b + z);
    if (!Number.isFinite(radius) || radius > 1e5) return null;
    const offset = a * a + b * b - radius * radius;
    // Σ (z' − 2ax' − 2br' + a² + b² − R²)² with first moments zero
    const sum =
      zz +
      4 * a * a * xx +
      4 * b * b * rr +
      offset * offset -
      4 * a * xz -
      4 * b * rz +
      2 * offset * z +
      8 * a * b * xr;
    const chordMiddle = -b;
    return {
      kind: 'arc',
      cx: this.origin.x + mx + a,
      cr: this.origin.r + mr + b,
      radius,
      side: chordMiddle >= 0 ? 'out' : 'in',
      squares: max(0, (sum * n) / (4 * radius * radius)),
    };
  }
}

/** Smallest root of Taubin's characteristic polynomial, by Newton from 0. */
function smallestRoot(xx: number, xr: number, rr: number, xz: number, rz: number, zz: number): number {
  const z = xx + rr;
  const cov = xx * rr - xr * xr;
  const varZ = zz - z * z;
  const a3 = 4 * z;
  const a2 = -3 * z * z - zz;
  const a1 = varZ * z + 4 * cov * z - xz * xz - rz * rz;
  const a0 = xz * (xz * rr - rz * xr) + rz * (rz * xx - xz * xr) - varZ * cov;
  let x = 0;
  let y = a0;
  for (let i = 0; i < 12; i++) {
    const slope = a1 + x * (2 * a2 + 3 * a3 * x);
    const next = x - y / slope;
    if (next === x || !Number.isFinite(next)) break;
    const value = a0 + next * (a1 + next * (a2 + next * a3));
    if (abs(value) >= abs(y)) break;
    x = next;
    y = value;
  }
  return x;
}

/** Moments of a stretch of points, from `from` up to but not including `to`. */
export function momentsOf(points: readonly Point[], from: number, to: number): Moments {
  const moments = new Moments(points[from] ?? { x: 0, r: 0 });
  for (let i = from; i < to; i++) {
    const point = points[i];
    if (point) moments.add(point);
  }
  return moments;
}

/** Radius of a fitted curve at x; on a circle the nearer rim when x lies beyond it. */
export function curveAt(curve: FittedCurve, x: number): number {
  if (curve.kind === 'line') return curve.r + curve.slope * (x - curve.x);
  const rise = sqrt(max(0, curve.radius ** 2 - (x - curve.cx) ** 2));
  return curve.cr + (curve.side === 'out' ? rise : -rise);
}

/** Whether a point lies on a fitted curve to so much across it, mm. */
export function isOn(curve: FittedCurve, { x, r }: Point, within: number): boolean {
  const here = curveAt(curve, x);
  const slope = (curveAt(curve, x + 0.01) - here) / 0.01;
  return abs(r - here) < within * hypot(1, slope);
}
