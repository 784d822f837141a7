import {
  Catch,
  HttpException,
  HttpStatus,
  Logger,
  type ArgumentsHost,
  type ExceptionFilter,
} from '@nestjs/common';
import { FileProblem } from '@compas/core';
import type { Response } from 'express';
import { Problem, type ProblemDetails } from './problem.js';
import { isDiskFull, isUnreachable } from './unreachable.js';

const TITLES: Record<number, string> = {
  400: 'That could not be read',
  401: 'Not signed in',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Somebody was faster',
  413: 'Too large',
  421: 'Not by that name',
  422: 'Something in it cannot be right',
  429: 'Too many tries',
  503: 'Not now',
};

const UNREACHABLE =
  'The database cannot be reached right now. Try again in a moment: what is sent twice is done once, and what a tablet recorded stays on it.';
const DISK_FULL =
  'The disk that Compas keeps its records on is full. Make room on it: until then nothing new is kept there, and what a tablet recorded stays on it.';
/** s */
const RETRY_AFTER = '5';

/** Turns every error into problem details; what nobody foresaw is logged and told without its innards. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log = new Logger('problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return;
    const problem = this.detailsOf(error);
    if (problem.status === 503) response.setHeader('retry-after', RETRY_AFTER);
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }

  private detailsOf(error: unknown): ProblemDetails {
    if (error instanceof Problem)
      return details(error.getStatus(), error.message, error.errors, error.conflict);
    if (isDiskFull(error)) return details(HttpStatus.SERVICE_UNAVAILABLE, DISK_FULL);
    if (isUnreachable(error)) return details(HttpStatus.SERVICE_UNAVAILABLE, UNREACHABLE);
    // a file that cannot be made of what is there
    if (error instanceof FileProblem) return details(HttpStatus.UNPROCESSABLE_ENTITY, error.message);
    if (error instanceof HttpException) return details(error.getStatus(), error.message);
    const status = statusOf(error);
    if (status === 413) return details(413, 'The request is larger than this address takes.');
    if (status !== undefined && status < 500)
      return details(status, 'The request could not be read. Check its form.');
    this.log.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return details(
      HttpStatus.INTERNAL_SERVER_ERROR,
      'Compas made a mistake. Nothing was saved; please try again.',
    );
  }
}

const details = (
  status: number,
  detail: string,
  errors?: ProblemDetails['errors'],
  conflict?: ProblemDetails['conflict'],
): ProblemDetails => ({
  type: 'about:blank',
  title: TITLES[status] ?? 'Something went wrong',
  status,
  detail,
  ...(errors ? { errors } : {}),
  ...(conflict ? { conflict } : {}),
});

/** Body parsers throw plain errors that carry a status. */
function statusOf(error: unknown): number | undefined {
  if (typeof error !== 'object' || error === null || !('status' in error)) return undefined;
  return typeof error.status === 'number' ? error.status : undefined;
}
