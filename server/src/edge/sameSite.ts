import { HttpStatus } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { Problem } from './problem.js';

/** Header that our own client sends with every change; a form of another site cannot. */
const OWN_HEADER = 'x-compas';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses changes that come from another site: the header must be there, and an Origin, when the
 * browser sends one, must be ours, its scheme and port included. The session cookie is SameSite=Lax besides.
 */
export function sameSite(request: Request, _response: Response, next: NextFunction): void {
  if (SAFE.has(request.method)) return next();
  const { origin, host } = request.headers;
  const foreign = origin !== undefined && origin !== `${request.protocol}://${host}`;
  if (foreign || request.headers[OWN_HEADER] === undefined)
    return next(
      new Problem(
        HttpStatus.FORBIDDEN,
        `Changes must come from Compas itself (header ${OWN_HEADER}, and its own address as origin). A proxy in front of it has to be named with COMPAS_PROXY.`,
      ),
    );
  next();
}
