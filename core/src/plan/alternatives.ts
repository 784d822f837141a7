import type { Finding } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import type { PlanInputs } from './inputs.js';
import { chosenSchedule, plan } from './plan.js';

/** What comes of holding the work in one way, planned through. */
export interface Alternative {
  kind: MountKind;
  /** hands on for a piece, its share of setting up included; null where it cannot be made so. Minutes */
  minutes: number | null;
  /** set-ups of the whole batch */
  setups: number;
  /** times that a piece is taken hold of on the lathe */
  holds: number;
  /** what keeps it from being made so, and what the workshop lacks for it */
  against: Finding[];
}

/** The stages whose Stops belong to the way of holding and to the route that it leads to. */
const OF_ITS_OWN: ReadonlySet<Finding['stage']> = new Set(['mount', 'turn', 'drill', 'surface']);

/** Ways of holding, each planned through as if it were chosen: those that can be gone first, the quickest first. */
export function alternatives(inputs: PlanInputs, kinds: readonly MountKind[]): Alternative[] {
  return kinds.map((kind) => alternative(inputs, kind)).sort(byUse);
}

function alternative({ pattern, workshop, stock, order, schools }: PlanInputs, kind: MountKind): Alternative {
  const made = plan(pattern, workshop, stock, { ...order, mount: kind }, schools);
  const [{ steps, pieces }] = made.parts;
  const schedule = chosenSchedule(made);
  return {
    kind,
    minutes: steps.length === 0 ? null : schedule.handsOnMinutes / Math.max(1, pieces),
    setups: schedule.setups,
    holds: steps.filter((s) => s.operation?.kind === 'hold' && s.operation.effects.some(takesHold)).length,
    against: made.findings.filter((f) => f.severity === 'stop' && OF_ITS_OWN.has(f.stage)),
  };
}

const takesHold = (effect: { do: string; held?: { place: string } | null }): boolean =>
  effect.do === 'hold' && effect.held?.place === 'lathe';

const byUse = (a: Alternative, b: Alternative): number =>
  Number(a.against.length > 0) - Number(b.against.length > 0) ||
  (a.minutes ?? Infinity) - (b.minutes ?? Infinity);
