import { endOf, heightOf, slopeOf, startOf, type Edge, type Piece } from './edge.js';

/**
 * Upper edge of everything within a distance of what lies under an edge: the way of the middle of a disc that
 * rolls along it from above (Minkowski sum with a disc; rolling-ball offset). Exact: the offsets of lines and
 * arcs are lines and arcs, corners become arcs about them, and the edge is their upper envelope.
 *
 * @param edge pieces from left to right
 * @param distance radius of the disc, mm, 0 or more
 * @returns pieces of the offset, from `distance` before the first to `distance` after the last
 */
export function offsetAbove(edge: Edge, distance: number): Edge {
  if (distance <= 0) return edge;
  const moved = edge.map((p) => shifted(p, distance));
  return upperEnvelope([...moved.flatMap((p) => (p ? [p] : [])), ...corners(edge, moved, distance)]);
}

/** A piece moved outwards along its normals; a hollow tighter than the disc has no offset of its own. */
function shifted(piece: Piece, d: number): Piece | null {
  if (piece.kind === 'line') {
    const { x0, y0, x1, y1 } = piece;
    const length = Math.hypot(x1 - x0, y1 - y0);
    if (length === 0) return null;
    const nx = (-(y1 - y0) / length) * d;
    const ny = ((x1 - x0) / length) * d;
    return { kind: 'line', x0: x0 + nx, y0: y0 + ny, x1: x1 + nx, y1: y1 + ny };
  }
  const radius = piece.radius + piece.side * d;
  if (radius <= 1e-9) return null;
  const share = radius / piece.radius;
  const along = (x: number) => piece.cx + (x - piece.cx) * share;
  return { ...piece, radius, x0: along(piece.x0), x1: along(piece.x1) };
}

/**
 * The disc about the ends of pieces, where it can come up: at the ends of the edge, where it jumps or turns
 * down, and beside a hollow that has no offset of its own. Elsewhere it lies under its neighbours' offsets.
 */
function corners(edge: Edge, moved: readonly (Piece | null)[], d: number): Piece[] {
  const found: Piece[] = [];
  const about = (cx: number, cy: number) =>
    found.push({ kind: 'arc', cx, cy, radius: d, side: 1, x0: cx - d, x1: cx + d });
  edge.forEach((p, i) => {
    const before = edge[i - 1];
    const hollow = moved[i] === null || moved[i - 1] === null;
    const jumps = !before || Math.abs(endOf(before) - startOf(p)) > 1e-9;
    if (jumps || hollow || turnsDown(before, p)) about(p.x0, startOf(p));
    if (before && jumps) about(before.x1, endOf(before));
    if (i === edge.length - 1) about(p.x1, endOf(p));
  });
  return found;
}

/** Whether the edge turns down from one piece to the next: a joint that is smooth to a millionth does not. */
const turnsDown = (before: Piece, after: Piece): boolean =>
  slopeOf(before, before.x1) - slopeOf(after, after.x0) > 1e-6;

/** Looks for a change of the highest piece at least this often between two ends of pieces. */
const LOOKS = 4;
const HALVINGS = 44;
/** Ends nearer than this are one place, mm. */
const SAME_PLACE = 1e-9;

/** The highest of many pieces at every x, as pieces. */
function upperEnvelope(pieces: readonly Piece[]): Edge {
  const byStart = [...pieces].sort((a, b) => a.x0 - b.x0);
  const breaks = placesOf(pieces);
  const kept: Piece[] = [];
  const active: Piece[] = [];
  let next = 0;
  for (let i = 0; i + 1 < breaks.length; i++) {
    const a = breaks[i] ?? 0;
    const b = breaks[i + 1] ?? 0;
    for (let p = byStart[next]; p && p.x0 <= a + SAME_PLACE; p = byStart[++next]) active.push(p);
    for (let k = active.length - 1; k >= 0; k--)
      if ((active[k]?.x1 ?? 0) <= a + SAME_PLACE) active.splice(k, 1);
    if (b - a > 1e-12) highestBetween(active, a, b, kept);
  }
  return kept;
}

/** Ends of pieces from left to right; joints are met from both sides, but need one look. */
function placesOf(pieces: readonly Piece[]): Float64Array {
  const ends = new Float64Array(2 * pieces.length);
  pieces.forEach((p, i) => {
    ends[2 * i] = p.x0;
    ends[2 * i + 1] = p.x1;
  });
  ends.sort();
  return ends.filter((x, i) => i === 0 || x - (ends[i - 1] ?? 0) > SAME_PLACE);
}

/** Cuts [a, b] where the highest of the pieces changes, and keeps the highest of each part. */
function highestBetween(active: readonly Piece[], a: number, b: number, kept: Piece[]): void {
  const highest = (x: number): Piece | undefined => {
    let best: Piece | undefined;
    let height = -Infinity;
    for (const p of active) {
      const h = heightOf(p, x);
      if (h <= height) continue;
      best = p;
      height = h;
    }
    return best;
  };
  if (active.length === 1) return keep(kept, active[0], a, b);
  let from = a;
  let at = a + (b - a) * 1e-9;
  let piece = highest(at);
  for (let i = 1; i <= LOOKS; i++) {
    const x = i === LOOKS ? b - (b - a) * 1e-9 : a + ((b - a) * i) / LOOKS;
    const here = highest(x);
    if (here !== piece) {
      const cut = changeBetween(highest, piece, at, x);
      keep(kept, piece, from, cut);
      [from, piece] = [cut, highest(cut + (x - cut) * 1e-6)];
      // a third piece may rise between the two
      if (piece !== here) {
        const second = changeBetween(highest, piece, cut + (x - cut) * 1e-6, x);
        keep(kept, piece, from, second);
        [from, piece] = [second, here];
      }
    }
    at = x;
  }
  keep(kept, piece, from, b);
}

/** Where a piece stops being the highest, by halving. */
function changeBetween(
  highest: (x: number) => Piece | undefined,
  piece: Piece | undefined,
  low: number,
  high: number,
): number {
  let [a, b] = [low, high];
  for (let i = 0; i < HALVINGS && b - a > 1e-12; i++) {
    const middle = (a + b) / 2;
    if (highest(middle) === piece) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/** Adds a part of a piece, or lengthens the last when it goes on. */
function keep(kept: Piece[], piece: Piece | undefined, x0: number, x1: number): void {
  if (!piece || x1 - x0 <= 1e-12) return;
  const last = kept.at(-1);
  if (last && sameCurve(last, piece) && Math.abs(last.x1 - x0) < 1e-9) {
    if (last.kind === 'line') kept[kept.length - 1] = { ...last, x1, y1: heightOf(piece, x1) };
    else kept[kept.length - 1] = { ...last, x1 };
    return;
  }
  kept.push(
    piece.kind === 'line'
      ? { kind: 'line', x0, y0: heightOf(piece, x0), x1, y1: heightOf(piece, x1) }
      : { ...piece, x0, x1 },
  );
}

function sameCurve(a: Piece, b: Piece): boolean {
  const near = (p: number, q: number) => Math.abs(p - q) < 1e-9;
  if (a.kind === 'arc' && b.kind === 'arc')
    return a.side === b.side && near(a.cx, b.cx) && near(a.cy, b.cy) && near(a.radius, b.radius);
  if (a.kind === 'line' && b.kind === 'line')
    return (
      near(a.y1, heightOf(b, a.x1)) && near((a.y1 - a.y0) / (a.x1 - a.x0), (b.y1 - b.y0) / (b.x1 - b.x0))
    );
  return false;
}
