import type { Kit, PatternBody, PlanInputs, Workshop } from '@compas/core';
import { useMemo, useState } from 'react';
import { draftFrom } from '../plan/draft.js';
import { usePlan } from '../workers/usePlan.js';
import type { Spot } from './editing.js';

const NOTHING_CHOSEN = new URLSearchParams();

/** What making a few of the part that is edited would take, with the usual choices. */
export function useDraftPlan(body: PatternBody, spot: Spot, workshop: Workshop, kits: Kit[]) {
  const [opened] = useState(() => Date.now());
  const inputs = useMemo<PlanInputs>(() => {
    const { order, schools } = draftFrom(NOTHING_CHOSEN, body, workshop, opened);
    const part = body.parts.find((p) => p.id === spot.partId) ?? body.parts[0];
    return {
      pattern: body,
      workshop,
      stock: { kits },
      order: { ...order, partId: part.id, materialId: part.materialId },
      schools,
    };
  }, [body, spot.partId, workshop, kits, opened]);
  return usePlan(inputs);
}
