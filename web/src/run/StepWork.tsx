import {
  holdsOn,
  type Finding,
  type PartPlan,
  type PieceProgress,
  type Reading,
  type RunEventBody,
  type Step,
} from '@compas/core';
import type { BatchDetail } from '../api/batch.js';
import { DrillLayer } from '../strip/fittingLayers.js';
import { StepLayer } from '../strip/layers.js';
import { Strip } from '../strip/Strip.js';
import { Findings } from '../ui/Findings.js';
import { Length, Say } from '../ui/Length.js';
import { CheckEntry } from './CheckEntry.js';
import { Holding } from './Holding.js';
import { keyFigure } from './keyFigure.js';
import { ReadingEntry } from './ReadingEntry.js';
import { ReadingList } from './ReadingList.js';
import { Reject } from './Reject.js';
import { StepTimers } from './StepTimers.js';
import { TrialFit } from './TrialFit.js';

interface StepWorkProps {
  batch: BatchDetail;
  part: PartPlan;
  step: Step;
  state: PieceProgress;
  readings: readonly Reading[];
  findings: readonly Finding[];
  now: number;
  record: (body: RunEventBody) => Promise<void>;
  onLeave: () => void;
  onStep: (stepId: string) => void;
}

/** One step of one piece: what to do, the one figure, what to record. */
export function StepWork(props: StepWorkProps) {
  const { part, step, state, readings, record, onLeave, now } = props;
  const holds = holdsOn(step, part.steps, state, now);
  const own = readings.filter((r) => r.stepId === step.id);
  const open = step.measures.filter((id) => !own.some((r) => r.stationId === id));
  const station = part.stations.find((s) => s.id === open[0]);
  const figure = keyFigure(step, part, station);
  const cautions = part.cautions.filter((c) => c.stepIds.includes(step.id));
  const held = holds.length > 0;
  const checks = (props.batch.snapshot.inputs.pattern.checks ?? []).filter((c) =>
    step.checks?.includes(c.id),
  );
  const unchecked = checks.some((c) => !state.checked.has(c.id));
  const closed = state.done.has(step.id) || state.rejected !== null;
  const finish = async () => {
    await record({ kind: 'done', stepId: step.id });
    onLeave();
  };
  return (
    <>
      <div className="run-strip">
        <Strip
          outline={part.outline}
          holes={part.holes}
          bores={part.bores}
          tone={part.material.tone}
          headstockEnd={part.mount.headstockEnd}
          tallest={190}
        >
          <StepLayer step={step} stations={part.stations} />
          {step.stage === 'drill' && <DrillLayer part={part} stepId={step.id} />}
        </Strip>
      </div>
      <div className="run-body">
        <section className="run-what">
          <h1>{step.title}</h1>
          <p className="run-setup">
            {step.setup.place}
            {step.setup.holding !== step.setup.place && (
              <>
                , <Say text={step.setup.holding.toLowerCase()} />
              </>
            )}
            {step.setup.place === 'lathe' && `, tailstock ${step.setup.tailstock}`}
            {step.setup.fixtures?.map((fixture) => (
              <span key={fixture}>
                , <Say text={fixture} />
              </span>
            ))}
            {step.speed !== null && (
              <>
                {' '}
                · <b>{step.speed}</b>
              </>
            )}
          </p>
          <ul className="run-words">
            {step.words.map((words) => (
              <li key={words}>
                <Say text={words} />
              </li>
            ))}
          </ul>
          {cautions.map((c) => (
            <p key={c.id} className="run-caution">
              <b aria-hidden>▲</b> <Say text={c.words} />
            </p>
          ))}
          {props.findings.length > 0 && <Findings findings={props.findings} empty="" />}
        </section>
        <section className="run-do">
          <p className="run-soft">{figure.label}</p>
          <p className="run-figure" data-long={'text' in figure && figure.text.length > 9}>
            {'mm' in figure ? <Length mm={figure.mm} /> : figure.text}
          </p>
          {state.rejected && <p className="run-caution">■ Rejected: {state.rejected.cause}</p>}
          {held && !closed && (
            <Holding
              holds={holds}
              now={now}
              onOverride={(why) => record({ kind: 'overridden', stepId: step.id, why })}
            />
          )}
          {!held && !closed && (
            <>
              {station && <ReadingEntry key={station.id} station={station} step={step} record={record} />}
              <StepTimers step={step} state={state} now={now} record={record} />
              {step.trialFit && <TrialFit step={step} state={state} record={record} />}
              {checks.map((check) => (
                <CheckEntry key={check.id} check={check} step={step} state={state} record={record} />
              ))}
              <button type="button" className="run-go" onClick={() => void finish()}>
                {open.length > 0 ? 'Done, not measured' : unchecked ? 'Done, not checked' : 'Done'}
              </button>
            </>
          )}
          {closed && (
            <button type="button" className="run-go" onClick={onLeave}>
              {state.rejected ? 'To the next piece' : 'Done already. To what is next'}
            </button>
          )}
          {state.done.has(step.id) && !state.rejected && (
            <button
              type="button"
              className="run-link"
              onClick={() => void record({ kind: 'reopened', stepId: step.id })}
            >
              It is not done yet
            </button>
          )}
          <ReadingList readings={own} part={part} step={step} record={record} />
          {!closed && (
            <Reject
              onReject={(cause) => record({ kind: 'rejected', stepId: step.id, cause }).then(onLeave)}
            />
          )}
        </section>
        <StepList {...props} />
      </div>
    </>
  );
}

function StepList({ part, step, state, onStep }: StepWorkProps) {
  return (
    <ol className="run-steps" aria-label="Steps of this piece">
      {part.steps.map((s) => (
        <li key={s.id}>
          <button type="button" aria-current={s.id === step.id} onClick={() => onStep(s.id)}>
            <span aria-hidden>{state.done.has(s.id) ? '✓' : s.id === step.id ? '▸' : '·'}</span> {s.title}
          </button>
        </li>
      ))}
    </ol>
  );
}
