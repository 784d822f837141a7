import type { CutInput, CutPlan, StudyProgress } from '@compas/core';
import { proxy, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Cutting } from './cutting.worker.js';

export type StudyState =
  | { kind: 'idle' }
  | { kind: 'running'; progress: StudyProgress | null }
  | { kind: 'done'; input: CutInput; plans: CutPlan[]; milliseconds: number }
  | { kind: 'failed' };

/** A cutting study beside the interface: begun, watched, called off. Each has a worker of its own. */
export function useCutting() {
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<StudyState>({ kind: 'idle' });
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const begin = useCallback(
    (input: CutInput) => {
      end();
      const own = new Worker(new URL('./cutting.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      setState({ kind: 'running', progress: null });
      const begun = performance.now();
      const current = () => worker.current === own;
      const onProgress = proxy((progress: StudyProgress) => {
        if (current()) setState({ kind: 'running', progress });
      });
      wrap<Cutting>(own)
        .study(input, onProgress)
        .then(
          (plans) =>
            current() && setState({ kind: 'done', input, plans, milliseconds: performance.now() - begun }),
          () => current() && setState({ kind: 'failed' }),
        )
        .finally(() => current() && end());
    },
    [end],
  );
  const callOff = useCallback(() => {
    end();
    setState({ kind: 'idle' });
  }, [end]);
  return { state, begin, callOff };
}
