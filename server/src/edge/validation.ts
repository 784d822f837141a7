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
      const fields = fieldProblems(errors).slice(0, MOST_SAID);
      return new Problem(HttpStatus.BAD_REQUEST, fields.map((f) => f.why).join(' '), fields);
    },
  });

/** Nested validation errors as one flat list with the path of each field. */
export function fieldProblems(errors: readonly ValidationError[], path = ''): FieldProblem[] {
  return errors.flatMap((error) => {
    const field = path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      field,
      why: sentence(whyNot(error, rule, message, path)),
    }));
    return [...own, ...fieldProblems(error.children ?? [], field)];
  });
}

/** So many fields are named at once: whoever sends more mends these first. */
const MOST_SAID = 8;
/** So much of a value is said again, characters. */
const SAID = 40;

function whyNot({ property, value }: ValidationError, rule: string, message: string, path: string): string {
  const name = nameOf(property, path);
  if (rule === 'whitelistValidation') return `"${shortened(property)}" is not a field that is known here`;
  if (rule === 'nestedValidation' || rule === 'unknownValue')
    return `${name} is ${saidOf(value)}. Give it with the fields that it has here`;
  const said = message.replace(property, name).replaceAll('"$value"', saidOf(value));
  const told = said.replaceAll('$value', saidOf(value));
  return typeof value === 'string' && value.length > SAID ? told.replaceAll(value, shortened(value)) : told;
}

/** What was sent, in words where it is no word of its own; never more of it than one can read. */
function saidOf(value: unknown): string {
  if (value === undefined) return 'missing';
  if (value === null || value === '') return 'empty';
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object') return 'a group of fields';
  return typeof value === 'string' ? `"${shortened(value)}"` : shortened(JSON.stringify(value));
}

const shortened = (text: string): string => (text.length > SAID ? `${text.slice(0, SAID)}…` : text);

/** A field as one would say it: `basedOn` is “based on”; a length is named by what is so long. */
function nameOf(property: string, path: string): string {
  const isIn = path.split('.').findLast((name) => !/^\d+$/.test(name));
  const own =
    property === 'mm' && isIn ? isIn : /^\d+$/.test(property) && isIn ? `entry of ${isIn}` : property;
  return shortened(own).replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);
}

const sentence = (message: string): string =>
  message.charAt(0).toUpperCase() + message.slice(1) + (/[.?!]$/.test(message) ? '' : '.');
