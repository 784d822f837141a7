import type { Step } from '../route/index.js';
import type { PieceProgress } from './progress.js';

/**
 * The steps that one tap can end: from this one on, those of its run that are not done, up to what wants a
 * measurement, a trial or an answer of its own. This one alone where the plan knows no runs.
 */
export function restOfRun(steps: readonly Step[], stepId: string, piece: PieceProgress): Step[] {
  const from = steps.findIndex((s) => s.id === stepId);
  const step = steps[from];
  if (!step) return [];
  const rest = [step];
  for (const next of steps.slice(from + 1)) {
    if (step.run === undefined || next.run !== step.run || asks(next) || asks(step)) break;
    if (!piece.done.has(next.id)) rest.push(next);
  }
  return rest;
}

const asks = ({ measures, trialFit, checks = [] }: Step): boolean =>
  measures.length > 0 || trialFit || checks.length > 0;
