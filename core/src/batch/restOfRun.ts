import type { Step } from '../route/index.js';
import type { PieceProgress } from './pieceProgress.js';
import { concerns } from './lots.js';

/**
 * The steps that one tap can end: from this one on, those of the piece in its run that are not done, up to what wants a
 * measurement, a trial or an answer of its own, or waits for another piece of the blank. This one alone where the plan
 * knows no runs.
 * @param steps all of the plan
 */
export function restOfRun(steps: readonly Step[], stepId: string, piece: PieceProgress): Step[] {
  const own = steps.filter((s) => concerns(s, piece));
  const from = own.findIndex((s) => s.id === stepId);
  const step = own[from];
  if (!step) return [];
  const others = new Map(
    steps.filter((s) => s.partId === piece.partId && !concerns(s, piece)).map((s) => [s.id, s]),
  );
  const rest = [step];
  for (const next of own.slice(from + 1)) {
    if (step.run === undefined || next.run !== step.run || asks(next) || asks(step)) break;
    if (next.locks.some(({ stepId: id }) => isOpen(others.get(id), piece))) break;
    if (!piece.done.has(next.id)) rest.push(next);
  }
  return rest;
}

/** A step of another piece of the blank that is still to be done. */
const isOpen = (step: Step | undefined, { done, given }: PieceProgress): boolean =>
  step !== undefined && !done.has(step.id) && !given.has(step.share?.place ?? 0);

const asks = ({ measures, trialFit, checks = [], takes = [], only }: Step): boolean =>
  only !== undefined || measures.length > 0 || trialFit || checks.length > 0 || takes.length > 0;
