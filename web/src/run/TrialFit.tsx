import type { PieceProgress, Step } from '@compas/core';
import { useState } from 'react';
import type { Keep } from './useKept.js';

interface TrialFitProps {
  step: Step;
  state: PieceProgress;
  record: Keep;
}

/** Does it fit? And if not yet, what is left to remove. */
export function TrialFit({ step, state, record }: TrialFitProps) {
  const [note, setNote] = useState('');
  const tried = state.tried.get(step.id);
  const say = async (fits: boolean) => {
    if (await record({ kind: 'tried', stepId: step.id, fits, note: note.trim() })) setNote('');
  };
  return (
    <div className="run-fit">
      <div>
        <button
          type="button"
          className="run-quiet"
          aria-pressed={tried === true}
          onClick={() => void say(true)}
        >
          It fits
        </button>
        <button
          type="button"
          className="run-quiet"
          aria-pressed={tried === false}
          onClick={() => void say(false)}
        >
          Not yet
        </button>
      </div>
      <label>
        What is left to remove
        <input value={note} maxLength={500} onChange={(e) => setNote(e.target.value)} />
      </label>
    </div>
  );
}
