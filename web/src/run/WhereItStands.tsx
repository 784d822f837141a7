import { type PieceProgress, type Step } from '@compas/core';
import { clockWords, onClock } from '../ui/clock.js';
import { Say } from '../ui/Length.js';
import { RunBar } from './RunBar.js';

interface WhereItStandsProps {
  /** what the piece is called */
  label: string;
  state: PieceProgress;
  steps: readonly Step[];
  /** what is next on it */
  step: Step;
  timeZone: string;
  onHere: () => void;
  /** who has just taken over; null where nobody touched it for long */
  handed: string | null;
}

/** After an interruption: where the work stood, and whether that piece is still on the lathe. */
export function WhereItStands({ label, state, steps, step, timeZone, onHere, handed }: WhereItStandsProps) {
  const [last] = [...state.done].sort((a, b) => b[1] - a[1]);
  const ended = last && steps.find((s) => s.id === last[0]);
  const { place, holding } = step.setup;
  return (
    <section className="run-note" data-frame="wait" aria-label="Where it stands">
      <p className="run-soft">
        {handed === null ? 'Nobody has touched this for a while.' : `${handed} works here now.`}
      </p>
      <h1>Is {label} on the lathe?</h1>
      <dl className="run-stands">
        <dt>Written on it</dt>
        <dd>{label}</dd>
        <dt>Last</dt>
        <dd>
          {ended && last
            ? `${ended.title}, ${clockWords(onClock(last[1], timeZone))}`
            : 'nothing is done to it yet'}
        </dd>
        <dt>Held</dt>
        <dd>
          {place}, <Say text={holding.toLowerCase()} />
        </dd>
        <dt>Next</dt>
        <dd>{step.title}</dd>
      </dl>
      <RunBar
        primary={
          <button type="button" className="run-go" onClick={onHere}>
            Yes, go on
          </button>
        }
      >
        <span className="run-soft">No: touch the piece that is, above.</span>
      </RunBar>
    </section>
  );
}
