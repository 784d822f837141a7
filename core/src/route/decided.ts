import { withoutPlace, type OwnStep } from '../workshop/index.js';
import type { Operation, Route } from './operation.js';
import { doesOf } from './kinds/operationKinds.js';
import { operationOf } from './say/operationOf.js';

/** A step as a decision can be about it: its name, what it does, and the kind of feature it does it to. */
interface DecidedStep {
  id: string;
  does: string;
  of?: string;
}

/** What a person decides of the steps of a route. */
export interface DecidedSteps {
  /** the kind of feature that has an id */
  kindOf: (elementId: string) => string | undefined;
  isLeftOut: (step: DecidedStep, title: string) => boolean;
  /** minutes for one piece; null leaves the usual ones */
  minutesFor: (step: DecidedStep, usual: number) => number | null;
  /** how fast the lathe turns for it; null leaves it at what its stage has. `usual` in words */
  rpmFor: (step: DecidedStep, usual: string) => number | null;
  /** steps in somebody's own words, each with a name */
  extra: readonly { id: string; step: OwnStep }[];
}

/** A route as a person wants it, and which own steps have nothing to come after any more. */
export interface Decided {
  route: Route;
  leftOut: { operation: Operation; step: DecidedStep }[];
  homeless: string[];
}

/**
 * The route with what is decided of its steps: some left out, some of other length, own ones put in. What follows from
 * that is not made good here: it is played, and what does not hold any more is found.
 */
export function decidedSteps({ schema, operations }: Route, decided: DecidedSteps): Decided {
  const leftOut = operations
    .map((operation) => ({ operation, step: stepOf(operation, decided) }))
    .filter(({ operation, step }) => decided.isLeftOut(step, operation.title));
  const gone = leftOut.map((l) => l.operation);
  const left = operations
    .filter((o) => !gone.includes(o))
    .map((o) => asDecided(o, stepOf(o, decided), decided));
  const homeless: string[] = [];
  const withOwn = decided.extra.reduce<Operation[]>((all, { id, step }) => {
    const at = placeAfter(step.after, all, operations, gone);
    if (at === null) {
      homeless.push(id);
      return all;
    }
    return all.toSpliced(at, 0, ownOperation(id, step, all[at - 1] ?? all[at]));
  }, left);
  return { route: { schema, operations: withOwn }, leftOut, homeless };
}

/** Its minutes and its speed as somebody wants them. What no motor turns has none to set, and a bit has the speed of its bit. */
function asDecided(operation: Operation, step: DecidedStep, { minutesFor, rpmFor }: DecidedSteps): Operation {
  const minutes = minutesFor(step, operation.minutes.each);
  const rpm = operation.rpm && operation.turns !== undefined ? rpmFor(step, operation.speed ?? '') : null;
  return {
    ...operation,
    ...(minutes === null ? {} : { minutes: { ...operation.minutes, each: minutes } }),
    ...(rpm === null ? {} : { rpm, speed: `${rpm} rpm` }),
  };
}

/** Where an own step goes: behind the last piece's step of that name, or where that one was before it was left out. */
function placeAfter(
  after: string | null,
  all: readonly Operation[],
  usual: readonly Operation[],
  leftOut: readonly Operation[],
): number | null {
  if (after === null) return 0;
  const at = all.findLastIndex((o) => withoutPlace(o.id) === after);
  if (at >= 0) return at + 1;
  const was = leftOut.findLast((o) => withoutPlace(o.id) === after);
  if (!was) return null;
  const before = usual.slice(0, usual.indexOf(was)).findLast((o) => all.includes(o));
  return before ? all.indexOf(before) + 1 : 0;
}

function ownOperation(id: string, step: OwnStep, beside: Operation | undefined): Operation {
  return {
    ...operationOf(
      { kind: 'own step', subject: id, on: [], said: [], effects: [] },
      {
        title: step.title,
        words: step.words === '' ? [] : [step.words],
        minutes: { once: 0, each: step.minutes },
        ...(beside ? { stage: beside.stage } : {}),
      },
    ),
    at: step.place,
    ...(step.makes.length === 0 ? {} : { makes: step.makes }),
  };
}

function stepOf({ id, kind, subject }: Operation, { kindOf }: DecidedSteps): DecidedStep {
  const of = subject === null ? undefined : kindOf(withoutPlace(subject));
  return { id, does: doesOf(kind), ...(of === undefined ? {} : { of }) };
}
