import type { Effect, Operation, OperationKind, Said } from '../operation.js';
import type { Purpose } from '../shop.js';

/** What a person decides of an operation, besides what it does. */
export interface Manner {
  title: string;
  words?: string[];
  tool?: string;
  per?: Operation['per'];
  minutes?: Operation['minutes'];
}

interface Making {
  kind: OperationKind;
  subject: string | null;
  pass?: string;
  on: string[];
  said: Said[];
  effects: Effect[];
  purpose: Purpose;
}

/** An operation's id is made of what it is about, never of its place in a list. */
export const idOf = (kind: string, subject: string | null, pass?: string): string =>
  [kind, subject, pass].filter((part) => part !== null && part !== undefined).join(':');

/** An operation of a kind, as a person wants it done. */
export const operationOf = (
  { kind, subject, pass, on, said, effects, purpose }: Making,
  { title, words = [], tool, per = 'piece', minutes = { once: 0, each: 0 } }: Manner,
): Operation => ({
  id: idOf(kind, subject, pass),
  kind,
  subject,
  on,
  per,
  title,
  words,
  said,
  effects,
  purpose,
  ...(tool === undefined ? {} : { tool }),
  minutes,
});
