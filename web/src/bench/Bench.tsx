import { pieceLabel, piecesIn } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { batchesQuery, putAwayBatch, type BatchSummary } from '../api/batches.js';
import { useChange } from '../api/useChange.js';
import { workshopQuery } from '../api/workshop.js';
import { clockWords, dayWords, onClock } from '../ui/clock.js';
import { Say } from '../ui/Length.js';
import { useNow } from '../ui/useNow.js';
import { EmptyBench } from './EmptyBench.js';
import { NotPlanned } from './NotPlanned.js';
import { PlansBegun } from './PlansBegun.js';
import { BenchStock } from './BenchStock.js';
import './bench.css';

/** Due first; what has no day keeps its order of making, after what has one. */
const byDue = (a: BatchSummary, b: BatchSummary): number =>
  a.due === b.due ? 0 : a.due === null ? 1 : b.due === null ? -1 : a.due < b.due ? -1 : 1;

/** Home: what can go on now, what waits until when, what is due. One next action per batch. */
export default function Bench() {
  const batches = useQuery(batchesQuery);
  const workshop = useQuery(workshopQuery);
  const now = useNow(30_000);
  if (!batches.data || !workshop.data) return null;
  const { timeZone } = workshop.data.body.hours;
  const open = batches.data;
  const waiting = open.filter((b) => b.next.kind === 'wait' && b.next.until > now);
  const finished = open.filter((b) => b.next.kind === 'finished');
  const going = open.filter((b) => !waiting.includes(b) && !finished.includes(b)).sort(byDue);
  if (open.length === 0)
    return (
      <div className="bench">
        <EmptyBench />
        <PlansBegun />
        <NotPlanned />
      </div>
    );
  return (
    <div className="bench">
      <h1>On the bench, {clockWords(onClock(now, timeZone))}</h1>
      <Group
        title="Can go on now"
        empty="Nothing can go on this minute."
        batches={going}
        timeZone={timeZone}
        now={now}
      />
      <Group title="Waits" empty={null} batches={waiting} timeZone={timeZone} now={now} />
      <Group
        title="Finished, to be looked at"
        empty={null}
        batches={finished}
        timeZone={timeZone}
        now={now}
      />
      <PlansBegun />
      <NotPlanned />
      <BenchStock workshop={workshop.data.body} now={now} />
    </div>
  );
}

interface GroupProps {
  title: string;
  empty: string | null;
  batches: BatchSummary[];
  timeZone: string;
  now: number;
}

/** So many are in sight at once; a bench with more is a list, and is asked for. */
const IN_SIGHT = 20;

function Group({ title, empty, batches, timeZone, now }: GroupProps) {
  const [all, showAll] = useState(false);
  if (batches.length === 0 && empty === null) return null;
  const shown = all ? batches : batches.slice(0, IN_SIGHT);
  return (
    <section>
      <h2>{title}</h2>
      {batches.length === 0 && <p className="soft">{empty}</p>}
      {shown.map((batch) => (
        <BatchRow key={batch.id} batch={batch} timeZone={timeZone} now={now} />
      ))}
      {shown.length < batches.length && (
        <Button type="text" onClick={() => showAll(true)}>
          Show the other {batches.length - shown.length}
        </Button>
      )}
    </section>
  );
}

function BatchRow({ batch, timeZone, now }: { batch: BatchSummary; timeZone: string; now: number }) {
  const done = batch.stepsInAll === 0 ? 0 : batch.stepsDone / batch.stepsInAll;
  const late =
    batch.due !== null && batch.next.kind !== 'finished' && batch.plannedEnd.slice(0, 10) > batch.due;
  return (
    <article className="bench-row">
      <div className="bench-what">
        <h3>
          <Link to={`/batches/${batch.id}/stock`}>{batch.name}</Link>
        </h3>
        <span className="soft">
          for {batch.customer}
          {batch.due !== null && `, due ${dayWords(batch.due)}`}
        </span>
        {late && (
          <span className="bench-late">
            <b aria-hidden>▲</b> Look: planned to be ready {dayWords(batch.plannedEnd.slice(0, 10))}
          </span>
        )}
      </div>
      <div className="bench-next">
        <NextWords batch={batch} timeZone={timeZone} now={now} />
        <div className="bench-bar" role="img" aria-label={`${Math.round(done * 100)} % of the steps done`}>
          <span style={{ width: `${done * 100}%` }} />
        </div>
        <span className="soft">
          {Math.round(done * 100)} % of the steps done
          {batch.rejected > 0 && `, ${batch.rejected} rejected`}
        </span>
        {batch.failed > 0 && (
          <span className="bench-failed">
            <b aria-hidden>■</b> On {batch.failed} a check or a fit did not hold: cut again, mend, or reject
          </span>
        )}
      </div>
      <NextButton batch={batch} />
    </article>
  );
}

function NextWords({
  batch: { next, stepsDone, lots, parts },
  timeZone,
  now,
}: {
  batch: BatchSummary;
  timeZone: string;
  now: number;
}) {
  if (next.kind === 'finished') return <b>Every piece is done.</b>;
  if (next.kind === 'wait' && next.until > now)
    return (
      <b>
        <Say text={next.what} /> until {clockWords(onClock(next.until, timeZone))}
      </b>
    );
  return (
    <b>
      {stepsDone === 0 ? 'Begin: ' : ''}
      {next.step.title}, {pieceLabel(lots, parts, next.piece)}
      {parts.length < 2 && ` of ${piecesIn(lots)}`}
    </b>
  );
}

function NextButton({ batch }: { batch: BatchSummary }) {
  const putAway = useChange(putAwayBatch, 'batches');
  if (batch.next.kind === 'finished')
    return (
      <span className="bench-do">
        <Link to={`/batches/${batch.id}/twins`}>
          <Button type="primary" size="large">
            Are they twins?
          </Button>
        </Link>
        <Button onClick={() => putAway.mutate({ id: batch.id, putAway: true })}>Put away</Button>
      </span>
    );
  return (
    <span className="bench-do">
      <Link to={`/batches/${batch.id}/run`}>
        <Button type={batch.next.kind === 'do' ? 'primary' : 'default'} size="large">
          {batch.next.kind === 'wait' ? 'Look' : batch.stepsDone === 0 ? 'To the lathe' : 'Go on'}
        </Button>
      </Link>
    </span>
  );
}
