import {
  BATCHING_SCHOOLS,
  DRILL_MOMENTS,
  DRILL_SETUPS,
  type DrillChoice,
  FITTING_WAYS,
  keysOf,
  materialById,
  MOUNT_KINDS,
  nextWholeHour,
  type PatternBody,
  type PlanOrder,
  type Schools,
  SPEED_SCHOOLS,
  STOCK_FORMS,
  type Workshop,
} from '@compas/core';
import { onClock } from '../ui/clock.js';

/** A plan that is being thought about: its choices live in the address, so that it can be shared. */
export interface Draft {
  order: PlanOrder;
  schools: Schools;
  customer: string;
}

/** Puts one choice of a plan into its address; null takes it out. */
export type Choose = (key: string, value: string | null) => void;

const USUAL_PIECES = 12;
export const NO_FINISH = 'none';

/** Reads a draft from the address; what is not there is as the workshop usually does it. */
export function draftFrom(
  search: URLSearchParams,
  pattern: PatternBody,
  workshop: Workshop,
  now: number,
): Draft {
  const materialId = search.get('material');
  const finish = search.get('finish');
  const usualFinish = workshop.finishes[0]?.id ?? null;
  return {
    customer: search.get('for') ?? '',
    order: {
      ...partOf(search, pattern),
      ...woodOf(search),
      ...(search.get('green') === 'yes' ? { green: true } : {}),
      pieces: whole(search.get('pieces'), USUAL_PIECES, 2000),
      start: search.get('start') ?? nextWholeHour(onClock(now, workshop.hours.timeZone)),
      due: search.get('due'),
      materialId:
        materialId !== null && materialById(materialId, workshop.materials)
          ? materialId
          : (pattern.parts.find((p) => p.id === search.get('part')) ?? pattern.parts[0]).materialId,
      finishId:
        finish === NO_FINISH ? null : (workshop.finishes.find((f) => f.id === finish)?.id ?? usualFinish),
      perBlank: whole(search.get('per'), 1, 50),
      mount: MOUNT_KINDS.find((m) => m === search.get('mount')) ?? null,
      ...fittingOf(search),
    },
    schools: {
      speed: chosen(SPEED_SCHOOLS, search.get('speed')) ?? workshop.schools.speed,
      batching:
        chosen(BATCHING_SCHOOLS, search.get('by')) ??
        chosen(BATCHING_SCHOOLS, `by-${search.get('by')}`) ??
        workshop.schools.batching,
      ...(workshop.schools.drilling === undefined ? {} : { drilling: workshop.schools.drilling }),
    },
  };
}

/** What an address chose, if it is still a choice. */
const chosen = <T extends object>(choices: T, wanted: string | null) =>
  keysOf(choices).find((choice) => choice === wanted);

/** How hardware is fitted, holes drilled, stock centred and marks measured, as far as it was chosen. */
function fittingOf(search: URLSearchParams): Partial<PlanOrder> {
  const fitting = FITTING_WAYS.find((w) => w === search.get('fit'));
  const stockForm = STOCK_FORMS.find((f) => f === search.get('form'));
  const drilling = drillChoices(search.get('holes'));
  const datum = search.get('datum');
  return {
    ...(fitting ? { fitting } : {}),
    ...(stockForm ? { stockForm } : {}),
    ...(drilling.length > 0 ? { drilling } : {}),
    ...(datum === null ? {} : { datum }),
  };
}

/** Choices for single holes in an address: hole!moment!set-up, one after another. */
const HOLES = ';';
const WITHIN = '!';

export function drillChoices(text: string | null): DrillChoice[] {
  return (text ?? '').split(HOLES).flatMap((one) => {
    const [holeId = '', when, how] = one.split(WITHIN);
    const moment = DRILL_MOMENTS.find((m) => m === when);
    const setup = DRILL_SETUPS.find((s) => s === how);
    if (holeId === '' || (!moment && !setup)) return [];
    return [{ holeId, ...(moment ? { moment } : {}), ...(setup ? { setup } : {}) }];
  });
}

/** The same choices with one hole's changed, for the address. */
export function withDrillChoice(choices: readonly DrillChoice[], changed: DrillChoice): string {
  const others = choices.filter((c) => c.holeId !== changed.holeId);
  return [...others, changed]
    .map(({ holeId, moment = '', setup = '' }) => [holeId, moment, setup].join(WITHIN))
    .join(HOLES);
}

/** The bundle on the drying shelf that was chosen. */
function woodOf(search: URLSearchParams): { woodId?: string } {
  const woodId = search.get('wood');
  return woodId === null ? {} : { woodId };
}

function partOf(search: URLSearchParams, pattern: PatternBody): { partId?: string } {
  const part = pattern.parts.find((p) => p.id === search.get('part'));
  return part && pattern.parts.length > 1 ? { partId: part.id } : {};
}

function whole(text: string | null, usual: number, most: number): number {
  const value = Number(text);
  return text !== null && Number.isInteger(value) && value >= 1 ? Math.min(value, most) : usual;
}
