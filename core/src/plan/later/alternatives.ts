import { lotsOf, scheduleBatch, wallMinutes } from '../../batch/index.js';
import { MOMENT_WORDS } from '../../hardware/index.js';
import { DRILL_MOMENTS, type Finding } from '../../measure/index.js';
import type { MountKind } from '../../mounting/index.js';
import { stepDoes } from '../../route/index.js';
import type { PartChoices, PlanInputs } from '../inputs.js';
import type { PartPlan } from '../part/partPlan.js';
import { chosenSchedule, plan } from '../plan.js';

/** What comes of doing it in one way, planned through. */
export interface Outcome {
  /** hands on for a piece, its share of setting up included; null where it cannot be made so. Minutes */
  minutes: number | null;
  /** set-ups of the whole batch */
  setups: number;
  /** times that a piece is taken hold of on the lathe */
  holds: number;
  /** what keeps it from being made so, and what the workshop lacks for it */
  against: Finding[];
}

/** A way of holding and what comes of it. */
export interface Alternative extends Outcome {
  kind: MountKind;
}

/** Another order of things in the same hold, what speaks for it, and what comes of it. */
export interface Otherwise extends Outcome {
  id: string;
  label: string;
  words: string;
  /** it is what the plan does now */
  followed: boolean;
  /** the choices that lead to it */
  change: Partial<PartChoices>;
}

/** The stages whose Stops belong to the way of holding and to the route that it leads to. */
const OF_ITS_OWN: ReadonlySet<Finding['stage']> = new Set(['mount', 'turn', 'drill', 'surface']);

/** Ways of holding, each planned through as if it were chosen: those that can be gone first, the quickest first. */
export function alternatives(inputs: PlanInputs, kinds: readonly MountKind[]): Alternative[] {
  return kinds.map((kind) => ({ kind, ...outcomeOf(inputs, { mount: kind }) })).sort(byUse);
}

/**
 * The same part in the same hold with its holes drilled at another moment, or of green wood instead of dry: each
 * planned through. What the plan does now is among them; where there is nothing else to do, none.
 */
export function otherwise(inputs: PlanInputs, part: PartPlan): Otherwise[] {
  const { order } = inputs;
  const drilled = [...new Set(part.drilling.map((d) => d.hole.id))];
  const now = new Set(part.drilling.flatMap((d) => d.moment ?? []));
  const moments = DRILL_MOMENTS.map((moment) => ({
    id: moment,
    label: `Holes drilled: ${moment === 'square blank' ? 'in the square blank' : moment}`,
    words: `${MOMENT_WORDS[moment].gain} ${MOMENT_WORDS[moment].risk}`,
    followed: now.size === 1 && now.has(moment) && order.green !== true,
    change: { drilling: drilled.map((holeId) => ({ holeId, moment })) },
  }));
  const green = {
    id: 'green',
    label: 'Turned green, then dried and trued',
    words:
      'Wet wood cuts easily and makes no dust; it is oval when it is dry, and what must fit is cut then.',
    followed: order.green === true,
    change: { green: true },
  };
  const dry = {
    id: 'dry',
    label: 'Turned dry',
    words: 'It stays as it was turned, and can be finished at once.',
    followed: order.green !== true && drilled.length === 0,
    change: { green: false },
  };
  const ways = [...(drilled.length > 0 ? moments : [dry]), green];
  return ways
    .map((way) => ({ ...way, ...outcomeOf(inputs, way.change) }))
    .sort((a, b) => Number(b.followed) - Number(a.followed) || byUse(a, b));
}

function outcomeOf(
  { pattern, workshop, stock, order, schools }: PlanInputs,
  change: Partial<PartChoices>,
): Outcome {
  const made = plan(pattern, workshop, stock, { ...order, ...change }, schools);
  const [{ partId, steps, pieces }] = made.parts;
  // what it is glued onto is planned beside it and is none of its minutes
  const schedule =
    made.parts.length === 1
      ? chosenSchedule(made)
      : scheduleBatch(
          steps,
          lotsOf([{ partId, pieces }]),
          workshop.hours,
          wallMinutes(order.start),
          schools.batching,
        );
  return {
    minutes: steps.length === 0 ? null : schedule.handsOnMinutes / Math.max(1, pieces),
    setups: schedule.setups,
    holds: steps.filter((s) => stepDoes(s, 'hold') && s.operation?.effects.some(takesHold)).length,
    against: made.findings.filter(
      (f) => f.severity === 'stop' && OF_ITS_OWN.has(f.stage) && (f.partId ?? partId) === partId,
    ),
  };
}

const takesHold = (effect: { do: string; held?: { place: string } | null }): boolean =>
  effect.do === 'hold' && effect.held?.place === 'lathe';

const byUse = (a: Outcome, b: Outcome): number =>
  Number(a.against.length > 0) - Number(b.against.length > 0) ||
  (a.minutes ?? Infinity) - (b.minutes ?? Infinity);
