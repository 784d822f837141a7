import { HttpStatus } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../edge/problem.js';

/** What is asked without being signed in: the door, invitations, health. */
const OPEN = /^\/(session|session\/demo|session\/account|invitations\/.*|health|docs.*|openapi\.json)\/?$/;

/** More than a name, an address and a password is not said at the door, bytes. */
const SAID_AT_THE_DOOR = 8_000;

/**
 * Who is not signed in is told so before what they send is read: nobody keeps the server busy with it. At the door itself
 * only little is read.
 */
export function signedInFirst(request: Request, _response: Response, next: NextFunction): void {
  if (request.session.userId !== undefined) return next();
  if (!OPEN.test(request.path))
    return next(new Problem(HttpStatus.UNAUTHORIZED, 'You are not signed in. Sign in and try again.'));
  const { 'content-length': length, 'transfer-encoding': encoding } = request.headers;
  if (encoding !== undefined || Number(length ?? 0) > SAID_AT_THE_DOOR)
    return next(new Problem(HttpStatus.PAYLOAD_TOO_LARGE, 'That is more than is said at the door.'));
  next();
}
