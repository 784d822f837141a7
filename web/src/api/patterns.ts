import type { PatternBody } from '@compas/core';
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ask } from './client.js';
import { everyPage } from './everyPage.js';
import type { Schemas } from './problem.js';

export type Pattern = Schemas['PatternView'];

const FIRST_PATTERNS: { after?: string } = {};

/** Patterns by name, page by page, those that are called so. */
export const patternPagesQuery = (search: string) =>
  infiniteQueryOptions({
    queryKey: ['patterns', 'pages', search],
    queryFn: ({ pageParam }) => ask('get', '/api/patterns', { params: { query: { ...pageParam, search } } }),
    initialPageParam: FIRST_PATTERNS,
    getNextPageParam: ({ next }) => (next === null ? undefined : { after: next }),
  });

/** Every pattern, for choosing from. */
export const patternsQuery = queryOptions({
  queryKey: ['patterns', 'all'],
  queryFn: () =>
    everyPage(
      (after) => ask('get', '/api/patterns', { params: { query: { after } } }),
      (page) => page.patterns,
    ),
});

export const patternQuery = (id: string) =>
  queryOptions({
    queryKey: ['patterns', id],
    queryFn: () => ask('get', '/api/patterns/{id}', { params: { path: { id } } }),
  });

export const revisionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['patterns', id, 'revisions'],
    queryFn: () => ask('get', '/api/patterns/{id}/revisions', { params: { path: { id } } }),
  });

export const checkResultsQuery = (id: string) =>
  queryOptions({
    queryKey: ['patterns', id, 'checks'],
    queryFn: () => ask('get', '/api/patterns/{id}/checks', { params: { path: { id } } }),
  });

export type Sample = Schemas['SampleView'];

export const samplesQuery = queryOptions({
  queryKey: ['samples'],
  queryFn: () => ask('get', '/api/samples'),
});

export const createSample = (body: Schemas['NewSampleDto']) => ask('post', '/api/samples', { body });

export const removeSample = (id: string) => ask('delete', '/api/samples/{id}', { params: { path: { id } } });

export const createPattern = (body: { name: string; body: PatternBody }) =>
  ask('post', '/api/patterns', { body });

export const savePattern = ({
  id,
  ...body
}: {
  id: string;
  name: string;
  body: PatternBody;
  basedOn: number;
}) => ask('put', '/api/patterns/{id}', { params: { path: { id } }, body });

export const removePattern = (id: string) =>
  ask('delete', '/api/patterns/{id}', { params: { path: { id } } });
