import {
  begunElsewhere,
  deviceName,
  inOtherHands,
  nextAction,
  pieceLabel,
  piecesIn,
  type BatchingSchool,
  type RunEventBody,
  type Step,
} from '@compas/core';
import { ConfigProvider } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { hourHere } from '../ui/clock.js';
import { useNow } from '../ui/useNow.js';
import { UnitsProvider } from '../ui/units.js';
import { runTheme } from '../ui/theme.js';
import { AtTheLathe } from './AtTheLathe.js';
import { Connection } from './Connection.js';
import { PieceRow } from './PieceRow.js';
import { RunBar } from './RunBar.js';
import { takenUpAgain } from './takenUpAgain.js';
import { StepWork } from './StepWork.js';
import { TabletSettings } from './TabletSettings.js';
import { TrueSize } from './TrueSize.js';
import { useTablet, type Tablet } from './useTablet.js';
import { Waiting } from './Waiting.js';
import { useRun, type Run } from './useRun.js';
import { Presses } from './Presses.js';
import { useStarted } from './useStarted.js';
import { useUntouched } from './useUntouched.js';
import { useWakeLock } from './useWakeLock.js';
import { WhereItStands } from './WhereItStands.js';
import './run.css';

/** The screen at the lathe: dark, big, one step of one piece at a time. */
export default function RunScreen() {
  const { id = '' } = useParams();
  const run = useRun(id);
  const tablet = useTablet();
  return (
    <ConfigProvider theme={runTheme}>
      <UnitsProvider usual={run.batch?.snapshot.inputs.workshop.units ?? 'mm'}>
        <main className="run" data-hand={tablet.hand} data-light={tablet.light}>
          {run.batch ? (
            <Running run={run} batch={run.batch} tablet={tablet} />
          ) : run.error ? (
            <NotThere error={run.error} />
          ) : (
            <p>One moment…</p>
          )}
        </main>
      </UnitsProvider>
    </ConfigProvider>
  );
}

function NotThere({ error }: { error: unknown }) {
  return (
    <div className="run-note">
      <p>{sentenceOf(error)}</p>
      <Link to="/">To the Bench</Link>
    </div>
  );
}

interface RunningProps {
  run: Run;
  batch: NonNullable<Run['batch']>;
  tablet: Tablet;
}

const NOBODYS: ReadonlySet<number> = new Set();

/** What one tap ended, so that it can be taken back where it was made. */
interface LastTap {
  piece: number;
  steps: readonly Step[];
}

