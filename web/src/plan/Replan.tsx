import {
  airOf,
  capitalised,
  carriedOver,
  dryingWood,
  pieceLabel,
  planDifference,
  progressOf,
  stepsOfPlan,
  type CarriedOver,
  type OwnWay,
  type Plan,
  type PlanOrder,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { type BatchDetail } from '../api/batch.js';
import { replanBatch } from '../api/batches.js';
import { dryingQuery } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { kitsQuery, workshopQuery } from '../api/workshop.js';
import { Say } from '../ui/Length.js';
import { Trouble } from '../ui/Trouble.js';
import { KeepPlan } from './KeepPlan.js';
import { planning } from '../workers/usePlan.js';

interface ReplanProps {
  batch: BatchDetail;
  /** the choices it is planned with */
  order: PlanOrder;
  onDone: () => void;
}

/** What would differ if the batch were planned with what the workshop owns now; then it can be. */
export function Replan({ batch, order, onDone }: ReplanProps) {
  const workshop = useQuery(workshopQuery);
  const kits = useQuery(kitsQuery);
  const bundles = useQuery(dryingQuery);
  const [made, setMade] = useState<{ plan: Plan; order: PlanOrder } | null>(null);
  const [failed, setFailed] = useState<Error | null>(null);
  const replan = useChange(replanBatch, 'batches');
  const { inputs, plan } = batch.snapshot;
  useEffect(() => {
    if (!workshop.data || !kits.data || !bundles.data) return;
    const air = airOf(workshop.data.body);
    const drying = bundles.data.map((lies) => dryingWood(lies, air));
    const now = { ...inputs, order, workshop: workshop.data.body, stock: { kits: kits.data, drying } };
    void planning()
      .plan(now)

      .then(
        (plan) => setMade({ plan, order }),
        (error: Error) => setFailed(error),
      );
  }, [workshop.data, kits.data, bundles.data, inputs, order]);
  if (failed) return <p role="alert">▲ No plan could be made with what is there now: {failed.message}</p>;
  if (made === null) return null;
  const { plan: after } = made;
  const words = planDifference(plan, after);
  const steps = stepsOfPlan(plan);
  const { pieces } = progressOf(batch.lots, batch.events, steps);
  const carried = after.parts.flatMap((part) =>
    carriedOver(
      steps.filter((s) => s.partId === part.partId && s.item !== true),
      part,
      drawnPart(batch, part.partId),
      pieces.filter((p) => p.partId === part.partId),
    ),
  );
  const again = (past: readonly OwnWay[]) =>
    replan.mutate(
      {
        id: batch.id,
        basedOn: batch.planVersion,
        ...order,
        ...(past.length > 0 ? { ways: [...(order.ways ?? []), ...past] } : {}),
        schools: inputs.schools,
      },
      { onSuccess: onDone },
    );
  return (
    <div className="sheet">
      <h3>
        {words.length === 0
          ? 'Planned anew, nothing would differ.'
          : 'Planned anew with what the workshop owns now:'}
      </h3>
      <ul>
        {words.map((w) => (
          <li key={w}>
            <Say text={w} />
          </li>
        ))}
      </ul>
      <UnderWay carried={carried} called={(piece) => pieceLabel(batch.lots, plan.parts, piece)} />
      <Trouble error={replan.error} />
      <KeepPlan
        findings={after.findings}
        planned={made.order === order}
        pending={replan.isPending}
        words={`Keep it as plan ${batch.planVersion + 1}`}
        disabled={words.length === 0}
        onKeep={again}
      />{' '}
      <Button onClick={onDone}>Leave it</Button>
    </div>
  );
}

/** Pieces on which something is done that the new plan sees otherwise: somebody must look before it is kept. */
function UnderWay({ carried, called }: { carried: CarriedOver[]; called: (piece: number) => string }) {
  if (carried.length === 0) return null;
  return (
    <section aria-label="Pieces under way">
      <h3>▲ Done already, and otherwise in the new plan:</h3>
      <ul>
        {carried.map(({ piece, otherwise, gone, again, lost, left }) => (
          <li key={piece}>
            <b>{capitalised(called(piece))}</b>
            <ul>
              {otherwise.map(({ stepId, words }) => (
                <li key={stepId}>
                  <Say text={words} />
                </li>
              ))}
              {gone.map((s) => (
                <li key={s.id}>{s.title}: done; the new plan has no such step.</li>
              ))}
              {lost.map((words) => (
                <li key={words}>
                  <b>■ It can no longer become that:</b> <Say text={words} />
                </li>
              ))}
              {again.length > 0 && <li>To be done again: {again.map((s) => s.title).join(', ')}.</li>}
              <li className="soft">{left} steps are left on it.</li>
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

const drawnPart = ({ snapshot: { inputs } }: BatchDetail, partId: string) =>
  inputs.pattern.parts.find((p) => p.id === partId) ?? inputs.pattern.parts[0];
