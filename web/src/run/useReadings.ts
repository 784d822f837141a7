import type { Dimension, Reading, RunEventBody, Step } from '@compas/core';
import { useState } from 'react';

/** A reading that could not be kept: what was typed, and why it was not. */
export interface NotKept {
  text: string;
  why: string;
}

const NOT_KEPT = 'This device could not keep it; what was typed is still here. Take it once more.';

/**
 * The places of a step that are still to be measured. A reading leaves its place at once, before it is kept, so that a
 * calliper that types the next one in the same moment finds the next place; one that cannot be kept comes back to its own.
 */
export function useReadings(
  step: Step,
  kept: readonly Reading[],
  record: (body: RunEventBody) => Promise<void>,
) {
  const [underWay, setUnderWay] = useState<readonly string[]>([]);
  const [failed, setFailed] = useState<ReadonlyMap<string, NotKept>>(new Map());
  const open = step.measures.filter((id) => !underWay.includes(id) && !kept.some((r) => r.stationId === id));
  const take = async (stationId: string, { mm, typed }: Dimension): Promise<void> => {
    const text = typed ?? String(mm);
    setUnderWay((before) => [...before, stationId]);
    try {
      await record({ kind: 'measured', stepId: step.id, stationId, mm, typed: text });
    } catch {
      setFailed((before) => new Map(before).set(stationId, { text, why: NOT_KEPT }));
      setUnderWay((before) => before.filter((id) => id !== stationId));
    }
  };
  return { open, failed, take };
}
