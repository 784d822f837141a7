import {
  inputsOfPart,
  orderWithWays,
  piecesIn,
  planOfPart,
  type Lot,
  type PlanOrder,
  type Stage,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import { type BatchDetail } from '../api/batch.js';
import { batchQuery } from '../api/batches.js';
import { dayWords } from '../ui/clock.js';
import { countOf } from '../ui/countOf.js';
import { usePlan } from '../workers/usePlan.js';
import { DecidingHere } from './own/DecidingHere.js';
import { PartSwitch, useShownPart } from './PartSwitch.js';
import { PrintLinks } from './PrintLinks.js';
import { Replan } from './Replan.js';
import { stageOf } from './stages.js';
import { asideOf } from './Aside.js';
import { StageStrip } from './StageStrip.js';
import { StageWork } from './StageWork.js';
import { WorkScreen } from './WorkScreen.js';

/** A kept plan: a snapshot, shown as it was made. */
export default function BatchPlan() {
  const { id = '' } = useParams();
  const batch = useQuery(batchQuery(id));
  if (!batch.data) return null;
  return <Kept key={`${id}/${batch.data.planVersion}`} batch={batch.data} />;
}

/** Where each stage of a batch leads. */
export const batchStage = (batch: { id: string; patternId: string }, stage: Stage): string =>
  stage === 'pattern' ? `/patterns/${batch.patternId}` : `/batches/${batch.id}/${stage}`;

const piecesMade = (lots: readonly Lot[], partId: string): number =>
  piecesIn(lots.filter((lot) => lot.partId === partId));

function Kept({ batch }: { batch: BatchDetail }) {
  const stage = stageOf(useParams().stage, 'stock');
  const [replanning, setReplanning] = useState(false);
  // what is decided otherwise and not kept yet: the plan that would come of it is shown
  const [wanted, setWanted] = useState<PlanOrder | null>(null);
  const inputs = useMemo(
    () => (wanted ? { ...batch.snapshot.inputs, order: wanted } : batch.snapshot.inputs),
    [batch, wanted],
  );
  const { plan: replanned } = usePlan(wanted ? inputs : null);
  const whole = (wanted && replanned) ?? batch.snapshot.plan;
  const [shown, show] = useShownPart(whole);
  const plan = planOfPart(whole, inputs.pattern, shown);
  const ofPart = useMemo(() => inputsOfPart(inputs, shown), [inputs, shown]);
  const { search } = useLocation();
  const leads = shown === batch.snapshot.plan.parts[0].partId;
  const ways = useMemo(() => ofPart.order.ways ?? [], [ofPart]);
  return (
    <DecidingHere
      part={plan.parts[0]}
      leads={leads}
      ways={ways}
      changeWays={(change) => setWanted(orderWithWays(inputs.order, leads ? null : shown, change(ways)))}
    >
      <WorkScreen
        title={
          <>
            <h1>{batch.name}</h1>
            <PartSwitch plan={whole} shown={shown} show={show} />
            <span className="work-do">
              <Button
                onClick={() => setReplanning(!replanning)}
                aria-expanded={replanning || wanted !== null}
                disabled={wanted !== null}
              >
                Plan anew
              </Button>
              <Link to={`/batches/${batch.id}/run`}>
                <Button type="primary">To the lathe</Button>
              </Link>
            </span>
          </>
        }
        strip={<StageStrip plan={plan} stage={stage} workshop={inputs.workshop} pattern={inputs.pattern} />}
        band={
          <>
            <div className="work-under">
              <span className="soft">
                {countOf(piecesMade(batch.lots, plan.parts[0].partId), 'piece')} in{' '}
                {plan.parts[0].material.name.toLowerCase()} for {batch.customer}
                {batch.due !== null && `, due ${dayWords(batch.due)}`}. Revision {batch.revision}, plan{' '}
                {batch.planVersion}.
              </span>
              <PrintLinks batchId={batch.id} part={whole.parts.length > 1 ? shown : null} />
            </div>
            {(replanning || wanted !== null) && (
              <Replan
                key={wanted === null ? 'as kept' : 'otherwise'}
                batch={batch}
                order={wanted ?? batch.snapshot.inputs.order}
                onDone={() => {
                  setReplanning(false);
                  setWanted(null);
                }}
              />
            )}
          </>
        }
        stage={stage}
        findings={plan.findings}
        to={(wanted) => `${batchStage(batch, wanted)}${search}`}
        aside={asideOf({
          stage,
          findings: plan.findings,
          figures: plan.figures[stage] ?? [],
          patternId: batch.patternId,
        })}
      >
        <StageWork plan={plan} stage={stage} inputs={ofPart} batchId={batch.id} />
      </WorkScreen>
    </DecidingHere>
  );
}
