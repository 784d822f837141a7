import {
  ballSet,
  failedIn,
  finishedReadings,
  inspectTwins,
  pieceLabel,
  progressOf,
  stepsOfPlan,
  twinsFindings,
  withoutPlace,
  type BallSet,
  type BatchProgress,
  type InspectedPiece,
  type PartPlan,
  type Step,
  type TwinsVerdict,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { type BatchDetail } from '../api/batch.js';
import { batchQuery, creditQuery } from '../api/batches.js';
import { batchStage } from '../plan/BatchPlan.js';
import { PartSwitch, useShownPart } from '../plan/PartSwitch.js';
import { WorkScreen } from '../plan/WorkScreen.js';
import { DeviationLayer, ENLARGED } from '../strip/layers.js';
import { Strip } from '../strip/Strip.js';
import { lookOf } from '../strip/wood/woodLook.js';
import { recordFindings } from '../run/recordFindings.js';
import { countOf } from '../ui/countOf.js';
import { Findings } from '../ui/Findings.js';
import { Length, Say } from '../ui/Length.js';
import { withNote } from '../ui/noted.js';
import { ItemTable } from './ItemTable.js';
import './twins.css';

const StationChart = lazy(() => import('./StationChart.js'));

/** Are they twins? Deviations over the outline, one chart per station, the verdict in words. */
export default function TwinsScreen() {
  const { id = '' } = useParams();
  const batch = useQuery(batchQuery(id));
  return batch.data ? <Twins batch={batch.data} /> : null;
}

/** The verdict on the pieces of one part. */
const verdictOn = (
  { stations, steps, partId }: PartPlan,
  { pieces, readings }: BatchProgress,
): TwinsVerdict => {
  const own = pieces.filter((p) => p.partId === partId);
  // within its part a piece is called by its own count
  const counts = new Map(own.map((p) => [p.piece, p.n]));
  return inspectTwins(
    stations,
    finishedReadings(
      readings.flatMap((r) => {
        const n = counts.get(r.piece);
        return n === undefined ? [] : [{ ...r, piece: n }];
      }),
      steps,
      stations,
    ),
    own.map((p) => ({
      piece: p.n,
      rejected: p.rejected !== null,
      failed: failedIn(steps, p)[0]?.title ?? null,
      keeps: p.keeps,
    })),
  );
};

/** Balls are used as a set: an undersize one sets the size of all. */
function ballSetOf({ snapshot }: BatchDetail, part: PartPlan, verdict: TwinsVerdict): BallSet | null {
  if (snapshot.inputs.pattern.kind !== 'ball') return null;
  const balls = part.outline.spans.filter((s) => s.element.kind === 'sphere');
  return ballSet(
    verdict,
    balls.map((s) => `${s.element.id}.crest`),
  );
}

function Twins({ batch }: { batch: BatchDetail }) {
  const { plan } = batch.snapshot;
  const [shown, show] = useShownPart(plan);
  const part = plan.parts.find((p) => p.partId === shown) ?? plan.parts[0];
  const progress = useMemo(() => progressOf(batch.lots, batch.events, stepsOfPlan(plan)), [batch, plan]);
  const verdict = useMemo(() => verdictOn(part, progress), [part, progress]);
  const called = (n: number) => (plan.parts.length < 2 ? String(n) : `${part.name.toLowerCase()} ${n}`);
  const records = recordFindings(batch, batch.events, progress.readings);
  const set = ballSetOf(batch, part, verdict);
  const measured = verdict.stations.filter((s) => s.count > 0);
  return (
    <WorkScreen
      title={
        <>
          <h1>{batch.name}</h1>
          <span className="soft">for {batch.customer}</span>
          <PartSwitch plan={plan} shown={shown} show={show} />
        </>
      }
      strip={
        <Strip
          outline={part.outline}
          holes={part.holes}
          look={lookOf(part.material, part.partId)}
          headstockEnd={part.mount.headstockEnd}
        >
          <DeviationLayer verdict={verdict} />
        </Strip>
      }
      stage="twins"
      findings={[...plan.findings, ...records, ...twinsFindings(verdict)]}
      to={(stage) => batchStage(batch, stage)}
      aside={
        <>
          <div className="twins-words">
            {verdict.cause !== null && (
              <p className="twins-cause">
                <b>Likely cause.</b> {verdict.cause}
              </p>
            )}
            {set !== null && (
              <p className="twins-cause">
                <Say text={set.words} />
              </p>
            )}
            {verdict.sentences.map((s) => (
              <p key={s}>
                <Say text={s} />
              </p>
            ))}
          </div>
          <Measurers readings={progress.readings} />
          <Credit batchId={batch.id} />
          <Findings findings={records} empty="" />
          <Noted
            steps={stepsOfPlan(plan)}
            pieces={progress.pieces}
            called={(n) => pieceLabel(batch.lots, plan.parts, n)}
            patternId={batch.patternId}
          />
        </>
      }
    >
      <div className="column">
        <ItemTable batch={batch} progress={progress} />
        <p className="twins-verdict" data-state={verdict.state}>
          <span aria-hidden>
            {verdict.state === 'twins' ? '✓' : verdict.state === 'not twins' ? '▲' : '·'}
          </span>{' '}
          {verdict.headline}
        </p>
        {verdict.state === 'unmeasured' && (
          <p>
            Measure the pieces <Link to={`/batches/${batch.id}/run`}>at the lathe</Link>; the verdict comes
            with the first reading.
          </p>
        )}
        {measured.length > 0 && (
          <>
            <p className="soft">
              On the drawing deviations are enlarged {ENLARGED} times; the band is the tolerance.
            </p>
            <div className="twins-charts">
              <Suspense fallback={<p className="soft">Drawing charts…</p>}>
                {measured.map((spread) => (
                  <StationChart key={spread.station.id} spread={spread} pieces={verdict.pieces} />
                ))}
              </Suspense>
            </div>
            <PieceTable verdict={verdict} called={called} />
          </>
        )}
      </div>
    </WorkScreen>
  );
}

/** Who measured how much, where it was said: another hand is one more reason for a difference. */
function Measurers({ readings }: Pick<BatchProgress, 'readings'>) {
  const counts = new Map<string, number>();
  for (const { who } of readings) if (who !== undefined) counts.set(who, (counts.get(who) ?? 0) + 1);
  if (counts.size === 0) return null;
  return (
    <p className="soft">
      Measured by {[...counts].map(([who, count]) => `${who} (${count})`).join(', ')}, as was said at the
      lathe.
    </p>
  );
}

/** Whose what was recorded is, by the sign-in of each: also of those who have left. */
function Credit({ batchId }: { batchId: string }) {
  const { data = [] } = useQuery({ ...creditQuery(batchId), throwOnError: false });
  // who only began something has ended and measured nothing
  const did = data.filter(({ steps, readings }) => steps + readings > 0);
  if (did.length === 0) return null;
  return (
    <p className="soft">
      Recorded by{' '}
      {did
        .map(
          ({ name, steps, readings }) =>
            `${name} (${countOf(steps, 'step')}, ${countOf(readings, 'reading')})`,
        )
        .join(', ')}
      .
    </p>
  );
}

interface NotedProps {
  steps: readonly Step[];
  pieces: BatchProgress['pieces'];
  called: (piece: number) => string;
  patternId: string;
}

/** What was noted at the lathe, piece by piece: what the next revision or the next batch can learn from. */
function Noted({ steps, pieces, called, patternId }: NotedProps) {
  const stepOf = (stepId: string) => steps.find((s) => s.id === stepId);
  const where = (piece: number, stepId: string) =>
    [called(piece), stepOf(stepId)?.title].filter((w) => w !== undefined).join(', ');
  /** the element that the step makes, where it makes one */
  const drawnAt = (stepId: string) =>
    withoutPlace(stepOf(stepId)?.operation?.subject ?? '').split('.')[0] ?? '';
  const noted = pieces.flatMap((p) => p.notes.map((note) => ({ ...note, piece: p.piece })));
  if (noted.length === 0) return null;
  return (
    <section aria-labelledby="noted">
      <h3 id="noted">Noted at the lathe</h3>
      <ul>
        {noted.map(({ at, piece, stepId, words, photo }) => (
          <li key={`${piece} ${at}`}>
            {where(piece, stepId)}: {words}{' '}
            {photo && <img src={photo} alt={words || 'noted in a photo'} width={120} />}
            <br />
            <Link
              to={withNote(`/patterns/${patternId}`, {
                words,
                where: where(piece, stepId),
                about: drawnAt(stepId),
              })}
            >
              Into the next revision
            </Link>
            {' · '}
            <Link
              to={withNote(`/patterns/${patternId}/plan/turn`, {
                words,
                where: where(piece, stepId),
                about: stepId,
              })}
            >
              Do it always so
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

const VERDICT_WORDS = {
  good: '✓ good',
  rework: '▲ rework',
  scrap: '■ scrap',
  'odd one out': '● odd one out',
};

function PieceTable({ verdict, called }: { verdict: TwinsVerdict; called: (piece: number) => string }) {
  return (
    <div className="scroll" role="region" aria-label="Readings of every piece" tabIndex={0}>
      <table className="table">
        <thead>
          <tr>
            <th>Piece</th>
            {verdict.stations.map(({ station }) => (
              <th key={station.id} className="number">
                {station.label}
                <br />
                <Length mm={station.finished} />
              </th>
            ))}
            <th>Verdict</th>
          </tr>
        </thead>
        <tbody>
          {verdict.pieces.map((piece) => (
            <PieceLine key={piece.piece} piece={piece} called={called(piece.piece)} verdict={verdict} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function PieceLine({
  piece,
  called,
  verdict,
}: {
  piece: InspectedPiece;
  called: string;
  verdict: TwinsVerdict;
}) {
  return (
    <tr>
      <td className="figures">{called}</td>
      {verdict.stations.map(({ station }) => {
        const found = piece.judgements.find((j) => j.station.id === station.id);
        return (
          <td key={station.id} className={`number twins-${found?.judgement.verdict ?? 'none'}`}>
            {found ? <Length mm={found.reading} bare /> : '–'}
            {found && found.judgement.verdict !== 'good' && ` ${found.judgement.verdict}`}
          </td>
        );
      })}
      <td>
        {piece.rejected
          ? '■ rejected'
          : piece.failed !== null
            ? `■ did not hold: ${piece.failed}`
            : piece.verdict === null
              ? 'not all measured'
              : VERDICT_WORDS[piece.verdict]}
      </td>
    </tr>
  );
}
