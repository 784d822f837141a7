import type { Step } from '../route/index.js';
import { stepsOfPiece } from './lots.js';
import type { PieceProgress } from './pieceProgress.js';

type Joining = Pick<Step, 'id' | 'partId' | 'share' | 'takes'>;

/**
 * For each piece that others are joined to: those that are, and for joins that are still to be made those that would be
 * next. Finished pieces go before those that are under way, then the lower number; a rejected one goes to nobody.
 */
export function partnersOf(
  pieces: readonly PieceProgress[],
  steps: readonly Joining[],
): Map<number, PieceProgress['partners']> {
  const joins = steps.filter((s) => s.takes !== undefined && s.takes.length > 0);
  if (joins.length === 0) return new Map();
  const free = freeByPart(pieces, steps);
  return new Map(
    pieces.map((piece) => {
      const partners = new Map<string, PieceProgress[]>();
      for (const join of joins)
        if (join.partId === piece.partId)
          for (const part of partnersIn(join, piece, pieces, free))
            partners.set(part.partId, [...(partners.get(part.partId) ?? []), part]);
      return [piece.piece, partners];
    }),
  );
}

/** What is joined to a piece in one step, or would be. */
function partnersIn(
  { id, takes = [] }: Joining,
  piece: PieceProgress,
  pieces: readonly PieceProgress[],
  free: ReadonlyMap<string, PieceProgress[]>,
): PieceProgress[] {
  const joined = piece.joined.get(id);
  if (joined) return joined.flatMap((n) => pieces[n - 1] ?? []);
  if (piece.done.has(id) || piece.rejected !== null) return [];
  return takes.flatMap((part) => free.get(part)?.shift() ?? []);
}

/** Pieces that are in no item yet, by part, the next to be taken first. */
function freeByPart(
  pieces: readonly PieceProgress[],
  steps: readonly Joining[],
): Map<string, PieceProgress[]> {
  const isFinished = (piece: PieceProgress) => stepsOfPiece(steps, piece).every((s) => piece.done.has(s.id));
  const free = new Map<string, PieceProgress[]>();
  for (const piece of pieces)
    if (piece.rejected === null && piece.carriedBy === null)
      free.set(piece.partId, [...(free.get(piece.partId) ?? []), piece]);
  for (const of of free.values())
    of.sort((a, b) => Number(isFinished(b)) - Number(isFinished(a)) || a.piece - b.piece);
  return free;
}

/** Pieces that may be joined in a step in place of those that would be next, by part: all that are free. */
export const freePieces = (pieces: readonly PieceProgress[], partId: string): PieceProgress[] =>
  pieces.filter((p) => p.partId === partId && p.rejected === null && p.carriedBy === null);
