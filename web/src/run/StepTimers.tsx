import { timerKey, type PieceProgress, type Step } from '@compas/core';
import type { Keep } from './useKept.js';

interface StepTimersProps {
  step: Step;
  state: PieceProgress;
  now: number;
  record: Keep;
}

/** A timer for each grit: begun with a tap, recorded, so that it runs on through a reload. */
export function StepTimers({ step, state, now, record }: StepTimersProps) {
  if (step.timers.length === 0) return null;
  return (
    <div className="run-timers">
      {step.timers.map((timer) => {
        const begun = state.timers.get(timerKey(step.id, timer.id));
        const left = begun === undefined ? null : Math.ceil((begun + timer.minutes * 60_000 - now) / 1000);
        const phase = left === null ? 'idle' : left > 0 ? 'running' : 'over';
        return (
          <button
            key={timer.id}
            type="button"
            data-state={phase}
            onClick={() => void record({ kind: 'timed', stepId: step.id, timerId: timer.id })}
            aria-label={`${timer.label}, ${phase === 'running' ? `${left ?? 0} seconds left` : phase === 'over' ? 'over' : 'start the timer'}`}
          >
            <b>{timer.label}</b>
            <span className="figures">
              {left === null ? clock(timer.minutes * 60) : left > 0 ? clock(left) : 'over'}
            </span>
          </button>
        );
      })}
    </div>
  );
}

const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`;
