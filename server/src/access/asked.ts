import { createHash } from 'node:crypto';
import { isUUID } from 'class-validator';
import type { Request } from 'express';
import type { Asked } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';

/** Names the change a request asks for, made by the client; sent again it is the same change. */
const CHANGE = 'x-change';

/** Names the change before it whose answer the client never got. */
const AFTER = 'x-after';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The change that a request asks for; a request that only reads asks for none. */
export function askedBy(request: Request): Asked {
  if (SAFE.has(request.method)) return { changeId: null, after: null };
  return { changeId: idIn(request, CHANGE), after: idIn(request, AFTER) };
}

function idIn(request: Request, header: string): string | null {
  const id = request.headers[header];
  if (id === undefined) return null;
  if (typeof id !== 'string' || !isUUID(id))
    throw Problem.unusable([{ field: header, why: `${header} is not an id. Give a UUID or leave it out.` }]);
  return id;
}

/** Tells the same request sent again from another one under the same id. */
export const fingerprintOf = ({ method, originalUrl, body }: Request): string =>
  createHash('sha256')
    .update(`${method} ${originalUrl} ${JSON.stringify(body ?? null)}`)
    .digest('hex');
