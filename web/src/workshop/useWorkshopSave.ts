import type { Workshop } from '@compas/core';
import { useQueryClient } from '@tanstack/react-query';
import { saveWorkshop, workshopQuery, type WorkshopDetail } from '../api/workshop.js';
import { useSharedSave } from '../saving/useSharedSave.js';
import { workshopLabel } from './fieldLabels.js';

/** What of the workshop is saved together. */
export interface EditedWorkshop {
  name: string;
  body: Workshop;
}

export const editedWorkshop = ({ name, body, version }: WorkshopDetail) => ({
  value: { name, body },
  version,
});

/**
 * Saves what the workshop owns and does by habit, with what others change meanwhile.
 * @param answered takes what is there now, at once, and also for somebody who has gone on meanwhile
 */
export function useWorkshopSave(answered: (now: WorkshopDetail) => void = () => undefined) {
  const client = useQueryClient();
  return useSharedSave<EditedWorkshop, WorkshopDetail>({
    save: async (value, basedOn) => {
      const now = await saveWorkshop({ ...value, basedOn });
      answered(now);
      return now;
    },
    fetch: async () => editedWorkshop(await client.fetchQuery({ ...workshopQuery, staleTime: 0 })),
    labels: workshopLabel,
    stale: ['workshop', 'session'],
  });
}
