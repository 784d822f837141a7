import { queryOptions } from '@tanstack/react-query';
import { ask } from './client.js';
import type { Schemas } from './problem.js';

export type Draft = Schemas['DraftView'];

/** Plans that are begun and kept for nobody yet, the last one first. */
export const draftsQuery = queryOptions({
  queryKey: ['drafts'],
  queryFn: () => ask('get', '/api/drafts'),
});

export const keepDraft = ({ patternId, choices }: { patternId: string; choices: string }) =>
  ask('put', '/api/drafts/{patternId}', { params: { path: { patternId } }, body: { choices } });

export const dropDraft = (patternId: string) =>
  ask('delete', '/api/drafts/{patternId}', { params: { path: { patternId } } });
