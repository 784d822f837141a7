import type { DryingBundle, Kit, NewKit, NewStockItem, PatternBody, Workshop } from '@compas/core';
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { loadBatch, type BatchDetail } from './batch.js';
import { Changes } from './changes.js';
import { ask } from './client.js';
import type { Schemas } from './problem.js';

export type Session = Schemas['SessionView'];
export type Pattern = Schemas['PatternView'];
export type BatchSummary = Schemas['BatchSummaryView'];
export type { BatchDetail } from './batch.js';
export type WorkshopDetail = Schemas['WorkshopView'];
export type NewBatch = Schemas['NewBatchDto'];
export type PlanChoices = Schemas['ReplanDto'];
export type Member = Schemas['MemberView'];

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => ask('get', '/api/session'),
  staleTime: 60_000,
});

export const workshopQuery = queryOptions({
  queryKey: ['workshop'],
  queryFn: () => ask('get', '/api/workshop'),
});

export type HeldKit = Schemas['HeldKitView'];
export const heldKitsQuery = queryOptions({
  queryKey: ['kits'],
  queryFn: async (): Promise<HeldKit[]> => (await ask('get', '/api/kits')).kits,
});

export const kitsQuery = queryOptions({
  ...heldKitsQuery,
  select: (held: HeldKit[]): Kit[] => held.map(({ kit }) => kit),
});

export const membersQuery = queryOptions({
  queryKey: ['members'],
  queryFn: () => ask('get', '/api/members'),
});

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

/** All of a list that comes by pages. */
async function everyPage<Page extends { next: string | null }, Item>(
  ask: (after: string | undefined) => Promise<Page>,
  itemsOf: (page: Page) => Item[],
): Promise<Item[]> {
  const all: Item[] = [];
  for (let after: string | undefined; ;) {
    const page = await ask(after);
    all.push(...itemsOf(page));
    if (page.next === null) return all;
    after = page.next;
  }
}

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

const batchPages = (wish: { away?: 'yes' | 'no'; patternId?: string }) =>
  everyPage(
    (after) => ask('get', '/api/batches', { params: { query: { ...wish, after } } }),
    (page) => page.batches,
  );

/** Batches that are still on the bench. */
export const batchesQuery = queryOptions({
  queryKey: ['batches', 'open'],
  queryFn: () => batchPages({ away: 'no' }),
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

/** A change on the server, after which the named queries are asked anew. */
export function useChange<Input, Output>(change: (input: Input) => Promise<Output>, ...stale: string[]) {
  const client = useQueryClient();
  const [changes] = useState(() => new Changes());
  return useMutation({
    mutationFn: (input: Input) => changes.make(input, change),
    onSuccess: () => Promise.all(stale.map((key) => client.invalidateQueries({ queryKey: [key] }))),
  });
}

export const signIn = (body: Schemas['SignInDto']) => ask('post', '/api/session', { body });
export const enterDemo = () => ask('post', '/api/session/demo');
export const signOut = () => ask('delete', '/api/session');
export const createAccount = (body: Schemas['NewAccountDto']) =>
  ask('post', '/api/session/account', { body });
export const createWorkshop = (body: Schemas['NewWorkshopDto']) =>
  ask('post', '/api/session/workshops', { body });
export const enterWorkshop = (workshopId: string) =>
  ask('put', '/api/session/workshop', { body: { workshopId } });

export const saveWorkshop = (body: { name: string; basedOn: number; body: Workshop }) =>
  ask('put', '/api/workshop', { body });

export const createKit = (kit: NewKit) => ask('post', '/api/kits', { body: { kit } });
export const saveKit = ({ id, ...body }: { id: string; kit: NewKit; basedOn: number }) =>
  ask('put', '/api/kits/{id}', { params: { path: { id } }, body });
export const removeKit = (id: string) => ask('delete', '/api/kits/{id}', { params: { path: { id } } });

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

export const createBatch = (body: NewBatch) => ask('post', '/api/batches', { body });
export const replanBatch = ({ id, ...body }: PlanChoices & { id: string }) =>
  ask('post', '/api/batches/{id}/plans', { params: { path: { id } }, body });
export const putAwayBatch = ({ id, putAway }: { id: string; putAway: boolean }) =>
  ask('put', '/api/batches/{id}/put-away', { params: { path: { id } }, body: { putAway } });

export const inviteMember = (role: Member['role']) => ask('post', '/api/members/invites', { body: { role } });
export const removeMember = (id: string) => ask('delete', '/api/members/{id}', { params: { path: { id } } });
export const invitation = (token: string) =>
  ask('get', '/api/invitations/{token}', { params: { path: { token } } });
export const joinAs = ({ token, ...body }: Schemas['NewPersonDto'] & { token: string }) =>
  ask('post', '/api/invitations/{token}', { params: { path: { token } }, body });
export const acceptInvitation = (token: string) =>
  ask('post', '/api/invitations/{token}/accept', { params: { path: { token } } });
