import { airOf, dryingWood } from '@compas/core';
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
import { planning } from '../workers/usePlan.js';

/** What would differ if the batch were planned with what the workshop owns now; then it can be. */
export function Replan({ batch, onDone }: { batch: BatchDetail; onDone: () => void }) {
  const workshop = useQuery(workshopQuery);
  const kits = useQuery(kitsQuery);
  const bundles = useQuery(dryingQuery);
  const [words, setWords] = useState<string[] | null>(null);
  const [failed, setFailed] = useState<Error | null>(null);
  const replan = useChange(replanBatch, 'batches');
  const { inputs, plan } = batch.snapshot;
  useEffect(() => {
    if (!workshop.data || !kits.data || !bundles.data) return;
    const air = airOf(workshop.data.body);
    const drying = bundles.data.map(({ id, bundle }) => dryingWood(id, bundle, air));
    const now = { ...inputs, workshop: workshop.data.body, stock: { kits: kits.data, drying } };
    void planning()
      .differences([{ plan, now }])
      .then(
        ([found]) => setWords(found ?? []),
        (error: Error) => setFailed(error),
      );
  }, [workshop.data, kits.data, bundles.data, inputs, plan]);
  if (failed) return <p role="alert">▲ No plan could be made with what is there now: {failed.message}</p>;
  if (words === null) return null;
  const again = () =>
    replan.mutate(
      { id: batch.id, basedOn: batch.planVersion, ...inputs.order, schools: inputs.schools },
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
      <Trouble error={replan.error} />
      <Button type="primary" disabled={words.length === 0} loading={replan.isPending} onClick={again}>
        Keep it as plan {batch.planVersion + 1}
      </Button>{' '}
      <Button onClick={onDone}>Leave it</Button>
    </div>
  );
}
