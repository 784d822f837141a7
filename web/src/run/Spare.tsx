import { useMutation, useQueryClient } from '@tanstack/react-query';
import { spareBatch } from '../api/batches.js';
import { sentenceOf } from '../api/problem.js';

/** One more piece in place of one that was rejected: it is numbered on. The server gives the number, so it needs a connection. */
export function Spare({ batchId, partId, called }: { batchId: string; partId: string; called: string }) {
  const client = useQueryClient();
  const spare = useMutation({
    mutationFn: spareBatch,
    onSuccess: () => client.invalidateQueries({ queryKey: ['run', batchId] }),
  });
  return (
    <>
      <button
        type="button"
        className="run-quiet"
        disabled={spare.isPending || spare.isSuccess}
        onClick={() => spare.mutate({ id: batchId, partId, count: 1 })}
      >
        {spare.isSuccess ? 'One more is in the batch' : `Make one more ${called}`}
      </button>
      {spare.error && <p role="alert">▲ {sentenceOf(spare.error)}</p>}
    </>
  );
}
