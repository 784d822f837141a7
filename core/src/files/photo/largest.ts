/** A connected patch of a small picture, with the axis through it. */
export interface Patch {
  inside: Uint8Array;
  count: number;
  /** centre of gravity, and the direction of greatest extent as a unit vector, in small pixels */
  x: number;
  y: number;
  ux: number;
  uy: number;
}

/** The largest patch of pixels above a threshold, joined side by side; null when there is none. */
export function largestPatch(
  values: Float32Array,
  width: number,
  height: number,
  threshold: number,
): Patch | null {
  const label = new Int32Array(values.length);
  let best: { id: number; count: number } | null = null;
  let next = 0;
  const stack: number[] = [];
  for (let start = 0; start < values.length; start++) {
    if (label[start] !== 0 || (values[start] ?? 0) < threshold) continue;
    next++;
    let count = 0;
    stack.push(start);
    label[start] = next;
    while (stack.length > 0) {
      const i = stack.pop() ?? 0;
      count++;
      const x = i % width;
      for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width]) {
        if (j < 0 || j >= values.length || label[j] !== 0 || (values[j] ?? 0) < threshold) continue;
        label[j] = next;
        stack.push(j);
      }
    }
    if (!best || count > best.count) best = { id: next, count };
  }
  if (!best) return null;
  const inside = new Uint8Array(values.length);
  for (let i = 0; i < label.length; i++) inside[i] = label[i] === best.id ? 1 : 0;
  return { inside, count: best.count, ...axisOf(inside, width, height) };
}

/** Centre of gravity and principal direction (eigenvector of the second moments). */
function axisOf(inside: Uint8Array, width: number, height: number) {
  let [n, sx, sy, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (!inside[i]) continue;
      n++;
      sx += x;
      sy += y;
      xx += x * x;
      xy += x * y;
      yy += y * y;
    }
  const [cx, cy] = [sx / n, sy / n];
  const angle = Math.atan2(2 * (xy / n - cx * cy), xx / n - cx * cx - (yy / n - cy * cy)) / 2;
  return { x: cx + 0.5, y: cy + 0.5, ux: Math.cos(angle), uy: Math.sin(angle) };
}
