import { branchesOf } from '../../assembly/index.js';
import type { Finding } from '../../measure/index.js';
import type { Part } from '../../pattern/index.js';
import { againstSpeed, type SpeedLimits } from '../../turning/index.js';
import type { Place } from '../../workshop/index.js';
import {
  covers,
  decidedSteps,
  EMPTY_SHOP,
  goalsOf,
  NoWay,
  play,
  qualified,
  stepsOf,
  usualRoute,
  type Operation,
  type Shop,
  type Step,
} from '../../route/index.js';
import { answeredFor, leftOutNotes, ownStepsLocked } from '../ways/answeredFor.js';
import { itemChecks, withChecks } from '../item/checks.js';
import { decidedOf } from '../ways/decisions.js';
import type { PlanInputs } from '../inputs.js';
import { spoiltShaft, takingMate, type Mate } from './onShaft.js';
import { isAfterItem, type OwnWays } from '../ways/ownWays.js';
import type { PartDraft } from './partPlan.js';
import { routeWork } from './routeWork.js';

/** What speaks against the speeds that are set for single operations. */
const paceFindings = (
  usual: readonly Operation[],
  decided: readonly Operation[],
  limits: SpeedLimits,
): Finding[] =>
  decided.flatMap(({ id, title, rpm }) => {
    const wish = usual.find((o) => o.id === id)?.rpm;
    return rpm === undefined || wish === undefined || wish === rpm
      ? []
      : againstSpeed({ id, to: title, wish }, rpm, limits);
  });

/** How a part is made: its steps, and what of it does not hold or is not made. */
export interface MadePart {
  steps: Step[];
  findings: Finding[];
  /** the shop when it is made; nothing where it cannot be */
  end: Shop;
}

/** Minutes to set a place up: typical, unchecked. */
export const SETUPS: Record<Place, number> = { saw: 10, 'drill press': 6, bench: 1, lathe: 5 };
/** Minutes to put a piece back on the lathe: typical, unchecked. */
const REMOUNT = 0.7;

/**
 * The usual route in the chosen way of holding, played through and held against the drawing: what does not hold,
 * what is drawn and made by nothing, and a way that cannot be gone are Stops.
 */
export function madePart(
  part: Part,
  draft: PartDraft,
  inputs: PlanInputs,
  own: OwnWays,
  mate: Mate | null,
): MadePart {
  const work = routeWork(part, draft, inputs, own, mate);
  const glued = work.shaft ? mate : null;
  const usual = usualRoute(work);
  if (usual instanceof NoWay) return { steps: [], findings: [noWay(part, draft, usual)], end: EMPTY_SHOP };
  const decided = decidedSteps(usual, decidedOf(part, own));
  own.of('extra').forEach(({ decides, scoped }) => {
    const isHere = !isAfterItem(decides.step) && !decided.homeless.includes(scoped.way.id);
    if (isHere) own.follow(scoped, 'no such step');
  });
  const route = inputs.order.others === undefined ? decided.route : qualified(decided.route, part.id);
  const lengths = (id: string) =>
    work.shaft && id !== part.id ? work.shaft.lengths(id) : work.outline.length;
  const played = play(route, lengths, work.shaft?.made);
  // where the item is put together, what is checked of the whole is checked then
  const isWhole = inputs.order.others !== undefined && branchesOf(inputs.pattern).length > 0;
  const ofItem = new Set(isWhole ? itemChecks(inputs.pattern).map((c) => c.id) : []);
  const steps = stepsOf(route, played, {
    partId: part.id,
    perBlank: work.perBlank,
    fixtures: draft.mount.fixtures ?? [],
    tail: draft.mount.tailstock !== null,
    setups: SETUPS,
    remount: REMOUNT,
    lengths,
  });
  const ofPart = (finding: Finding): Finding => ({ ...finding, partId: part.id });
  return {
    steps: withChecks(ownStepsLocked(glued ? takingMate(steps, glued) : steps), part, inputs.pattern, ofItem),
    findings: [
      ...played.findings.map(ofPart),
      ...paceFindings(usual.operations, decided.route.operations, {
        partId: part.id,
        lathe: inputs.workshop.lathe,
        fastest: draft.mount.fastest,
      }),
      ...answeredFor(covers(played.end, goalsOf(work), route.operations), decided, own).map(ofPart),
      ...(glued ? spoiltShaft(played.end, glued, inputs.pattern) : []),
      ...leftOutNotes(decided, own).map(ofPart),
    ],
    end: played.end,
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
