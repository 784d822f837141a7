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
import type { BatchDetail } from '../api/batch.js';
import { sessionQuery } from '../api/session.js';
import { deviceId } from './device.js';
import { fetchBatch } from './fetchBatch.js';
import type { SeenBatch } from './seenBatch.js';
import { flush, type Sent } from './eventQueue.js';
import { asideOf, ownerOf, queued, sentOf, takeUp, waitingOf, type AsideEvent } from './keptEvents.js';
import { useNow } from '../ui/useNow.js';
import { heard, recordHere } from './recordHere.js';
import { recordFindings } from './recordFindings.js';
import { useStream } from './useStream.js';

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
  /** sends what waits, without waiting for the next round */
  sendNow: () => void;
  /** sends what was put aside once more */
  sendAgain: () => void;
  record: (piece: number, ...bodies: RunEventBody[]) => Promise<void>;
  /** id of this device; '' until it is known */
  device: string;
  /** instant at which the server was last heard, where what is shown may be old, ms */
  asOf: number | null;
  /** workshop that the queue belongs to, where it is known */
  owner: string | null;
}

const RETRY_MS = 5_000;
/** Tablets on one batch follow each other so, ms. */
const FOLLOW_MS = 2_000;
/** While the server tells what is new, it is looked for so often all the same, ms. */
const TOLD_MS = 10_000;
/** What was heard of the server longer ago may be old, ms. */
const MAY_BE_OLD = 15_000;

/** A batch at the lathe: what the server knows and what this device has recorded since. */
export function useRun(id: string): Run {
  const client = useQueryClient();
  const told = useCallback(() => void client.invalidateQueries({ queryKey: ['run', id] }), [client, id]);
  const live = useStream(id, told);
  const query = useQuery({
    queryKey: ['run', id],
    queryFn: () =>
      fetchBatch(id, client.getQueryData<SeenBatch>(['run', id]), (late) =>
        client.setQueryData(['run', id], late),
      ),
    throwOnError: false,
    networkMode: 'always',
    retry: false,
    structuralSharing: false,
    refetchInterval: ({ state }) => (state.error ? RETRY_MS : live ? TOLD_MS : FOLLOW_MS),
  });
  const batch = query.data?.batch;
  const now = useNow(RETRY_MS);
  const seenAt = query.data?.seenAt ?? null;
  // events of this device stay in sight until the server's answer holds them, also while they are sent
  const [own, setOwn] = useState<RunEvent[]>([]);
  const [pending, setPending] = useState(0);
  const [aside, setAside] = useState<readonly AsideEvent[]>([]);
  const [connection, setConnection] = useState<Sent>('all sent');
  const [device, setDevice] = useState('');
  const [owner, setOwner] = useState<string | null>(null);
  const sending = useRef(false);
  /** something was recorded while the last was on its way: it does not wait for the next round */
  const more = useRef(false);
  /** the batch whose queue was read since the page was opened */
  const read = useRef('');
  const count = useCallback(async () => {
    setPending(await waitingOf(id));
    setAside(await asideOf(id));
  }, [id]);
  const refresh = useCallback(async () => {
    const kept = [...(await sentOf(id)), ...(await queued(id))].map(heard);
    const [own, owner] = [await deviceId(), await ownerOf(id)];
    setOwn((before) => merged(before, kept));
    setDevice(own);
    setOwner(owner?.workshop ?? null);
    await count();
  }, [id, count]);

  const send = useCallback(async () => {
    more.current = true;
    if (sending.current) return;
    sending.current = true;
    try {
      // where the browser's store refused at first, what lies in it counts as soon as it can be read
      if (read.current !== id)
        await refresh().then(
          () => (read.current = id),
          () => undefined,
        );
      while (more.current) {
        more.current = false;
        const had = await waitingOf(id);
        const result = await flush(id);
        setConnection(result);
        if (result === 'all sent' && had > 0) {
          // what is read back comes when it comes: nothing is kept from being sent by it
          void client.invalidateQueries({ queryKey: ['run', id] });
          void client.invalidateQueries({ queryKey: ['batches'] });
        }
        await count();
      }
      // what can be sent is sent all the same: it makes room
      if (read.current !== id) setConnection('not kept');
    } catch {
      // the browser's store refuses now and then, when it is full or busy: the next try finds it again
      setConnection('not kept');
    } finally {
      sending.current = false;
    }
  }, [id, client, count, refresh]);

  useEffect(() => {
    void send();
    const timer = setInterval(() => void send(), RETRY_MS);
    const onOnline = () => void send();
    window.addEventListener('online', onOnline);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', onOnline);
    };
  }, [send]);

  const sendNow = useCallback(() => void send(), [send]);
  const sendAgain = useCallback(() => {
    void takeUp(id)
      .then(refresh)
      .catch(() => setConnection('not kept'))
      .then(send);
  }, [id, refresh, send]);

  const planVersion = batch?.planVersion ?? 1;
  const record = useCallback(
    async (piece: number, ...bodies: RunEventBody[]) => {
      try {
        const session = client.getQueryData(sessionQuery.queryKey);
        const kept = await recordHere({ batchId: id, planVersion, piece, bodies }, session);
        // what was kept is known: a long queue is not read again for a tap
        setOwn((before) => merged(before, kept));
        setPending((before) => before + kept.length);
      } catch (error) {
        setConnection('not kept');
        throw error;
      }
      void send();
    },
    [id, planVersion, send, client],
  );

  // what the server could not read is not done: it is in sight as put aside
  const events = useMemo(() => {
    const unread = new Set(aside.map(({ event }) => event.id));
    return merged(
      batch?.events ?? [],
      own.filter((e) => !unread.has(e.id)),
    );
  }, [batch, own, aside]);
  const steps = useMemo(
    () => (batch ? withMends(stepsOfPlan(batch.snapshot.plan), events) : []),
    [batch, events],
  );
  const progress = useMemo(
    () => (batch ? progressOf(batch.lots, events, steps) : null),
    [batch, events, steps],
  );
  const findings = useMemo(
    () => (batch && progress ? recordFindings(batch, events, progress.readings) : []),
    [batch, events, progress],
  );
  return {
    batch,
    error: query.error,
    progress,
    steps,
    findings,
    pending,
    connection,
    aside,
    sendAgain,
    sendNow,
    record,
    device,
    asOf: seenAt !== null && now - seenAt > MAY_BE_OLD ? seenAt : null,
    owner,
  };
}

/** Both lists together, each event once. */
function merged(known: readonly RunEvent[], more: readonly RunEvent[]): RunEvent[] {
  const ids = new Set(known.map((e) => e.id));
  return [...known, ...more.filter((e) => !ids.has(e.id))];
}
