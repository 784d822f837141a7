import { nextAction, progressOf, stepsOfPlan, type PlanInputs, type Workshop } from '@compas/core';
import { useQueries, useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { type BatchDetail } from '../api/batch.js';
import { batchesQuery, batchQuery } from '../api/batches.js';
import { kitsQuery } from '../api/workshop.js';
import { Say } from '../ui/Length.js';
import { planning } from '../workers/usePlan.js';

/** The batches that have come; stands outside so that the list stays the same until one changes. */
const loadedOnly = (results: UseQueryResult<BatchDetail>[]): BatchDetail[] =>
  results.flatMap((r) => (r.data ? [r.data] : []));

/** What every open plan would do otherwise with the workshop as it stands on this screen. */
export function OpenPlans({ workshop }: { workshop: Workshop }) {
  const batches = useQuery(batchesQuery);
  const kits = useQuery(kitsQuery);
  const open = batches.data?.filter((b) => !b.putAway && b.next.kind !== 'finished') ?? [];
  const loaded = useQueries({ queries: open.map((b) => batchQuery(b.id)), combine: loadedOnly });
  const [differences, setDifferences] = useState<Map<string, string[]>>(new Map());
  useEffect(() => {
    if (!kits.data || loaded.length === 0) return;
    let current = true;
    const asked = loaded.map((b) => ({ plan: b.snapshot.plan, now: inputsNow(b, workshop, kits.data) }));
    void planning()
      .differences(asked)
      .then((found) => current && setDifferences(new Map(loaded.map((b, i) => [b.id, found[i] ?? []]))));
    return () => {
      current = false;
    };
  }, [workshop, kits.data, loaded]);
  return (
    <div>
      <h2>Open plans</h2>
      {loaded.length === 0 && <p className="soft">No open plan depends on the workshop now.</p>}
      {loaded.map((batch) => (
        <div key={batch.id} className="finding unsigned">
          <Link to={`/batches/${batch.id}/stock`}>{batch.name}</Link>
          <OneDifference words={differences.get(batch.id)} left={stepsLeft(batch)} />
        </div>
      ))}
    </div>
  );
}

function OneDifference({ words, left }: { words: string[] | undefined; left: string }) {
  if (words === undefined) return null;
  if (words.length === 0) return <span className="soft">Goes on as planned. {left}</span>;
  return (
    <ul className="plain-list">
      {words.map((w) => (
        <li key={w}>
          <Say text={w} />
        </li>
      ))}
    </ul>
  );
}

const inputsNow = (
  batch: BatchDetail,
  workshop: Workshop,
  kits: PlanInputs['stock']['kits'],
): PlanInputs => ({
  ...batch.snapshot.inputs,
  workshop,
  stock: { ...batch.snapshot.inputs.stock, kits },
});

function stepsLeft(batch: BatchDetail): string {
  const { plan } = batch.snapshot;
  const steps = stepsOfPlan(plan);
  const next = nextAction(
    steps,
    progressOf(batch.lots, batch.events, steps),
    plan.schools.batching,
    Date.now(),
  );
  return next.kind === 'finished' ? '' : `Next: ${next.step.title}.`;
}
