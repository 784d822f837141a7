import { waitInWords, type NextAction } from '@compas/core';
import { clockWords, onClock } from '../ui/clock.js';
import { Say } from '../ui/Length.js';
import type { ReactNode } from 'react';
import { RunBar } from './RunBar.js';
import { useTone } from './useTone.js';

interface WaitingProps {
  next: Extract<NextAction, { kind: 'wait' }>;
  now: number;
  timeZone: string;
  /** what the piece is called */
  label: string;
  onOpen: () => void;
  /** a tone tells that it waits */
  tone: boolean;
  /** the last tap, to be taken back */
  back: ReactNode;
}

/** Nothing can go on: what is waited for, and until when. */
export function Waiting({ next, now, timeZone, label, onOpen, tone, back }: WaitingProps) {
  // what lacks something waits for no hour
  const ends = next.until > now;
  useTone(ends ? 'wait' : 'held', tone);
  return (
    <div className="run-note" data-frame={ends ? 'wait' : 'held'}>
      <p className="run-soft">Everything waits.</p>
      <h1>
        <Say text={next.what} />
      </h1>
      {ends && <p className="run-figure">{waitInWords((next.until - now) / 60_000)}</p>}
      <p>
        {ends && `until ${clockWords(onClock(next.until, timeZone))}. `}Then: {next.step.title}, {label}.
      </p>
      <RunBar
        primary={
          <button type="button" className="run-go" onClick={onOpen}>
            Look at that step
          </button>
        }
      >
        {back}
      </RunBar>
    </div>
  );
}
