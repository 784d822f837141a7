import {
  capitalised,
  failedIn,
  pieceLabel,
  stepsOfPiece,
  type Lot,
  type PieceProgress,
  type Plan,
  type Step,
} from '@compas/core';

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
  const row = (
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
  if (pieces.length <= IN_SIGHT) return row;
  return (
    <details className="run-tally">
      <summary>
        <Tally pieces={pieces} steps={steps} current={current} />
      </summary>
      {row}
    </details>
  );
}

/** So many pieces are in sight as buttons; more are strokes, opened by a touch. */
const IN_SIGHT = 16;

/** One stroke for each piece, in fives: whole when it is done, short before, crossed when it was rejected. */
function Tally({ pieces, steps, current }: Pick<PieceRowProps, 'pieces' | 'steps' | 'current'>) {
  const states = pieces.map((piece) => ({ piece, state: stateOf(piece, stepsOfPiece(steps, piece)) }));
  const done = states.filter((s) => s.state === 'done' || s.state === 'joined').length;
  const lost = states.filter((s) => s.state === 'rejected').length;
  const step = Math.min(14, 1000 / pieces.length);
  const x = (i: number) => 6 + i * step + Math.floor(i / 5) * (step / 2);
  return (
    <>
      <svg width={x(pieces.length) + 6} height={40} aria-hidden>
        {states.map(({ piece, state }, i) => (
          <path
            key={piece.piece}
            data-state={state}
            data-current={piece.piece === current}
            d={`M${x(i)},36 v${STROKES[state]}${state === 'rejected' ? ` m-4,4 l8,20 m0,-20 l-8,20` : ''}`}
          />
        ))}
      </svg>
      <span>
        {done} of {pieces.length} done{lost > 0 && `, ${lost} rejected`}
      </span>
    </>
  );
}

/** How long a stroke is, px upwards. */
const STROKES = { done: -32, joined: -32, open: -12, begun: -22, failed: -22, rejected: -32 };

function stateOf(piece: PieceProgress, own: readonly Step[]): keyof typeof STROKES {
  if (piece.rejected) return 'rejected';
  if (failedIn(own, piece).length > 0) return 'failed';
  if (piece.carriedBy !== null) return 'joined';
  const left = own.filter((s) => !piece.done.has(s.id)).length;
  return left === 0 ? 'done' : left === own.length ? 'open' : 'begun';
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
  const [failed] = piece.rejected ? [] : failedIn(steps, piece);
  const words = piece.rejected
    ? 'rejected'
    : failed
      ? `did not hold: ${failed.title}`
      : inItem !== null
        ? `joined to ${inItem}`
        : open
          ? open.title
          : 'done';
  return (
    <button
      type="button"
      aria-label={`${capitalised(label)}, ${words}`}
      aria-current={current}
      data-state={
        piece.rejected ? 'rejected' : failed ? 'failed' : inItem !== null ? 'joined' : open ? 'open' : 'done'
      }
      onClick={() => onChoose(piece.piece, (open ?? steps.at(-1))?.id ?? '')}
    >
      {piece.n}
      <span className="fill" style={{ width: `${share * 100}%` }} />
      {piece.rejected && <span aria-hidden>✕</span>}
      {failed && <span aria-hidden>■</span>}
      {inItem !== null && <span aria-hidden>⊂</span>}
    </button>
  );
}
