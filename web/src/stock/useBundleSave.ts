import type { DryingBundle } from '@compas/core';
import { useQueryClient } from '@tanstack/react-query';
import { ApiProblem } from '../api/problem.js';
import { changeBundle, dryingQuery, type Bundle } from '../api/stock.js';
import { useSharedSave } from '../saving/useSharedSave.js';

export const editedBundle = ({ bundle, version }: Bundle) => ({ value: bundle, version });

/** Saves a bundle on the drying shelf, with what others weigh or change meanwhile. */
export function useBundleSave(id: string) {
  const client = useQueryClient();
  return useSharedSave<DryingBundle, Bundle>({
    save: (bundle, basedOn) => changeBundle({ id, bundle, basedOn }),
    fetch: async () => {
      const there = (await client.fetchQuery({ ...dryingQuery, staleTime: 0 })).find((b) => b.id === id);
      if (!there) throw new ApiProblem(404, 'Somebody took this bundle off the drying shelf meanwhile.');
      return editedBundle(there);
    },
    stale: ['drying'],
  });
}
