import type { NextAction, Step } from '@compas/core';
import { useEffect, useRef } from 'react';
import type { Run } from './useRun.js';

/**
 * Records when a step is begun here: the moment it comes up as the next thing to do. With the moment it is done that gives
 * the hands-on time, and other tablets pass over the piece. Steps that are only looked at are not begun.
 * @param next what is next at this device; null while that is not known, or something else is looked at
 */
export function useStarted({ progress, record, device }: Run, next: NextAction<Step> | null): void {
  const begun = useRef('');
  const piece = next?.kind === 'do' ? next.piece : 0;
  const stepId = next?.kind === 'do' ? next.step.id : '';
  const last = progress?.begun.get(device);
  const known = last?.piece === piece && last.stepId === stepId;
  useEffect(() => {
    const key = `${piece}/${stepId}`;
    // what is looked at meanwhile may be taken up: then this is begun anew afterwards
    if (piece === 0) begun.current = '';
    if (piece === 0 || device === '' || known || begun.current === key) return;
    begun.current = key;
    // where this device keeps nothing, the screen says so; a start is worth no more than its time
    record(piece, { kind: 'started', stepId }).catch(() => (begun.current = ''));
  }, [piece, stepId, known, device, record]);
}
