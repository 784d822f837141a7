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

/** Saves what the workshop owns and does by habit, with what others change meanwhile. */
export function useWorkshopSave() {
  const client = useQueryClient();
  return useSharedSave<EditedWorkshop, WorkshopDetail>({
    save: (value, basedOn) => saveWorkshop({ ...value, basedOn }),
    fetch: async () => editedWorkshop(await client.fetchQuery({ ...workshopQuery, staleTime: 0 })),
    labels: workshopLabel,
    stale: ['workshop', 'session'],
  });
}
