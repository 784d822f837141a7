import type { Step } from '../route/index.js';
import { concerns } from './lots.js';
import type { PieceProgress } from './pieceProgress.js';

type Proving = Pick<Step, 'id' | 'partId' | 'share' | 'checks'>;

/** The steps of a piece in which something was tried or checked and did not hold when it was last looked at. */
export const failedIn = <S extends Proving>(steps: readonly S[], piece: PieceProgress): S[] =>
  steps.filter(
    (step) =>
      concerns(step, piece) &&
      (piece.tried.get(step.id) === false ||
        (step.checks ?? []).some((check) => piece.checked.get(check) === false)),
  );
