import type { SmallPicture } from './picture.js';

/** The empty ground under the sample in its three colours, for every pixel of the small picture. */
export interface Ground {
  red: Float32Array;
  green: Float32Array;
  blue: Float32Array;
}

const RIM = 0.07;

/**
 * The uneven light of the ground: for each colour the surface a + bx + cy + dx² + exy + fy² with the
 * least squares over the picture's rim, twice over without what stands out from it (a mark, a corner of
 * the sample).
 */
export function groundOf(picture: SmallPicture): Ground {
  const { width, height, red, green, blue } = picture;
  const places: { x: number; y: number; i: number }[] = [];
  const rim = Math.max(2, Math.round(RIM * Math.min(width, height)));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inside = x >= rim && x < width - rim && y >= rim && y < height - rim;
      if (!inside) places.push({ x: x / width - 0.5, y: y / height - 0.5, i: y * width + x });
    }
  const surface = (values: Float32Array): Float32Array => {
    let kept = places;
    let c = fitted(kept, values);
    for (let round = 0; round < 2; round++) {
      const off = (p: (typeof places)[number]) => Math.abs((values[p.i] ?? 0) - valueOf(c, p.x, p.y));
      const spread = Math.sqrt(kept.reduce((sum, p) => sum + off(p) ** 2, 0) / Math.max(1, kept.length));
      const near = kept.filter((p) => off(p) < 2 * spread + 1);
      if (near.length > 20) kept = near;
      c = fitted(kept, values);
    }
    return drawn(c, width, height);
  };
  return { red: surface(red), green: surface(green), blue: surface(blue) };
}

function drawn(c: readonly number[], width: number, height: number): Float32Array {
  const ground = new Float32Array(width * height);
  const [c0 = 0, c1 = 0, c2 = 0, c3 = 0, c4 = 0, c5 = 0] = c;
  for (let j = 0, i = 0; j < height; j++) {
    const y = j / height - 0.5;
    for (let k = 0; k < width; k++, i++) {
      const x = k / width - 0.5;
      ground[i] = c0 + x * (c1 + c3 * x + c4 * y) + y * (c2 + c5 * y);
    }
  }
  return ground;
}

const terms = (x: number, y: number): number[] => [1, x, y, x * x, x * y, y * y];
const valueOf = (c: readonly number[], x: number, y: number): number =>
  terms(x, y).reduce((sum, t, i) => sum + t * (c[i] ?? 0), 0);

function fitted(places: readonly { x: number; y: number; i: number }[], values: Float32Array): number[] {
  const n = 6;
  const rows = Array.from({ length: n }, () => new Array<number>(n + 1).fill(0));
  for (const { x, y, i } of places) {
    const t = terms(x, y);
    t.forEach((a, j) => {
      const row = rows[j] ?? [];
      t.forEach((b, k) => (row[k] = (row[k] ?? 0) + a * b));
      row[n] = (row[n] ?? 0) + a * (values[i] ?? 0);
    });
  }
  return solved(rows);
}

/** Gauss elimination with row exchange of a small square system given with its right side. */
function solved(rows: number[][]): number[] {
  const n = rows.length;
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let i = k + 1; i < n; i++)
      if (Math.abs(rows[i]?.[k] ?? 0) > Math.abs(rows[best]?.[k] ?? 0)) best = i;
    [rows[k], rows[best]] = [rows[best] ?? [], rows[k] ?? []];
    const pivot = rows[k]?.[k] ?? 0;
    if (Math.abs(pivot) < 1e-12) continue;
    for (let i = 0; i < n; i++) {
      if (i === k) continue;
      const factor = (rows[i]?.[k] ?? 0) / pivot;
      for (let j = k; j <= n; j++) (rows[i] ?? [])[j] = (rows[i]?.[j] ?? 0) - factor * (rows[k]?.[j] ?? 0);
    }
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] || 1));
}
