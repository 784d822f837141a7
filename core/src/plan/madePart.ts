import type { Finding } from '../measure/index.js';
import type { Part } from '../pattern/index.js';
import { covers, goalsOf, NoWay, play, stepsOf, usualRoute, type Place, type Step } from '../route/index.js';
import { withChecks } from './checks.js';
import type { PlanInputs } from './inputs.js';
import type { PartDraft } from './partPlan.js';
import { routeWork } from './routeWork.js';

/** How a part is made: its steps, and what of it does not hold or is not made. */
export interface MadePart {
  steps: Step[];
  findings: Finding[];
}

/** Minutes to set a place up: typical, unchecked. */
const SETUPS: Record<Place, number> = { saw: 10, 'drill press': 6, bench: 1, lathe: 5 };
/** Minutes to put a piece back on the lathe: typical, unchecked. */
const REMOUNT = 0.7;

/**
 * The usual route in the chosen way of holding, played through and held against the drawing: what does not hold,
 * what is drawn and made by nothing, and a way that cannot be gone are Stops.
 */
export function madePart(part: Part, draft: PartDraft, inputs: PlanInputs): MadePart {
  const work = routeWork(part, draft, inputs);
  const route = usualRoute(work);
  if (route instanceof NoWay) return { steps: [], findings: [noWay(part, draft, route)] };
  const lengths = () => work.outline.length;
  const played = play(route, lengths);
  const steps = stepsOf(route, played, {
    partId: part.id,
    perBlank: work.perBlank,
    fixtures: draft.mount.fixtures ?? [],
    tail: draft.mount.tailstock !== null,
    setups: SETUPS,
    remount: REMOUNT,
    lengths,
  });
  const own = (finding: Finding): Finding => ({ ...finding, partId: part.id });
  return {
    steps: withChecks(steps, part, inputs.pattern),
    findings: [...played.findings.map(own), ...covers(played.end, goalsOf(work)).map(own)],
  };
}

const noWay = (part: Part, { mount }: PartDraft, { why, remedy }: NoWay): Finding => ({
  id: `route.none.${part.id}`,
  severity: 'stop',
  stage: 'mount',
  partId: part.id,
  what: `${mount.label}: it cannot be made so.`,
  why,
  remedy,
});
