import { circleOf, type Segment } from '../pattern/index.js';

/**
 * Pieces of an edge that runs along x: straight lines, or upper (`side` 1) or lower (−1) parts of circles.
 * Between x0 and x1 each has exactly one height.
 */
export type Piece =
  | { kind: 'line'; x0: number; y0: number; x1: number; y1: number }
  | { kind: 'arc'; x0: number; x1: number; cx: number; cy: number; radius: number; side: 1 | -1 };

/** An edge from left to right; where it jumps, two pieces meet at one x with different heights. */
export type Edge = readonly Piece[];

/** Height of a piece at x. */
export function heightOf(piece: Piece, x: number): number {
  if (piece.kind === 'line') {
    const run = piece.x1 - piece.x0;
    return run === 0
      ? Math.max(piece.y0, piece.y1)
      : piece.y0 + ((x - piece.x0) / run) * (piece.y1 - piece.y0);
  }
  const { cx, cy, radius, side } = piece;
  return cy + side * Math.sqrt(Math.max(0, radius * radius - (x - cx) ** 2));
}

export const startOf = (piece: Piece): number => heightOf(piece, piece.x0);
export const endOf = (piece: Piece): number => heightOf(piece, piece.x1);

/** The edge of an outline, as pieces; shoulders are the jumps between them. */
export const edgeOf = (segments: readonly Segment[]): Edge =>
  segments.filter((s) => s.x1 - s.x0 > 1e-9).map(pieceOf);

function pieceOf(s: Segment): Piece {
  if (s.bulge === 0) return { kind: 'line', x0: s.x0, y0: s.r0, x1: s.x1, y1: s.r1 };
  const { cx, cr, radius } = circleOf(s);
  return { kind: 'arc', x0: s.x0, x1: s.x1, cx, cy: cr, radius, side: s.bulge > 0 ? 1 : -1 };
}

/** The edge turned over: what was above is below. */
export const flipped = (edge: Edge): Edge =>
  edge.map((p) =>
    p.kind === 'line' ? { ...p, y0: -p.y0, y1: -p.y1 } : { ...p, cy: -p.cy, side: p.side === 1 ? -1 : 1 },
  );

/** Height of an edge at x, the larger where it jumps; null beyond its ends. */
export function heightAt(edge: Edge, x: number): number | null {
  let best: number | null = null;
  for (const piece of edge)
    if (x >= piece.x0 - 1e-9 && x <= piece.x1 + 1e-9) {
      const h = heightOf(piece, x);
      if (best === null || h > best) best = h;
    }
  return best;
}

/** Direction of a piece at x, as dy/dx. */
export function slopeOf(piece: Piece, x: number): number {
  if (piece.kind === 'line') return (piece.y1 - piece.y0) / (piece.x1 - piece.x0);
  const up = Math.sqrt(Math.max(1e-12, piece.radius ** 2 - (x - piece.cx) ** 2));
  return (-piece.side * (x - piece.cx)) / up;
}

/** Points along an edge whose chords stray by at most `error` from it, jumps included. */
export function edgePoints(edge: Edge, error: number): [number, number][] {
  const points: [number, number][] = [];
  const add = (x: number, y: number) => {
    const last = points.at(-1);
    if (!last || Math.abs(last[0] - x) > 1e-9 || Math.abs(last[1] - y) > 1e-9) points.push([x, y]);
  };
  for (const piece of edge) {
    if (piece.kind === 'line') {
      add(piece.x0, piece.y0);
      add(piece.x1, piece.y1);
      continue;
    }
    const { cx, cy, radius, side } = piece;
    const angle = (x: number) => Math.acos(Math.min(1, Math.max(-1, (x - cx) / radius)));
    const [from, to] = [angle(piece.x0), angle(piece.x1)];
    const each = 2 * Math.acos(Math.max(0, 1 - error / Math.max(radius, error)));
    const steps = Math.max(1, Math.ceil(Math.abs(from - to) / Math.max(each, 1e-3)));
    for (let i = 0; i <= steps; i++) {
      const a = from + ((to - from) * i) / steps;
      add(cx + radius * Math.cos(a), cy + side * radius * Math.sin(a));
    }
  }
  return points;
}
