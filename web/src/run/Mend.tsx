import {
  failedIn,
  judge,
  PLACES,
  spoilt,
  stepDoes,
  stepsOfPiece,
  type MendStep,
  type OffSize,
  type PartPlan,
  type PieceProgress,
  type Place,
  type Reading,
  type Step,
} from '@compas/core';
import { useState } from 'react';
import type { BatchDetail } from '../api/batch.js';
import { Length, Say } from '../ui/Length.js';
import type { Keep } from './useKept.js';

interface MendProps {
  batch: BatchDetail;
  part: PartPlan;
  /** all of the plan */
  steps: readonly Step[];
  step: Step;
  state: PieceProgress;
  /** of this piece in this step */
  own: readonly Reading[];
  record: Keep;
  onLeave: () => void;
  /** the form is open */
  mending: boolean;
  setMending: (open: boolean) => void;
}

/** Names the form, so that the bar along the lower edge can end it. */
const MENDING = 'mending';

/** What is offered when something did not hold or came out thin: how this piece alone goes on. */
export function Mend(props: MendProps) {
  const { part, steps, step, state, own, mending, setMending } = props;
  const thin = thinPlaces(part, step, own).filter(({ station }) => !state.keeps.has(station.id));
  const failed = failedIn(steps, state).some((s) => s.id === step.id);
  if (!failed && thin.length === 0) return null;
  if (!mending)
    return (
      <button type="button" className="run-quiet" onClick={() => setMending(true)}>
        Mend this piece
      </button>
    );
  return <MendForm {...props} thin={thin} />;
}

/** The next action while a piece is mended: nothing else is bright then. */
export function MendSo({ part, state }: Pick<MendProps, 'part' | 'state'>) {
  return (
    <button type="submit" form={MENDING} className="run-go">
      Mend {part.name.toLowerCase()} {state.n} so
    </button>
  );
}

/** Where the last reading of this step was thinner than it may be. */
function thinPlaces({ stations }: PartPlan, step: Step, readings: readonly Reading[]): OffSize[] {
  return step.measures.flatMap((id): OffSize[] => {
    const station = stations.find((s) => s.id === id);
    const last = readings.findLast((r) => r.stationId === id);
    if (!station || !last || judge(last.mm, station, step.against).verdict !== 'thin') return [];
    return [{ station, mm: last.mm }];
  });
}

/** So many of the last cuts can be done again at a touch. */
const OFFERED = 4;

function MendForm(props: MendProps & { thin: readonly OffSize[] }) {
  const { step, state, steps, thin, record, onLeave, setMending } = props;
  const [asked, setAsked] = useState(false);
  const [again, setAgain] = useState<readonly string[]>([]);
  const [keeps, setKeeps] = useState(false);
  const [own, setOwn] = useState<readonly MendStep[]>([]);
  const [why, setWhy] = useState('');
  const done = stepsOfPiece(steps, state).filter((s) => state.done.has(s.id) && canBeAgain(s));
  const mended = async () => {
    const kept = await record({
      kind: 'mended',
      stepId: step.id,
      partId: step.partId,
      steps: [...own],
      again: done.filter((s) => again.includes(s.id)).map((s) => s.id),
      keeps: keeps ? thin.map(({ station, mm }) => ({ stationId: station.id, mm })) : [],
      why: why.trim(),
    });
    if (kept) onLeave();
  };
  const nothing = again.length === 0 && own.length === 0 && !keeps;
  return (
    <form
      id={MENDING}
      className="run-mend"
      aria-label="Mend this piece"
      onSubmit={(e) => {
        e.preventDefault();
        setAsked(true);
        if (!nothing) void mended();
      }}
    >
      <h2>Mend it</h2>
      <AsItStands {...props} />
      {thin.length > 0 && (
        <button type="button" className="run-quiet" aria-pressed={keeps} onClick={() => setKeeps(!keeps)}>
          <span>
            It stays so:{' '}
            {thin.map(({ station, mm }) => (
              <span key={station.id}>
                {station.label} <Length mm={mm} />
                {station.mating && ', if what it meets is fitted to it'}{' '}
              </span>
            ))}
          </span>
        </button>
      )}
      {done.length > 0 && (
        <div role="group" aria-label="Do again">
          {done.slice(-OFFERED).map((s) => (
            <button
              key={s.id}
              type="button"
              className="run-quiet"
              aria-pressed={again.includes(s.id)}
              onClick={() =>
                setAgain(again.includes(s.id) ? again.filter((id) => id !== s.id) : [...again, s.id])
              }
            >
              Again: {s.title}
            </button>
          ))}
        </div>
      )}
      <OwnSteps own={own} onAdd={(added) => setOwn([...own, added])} />
      <label>
        Why
        <input value={why} maxLength={500} onChange={(e) => setWhy(e.target.value)} />
      </label>
      {asked && nothing && (
        <p role="alert">
          Choose first what is done to it: cut again, a step of your own, or that it stays so.
        </p>
      )}
      <button type="button" className="run-quiet" onClick={() => setMending(false)}>
        Leave it
      </button>
    </form>
  );
}

/** What can be done once more: cuts, bores and what is put on them. */
const canBeAgain = (step: Step): boolean =>
  step.operation !== undefined && !stepDoes(step, 'saw', 'mark', 'hold', 'try', 'measure', 'part', 'dry');

/** What this piece can no longer become, worked out from the wood that stands. */
function AsItStands({ batch, part, steps, state, thin }: MendProps & { thin: readonly OffSize[] }) {
  const { pattern } = batch.snapshot.inputs;
  const drawn = pattern.parts.find((p) => p.id === part.partId) ?? pattern.parts[0];
  // worked out when the form is opened: nothing is recorded on the piece while it is
  const [stands] = useState(() => spoilt(steps, part, drawn, state, thin));
  if (!stands) return null;
  const { lost, left } = stands;
  return (
    <>
      {lost.length > 0 && (
        <ul>
          {lost.slice(0, OFFERED).map((words) => (
            <li key={words}>
              <Say text={words} />
            </li>
          ))}
        </ul>
      )}
      <p>
        {lost.length === 0 ? 'It can still become what is drawn. ' : ''}
        {left.length} steps are left on it.
      </p>
    </>
  );
}

/** Steps of one's own, for this piece alone. */
function OwnSteps({ own, onAdd }: { own: readonly MendStep[]; onAdd: (step: MendStep) => void }) {
  const [title, setTitle] = useState('');
  const [place, setPlace] = useState<Place>('lathe');
  return (
    <>
      {own.map((s, i) => (
        <p key={i}>
          + {s.title}, {s.place}
        </p>
      ))}
      <label>
        What is done to it alone
        <input value={title} maxLength={80} onChange={(e) => setTitle(e.target.value)} />
      </label>
      <div role="radiogroup" aria-label="Where it is mended">
        {PLACES.map((p) => (
          <button
            key={p}
            type="button"
            role="radio"
            className="run-quiet"
            aria-checked={place === p}
            onClick={() => setPlace(p)}
          >
            {p}
          </button>
        ))}
      </div>
      <button
        type="button"
        className="run-quiet"
        disabled={title.trim() === ''}
        onClick={() => {
          onAdd({ title: title.trim(), words: '', place, minutes: MEND_MINUTES });
          setTitle('');
        }}
      >
        Add this step
      </button>
    </>
  );
}

/** What a step that mends is counted with until it was timed: typical, unchecked. */
const MEND_MINUTES = 5;
