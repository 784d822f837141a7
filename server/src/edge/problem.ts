import { HttpException, HttpStatus } from '@nestjs/common';

/** One field that cannot be right, with a sentence that says what would do. */
export interface FieldProblem {
  field: string;
  why: string;
}

/** An error as it reaches the client: problem details (RFC 9457) with the fields concerned. */
export interface ProblemDetails {
  type: string;
  title: string;
  status: number;
  detail: string;
  errors?: FieldProblem[];
  conflict?: Conflict;
}

/** Who changed something in between, and when. */
export interface Conflict {
  by: string;
  at: string;
  version: number;
}

/** A refusal in a sentence that a turner understands. */
export class Problem extends HttpException {
  constructor(
    status: HttpStatus,
    detail: string,
    readonly errors?: FieldProblem[],
    readonly conflict?: Conflict,
  ) {
    super(detail, status);
  }

  static notFound = (what: string) =>
    new Problem(HttpStatus.NOT_FOUND, `There is no such ${what} in this workshop.`);

  static unusable = (errors: FieldProblem[]) =>
    new Problem(HttpStatus.UNPROCESSABLE_ENTITY, errors.map((e) => e.why).join(' '), errors);

  static conflict = (detail: string, conflict?: Conflict) =>
    new Problem(HttpStatus.CONFLICT, detail, undefined, conflict);
}
