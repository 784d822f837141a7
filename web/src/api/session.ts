import { queryOptions } from '@tanstack/react-query';
import { ask } from './client.js';
import type { Schemas } from './problem.js';
import { asSomebodyElse, orAsSeen } from './seen.js';

export type Session = Schemas['SessionView'];

export type Member = Schemas['MemberView'];

/** All that is seen of a workshop: whoever enters another, or the door, sees it anew. */
export const OF_A_WORKSHOP = [
  'session',
  'workshop',
  'patterns',
  'batches',
  'drafts',
  'orders',
  'kits',
  'members',
  'samples',
  'stock',
  'cuttings',
  'drying',
] as const;

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => orAsSeen('session', () => ask('get', '/api/session')),
  staleTime: 60_000,
  networkMode: 'always',
});

export const membersQuery = queryOptions({
  queryKey: ['members'],
  queryFn: () => ask('get', '/api/members'),
});

export const invitesQuery = queryOptions({
  queryKey: ['invites'],
  queryFn: () => ask('get', '/api/members/invites'),
});

export const withdrawInvite = (id: string) =>
  ask('delete', '/api/members/invites/{id}', { params: { path: { id } } });

/** Records of the workshop that could not be counted, as they came. */
export const asideQuery = queryOptions({
  queryKey: ['set-aside'],
  queryFn: () => ask('get', '/api/set-aside'),
});

export const giveUpRecord = (id: string) =>
  ask('delete', '/api/set-aside/{id}', { params: { path: { id } } });

export const newRecorder = () => ask('post', '/api/members/recorders');

export const signInsQuery = queryOptions({
  queryKey: ['sign-ins'],
  queryFn: () => ask('get', '/api/session/all'),
});

export const endOtherSignIns = () => ask('delete', '/api/session/others');

export const changePassword = (body: Schemas['NewPasswordDto']) =>
  ask('put', '/api/session/password', { body });

export const lastBackupQuery = queryOptions({
  queryKey: ['last-backup'],
  queryFn: () => ask('get', '/api/health/backup'),
});

export const signIn = (body: Schemas['SignInDto']) => asSomebodyElse(ask('post', '/api/session', { body }));

export const enterDemo = () => asSomebodyElse(ask('post', '/api/session/demo'));

export const signOut = () => asSomebodyElse(ask('delete', '/api/session'));

export const createAccount = (body: Schemas['NewAccountDto']) =>
  asSomebodyElse(ask('post', '/api/session/account', { body }));

export const createWorkshop = (body: Schemas['NewWorkshopDto']) =>
  asSomebodyElse(ask('post', '/api/session/workshops', { body }));

export const enterWorkshop = (workshopId: string) =>
  asSomebodyElse(ask('put', '/api/session/workshop', { body: { workshopId } }));

export const inviteMember = (role: Member['role']) => ask('post', '/api/members/invites', { body: { role } });

export const removeMember = (id: string) => ask('delete', '/api/members/{id}', { params: { path: { id } } });

export const invitation = (token: string) =>
  ask('get', '/api/invitations/{token}', { params: { path: { token } } });

export const joinAs = ({ token, ...body }: Schemas['NewPersonDto'] & { token: string }) =>
  asSomebodyElse(ask('post', '/api/invitations/{token}', { params: { path: { token } }, body }));

export const acceptInvitation = (token: string) =>
  asSomebodyElse(ask('post', '/api/invitations/{token}/accept', { params: { path: { token } } }));
