import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { sessionQuery } from '../api/session.js';
import { flush } from './eventQueue.js';
import { forgetOld, queues } from './keptEvents.js';
import { knowLife } from './life.js';
import { haveRecorder } from './recorder.js';

/** Whatever screen is open, what is kept is sent so often, ms. */
const ROUND_MS = 10_000;

/** What is kept on this device and not sent yet, by batch. */
export const unsentQuery = queryOptions({
  queryKey: ['unsent'],
  queryFn: queues,
  networkMode: 'always',
  throwOnError: false,
  refetchInterval: ROUND_MS / 2,
});

/** Sends what is kept from whatever screen is open, under a session of the workshop that it belongs to, until nothing is. */
export function useSender(): void {
  const client = useQueryClient();
  const { data: session } = useQuery({ ...sessionQuery, throwOnError: false });
  const life = session?.life;
  const workshopId = session?.userId ? session.workshopId : null;
  useEffect(() => {
    if (life === undefined) return;
    void knowLife(life)
      .then((another) => (another ? client.resetQueries() : undefined))
      .catch(() => undefined);
  }, [life, client]);
  useEffect(() => {
    if (!session || !workshopId) return;
    void haveRecorder(session).catch(() => undefined);
    void forgetOld(Date.now()).catch(() => undefined);
    // a browser that runs out of room clears what nobody asked it to keep
    void navigator.storage?.persist?.().catch(() => false);
    const round = () =>
      void sendAll(workshopId).then(() => client.invalidateQueries({ queryKey: ['unsent'] }));
    round();
    const timer = setInterval(round, ROUND_MS);
    window.addEventListener('online', round);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', round);
    };
  }, [session, workshopId, client]);
}

/** One round over all queues; what cannot be sent now is there for the next. */
async function sendAll(workshopId: string): Promise<void> {
  try {
    for (const { batchId, owner } of await queues())
      // where nothing gets through, the others wait for the next round, and the lathe is not kept waiting behind them
      if ((owner === null || owner.workshopId === workshopId) && (await flush(batchId)) === 'no connection')
        return;
  } catch {
    // the browser's store was busy
  }
}
