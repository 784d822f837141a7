import { HttpStatus, ValidationPipe, type ValidationError } from '@nestjs/common';
import { Problem, type FieldProblem } from './problem.js';

/** Reads bodies against their DTOs: unknown fields are refused, each wrong field gets a sentence. */
export const validationPipe = (): ValidationPipe =>
  new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    transform: true,
    stopAtFirstError: true,
    exceptionFactory: (errors) => {
      const fields = fieldProblems(errors);
      return new Problem(HttpStatus.BAD_REQUEST, fields.map((f) => f.why).join(' '), fields);
    },
  });

/** Nested validation errors as one flat list with the path of each field. */
export function fieldProblems(errors: readonly ValidationError[], path = ''): FieldProblem[] {
  return errors.flatMap((error) => {
    const field = path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      field,
      why:
        rule === 'whitelistValidation'
          ? `"${error.property}" is not a field that is known here.`
          : sentence(message),
    }));
    return [...own, ...fieldProblems(error.children ?? [], field)];
  });
}

const sentence = (message: string): string =>
  message.charAt(0).toUpperCase() + message.slice(1) + (/[.?!]$/.test(message) ? '' : '.');
