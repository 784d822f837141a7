import type { DryingBundle, Kit, NewKit, NewStockItem, PatternBody, Workshop } from '@compas/core';
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { ask } from './client.js';
import type { Schemas } from './problem.js';

export type Session = Schemas['SessionView'];
export type Pattern = Schemas['PatternView'];
export type BatchSummary = Schemas['BatchSummaryView'];
export type BatchDetail = Schemas['BatchDetailView'];
export type WorkshopDetail = Schemas['WorkshopView'];
export type NewBatch = Schemas['NewBatchDto'];
export type PlanChoices = Schemas['PlanChoicesDto'];
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

export const kitsQuery = queryOptions({
  queryKey: ['kits'],
  queryFn: async (): Promise<Kit[]> => (await ask('get', '/api/kits')).kits,
});

export const membersQuery = queryOptions({
  queryKey: ['members'],
  queryFn: () => ask('get', '/api/members'),
});

export const patternsQuery = queryOptions({
  queryKey: ['patterns'],
  queryFn: () => ask('get', '/api/patterns'),
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

export const batchesQuery = queryOptions({
  queryKey: ['batches'],
  queryFn: () => ask('get', '/api/batches'),
  refetchInterval: 60_000,
});

export const batchQuery = (id: string) =>
  queryOptions({
    queryKey: ['batches', id],
    queryFn: () => ask('get', '/api/batches/{id}', { params: { path: { id } } }),
  });

export type HeldStock = Schemas['HeldStockView'];
export type Cutting = Schemas['CuttingView'];
export type Bundle = Schemas['BundleView'];

export const stockQuery = queryOptions({
  queryKey: ['stock'],
  queryFn: () => ask('get', '/api/stock'),
});

export const ledgerQuery = queryOptions({
  queryKey: ['stock', 'ledger'],
  queryFn: () => ask('get', '/api/stock/ledger'),
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
  return useMutation({
    mutationFn: change,
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

export const saveKit = ({ id, kit }: { id: string | null; kit: NewKit }) =>
  id === null
    ? ask('post', '/api/kits', { body: { kit } })
    : ask('put', '/api/kits/{id}', { params: { path: { id } }, body: { kit } });
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
