import type { Mesh } from '../pattern/index.js';

const HEADER = 80;
const FACET = 50;

/** Binary STL of closed meshes, mm: 80 bytes of heading, the count, 50 bytes a facet, little-endian. */
export function stlOf(meshes: readonly Mesh[]): Uint8Array {
  const count = meshes.reduce((sum, m) => sum + m.indices.length / 3, 0);
  const bytes = new Uint8Array(HEADER + 4 + count * FACET);
  new TextEncoder().encodeInto('Compas, lengths in mm', bytes);
  const view = new DataView(bytes.buffer);
  view.setUint32(HEADER, count, true);
  let at = HEADER + 4;
  for (const { positions, indices } of meshes)
    for (let i = 0; i < indices.length; i += 3) {
      writeFacet(view, at, positions, indices, i);
      at += FACET;
    }
  return bytes;
}

function writeFacet(view: DataView, at: number, p: Float32Array, indices: Uint32Array, i: number): void {
  const [a, b, c] = [3 * (indices[i] ?? 0), 3 * (indices[i + 1] ?? 0), 3 * (indices[i + 2] ?? 0)];
  const edge = (from: number, to: number, k: number) => (p[to + k] ?? 0) - (p[from + k] ?? 0);
  const nx = edge(a, b, 1) * edge(a, c, 2) - edge(a, b, 2) * edge(a, c, 1);
  const ny = edge(a, b, 2) * edge(a, c, 0) - edge(a, b, 0) * edge(a, c, 2);
  const nz = edge(a, b, 0) * edge(a, c, 1) - edge(a, b, 1) * edge(a, c, 0);
  const norm = Math.hypot(nx, ny, nz) || 1;
  [nx / norm, ny / norm, nz / norm].forEach((v, k) => view.setFloat32(at + 4 * k, v, true));
  [a, b, c].forEach((vertex, n) => {
    for (let k = 0; k < 3; k++) view.setFloat32(at + 12 + 12 * n + 4 * k, p[vertex + k] ?? 0, true);
  });
}
