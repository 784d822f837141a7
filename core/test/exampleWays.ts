import type { Finding } from '../src/measure/index.js';
import type { PatternBody } from '../src/pattern/index.js';
import type { Decision, Habit, OwnWay } from '../src/workshop/index.js';
import { exampleInputs } from '../src/plan/exampleShop.js';
import { plan, type Plan } from '../src/plan/index.js';

let ways = 0;

/** An own way of a decision, with a name of its own. */
export const way = (decides: Decision, more: Partial<Habit> = {}): Habit => ({
  id: `w${++ways}`,
  decides,
  why: 'so it is done here',
  by: 'Ines',
  at: '2026-03-01T08:00:00.000Z',
  ...more,
});

/** Where ways were decided. */
export interface Where {
  order?: OwnWay[];
  pattern?: OwnWay[];
  workshop?: Habit[];
  /** the mark that all are measured from */
  datum?: string;
}

/** What is planned with no way of one's own: three stoppers. */
export const base = exampleInputs(3);

/** A plan of them with own ways, or of another pattern. */
export function planned(
  { order = [], pattern = [], workshop = [], datum }: Where,
  body: PatternBody = base.pattern,
): Plan {
  const [part] = body.parts;
  return plan(
    { ...body, parts: [{ ...part, ways: pattern }] },
    { ...base.workshop, ways: workshop },
    base.stock,
    { ...base.order, ways: order, ...(datum === undefined ? {} : { datum }) },
    base.schools,
  );
}
export const partOf = (where: Where, body?: PatternBody): Plan['parts'][0] => planned(where, body).parts[0];

/** Findings whose names begin so. */
export const said = (findings: readonly Finding[], id: string): Finding[] =>
  findings.filter((f) => f.id.startsWith(id));
