import { withoutPlace } from '../workshop/index.js';
import type { Operation, Route } from './operation.js';

/** Where names of operations stand in their effects: what made a surface, a hole, a hold. */
const NAMING: ReadonlySet<string> = new Set(['id', 'by']);

/**
 * The route of a part as it stands in that of its item: its operations and what they made are named after the part too,
 * so that two parts that are both roughed are told apart.
 */
export function qualified({ schema, operations }: Route, partId: string): Route {
  const names = new Set(operations.map((o) => o.id));
  const named = (value: unknown, key: string): unknown => {
    if (typeof value === 'string') return NAMING.has(key) && names.has(value) ? `${partId}/${value}` : value;
    if (Array.isArray(value)) return value.map((v) => named(v, ''));
    if (value === null || typeof value !== 'object') return value;
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, named(v, k)]));
  };
  return {
    schema,
    operations: operations.map((o): Operation => ({
      ...o,
      id: `${partId}/${o.id}`,
      effects: o.effects.map((e) => named(e, '') as typeof e),
      said: o.said.map((s) => named(s, '') as typeof s),
    })),
  };
}

/** The name of a step within its part, as decisions name it. */
export const withoutPart = (stepId: string, partId: string): string =>
  withoutPlace(stepId.startsWith(`${partId}/`) ? stepId.slice(partId.length + 1) : stepId);
