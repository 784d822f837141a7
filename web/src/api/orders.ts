import { queryOptions } from '@tanstack/react-query';
import { ask } from './client.js';
import type { Schemas } from './problem.js';

export type Order = Schemas['OrderView'];
export type OrderLine = Schemas['OrderLineView'];
type NewOrder = Schemas['NewOrderDto'];
type ChangedOrder = Schemas['ChangeOrderDto'];

const orders = (closed: 'yes' | 'no') => ask('get', '/api/orders', { params: { query: { closed } } });

/** Orders that are still to be made or handed over, the first due first. */
export const ordersQuery = queryOptions({ queryKey: ['orders', 'open'], queryFn: () => orders('no') });

export const closedOrdersQuery = queryOptions({
  queryKey: ['orders', 'closed'],
  queryFn: () => orders('yes'),
});

/** What would be handed over of an order now. */
export const deliveryQuery = (id: string) =>
  queryOptions({
    queryKey: ['orders', id, 'delivery'],
    queryFn: () => ask('get', '/api/orders/{id}/delivery', { params: { path: { id } } }),
  });

const at = (id: string) => ({ params: { path: { id } } });

export const createOrder = (body: NewOrder) => ask('post', '/api/orders', { body });

export const changeOrder = ({ id, ...body }: ChangedOrder & { id: string }) =>
  ask('put', '/api/orders/{id}', { ...at(id), body });

export const removeOrder = (id: string) => ask('delete', '/api/orders/{id}', at(id));

export const closeOrder = ({ id, closed }: { id: string; closed: boolean }) =>
  ask('put', '/api/orders/{id}/closed', { ...at(id), body: { closed } });

export const handOver = (id: string) => ask('post', '/api/orders/{id}/deliveries', at(id));

export const takeBackDelivery = (id: string) => ask('delete', '/api/orders/{id}/deliveries', at(id));

/** Keeps what was chosen for the plan of a line, as the address of that plan says it. */
export const chooseForLine = ({ id, number, choices }: { id: string; number: number; choices: string }) =>
  ask('put', '/api/orders/{id}/lines/{number}/choices', {
    params: { path: { id, number } },
    body: { choices },
  });
