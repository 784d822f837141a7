import {
  progressOf,
  stepsOfPlan,
  withMends,
  type BatchProgress,
  type Finding,
  type RunEvent,
  type RunEventBody,
  type Step,
} from '@compas/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { loadBatch } from '../api/batch.js';
import { ApiProblem } from '../api/problem.js';
import { randomId } from '../api/randomId.js';
import type { BatchDetail } from '../api/batch.js';
import { deviceId, flush, nextSequence, recallBatch, rememberBatch, type Sent } from './eventQueue.js';
import { asideOf, enqueue, queued, takeUp, waitingOf, type AsideEvent } from './keptEvents.js';
import { recordFindings } from './recordFindings.js';

export interface Run {
  batch: BatchDetail | undefined;
  error: unknown;
  progress: BatchProgress | null;
  /** of the plan, with what mends single pieces */
  steps: readonly Step[];
  findings: Finding[];
  /** events that the server does not have yet */
  pending: number;
  connection: Sent;
  /** events that the server could not read; they stay on this device */
  aside: readonly AsideEvent[];
  /** sends what was put aside once more */
  sendAgain: () => void;
  record: (piece: number, ...bodies: RunEventBody[]) => Promise<void>;
}

const RETRY_MS = 5_000;

/** The batch from the server, or as it was last seen when there is no connection. */
async function fetchBatch(id: string, shown: BatchDetail | undefined): Promise<BatchDetail> {
  const known = shown ?? (await recallBatch(id).catch(() => undefined));
  try {
    const batch = await loadBatch(id, known);
    await rememberBatch(batch).catch(() => undefined);
    return batch;
  } catch (error) {
    const answered = error instanceof ApiProblem && error.status < 500;
    if (known && !answered) return known;
    throw error;
  }
}

/** A batch at the lathe: what the server knows and what this device has recorded since. */
export function useRun(id: string): Run {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: ['run', id],
    queryFn: () => fetchBatch(id, client.getQueryData<BatchDetail>(['run', id])),
    throwOnError: false,
    networkMode: 'always',
    retry: false,
  });
  // events of this device stay in sight until the server's answer holds them, also while they are sent
  const [own, setOwn] = useState<RunEvent[]>([]);
  const [pending, setPending] = useState(0);
  const [aside, setAside] = useState<readonly AsideEvent[]>([]);
  const [connection, setConnection] = useState<Sent>('all sent');
  const sending = useRef(false);
  /** something was recorded while the last was on its way: it does not wait for the next round */
  const more = useRef(false);
  const count = useCallback(async () => {
    setPending(await waitingOf(id));
    setAside(await asideOf(id));
  }, [id]);
  const refresh = useCallback(async () => {
    const queue = await queued(id);
    setOwn((before) => merged(before, queue));
    await count();
  }, [id, count]);

  const send = useCallback(async () => {
    more.current = true;
    if (sending.current) return;
    sending.current = true;
    try {
      while (more.current) {
        more.current = false;
        const had = await waitingOf(id);
        const result = await flush(id);
        setConnection(result);
        if (result === 'all sent' && had > 0) {
          await client.invalidateQueries({ queryKey: ['run', id] });
          await client.invalidateQueries({ queryKey: ['batches'] });
        }
        await count();
      }
    } catch {
      // the browser's store refuses now and then, when it is full or busy: the next try finds it again
      setConnection('not kept');
    } finally {
      sending.current = false;
    }
  }, [id, client, count]);

  useEffect(() => {
    void refresh()
      .catch(() => setConnection('not kept'))
      .then(send);
    const timer = setInterval(() => void send(), RETRY_MS);
    const onOnline = () => void send();
    window.addEventListener('online', onOnline);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', onOnline);
    };
  }, [refresh, send]);

  const sendAgain = useCallback(() => {
    void takeUp(id).then(refresh).then(send);
  }, [id, refresh, send]);

  const planVersion = query.data?.planVersion ?? 1;
  const record = useCallback(
    async (piece: number, ...bodies: RunEventBody[]) => {
      const at = new Date().toISOString();
      const device = deviceId();
      const first = await nextSequence(bodies.length);
      const events = bodies.map((body, i): RunEvent => ({
        id: randomId(),
        piece,
        at,
        device,
        sequence: first + i,
        planVersion,
        body,
      }));
      // what one tap ended is kept at once: nobody sees half of it
      await enqueue(id, ...events);
      // what was kept is known: a long queue is not read again for a tap
      setOwn((before) => merged(before, events));
      setPending((before) => before + events.length);
      void send();
    },
    [id, planVersion, send],
  );

  // what the server could not read is not done: it is in sight as put aside
  const events = useMemo(() => {
    const unread = new Set(aside.map(({ event }) => event.id));
    return merged(
      query.data?.events ?? [],
      own.filter((e) => !unread.has(e.id)),
    );
  }, [query.data, own, aside]);
  const steps = useMemo(
    () => (query.data ? withMends(stepsOfPlan(query.data.snapshot.plan), events) : []),
    [query.data, events],
  );
  const progress = useMemo(
    () => (query.data ? progressOf(query.data.lots, events, steps) : null),
    [query.data, events, steps],
  );
  const findings = useMemo(
    () => (query.data ? recordFindings(query.data, events) : []),
    [query.data, events],
  );
  return {
    batch: query.data,
    error: query.error,
    progress,
    steps,
    findings,
    pending,
    connection,
    aside,
    sendAgain,
    record,
  };
}

/** Both lists together, each event once. */
function merged(known: readonly RunEvent[], more: readonly RunEvent[]): RunEvent[] {
  const ids = new Set(known.map((e) => e.id));
  return [...known, ...more.filter((e) => !ids.has(e.id))];
}
