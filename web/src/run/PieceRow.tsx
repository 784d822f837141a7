import type { PieceProgress, Step } from '@compas/core';

interface PieceRowProps {
  pieces: readonly PieceProgress[];
  steps: readonly Step[];
  current: number;
  onChoose: (piece: number, stepId: string) => void;
}

/** All pieces of the batch, how far each is; any can be taken up. */
export function PieceRow({ pieces, steps, current, onChoose }: PieceRowProps) {
  return (
    <nav className="run-pieces" aria-label="Pieces">
      {pieces.map((piece) => {
        const open = steps.find((s) => !piece.done.has(s.id));
        const share = piece.done.size / steps.length;
        const words = piece.rejected ? 'rejected' : open ? open.title : 'done';
        return (
          <button
            key={piece.piece}
            type="button"
            aria-label={`Piece ${piece.piece}, ${words}`}
            aria-current={piece.piece === current}
            data-state={piece.rejected ? 'rejected' : open ? 'open' : 'done'}
            onClick={() => onChoose(piece.piece, (open ?? steps.at(-1))?.id ?? '')}
          >
            {piece.piece}
            <span className="fill" style={{ width: `${share * 100}%` }} />
            {piece.rejected && <span aria-hidden>✕</span>}
          </button>
        );
      })}
    </nav>
  );
}
