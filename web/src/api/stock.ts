import type { DryingBundle, NewStockItem } from '@compas/core';
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { ask } from './client.js';
import type { Schemas } from './problem.js';

export type HeldStock = Schemas['HeldStockView'];

export type Cutting = Schemas['CuttingView'];

export type Bundle = Schemas['BundleView'];

export const stockQuery = queryOptions({
  queryKey: ['stock'],
  queryFn: () => ask('get', '/api/stock'),
});

const NEWEST_LINES: { before?: number } = {};

export const ledgerPagesQuery = (search: string) =>
  infiniteQueryOptions({
    queryKey: ['stock', 'ledger', search],
    queryFn: ({ pageParam }) =>
      ask('get', '/api/stock/ledger', { params: { query: { ...pageParam, search } } }),
    initialPageParam: NEWEST_LINES,
    getNextPageParam: ({ next }) => (next === null ? undefined : { before: next }),
  });

export const balanceQuery = queryOptions({
  queryKey: ['stock', 'balance'],
  queryFn: () => ask('get', '/api/stock/ledger/balance'),
});

export const cuttingsQuery = queryOptions({
  queryKey: ['cuttings'],
  queryFn: () => ask('get', '/api/cuttings'),
});

export const dryingQuery = queryOptions({
  queryKey: ['drying'],
  queryFn: () => ask('get', '/api/drying'),
});

export const receiveStock = (received: { item: NewStockItem; amount: number }[]) =>
  ask('post', '/api/stock', { body: { received } });

export const changeStock = ({ id, ...body }: { id: string; item: NewStockItem; basedOn: number }) =>
  ask('put', '/api/stock/{id}', { params: { path: { id } }, body });

export const moveStock = ({ id, ...body }: Schemas['MoveDto'] & { id: string }) =>
  ask('post', '/api/stock/{id}/moves', { params: { path: { id } }, body });

export const splitLog = ({ id, ...body }: Schemas['SplitDto'] & { id: string }) =>
  ask('post', '/api/stock/{id}/split', { params: { path: { id } }, body });

export const keepCutting = (body: Schemas['KeepCuttingDto']) => ask('post', '/api/cuttings', { body });

export const recordCutting = (id: string) =>
  ask('post', '/api/cuttings/{id}/record', { params: { path: { id } } });

export const removeCutting = (id: string) =>
  ask('delete', '/api/cuttings/{id}', { params: { path: { id } } });

export const layBundle = (bundle: DryingBundle) => ask('post', '/api/drying', { body: { bundle } });

export const changeBundle = ({ id, ...body }: { id: string; bundle: DryingBundle; basedOn: number }) =>
  ask('put', '/api/drying/{id}', { params: { path: { id } }, body });

export const takeOffBundle = (id: string) => ask('delete', '/api/drying/{id}', { params: { path: { id } } });
