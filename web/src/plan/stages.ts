import { capitalised, STAGES, type Finding, type Severity, type Stage } from '@compas/core';

/** The stages of the work in their order, as the rail shows them. */
export const RAIL: { stage: Stage; word: string }[] = STAGES.map((stage) => ({
  stage,
  word: capitalised(stage),
}));

export const stageOf = (word: string | undefined, otherwise: Stage): Stage =>
  RAIL.find((r) => r.stage === word)?.stage ?? otherwise;

/** State of a stage: its most serious finding, or fine. */
export function stateOf(findings: readonly Finding[], stage: Stage): Severity | 'fine' {
  const own = findings.filter((f) => f.stage === stage).map((f) => f.severity);
  if (own.includes('stop')) return 'stop';
  return own.includes('warn') ? 'warn' : 'fine';
}
