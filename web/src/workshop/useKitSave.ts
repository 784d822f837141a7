import type { KitKind, NewKit } from '@compas/core';
import { useQueryClient } from '@tanstack/react-query';
import { ApiProblem } from '../api/problem.js';
import { heldKitsQuery, saveKit } from '../api/workshop.js';
import { useSharedSave } from '../saving/useSharedSave.js';
import { kitLabel } from './fieldLabels.js';
import { withoutId } from './withoutId.js';

/**
 * Saves a kit of the list, with what others change meanwhile.
 * @param keptUntil keeps what is typed until the answer is there
 */
export function useKitSave(
  id: string,
  kind: KitKind,
  keptUntil: (answer: Promise<unknown>) => Promise<unknown>,
) {
  const client = useQueryClient();
  return useSharedSave<NewKit, unknown>({
    save: (kit, basedOn) => keptUntil(saveKit({ id, kit, basedOn })),
    fetch: async () => {
      const there = (await client.fetchQuery({ ...heldKitsQuery, staleTime: 0 })).find(
        (h) => h.kit.id === id,
      );
      if (!there) throw new ApiProblem(404, 'Somebody took this kit from the list while you changed it.');
      return { value: withoutId(there.kit), version: there.version };
    },
    labels: (path) => kitLabel(kind, path),
    stale: ['kits', 'stock'],
  });
}
