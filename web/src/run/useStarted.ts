import { nextAction, stepsOfPlan, type BatchingSchool } from '@compas/core';
import { useEffect, useRef } from 'react';
import type { Run } from './useRun.js';

/**
 * Records when a step is begun: the moment it comes up as the next thing to do. With the moment it is
 * done that gives the hands-on time. Steps that are only looked at are not begun.
 */
export function useStarted(run: Run, school: BatchingSchool, following: boolean, now: number): void {
  const begun = useRef(new Set<string>());
  const { batch, progress, record } = run;
  const next = batch && progress && nextAction(stepsOfPlan(batch.snapshot.plan), progress, school, now);
  const piece = next?.kind === 'do' ? next.piece : 0;
  const stepId = next?.kind === 'do' ? next.step.id : '';
  const known = progress?.pieces[piece - 1]?.started.has(stepId) ?? true;
  useEffect(() => {
    const key = `${piece}/${stepId}`;
    if (!following || known || begun.current.has(key)) return;
    begun.current.add(key);
    void record(piece, { kind: 'started', stepId });
  }, [piece, stepId, known, following, record]);
}
