import type { components } from './schema.js';

export type Schemas = components['schemas'];

/** One field that the server refused. */
export interface FieldProblem {
  field: string;
  why: string;
}

/** Who changed a thing in between, and when. */
export interface Conflict {
  by: string;
  at: string;
  version: number;
}

/** What the server said against a request, in a sentence. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly errors: FieldProblem[] = [],
    readonly conflict: Conflict | null = null,
  ) {
    super(detail);
  }
}

/** Reads problem details; anything else becomes a plain sentence. */
export function problemOf(status: number, body: unknown): ApiProblem {
  if (typeof body === 'object' && body !== null && 'detail' in body && typeof body.detail === 'string')
    return new ApiProblem(
      status,
      body.detail,
      'errors' in body && Array.isArray(body.errors) ? (body.errors as FieldProblem[]) : [],
      'conflict' in body ? (body.conflict as Conflict) : null,
    );
  return new ApiProblem(status, 'The server did not answer as it should. Try again.');
}

/** What to show for any error. */
export function sentenceOf(error: unknown): string {
  if (error instanceof ApiProblem) return error.message;
  return 'The server cannot be reached. Check the network; what you entered is still here.';
}
