import {
  holdsOn,
  restOfRun,
  stepsOfPiece,
  withoutPlace,
  type Finding,
  type Hold,
  type PartPlan,
  type PieceProgress,
  type Reading,
  type RunEventBody,
  type Step,
} from '@compas/core';
import type { BatchDetail } from '../api/batch.js';
import { Findings } from '../ui/Findings.js';
import { Say } from '../ui/Length.js';
import { CheckEntry } from './CheckEntry.js';
import { Holding } from './Holding.js';
import { DoneButtons } from './DoneButtons.js';
import { keyFigure } from './keyFigure.js';
import { RunBar } from './RunBar.js';
import { JoinChoice } from './JoinChoice.js';
import { Spare } from './Spare.js';
import { Settle } from './Settle.js';
import { StepList } from './StepList.js';
import { WoodStrip } from './WoodStrip.js';
import { useRef, useState, type ReactNode } from 'react';
import { Mend, MendSo } from './Mend.js';
import { Note } from './Note.js';
import { ReadingEntry } from './ReadingEntry.js';
import { takenUpAgain } from './takenUpAgain.js';
import { ReadingList } from './ReadingList.js';
import { Reject } from './Reject.js';
import { StepTimers } from './StepTimers.js';
import { TrialFit } from './TrialFit.js';
import { useKept, type Keep } from './useKept.js';
import { useReadings } from './useReadings.js';
import { useTone } from './useTone.js';

interface StepWorkProps {
  batch: BatchDetail;
  part: PartPlan;
  /** all of the plan */
  steps: readonly Step[];
  step: Step;
  state: PieceProgress;
  /** all of the batch */
  pieces: readonly PieceProgress[];
  /** what a piece is called */
  called: (piece: number) => string;
  readings: readonly Reading[];
  findings: readonly Finding[];
  /** that somebody else has begun the piece and not ended it */
  elsewhere: string | null;
  now: number;
  record: (...bodies: RunEventBody[]) => Promise<void>;
  /** the last tap, to be taken back */
  back: ReactNode;
  onEnded: (steps: readonly Step[]) => void;
  onLeave: () => void;
  onStep: (stepId: string) => void;
  /** a tone tells that it is held, waits or stops */
  tone: boolean;
}

/** One step of one piece: what to do, the one figure, what to record. */
export function StepWork(props: StepWorkProps) {
  const { part, steps, step, state, readings, record, onLeave, now } = props;
  const holds = holdsOn(step, steps, state, now);
  const own = readings.filter((r) => r.stepId === step.id);
  const { open, failed, take } = useReadings(step, own, record);
  const station = part.stations.find((s) => s.id === open[0]);
  const figure = keyFigure(step, station);
  const cautions = part.cautions.filter((c) => c.stepIds.includes(step.id));
  const held = holds.length > 0;
  const checks = (props.batch.snapshot.inputs.pattern.checks ?? []).filter((c) =>
    step.checks?.includes(c.id),
  );
  const unchecked = checks.some((c) => !state.checked.has(c.id));
  const closed = state.done.has(step.id) || state.rejected !== null;
  const rest = restOfRun(steps, step.id, state);
  const offered = (step.takes ?? []).flatMap((partId) => state.partners.get(partId)?.[0]?.piece ?? []);
  const [picked, pick] = useState<number[] | null>(null);
  const [mending, setMending] = useState(false);
  const taken = picked ?? offered;
  // a tap counts once for what it was meant for: a second one in the same moment is the same tap
  const ending = useRef(false);
  const { keep, notKept } = useKept(record);
  const finish = async (ended: readonly Step[]) => {
    if (ending.current) return;
    ending.current = true;
    const kept = await keep(
      ...(step.takes && taken.length > 0
        ? [{ kind: 'joined' as const, stepId: step.id, pieces: taken }]
        : []),
      ...ended.map(({ id }): RunEventBody => ({ kind: 'done', stepId: id })),
    );
    ending.current = false;
    if (!kept) return;
    props.onEnded(ended);
    onLeave();
  };
  const frame = state.rejected ? 'stop' : held && !closed ? (isWaiting(holds) ? 'wait' : 'held') : 'free';
  useTone(frame, props.tone);
  return (
    <>
      <div className="run-strip" data-frame={frame}>
        {frame !== 'free' && <p className="run-state">{FRAME_WORDS[frame]}</p>}
        <WoodStrip part={part} piece={state.piece} steps={steps} step={step} figure={figure} />
      </div>
      <div className="run-body">
        <StepWords {...props} />
        <section className="run-do">
          {cautions.length > 0 && (
            <div className="run-cautions" data-many={cautions.length > FEW_CAUTIONS}>
              {cautions.map((c) => (
                <p key={c.id} className="run-caution">
                  <b aria-hidden>▲</b> <Say text={c.words} />
                </p>
              ))}
            </div>
          )}
          {notKept && (
            <p className="run-caution" role="alert">
              ▲ This device could not keep that: it is not recorded, and what was typed is still here. Make
              room on the device, or tap once more.
            </p>
          )}
          {props.elsewhere !== null && !closed && <p className="run-caution">▲ {props.elsewhere}</p>}
          <Settle readings={own} part={part} record={keep} />
          {state.rejected && <p className="run-caution">■ Rejected: {state.rejected.cause}</p>}
          {held && !closed && (
            <Holding
              holds={holds}
              now={now}
              onOverride={(why) => keep({ kind: 'overridden', stepId: step.id, why })}
            />
          )}
          {state.rejected && (
            <Spare batchId={props.batch.id} partId={state.partId} called={part.name.toLowerCase()} />
          )}
          {!held && !closed && (
            <>
              {step.takes && (
                <JoinChoice
                  step={step}
                  pieces={props.pieces}
                  label={props.called}
                  chosen={taken}
                  choose={pick}
                />
              )}
              {station && (
                <ReadingEntry
                  key={`${station.id} ${failed.has(station.id)}`}
                  station={station}
                  again={failed.get(station.id)}
                  take={(reading) => void take(station.id, reading)}
                />
              )}
              <StepTimers step={step} state={state} now={now} record={keep} />
              {step.trialFit && <TrialFit step={step} state={state} record={keep} />}
              {checks.map((check) => (
                <CheckEntry key={check.id} check={check} step={step} state={state} record={keep} />
              ))}
            </>
          )}
          {!closed && <Mend {...props} record={keep} own={own} mending={mending} setMending={setMending} />}
          <Notes state={state} step={step} />
          <ReadingList readings={own} part={part} step={step} record={keep} />
          {props.findings.length > 0 && <Findings findings={props.findings} empty="" />}
        </section>
        <StepList {...props} />
      </div>
      <RunBar
        primary={
          mending ? (
            <MendSo part={part} state={state} />
          ) : closed ? (
            <button type="button" data-ends className="run-go" onClick={onLeave}>
              {state.rejected ? 'To the next piece' : 'Done already. To what is next'}
            </button>
          ) : held ? (
            <button type="button" data-ends className="run-go" onClick={onLeave}>
              To what can go on
            </button>
          ) : (
            <DoneButtons
              steps={[step]}
              rest={rest}
              // whoever has done it once takes it in one go
              wholeFirst={state.n > 1}
              words={open.length > 0 ? 'Done, not measured' : unchecked ? 'Done, not checked' : 'Done'}
              onDone={(ended) => void finish(ended)}
            />
          )
        }
        away={
          !closed && (
            <Reject
              onReject={async (cause) => {
                if (await keep({ kind: 'rejected', stepId: step.id, cause })) onLeave();
              }}
            />
          )
        }
      >
        <Note step={step} record={keep} />
        {props.back}
        {state.rejected && <TakeRejectionBack rejected={state.rejected} record={keep} />}
        {state.done.has(step.id) && !state.rejected && (
          <button
            type="button"
            className="run-quiet"
            onClick={() => void keep(...takenUpAgain(state, [step.id]))}
          >
            It is not done yet
          </button>
        )}
      </RunBar>
    </>
  );
}

