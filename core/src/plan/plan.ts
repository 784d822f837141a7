import { localTime, scheduleBatch, wallMinutes, type Schedule } from '../batch/index.js';
import type { Step } from '../route/index.js';
import {
  bySeverity,
  type BatchingSchool,
  type Figure,
  type Finding,
  type Schools,
  type Stage,
} from '../measure/index.js';
import { partJoinFindings, type PatternBody } from '../pattern/index.js';
import type { Workshop } from '../workshop/index.js';
import type { PlanInputs, PlanOrder, Stock } from './inputs.js';
import type { PartPlan } from './partPlan.js';
import { planPart } from './planPart.js';
import { startWithWood, woodFigures, woodFindings } from './wood.js';

/**
 * Version of the rules; a snapshot names the one that made it. Whenever a rule changes a plan it goes up, and
 * `fixtures/engines.json` gains the fingerprint of the plans it makes.
 */
export const ENGINE = '6';

/** Everything that has to be known to make an order of one pattern. */
export interface Plan {
  engine: string;
  order: PlanOrder;
  schools: Schools;
  /** the part that the order makes: each part of an item has a batch of its own */
  parts: [PartPlan];
  byPiece: Schedule;
  byOperation: Schedule;
  /** all prepared, then piece by piece; plans made before there was this school have none */
  prepared?: Schedule;
  findings: Finding[];
  figures: Partial<Record<Stage, Figure[]>>;
}

/**
 * Works out all that has to be known: blanks, drilling, mounting, marks, cuts, speeds, sanding,
 * finishing, steps, schedule and findings. Pure and without search: same input, same plan.
 */
export function plan(
  pattern: PatternBody,
  workshop: Workshop,
  stock: Stock,
  order: PlanOrder,
  schools: Schools,
): Plan {
  const inputs: PlanInputs = { pattern, workshop, stock, order, schools };
  const ordered = pattern.parts.find((p) => p.id === order.partId) ?? pattern.parts[0];
  const { plan: part, findings, figures } = planPart(ordered, inputs);
  const wood = stock.drying?.find((w) => w.id === order.woodId) ?? null;
  const start = wallMinutes(startWithWood(order, wood));
  const schedule = (school: Schools['batching']) =>
    scheduleBatch(part.steps, part.pieces, workshop.hours, start, school);
  const schedules: Record<BatchingSchool, Schedule> = {
    'by-piece': schedule('by-piece'),
    'by-operation': schedule('by-operation'),
    'prepare-all': schedule('prepare-all'),
  };
  const chosen = schedules[schools.batching];
  return {
    engine: ENGINE,
    order,
    schools,
    parts: [part],
    byPiece: schedules['by-piece'],
    byOperation: schedules['by-operation'],
    prepared: schedules['prepare-all'],
    findings: bySeverity([
      ...findings,
      ...partJoinFindings(pattern),
      ...woodFindings(order, wood),
      ...dueFindings(order, chosen, workshop),
    ]),
    figures: { ...figures, time: [...timeFigures(chosen, part), ...woodFigures(order, wood)] },
  };
}

/** The batch played through by each school that the plan knows. */
export const schedulesOf = ({ byPiece, byOperation, prepared }: Plan): Schedule[] => [
  byOperation,
  byPiece,
  ...(prepared ? [prepared] : []),
];

/** The schedule of the school the plan follows. */
export const chosenSchedule = (plan: Plan): Schedule =>
  schedulesOf(plan).find((s) => s.school === plan.schools.batching) ?? plan.byPiece;

function dueFindings(order: PlanOrder, schedule: Schedule, workshop: Workshop): Finding[] {
  const found: Finding[] = [];
  if (workshop.hours.windows.length === 0)
    found.push({
      id: 'time.hours',
      severity: 'note',
      stage: 'time',
      what: 'The workshop has no working hours.',
      why: 'The schedule runs round the clock.',
      remedy: 'Give the hours in the workshop.',
    });
  if (order.due !== null && schedule.end.slice(0, 10) > order.due)
    found.push({
      id: 'time.due',
      severity: 'warn',
      stage: 'time',
      what: `Ready on ${schedule.end.slice(0, 10)}, wanted by ${order.due}.`,
      why: 'Work and waits together take longer than there is time.',
      remedy: 'Begin earlier, choose a finish or glue that cures sooner, or agree another day.',
    });
  return found;
}

function timeFigures(schedule: Schedule, part: PartPlan): Figure[] {
  const longestWait = part.steps.reduce<Step | null>(
    (longest, s) => ((s.wait?.minutes ?? 0) > (longest?.wait?.minutes ?? 0) ? s : longest),
    null,
  );
  // what is done to a whole blank is shared by the pieces in it
  const inBlank = part.steps.reduce((sum, s) => sum + s.minutes * (s.share ? 1 : part.blank.perBlank), 0);
  const perPiece = inBlank / part.blank.perBlank;
  return [
    {
      id: 'time.handson',
      label: 'Hands on, whole batch',
      value: schedule.handsOnMinutes,
      unit: 'min',
      working: {
        rule: 'Minutes of every step of every piece + set-ups + putting pieces back on the lathe.',
        source: 'usual minutes, typical, unchecked',
        school: schedule.school,
        inputs: [
          { label: 'steps of one piece', value: perPiece, unit: 'min' },
          { label: 'pieces', value: part.pieces, unit: 'pieces' },
          { label: 'setting up and remounting', value: schedule.setupMinutes, unit: 'min' },
          { label: 'set-ups', value: schedule.setups },
        ],
      },
    },
    {
      id: 'time.elapsed',
      label: 'From start to finished',
      value: schedule.elapsedMinutes,
      unit: 'min',
      working: {
        rule: 'The batch played through for one maker inside working hours, waits running beside.',
        source: 'working hours of the workshop',
        school: schedule.school,
        inputs: [
          { label: 'begins', value: schedule.start.replace('T', ' ') },
          { label: 'ready', value: schedule.end.replace('T', ' ') },
          {
            label: `longest wait${longestWait ? `, ${longestWait.wait?.what ?? ''}` : ''}`,
            value: longestWait?.wait?.minutes ?? 0,
            unit: 'min',
          },
        ],
      },
    },
  ];
}

/** Start of the next whole working hour after an instant on the workshop's clock. */
export const nextWholeHour = (local: string): string => localTime(Math.ceil(wallMinutes(local) / 60) * 60);
