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
  type Part,
  type PartChoices,
  type PatternBody,
  type PlanOrder,
  type Schools,
  SPEED_SCHOOLS,
  STOCK_FORMS,
  usualChoices,
  type Workshop,
} from '@compas/core';
import { onClock } from '../ui/clock.js';
import { FOR, LINES, ORDER, SHOWN } from '../ui/planAddress.js';
import { NOTE } from '../ui/noted.js';
import { waysIn } from './own/waysInAddress.js';

/** A plan that is being thought about: its choices live in the address, so that it can be shared. */
export interface Draft {
  order: PlanOrder;
  schools: Schools;
}

/** What a choice becomes in the address; null takes it out. A function is given what stands there by then. */
export type Chosen = string | null | ((before: string | null) => string | null);

/** Puts one choice of a plan into its address. */
export type Choose = (key: string, value: Chosen) => void;

const USUAL_PIECES = 12;
export const NO_FINISH = 'none';

/** Choices that each part of an item has for itself; in the address those of a further part carry its name. */
const OF_PART: ReadonlySet<string> = new Set([
  'material',
  'finish',
  'wood',
  'green',
  'per',
  'mount',
  'fit',
  'form',
  'holes',
  'datum',
  'ways',
]);
/** What an address says that no plan depends on: for whom it is made, and which part is looked at. */
const ASIDE: readonly string[] = [FOR, ORDER, LINES, SHOWN, ...NOTE];

/** What of an address a plan is made of; the same text, the same plan. */
export function plannedBy(search: URLSearchParams): string {
  const own = new URLSearchParams(search);
  for (const key of ASIDE) own.delete(key);
  return own.toString();
}

/** The address says that one part is made by itself. */
export const ONLY = 'part';

/** What a choice is called in the address for a part: those of the first have no name of their own. */
export const keyFor = (key: string, partId: string, first: string): string =>
  OF_PART.has(key) && partId !== first ? `${key}.${partId}` : key;

/** Reads a draft from the address; what is not there is as the workshop usually does it. */
export function draftFrom(
  search: URLSearchParams,
  pattern: PatternBody,
  workshop: Workshop,
  now: number,
): Draft {
  const only = pattern.parts.find((p) => p.id === search.get(ONLY));
  const [first, ...rest] = pattern.parts;
  const leading = only ?? first;
  return {
    order: {
      ...(only && rest.length > 0 ? { partId: only.id } : {}),
      ...choicesOf(search, leading, leading.id, { pattern, workshop }),
      pieces: whole(search.get('pieces'), USUAL_PIECES, 2000),
      start: search.get('start') ?? nextWholeHour(onClock(now, workshop.hours.timeZone)),
      due: search.get('due'),
      ...(only || rest.length === 0
        ? {}
        : {
            others: rest.map((part) => ({
              partId: part.id,
              ...choicesOf(search, part, leading.id, { pattern, workshop }),
            })),
          }),
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

/** What is chosen for one part. */
function choicesOf(
  search: URLSearchParams,
  part: Part,
  first: string,
  { pattern, workshop }: { pattern: PatternBody; workshop: Workshop },
): PartChoices {
  const of = (key: string) => search.get(keyFor(key, part.id, first));
  const materialId = of('material');
  const finish = of('finish');
  const woodId = of('wood');
  const chosenWood =
    materialId !== null && materialById(materialId, workshop.materials) ? materialId : part.materialId;
  const { choices: usual } = usualChoices(part, pattern, chosenWood, workshop);
  const { finishId: usualFinish = workshop.finishes[0]?.id ?? null } = usual;
  return {
    ...usual,
    ...(woodId === null ? {} : { woodId }),
    ...(of('green') === 'yes' ? { green: true } : {}),
    materialId: chosenWood,
    finishId:
      finish === NO_FINISH ? null : (workshop.finishes.find((f) => f.id === finish)?.id ?? usualFinish),
    perBlank: whole(of('per'), 1, 50),
    mount: MOUNT_KINDS.find((m) => m === of('mount')) ?? usual.mount ?? null,
    ...fittingOf(of, usual.drilling),
  };
}

/** What an address chose, if it is still a choice. */
const chosen = <T extends object>(choices: T, wanted: string | null) =>
  keysOf(choices).find((choice) => choice === wanted);

/** How hardware is fitted, holes drilled, stock centred and marks measured, as far as it was chosen. */
function fittingOf(
  of: (key: string) => string | null,
  usual: readonly DrillChoice[] = [],
): Partial<PartChoices> {
  const fitting = FITTING_WAYS.find((w) => w === of('fit'));
  const stockForm = STOCK_FORMS.find((f) => f === of('form'));
  const chosen = drillChoices(of('holes'));
  const drilling = [...usual.filter((u) => !chosen.some((c) => c.holeId === u.holeId)), ...chosen];
  const datum = of('datum');
  const ways = waysIn(of('ways'));
  return {
    ...(fitting ? { fitting } : {}),
    ...(stockForm ? { stockForm } : {}),
    ...(drilling.length > 0 ? { drilling } : {}),
    ...(datum === null ? {} : { datum }),
    ...(ways.length > 0 ? { ways } : {}),
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

function whole(text: string | null, usual: number, most: number): number {
  const value = Number(text);
  return text !== null && Number.isInteger(value) && value >= 1 ? Math.min(value, most) : usual;
}
