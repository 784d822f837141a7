import { capitalised } from '../measure/index.js';
import { kindRow } from './kinds/operationKinds.js';
import type { Step } from './step.js';
import { stepDoes } from './stepDoes.js';

/** Steps that are done in one go: one set-up, one kind of work. */
export interface StepRun {
  /** of its first step */
  id: string;
  title: string;
  steps: Step[];
}

/** The steps of a plan in their runs; in plans made before there were routes each step is one. */
export function runsOf(steps: readonly Step[]): StepRun[] {
  const runs: Step[][] = [];
  for (const step of steps) {
    const last = runs.at(-1);
    // what mends one piece stands for itself
    const same = step.run !== undefined && last?.[0]?.run === step.run && last[0]?.only === step.only;
    if (last && same) last.push(step);
    else runs.push([step]);
  }
  return runs.flatMap((run) => (run[0] ? [{ id: run[0].id, title: titleOf(run), steps: run }] : []));
}

/** So many kinds of work are named. */
const NAMED = 3;

/** One step by its own name, several by the kinds of work that are done in them. */
function titleOf(run: readonly Step[]): string {
  const working = run.filter((s) => !stepDoes(s, 'hold'));
  const [only] = working.length === 0 ? run : working;
  if (only && working.length <= 1) return only.title;
  const kinds = working.flatMap(({ operation }) => (operation && kindRow(operation.kind).called) ?? []);
  return capitalised([...new Set(kinds)].slice(0, NAMED).join(', '));
}
