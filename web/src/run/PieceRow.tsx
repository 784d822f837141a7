import { stepsOfPiece, type PieceProgress, type Step } from '@compas/core';

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
        const own = stepsOfPiece(steps, piece.piece);
        const open = own.find((s) => !piece.done.has(s.id));
        const share = own.filter((s) => piece.done.has(s.id)).length / own.length;
        const words = piece.rejected ? 'rejected' : open ? open.title : 'done';
        return (
          <button
            key={piece.piece}
            type="button"
            aria-label={`Piece ${piece.piece}, ${words}`}
            aria-current={piece.piece === current}
            data-state={piece.rejected ? 'rejected' : open ? 'open' : 'done'}
            onClick={() => onChoose(piece.piece, (open ?? own.at(-1))?.id ?? '')}
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
