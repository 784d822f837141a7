import { pieceLabel, stepsOfPiece, type Lot, type PieceProgress, type Plan, type Step } from '@compas/core';

interface PieceRowProps {
  plan: Plan;
  lots: readonly Lot[];
  pieces: readonly PieceProgress[];
  steps: readonly Step[];
  current: number;
  onChoose: (piece: number, stepId: string) => void;
}

/** All pieces of the batch, part by part, how far each is; any can be taken up. */
export function PieceRow({ plan, lots, pieces, steps, current, onChoose }: PieceRowProps) {
  const several = plan.parts.length > 1;
  return (
    <nav className="run-pieces" aria-label="Pieces">
      {plan.parts.map(({ partId, name }) => (
        <span key={partId} className="run-part">
          {several && <b>{name}</b>}
          {pieces
            .filter((p) => p.partId === partId)
            .map((piece) => (
              <PieceButton
                key={piece.piece}
                piece={piece}
                label={pieceLabel(lots, plan.parts, piece.piece)}
                inItem={piece.carriedBy === null ? null : pieceLabel(lots, plan.parts, piece.carriedBy)}
                steps={stepsOfPiece(steps, piece)}
                current={piece.piece === current}
                onChoose={onChoose}
              />
            ))}
        </span>
      ))}
    </nav>
  );
}

interface PieceButtonProps {
  piece: PieceProgress;
  label: string;
  /** what it is joined to, once it is */
  inItem: string | null;
  /** its own steps */
  steps: readonly Step[];
  current: boolean;
  onChoose: PieceRowProps['onChoose'];
}

function PieceButton({ piece, label, inItem, steps, current, onChoose }: PieceButtonProps) {
  const open = steps.find((s) => !piece.done.has(s.id));
  const share = steps.filter((s) => piece.done.has(s.id)).length / steps.length;
  const words = piece.rejected
    ? 'rejected'
    : inItem !== null
      ? `joined to ${inItem}`
      : open
        ? open.title
        : 'done';
  return (
    <button
      type="button"
      aria-label={`${label.charAt(0).toUpperCase()}${label.slice(1)}, ${words}`}
      aria-current={current}
      data-state={piece.rejected ? 'rejected' : inItem !== null ? 'joined' : open ? 'open' : 'done'}
      onClick={() => onChoose(piece.piece, (open ?? steps.at(-1))?.id ?? '')}
    >
      {piece.n}
      <span className="fill" style={{ width: `${share * 100}%` }} />
      {piece.rejected && <span aria-hidden>✕</span>}
      {inItem !== null && <span aria-hidden>⊂</span>}
    </button>
  );
}
