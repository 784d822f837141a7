import { shrinkageOf, shrinkFactor, type Material } from '../../material/index.js';

/** A round that dried: across the rings it stays larger, along them it becomes smaller. mm. */
export interface Oval {
  largest: number;
  smallest: number;
}

/**
 * What becomes of a round billet or rough-turned piece as it dries: the radial diameter shrinks less
 * than the tangential one. Straight rings and no distortion beside it are assumed.
 * @returns null when the shrinkage of the material is unknown
 */
export function ovalOf(diameter: number, material: Material, from: number, to: number): Oval | null {
  const shrinkage = shrinkageOf(material);
  if (!shrinkage) return null;
  return {
    largest: diameter * shrinkFactor(shrinkage.radial, from, to),
    smallest: diameter * shrinkFactor(shrinkage.tangential, from, to),
  };
}

/**
 * Diameter to turn or split now, so that after drying the smallest diameter is still what is needed.
 * @returns null when the shrinkage of the material is unknown
 */
export function greenDiameter(needed: number, material: Material, from: number, to: number): number | null {
  const oval = ovalOf(1, material, from, to);
  return oval ? needed / oval.smallest : null;
}

/** A calliper reading across: the angle it was taken at, degrees, and the width, mm. */
export interface AcrossReading {
  angle: number;
  width: number;
}

/** The oval that readings across describe. */
export interface FittedOval extends Oval {
  /** direction of the largest diameter, degrees from where angles are counted */
  angle: number;
  /** how far the readings lie off it at most, mm */
  off: number;
}

/**
 * The oval through widths taken round a section: the width of an ellipse between parallel jaws is
 * w² = A + B cos 2θ + C sin 2θ (half-width of an ellipse in direction θ), linear in A, B, C;
 * fitted by least squares.
 * @returns null for fewer than three readings in different directions, or when they make no oval
 */
export function ovalFrom(readings: readonly AcrossReading[]): FittedOval | null {
  if (new Set(readings.map((r) => ((r.angle % 180) + 180) % 180)).size < 3) return null;
  const rows = readings.map(({ angle, width }) => {
    const a = (2 * angle * Math.PI) / 180;
    return { f: [1, Math.cos(a), Math.sin(a)], y: width * width };
  });
  const solved = leastSquares(rows);
  if (!solved) return null;
  const [a, b, c] = solved as [number, number, number];
  const swing = Math.hypot(b, c);
  if (a - swing <= 0) return null;
  const off = rows.map(({ f, y }) =>
    Math.abs(
      Math.sqrt(
        Math.max(
          0,
          f.reduce((sum, v, i) => sum + v * (solved[i] ?? 0), 0),
        ),
      ) - Math.sqrt(y),
    ),
  );
  return {
    largest: Math.sqrt(a + swing),
    smallest: Math.sqrt(a - swing),
    angle: ((Math.atan2(c, b) / 2) * 180) / Math.PI,
    off: Math.max(...off),
  };
}

/** Normal equations of a small linear fit, by Gauss elimination with pivots; null when they are singular. */
export function leastSquares(rows: readonly { f: readonly number[]; y: number }[]): number[] | null {
  const n = rows[0]?.f.length ?? 0;
  const m = Array.from({ length: n }, (_, i) => [
    ...Array.from({ length: n }, (_, j) => rows.reduce((s, r) => s + (r.f[i] ?? 0) * (r.f[j] ?? 0), 0)),
    rows.reduce((s, r) => s + (r.f[i] ?? 0) * r.y, 0),
  ]);
  for (let i = 0; i < n; i++) {
    const pivot = m
      .slice(i)
      .reduce((best, row) => (Math.abs(row[i] ?? 0) > Math.abs(best[i] ?? 0) ? row : best));
    if (Math.abs(pivot[i] ?? 0) < 1e-12) return null;
    m.splice(m.indexOf(pivot), 1);
    m.splice(i, 0, pivot);
    for (let k = 0; k < n; k++) {
      const row = m[k];
      if (!row || k === i) continue;
      const factor = (row[i] ?? 0) / (pivot[i] ?? 1);
      for (let j = i; j <= n; j++) row[j] = (row[j] ?? 0) - factor * (pivot[j] ?? 0);
    }
  }
  return m.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}