/** Rejected by mistake: the piece goes on from where it was. */
function TakeRejectionBack({
  rejected,
  record,
}: {
  rejected: NonNullable<PieceProgress['rejected']>;
  record: Keep;
}) {
  return (
    <button
      type="button"
      className="run-quiet"
      onClick={() => void record({ kind: 'spared', eventId: rejected.eventId })}
    >
      It is good after all
    </button>
  );
}

/** More than these are set closer, so that all of them stand above the bar. */
const FEW_CAUTIONS = 2;

/** What was noted in this step of the piece. */
function Notes({ state, step }: { state: PieceProgress; step: Step }) {
  const own = state.notes.filter((n) => n.stepId === step.id);
  if (own.length === 0) return null;
  return (
    <ul className="run-readings" aria-label="Notes">
      {own.map(({ at, words, photo }) => (
        <li key={at}>
          {words} {photo && <img src={photo} alt={words || 'noted in a photo'} width={120} />}
        </li>
      ))}
    </ul>
  );
}

/** What keeps a step: a wait that ends by itself, or something that must be done first. */
const isWaiting = (holds: readonly Hold[]): boolean => holds.every((h) => h.kind === 'wait');

const FRAME_WORDS = { wait: '◷ Wait', held: '▲ Held', stop: '■ Rejected' };

/** What a place is sized by, where the workshop has a gauge for it. */
function gaugeOf({ layout }: PartPlan, { operation }: Step): string | undefined {
  if (operation?.kind !== 'size' || operation.subject === null) return undefined;
  return layout.sizing.find((s) => s.id === withoutPlace(operation.subject ?? ''))?.gauge.gauge?.name;
}

/** What is done, with what, and what comes next; then its words. */
function StepWords({ part, steps, step, state }: StepWorkProps) {
  const own = stepsOfPiece(steps, state);
  const next = own.slice(own.indexOf(step) + 1).find((s) => !state.done.has(s.id));
  const { place, holding, tailstock, fixtures } = step.setup;
  return (
    <section className="run-what">
      <h1>{step.title}</h1>
      <p className="run-glance">
        {[step.operation?.tool, gaugeOf(part, step), step.speed]
          .filter((w) => w !== undefined && w !== null && w !== '')
          .join(' · ')}
      </p>
      <p className="run-setup">
        {place}
        {holding !== place && (
          <>
            , <Say text={holding.toLowerCase()} />
          </>
        )}
        {place === 'lathe' && `, tailstock ${tailstock}`}
        {fixtures?.map((fixture) => (
          <span key={fixture}>
            , <Say text={fixture} />
          </span>
        ))}
      </p>
      <ul className="run-words">
        {step.words.map((words) => (
          <li key={words}>
            <Say text={words} />
          </li>
        ))}
      </ul>
      {next && (
        <p className="run-next">
          Next: <b>{next.title}</b>
        </p>
      )}
    </section>
  );
}
