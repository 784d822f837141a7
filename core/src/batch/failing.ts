import type { Step } from '../route/index.js';
import { concerns } from './lots.js';
import type { PieceProgress } from './pieceProgress.js';

type Proving = Pick<Step, 'id' | 'partId' | 'share' | 'only' | 'checks'>;

/** The steps of a piece in which something was tried or checked and did not hold when it was last looked at. */
export function failedIn<S extends Proving>(steps: readonly S[], piece: PieceProgress): S[] {
  const { tried, checked } = piece;
  // of nearly all pieces nothing failed, and this is asked of every step
  if (![...tried.values(), ...checked.values()].includes(false)) return [];
  return steps.filter(
    (step) =>
      concerns(step, piece) &&
      (tried.get(step.id) === false || (step.checks ?? []).some((check) => checked.get(check) === false)),
  );
}
