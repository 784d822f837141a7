import {
  holdsOn,
  restOfRun,
  runsOf,
  standingBefore,
  stepsOfPiece,
  type Finding,
  type PartPlan,
  type PieceProgress,
  type Reading,
  type RunEventBody,
  type StandingWood,
  type Step,
} from '@compas/core';
import type { BatchDetail } from '../api/batch.js';
import { StandingLayer, WorkLayer } from '../strip/StandingLayer.js';
import { StepLayer } from '../strip/layers.js';
import { Strip } from '../strip/Strip.js';
import { Findings } from '../ui/Findings.js';
import { Length, Say } from '../ui/Length.js';
import { CheckEntry } from './CheckEntry.js';
import { Holding } from './Holding.js';
import { keyFigure } from './keyFigure.js';
import { JoinChoice } from './JoinChoice.js';
import { Spare } from './Spare.js';
import { useMemo, useState } from 'react';
import { ReadingEntry } from './ReadingEntry.js';
import { ReadingList } from './ReadingList.js';
import { Reject } from './Reject.js';
import { StepTimers } from './StepTimers.js';
import { TrialFit } from './TrialFit.js';

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
  now: number;
  record: (...bodies: RunEventBody[]) => Promise<void>;
  onLeave: () => void;
  onStep: (stepId: string) => void;
}

/** One step of one piece: what to do, the one figure, what to record. */
export function StepWork(props: StepWorkProps) {
  const { part, steps, step, state, readings, record, onLeave, now } = props;
  const holds = holdsOn(step, steps, state, now);
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
  const rest = restOfRun(steps, step.id, state);
  const offered = (step.takes ?? []).flatMap((partId) => state.partners.get(partId)?.[0]?.piece ?? []);
  const [picked, pick] = useState<number[] | null>(null);
  const taken = picked ?? offered;
  const finish = async (ended: readonly Step[]) => {
    await record(
      ...(step.takes && taken.length > 0
        ? [{ kind: 'joined' as const, stepId: step.id, pieces: taken }]
        : []),
      ...ended.map(({ id }): RunEventBody => ({ kind: 'done', stepId: id })),
    );
    onLeave();
  };
  return (
    <>
      <div className="run-strip">
        <WoodStrip part={part} steps={steps} step={step} />
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
              {station && <ReadingEntry key={station.id} station={station} step={step} record={record} />}
              <StepTimers step={step} state={state} now={now} record={record} />
              {step.trialFit && <TrialFit step={step} state={state} record={record} />}
              {checks.map((check) => (
                <CheckEntry key={check.id} check={check} step={step} state={state} record={record} />
              ))}
              <button type="button" className="run-go" onClick={() => void finish([step])}>
                {open.length > 0 ? 'Done, not measured' : unchecked ? 'Done, not checked' : 'Done'}
              </button>
              {rest.length > 1 && (
                <button type="button" className="run-quiet" onClick={() => void finish(rest)}>
                  All {rest.length} done, up to: {rest.at(-1)?.title}
                </button>
              )}
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

/** How finely the wood is drawn, mm. */
const PITCH = 0.4;

/** The wood as it stands before this step, and where the step works; the drawing alone for plans that keep no wood. */
function WoodStrip({ part, steps, step }: { part: PartPlan; steps: readonly Step[]; step: Step }) {
  const { outline, material, mount, blank } = part;
  // an item is joined of what all its parts have become
  const played = step.item ? steps : part.steps;
  const standing = useMemo(() => standingBefore(played, step.id, PITCH), [played, step.id]);
  const beyond = standing && beyondEnds(standing, outline.length);
  return (
    <Strip
      outline={outline}
      holes={part.holes}
      bores={part.bores}
      tone={material.tone}
      headstockEnd={mount.headstockEnd}
      tallest={240}
      {...(standing && beyond
        ? {
            before: mount.headstockEnd === 'reference' ? beyond.reference : beyond.far,
            after: mount.headstockEnd === 'reference' ? beyond.far : beyond.reference,
            largestRadius: Math.max(blank.section / 2, standing.most),
            standing: (
              <StandingLayer
                standing={standing}
                outline={outline}
                tone={material.tone}
                hollows={part.hollows}
              />
            ),
          }
        : {})}
    >
      {standing && <WorkLayer standing={standing} />}
      <StepLayer step={step} stations={part.stations} />
    </Strip>
  );
}

/** How far the wood reaches beyond both ends of the piece, mm. */
function beyondEnds({ reach, pieceAt, pieceRuns }: StandingWood, length: number) {
  const [low, high] = [pieceAt - reach.x0, reach.x1 - pieceAt];
  return pieceRuns > 0
    ? { reference: Math.max(0, low), far: Math.max(0, high - length) }
    : { reference: Math.max(0, high), far: Math.max(0, low - length) };
}

/** The runs of a piece; the steps of the one that is at hand, of the others how far they are. */
function StepList({ steps, step, state, onStep }: StepWorkProps) {
  const runs = runsOf(stepsOfPiece(steps, state));
  return (
    <ol className="run-steps" aria-label="Steps of this piece">
      {runs.map((run) => {
        const open = run.steps.find((s) => !state.done.has(s.id));
        const here = run.steps.some((s) => s.id === step.id);
        if (here && run.steps.length > 1)
          return (
            <li key={run.id}>
              <b>{run.title}</b>
              <ol>
                {run.steps.map((s) => (
                  <StepLink
                    key={s.id}
                    id={s.id}
                    title={s.title}
                    here={s.id === step.id}
                    done={state.done.has(s.id)}
                    onStep={onStep}
                  />
                ))}
              </ol>
            </li>
          );
        return (
          <StepLink
            key={run.id}
            id={(open ?? run.steps[0])?.id ?? run.id}
            title={run.title}
            here={here}
            done={open === undefined}
            onStep={onStep}
          />
        );
      })}
    </ol>
  );
}

interface StepLinkProps {
  id: string;
  title: string;
  here: boolean;
  done: boolean;
  onStep: (stepId: string) => void;
}

function StepLink({ id, title, here, done, onStep }: StepLinkProps) {
  return (
    <li>
      <button type="button" aria-current={here} onClick={() => onStep(id)}>
        <span aria-hidden>{done ? '✓' : here ? '▸' : '·'}</span> {title}
      </button>
    </li>
  );
}
