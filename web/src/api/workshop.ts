import type { Kit, NewKit, Workshop } from '@compas/core';
import { queryOptions } from '@tanstack/react-query';
import { ask } from './client.js';
import type { Schemas } from './problem.js';
import { orAsSeen } from './seen.js';

export type WorkshopDetail = Schemas['WorkshopView'];

export const workshopQuery = queryOptions({
  queryKey: ['workshop'],
  queryFn: () => orAsSeen('workshop', () => ask('get', '/api/workshop')),
  networkMode: 'always',
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

export const saveWorkshop = (body: { name: string; basedOn: number; body: Workshop }) =>
  ask('put', '/api/workshop', { body });

export const createKit = (kit: NewKit) => ask('post', '/api/kits', { body: { kit } });

export const saveKit = ({ id, ...body }: { id: string; kit: NewKit; basedOn: number }) =>
  ask('put', '/api/kits/{id}', { params: { path: { id } }, body });

export const removeKit = (id: string) => ask('delete', '/api/kits/{id}', { params: { path: { id } } });
