import type { Decision, DecisionKind, DecisionOf, OwnWay } from '@compas/core';

type Test = (value: unknown) => boolean;
const text: Test = (value) => typeof value === 'string';
const number: Test = (value) => typeof value === 'number' && Number.isFinite(value);
const truth: Test = (value) => typeof value === 'boolean';
const fields = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};
const listOf =
  (test: Test): Test =>
  (value) =>
    Array.isArray(value) && value.every(test);
const objectOf =
  (tests: Record<string, Test>): Test =>
  (value) =>
    Object.entries(tests).every(([key, test]) => test(fields(value)[key]));
const either =
  (...tests: Test[]): Test =>
  (value) =>
    tests.some((test) => test(value));

const stepName = either(
  objectOf({ kind: (v) => v === 'step', id: text }),
  objectOf({ kind: (v) => v === 'like', does: text }),
);
const ownStep = objectOf({
  title: text,
  words: text,
  place: text,
  minutes: number,
  after: either(text, (v) => v === null),
  makes: listOf(text),
});

/** What each kind of decision must have to be read. */
const FORMS: { [K in DecisionKind]: Record<Exclude<keyof DecisionOf<K>, 'kind'>, Test> } = {
  tool: { on: stepName, toolId: text },
  before: { first: listOf(text), then: listOf(text) },
  grits: { grits: listOf(objectOf({ grit: number, scale: text })), burnish: truth },
  speed: { stage: text, rpm: number },
  pace: { on: stepName, rpm: number },
  bit: { boreId: text, bitId: text },
  depth: { holeId: text, mm: number },
  cure: { of: text, minutes: number },
  minutes: { on: stepName, minutes: number },
  waste: { end: text, mm: number },
  extra: { step: ownStep },
  without: { on: stepName },
  unmarked: { markId: text },
  hold: { mount: text },
  finish: { finishId: either(text, (v) => v === null) },
  fitting: { way: text },
  drill: { holeId: text, moment: text, setup: text },
  form: { stockForm: text },
  datum: { markId: text },
  past: { finding: text },
  usual: { wayId: text },
};

const isKind = (kind: unknown): kind is Decision['kind'] =>
  typeof kind === 'string' && Object.hasOwn(FORMS, kind);
const isDecision: Test = (value) => {
  const { kind } = fields(value);
  return isKind(kind) && objectOf(FORMS[kind])(value);
};
const isWay = objectOf({ id: text, why: text, by: text, at: text, decides: isDecision });

/** What is decided otherwise, in an address; what cannot be read there is left out. */
export function waysIn(written: string | null): OwnWay[] {
  if (written === null) return [];
  try {
    const read: unknown = JSON.parse(written);
    return Array.isArray(read) ? read.filter((way): way is OwnWay => isWay(way)) : [];
  } catch {
    return [];
  }
}

/** The same for the address; nothing where all is usual. */
export const waysText = (ways: readonly OwnWay[]): string | null =>
  ways.length === 0 ? null : JSON.stringify(ways);