function Running({ run, batch, tablet }: RunningProps) {
  const { plan } = batch.snapshot;
  const { steps } = run;
  const [school, setSchool] = useState<BatchingSchool>(plan.schools.batching);
  const [last, setLast] = useState<LastTap | null>(null);
  const [chosen, choose] = useState<{ piece: number; stepId: string } | null>(null);
  const now = useNow(1_000);
  const awake = useWakeLock();
  const [away, here, ask] = useUntouched(useNow(1_000, Date.now));
  const [handed, setHanded] = useState(false);
  const { progress } = run;
  const others = progress ? inOtherHands(steps, progress, run.device, now) : NOBODYS;
  const next = progress && nextAction(steps, progress, school, now, others);
  const mine = next?.kind === 'do' && !others.has(next.piece);
  useStarted(run, mine && chosen === null ? next : null);
  if (!progress || !next) return null;
  const piece = chosen?.piece ?? (next.kind === 'finished' ? 1 : next.piece);
  const state = progress.pieces[piece - 1];
  const step = chosen
    ? steps.find((s) => s.id === chosen.stepId)
    : next.kind === 'finished'
      ? undefined
      : next.step;
  const part = plan.parts.find((p) => p.partId === (step?.partId ?? state?.partId)) ?? plan.parts[0];
  // the batch hears who works here before it hears what they did
  const saysWho = (stepId: string): RunEventBody[] =>
    tablet.who === null || progress.hands.get(run.device) === tablet.who
      ? []
      : [{ kind: 'handed', stepId, who: tablet.who }];
  const theirs = begunElsewhere(progress, run.device).get(piece);
  const elsewhere = theirs
    ? `Begun by ${progress.hands.get(theirs.device) ?? deviceName(theirs.device)} at ${hourHere(theirs.at, now)}, and not ended.`
    : null;
  const called = (n: number) => pieceLabel(batch.lots, plan.parts, n);
  const takeBack = async (tap: LastTap) => {
    const { piece: tapped, steps: ended } = tap;
    // gone at once: a second touch of it takes nothing more back
    setLast(null);
    try {
      await run.record(
        tapped,
        ...takenUpAgain(
          progress.pieces[tapped - 1],
          ended.map(({ id }) => id),
        ),
      );
    } catch {
      // the header says that it could not be kept: it is there to be tried once more
      return setLast(tap);
    }
    const [first] = ended;
    if (first) choose({ piece: tapped, stepId: first.id });
  };
  const back = last && (
    <button type="button" className="run-quiet" onClick={() => void takeBack(last)}>
      Take back: {last.steps.length > 1 ? `${last.steps.length} steps` : last.steps[0]?.title},{' '}
      {called(last.piece)}
    </button>
  );
  const ofPart = piecesIn(batch.lots.filter((lot) => lot.partId === part.partId));
  return (
    <>
      <header className="run-head">
        <Link to={`/batches/${batch.id}/time`} className="run-back">
          ← {batch.name}
        </Link>
        <b className="run-piece">
          {called(piece)} of {ofPart}
          {state && state.inBlank > 1 && <small> · blank {state.blank + 1}</small>}
        </b>
        <TabletSettings
          tablet={tablet}
          school={school}
          onSchool={(value) => {
            setSchool(value);
            choose(null);
          }}
        />
        <button
          type="button"
          className="run-light"
          onClick={() => tablet.set({ light: tablet.light === 'dark' ? 'bright' : 'dark' })}
        >
          {tablet.light === 'dark' ? 'Bright' : 'Dark'}
        </button>
        <AtTheLathe
          who={tablet.who}
          onTake={(who) => {
            tablet.set({ who });
            setHanded(tablet.who !== null);
            // whoever takes over sees first where it stands
            if (tablet.who !== null) ask();
          }}
        />
        <TrueSize part={part} tablet={tablet} />
        <Connection
          connection={run.connection}
          pending={run.pending}
          awake={awake}
          aside={run.aside}
          onSendAgain={run.sendAgain}
          onSignedIn={run.sendNow}
          asOf={run.asOf}
          owner={run.owner}
        />
      </header>
      <PieceRow
        plan={plan}
        lots={batch.lots}
        pieces={progress.pieces}
        steps={steps}
        current={piece}
        onChoose={(p, stepId) => {
          here();
          choose({ piece: p, stepId });
        }}
      />
      <Presses figure={`${piece}/${step?.id} ${away}`}>
        {!away && chosen === null && next.kind === 'wait' && (
          <Waiting
            next={next}
            now={now}
            timeZone={batch.snapshot.inputs.workshop.hours.timeZone}
            label={called(next.piece)}
            onOpen={() => choose({ piece: next.piece, stepId: next.step.id })}
            tone={tablet.tone}
            back={back}
          />
        )}
        {chosen === null && next.kind === 'finished' && (
          <>
            <div className="run-note">
              <h1>Every piece is done.</h1>
            </div>
            <RunBar
              primary={
                <Link className="run-go" to={`/batches/${batch.id}/twins`}>
                  Are they twins?
                </Link>
              }
            >
              {back}
            </RunBar>
          </>
        )}
        {away && step && state && (
          <WhereItStands
            label={called(piece)}
            state={state}
            steps={steps}
            step={step}
            timeZone={batch.snapshot.inputs.workshop.hours.timeZone}
            onHere={() => {
              setHanded(false);
              here();
            }}
            handed={handed ? tablet.who : null}
          />
        )}
        {!away && step && state && (chosen !== null || next.kind === 'do') && (
          <StepWork
            key={`${piece}/${step.id}`}
            batch={batch}
            part={part}
            steps={steps}
            step={step}
            state={state}
            pieces={progress.pieces}
            called={called}
            readings={progress.readings.filter((r) => r.piece === piece)}
            findings={run.findings}
            elsewhere={elsewhere}
            now={now}
            record={(...bodies) => run.record(piece, ...saysWho(step.id), ...bodies)}
            back={back}
            onEnded={(ended) => setLast({ piece, steps: ended })}
            onLeave={() => choose(null)}
            onStep={(stepId) => choose({ piece, stepId })}
            tone={tablet.tone}
          />
        )}
      </Presses>
    </>
  );
}
