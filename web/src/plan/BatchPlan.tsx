import type { Stage } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { type BatchDetail } from '../api/batch.js';
import { batchQuery } from '../api/batches.js';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { dayWords } from '../ui/clock.js';
import { PrintLinks } from './PrintLinks.js';
import { Replan } from './Replan.js';
import { stageOf } from './stages.js';
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

function Kept({ batch }: { batch: BatchDetail }) {
  const stage = stageOf(useParams().stage, 'stock');
  const [replanning, setReplanning] = useState(false);
  const { plan, inputs } = batch.snapshot;
  const elsewhere = plan.findings.filter((f) => f.stage !== stage && f.severity === 'stop');
  return (
    <WorkScreen
      title={
        <>
          <h1>{batch.name}</h1>
          <span className="soft">
            for {batch.customer}
            {batch.due !== null && `, due ${dayWords(batch.due)}`}. Revision {batch.revision}, plan{' '}
            {batch.planVersion}.
          </span>
        </>
      }
      strip={<StageStrip plan={plan} stage={stage} workshop={inputs.workshop} />}
      band={
        <>
          <div className="band at-middle">
            <span>
              {batch.pieces} pieces in {plan.parts[0].material.name.toLowerCase()}
            </span>
            <PrintLinks batchId={batch.id} />
            <Button onClick={() => setReplanning(!replanning)} aria-expanded={replanning}>
              Plan anew
            </Button>
            <span className="band-do">
              <Link to={`/batches/${batch.id}/run`}>
                <Button type="primary" size="large">
                  To the lathe
                </Button>
              </Link>
            </span>
          </div>
          {replanning && <Replan batch={batch} onDone={() => setReplanning(false)} />}
        </>
      }
      stage={stage}
      findings={plan.findings}
      to={(wanted) => batchStage(batch, wanted)}
      aside={
        <>
          <Findings
            findings={[...elsewhere, ...plan.findings.filter((f) => f.stage === stage)]}
            empty="Nothing to look at in this stage."
          />
          <Figures figures={plan.figures[stage] ?? []} />
        </>
      }
    >
      <StageWork plan={plan} stage={stage} inputs={inputs} batchId={batch.id} />
    </WorkScreen>
  );
}
