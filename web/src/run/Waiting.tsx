import { waitInWords, type NextAction } from '@compas/core';
import { clockWords, onClock } from '../ui/clock.js';
import { Say } from '../ui/Length.js';

interface WaitingProps {
  next: Extract<NextAction, { kind: 'wait' }>;
  now: number;
  timeZone: string;
  /** what the piece is called */
  label: string;
  onOpen: () => void;
}

/** Nothing can go on: what is waited for, and until when. */
export function Waiting({ next, now, timeZone, label, onOpen }: WaitingProps) {
  return (
    <div className="run-note">
      <p className="run-soft">Everything waits.</p>
      <h1>
        <Say text={next.what} />
      </h1>
      <p className="run-figure">{waitInWords((next.until - now) / 60_000)}</p>
      <p>
        until {clockWords(onClock(next.until, timeZone))}. Then: {next.step.title}, {label}.
      </p>
      <button type="button" className="run-quiet" onClick={onOpen}>
        Look at that step
      </button>
    </div>
  );
}
