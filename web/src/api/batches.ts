import { queryOptions } from '@tanstack/react-query';
import { loadBatch, type BatchDetail } from './batch.js';
import { ask } from './client.js';
import { everyPage } from './everyPage.js';
import type { Schemas } from './problem.js';
import { orAsSeen } from './seen.js';

export type BatchSummary = Schemas['BatchSummaryView'];

export type NewBatch = Schemas['NewBatchDto'];

export type PlanChoices = Schemas['ReplanDto'];

const batchPages = (wish: { away?: 'yes' | 'no'; patternId?: string }) =>
  everyPage(
    (after) => ask('get', '/api/batches', { params: { query: { ...wish, after } } }),
    (page) => page.batches,
  );

/** Batches that are still on the bench. */
export const batchesQuery = queryOptions({
  queryKey: ['batches', 'open'],
  queryFn: () => orAsSeen('batches', () => batchPages({ away: 'no' })),
  networkMode: 'always',
  refetchInterval: 60_000,
});

/** All that were ever made of a pattern. */
export const batchesOfQuery = (patternId: string) =>
  queryOptions({ queryKey: ['batches', 'of', patternId], queryFn: () => batchPages({ patternId }) });

export type Made = Schemas['MadeView'];

export const madeQuery = queryOptions({
  queryKey: ['batches', 'made'],
  queryFn: () => ask('get', '/api/batches/made'),
});

export const batchQuery = (id: string) =>
  queryOptions({
    queryKey: ['batches', id],
    queryFn: ({ client }) => loadBatch(id, client.getQueryData<BatchDetail>(['batches', id])),
  });

/** Whose what was recorded on a batch is. */
export const creditQuery = (id: string) =>
  queryOptions({
    queryKey: ['batches', id, 'credit'],
    queryFn: () => ask('get', '/api/batches/{id}/credit', { params: { path: { id } } }),
  });

export const createBatch = (body: NewBatch) => ask('post', '/api/batches', { body });

export const replanBatch = ({ id, ...body }: PlanChoices & { id: string }) =>
  ask('post', '/api/batches/{id}/plans', { params: { path: { id } }, body });

export const spareBatch = ({ id, ...body }: { id: string; partId: string; count: number }) =>
  ask('post', '/api/batches/{id}/spares', { params: { path: { id } }, body });

export const putAwayBatch = ({ id, putAway }: { id: string; putAway: boolean }) =>
  ask('put', '/api/batches/{id}/put-away', { params: { path: { id } }, body: { putAway } });
