import type { Step } from '../route/index.js';
import type { BatchProgress, Begun } from './progress.js';

/** A step that takes longer than so often its planned time is not in anybody's hands any more. */
const LET_GO_AFTER = 2;
/** Nobody is thought to have gone away sooner, minutes: a step of seconds takes a moment to be ended. */
const AT_LEAST = 2;
/** Whoever has been at a piece for so long stays at it, whatever is heard of others, ms. */
const SETTLED_IN = 30_000;

/**
 * What other devices have begun and neither ended nor left, by piece: of each device the last, of several at one piece the first.
 * A step that is long over its time is in it as well; `inOtherHands` lets go of it.
 */
export function begunElsewhere(
  { begun, pieces }: Pick<BatchProgress, 'begun' | 'pieces'>,
  device: string,
): Map<number, Begun> {
  const found = new Map<number, Begun>();
  for (const other of [...begun.values()].sort((a, b) => a.at - b.at)) {
    const state = pieces[other.piece - 1];
    if (other.device === device || !state) continue;
    if (state.done.has(other.stepId) || state.rejected !== null || found.has(other.piece)) continue;
    found.set(other.piece, other);
  }
  return found;
}

/**
 * Pieces that others have in hand, with all that lie in their blanks: what is next passes over them. Of two that began at one
 * piece the first keeps it; whoever has been at it for a while is not moved away.
 * @param now instant in ms
 */
export function inOtherHands(
  steps: readonly Pick<Step, 'id' | 'minutes' | 'setupMinutes'>[],
  progress: Pick<BatchProgress, 'begun' | 'pieces'>,
  device: string,
  now: number,
): Set<number> {
  const own = progress.begun.get(device);
  const passedOver = new Set<number>();
  for (const { piece, stepId, at } of begunElsewhere(progress, device).values()) {
    const step = steps.find((s) => s.id === stepId);
    const planned = (step?.minutes ?? 0) + (step?.setupMinutes ?? 0);
    if (now - at > Math.max(AT_LEAST, LET_GO_AFTER * planned) * 60_000) continue;
    const blank = progress.pieces[piece - 1]?.blank;
    const isMine = own !== undefined && progress.pieces[own.piece - 1]?.blank === blank;
    if (isMine && (own.at < at || now - own.at > SETTLED_IN)) continue;
    for (const mate of progress.pieces) if (mate.blank === blank) passedOver.add(mate.piece);
  }
  return passedOver;
}
