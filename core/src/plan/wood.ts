import { wallMinutes } from '../batch/index.js';
import type { Figure, Finding } from '../measure/index.js';
import { forecastOf, schoolDays, type DryingBundle } from '../stock/index.js';
import type { Air } from '../workshop/index.js';
import type { DryingWood, PlanOrder } from './inputs.js';

/** When work can begin: at the wished time, or on the day on which the wood is dry if that is later. */
export function startWithWood(order: PlanOrder, wood: DryingWood | null): string {
  if (order.green === true || wood?.readyOn === null || wood?.readyOn === undefined) return order.start;
  const dry = `${wood.readyOn}T00:00`;
  return dry > order.start ? dry : order.start;
}

/** What wet wood means for the order. */
export function woodFindings(order: PlanOrder, wood: DryingWood | null): Finding[] {
  if (order.woodId !== undefined && wood === null)
    return [
      {
        id: 'stock.wood.gone',
        severity: 'warn',
        stage: 'stock',
        what: 'The wood of this order is no longer on the drying shelf.',
        why: 'The plan counts with dry stock.',
        remedy: 'Choose the wood again.',
      },
    ];
  if (order.green === true || wood === null) return [];
  const wet = wood.moisture === null ? 'not known to be dry' : `at ${wood.moisture.toFixed(1)} %`;
  if (wood.readyOn === null)
    return [
      {
        id: 'stock.wood.unknown',
        severity: 'stop',
        stage: 'stock',
        what: `${wood.label} is ${wet}, and nobody can say when it will be at ${wood.target} %.`,
        why: 'A piece that is not dry is not planned: it would go oval after the last cut.',
        remedy: 'Weigh it again in a few days, choose a target that this air reaches, or take dry stock.',
      },
    ];
  const late = daysLate(order, wood);
  if (late <= 0) return [];
  return [
    {
      id: 'stock.wood.waits',
      severity: 'warn',
      stage: 'time',
      what: `${wood.label} can be turned from ${wood.readyOn} on; work begins ${late} days later than wished.`,
      why: `It is ${wet} and still drying.`,
      remedy: 'Take dry stock, or another school of drying, if that is too late.',
    },
  ];
}

/** How long the order waits for its wood. */
export function woodFigures(order: PlanOrder, wood: DryingWood | null): Figure[] {
  if (order.green === true || wood === null || wood.readyOn === null) return [];
  const minutes = Math.max(0, wallMinutes(startWithWood(order, wood)) - wallMinutes(order.start));
  return [
    {
      id: 'time.wood',
      label: 'Waiting for the wood',
      value: minutes,
      unit: 'min',
      working: {
        rule: 'From the wished beginning to the day on which the wood can be turned.',
        source: 'weights on the drying shelf',
        inputs: [
          { label: 'wood', value: wood.label },
          { label: 'wished beginning', value: order.start.replace('T', ' ') },
          { label: 'can be turned from', value: wood.readyOn },
        ],
      },
    },
  ];
}

const daysLate = (order: PlanOrder, wood: DryingWood): number =>
  Math.ceil((wallMinutes(startWithWood(order, wood)) - wallMinutes(order.start)) / (24 * 60));

/** A bundle on the drying shelf as a plan needs to know it: the day comes from its school of drying. */
export function dryingWood(id: string, bundle: DryingBundle, air: Air): DryingWood {
  const { label, materialId, target } = bundle;
  const read = forecastOf(bundle, air);
  const first = bundle.weighings[0];
  if (!read.ok || !first) return { id, label, materialId, target, readyOn: null, moisture: null };
  const day = schoolDays(first.day, read.forecast).find((s) => s.school === bundle.school)?.day ?? null;
  return { id, label, materialId, target, readyOn: day, moisture: read.forecast.moisture };
}
