import createClient, { type MaybeOptionalInit } from 'openapi-fetch';
import type { PathsWithMethod, RequiredKeysOf, SuccessResponseJSON } from 'openapi-typescript-helpers';
import { takeName } from './changes.js';
import { fetchInTime } from './inTime.js';
import { problemOf } from './problem.js';
import type { paths } from './schema.js';

type Method = 'get' | 'post' | 'put' | 'delete';

/** A change carries its name, so that it is made once however often it is sent. */
function withName(method: Method, init: object | undefined): object | undefined {
  if (method === 'get') return init;
  const { id, after } = takeName();
  return { ...init, headers: { 'x-change': id, ...(after === null ? {} : { 'x-after': after }) } };
}

/** The server, typed by its own OpenAPI document. The header shows that a change is ours. */
const server = createClient<paths>({
  baseUrl: '/',
  headers: { 'x-compas': '1' },
  fetch: fetchInTime,
});

/**
 * Asks the server and gives the body of its answer as the document types it, or throws the
 * server's problem.
 */
export async function ask<
  M extends Method,
  P extends PathsWithMethod<paths, M>,
  Init extends MaybeOptionalInit<paths[P], M>,
>(
  method: M,
  path: P,
  ...init: RequiredKeysOf<Init> extends never ? [Init?] : [Init]
): Promise<SuccessResponseJSON<NonNullable<paths[P][M]>>> {
  // the package's own answer type would turn the core's tuples into lists
  const request = server.request as unknown as (
    m: M,
    p: P,
    i?: object,
  ) => Promise<{ data?: unknown; error?: unknown; response: Response }>;
  const { data, error, response } = await request(method, path, withName(method, init[0]));
  if (!response.ok) throw problemOf(response.status, error);
  return data as SuccessResponseJSON<NonNullable<paths[P][M]>>;
}
