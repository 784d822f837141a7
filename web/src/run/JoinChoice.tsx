import { freePieces, type PieceProgress, type Step } from '@compas/core';

interface JoinChoiceProps {
  step: Step;
  pieces: readonly PieceProgress[];
  /** what a piece is called */
  label: (piece: number) => string;
  chosen: readonly number[];
  choose: (pieces: number[]) => void;
}

/** Which pieces are put to this one in a join: those that would be next, or others that are free. */
export function JoinChoice({ step, pieces, label, chosen, choose }: JoinChoiceProps) {
  return (
    <fieldset className="run-join">
      {(step.takes ?? []).map((partId, i) => {
        const others = chosen.filter((_, at) => at !== i);
        const free = freePieces(pieces, partId).filter((p) => !others.includes(p.piece));
        return (
          <div key={`${partId} ${i}`} role="radiogroup" aria-label="Goes with">
            <span className="run-soft">with</span>
            {free.map(({ piece }) => (
              <button
                key={piece}
                type="button"
                role="radio"
                className="run-quiet"
                aria-checked={chosen[i] === piece}
                onClick={() => choose(chosen.map((was, at) => (at === i ? piece : was)))}
              >
                {label(piece)}
              </button>
            ))}
          </div>
        );
      })}
    </fieldset>
  );
}
