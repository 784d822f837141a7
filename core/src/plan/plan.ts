import { localTime, lotsOf, scheduleBatch, wallMinutes, type Schedule } from '../batch/index.js';
import type { Step } from '../route/index.js';
import {
  dayWords,
  bySeverity,
  type BatchingSchool,
  type Figure,
  type Finding,
  type Schools,
  type Stage,
} from '../measure/index.js';
import { partJoinFindings, type PatternBody } from '../pattern/index.js';
import { beltMinutes } from '../turning/index.js';
import type { Workshop } from '../workshop/index.js';
import { shaftOf } from '../assembly/index.js';
import { gonePast, pastStops } from './ways/gonePast.js';
import { inOrderMade } from './item/inOrderMade.js';
import type { PlanInputs, PlanOrder, Stock } from './inputs.js';
import { mateOf } from './part/onShaft.js';
import type { PartPlan, PlannedPart } from './part/partPlan.js';
import { orderOfPart, partsOrdered } from './part/partOrder.js';
import { planPart } from './part/planPart.js';
import { wholeItem, type WholeItem } from './item/wholeItem.js';
import { countFindings, startWithWood, woodFigures, woodFindings } from './part/wood.js';

/**
 * Version of the rules; a snapshot names the one that made it. Whenever a rule changes a plan it goes up, and
 * `fixtures/engines.json` gains the fingerprint of the plans it makes.
 */
export const ENGINE = '14';

/** Everything that has to be known to make an order of one pattern. */
export interface Plan {
  engine: string;
  order: PlanOrder;
  schools: Schools;
  /** the parts that the order makes, the first being the one that its own choices are for */
  parts: [PartPlan, ...PartPlan[]];
  /** where whole items are made: how their parts come together; plans made before there were items have none */
  item?: WholeItem;
  /** figures of the further parts, by part */
  partFigures?: Record<string, Partial<Record<Stage, Figure[]>>>;
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
  const [first, ...rest] = plannedParts(inputs);
  const planned = [first, ...rest];
  const whole = order.others === undefined ? null : wholeItem(planned, inputs);
  const parts = runningOn([first.plan, ...rest.map((p) => p.plan)]);
  const item = whole && {
    ...whole.item,
    steps: numberedOn(
      parts.flatMap((p) => p.steps),
      whole.item.steps,
    ),
  };
  const woods = planned.map((p) => stock.drying?.find((w) => w.id === p.order.woodId) ?? null);
  const start = Math.max(...planned.map((p, i) => wallMinutes(startWithWood(p.order, woods[i] ?? null))));
  const steps = stepsOfPlan({ parts, ...(item ? { item } : {}) });
  const schedule = (school: Schools['batching']) =>
    scheduleBatch(steps, lotsOf(parts), workshop.hours, start, school, beltMinutes(workshop.lathe.drive));
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
    parts,
    ...(item ? { item } : {}),
    ...(rest.length > 0
      ? { partFigures: Object.fromEntries(rest.map((p) => [p.plan.partId, p.figures])) }
      : {}),
    byPiece: schedules['by-piece'],
    byOperation: schedules['by-operation'],
    prepared: schedules['prepare-all'],
    findings: gonePast(
      bySeverity([
        ...planned.flatMap((p) => p.findings),
        ...(whole?.findings ?? []),
        ...partJoinFindings(pattern),
        ...planned.flatMap((p, i) => woodFindings(p.order, woods[i] ?? null, p.plan)),
        ...countFindings(planned.map((p, i) => ({ wood: woods[i] ?? null, wanted: p.plan }))),
        ...dueFindings(order, chosen, workshop),
      ]),
      pastStops(pattern, order),
    ),
    figures: {
      ...first.figures,
      time: [
        ...timeFigures(chosen, parts, steps),
        ...planned.flatMap((p, i) => woodFigures(p.order, woods[i] ?? null)),
      ],
    },
  };
}

interface OrderPlanned extends PlannedPart {
  order: PlanOrder;
}

/** Each part by itself; what another one can be glued onto is planned before it. */
function plannedParts(inputs: PlanInputs): [OrderPlanned, ...OrderPlanned[]] {
  const { pattern } = inputs;
  const ordered = partsOrdered(pattern, inputs.order);
  const made = new Map<string, OrderPlanned>();
  const make = ({ part, order }: (typeof ordered)[number], under: readonly string[]): OrderPlanned => {
    const known = made.get(part.id);
    if (known) return known;
    const on = ordered.length === 1 ? null : shaftOf(part, pattern);
    const mate = ordered.find((o) => o.part.id === on?.partId && !under.includes(o.part.id));
    const planned = mate ? [make(mate, [...under, part.id])] : [];
    const own = { order, ...planPart(part, { ...inputs, order }, mateOf(part, pattern, planned)) };
    made.set(part.id, own);
    return own;
  };
  const [first, ...rest] = ordered;
  return [make(first, []), ...rest.map((o) => make(o, []))];
}

/** Every step of a plan: those of its parts one after the other, then those of the item. */
export const stepsOfPlan = ({ parts, item }: Pick<Plan, 'parts' | 'item'>): Step[] =>
  parts.length === 1 && !item
    ? parts[0].steps
    : [...inOrderMade(parts).flatMap((p) => p.steps), ...(item?.steps ?? [])];

/** The plan as it is for one of its parts: what the screens show of a part alone. */
export function planOfPart(plan: Plan, pattern: PatternBody, partId: string): Plan {
  const part = plan.parts.find((p) => p.partId === partId);
  if (!part || part === plan.parts[0]) return plan;
  return {
    ...plan,
    order: orderOfPart(pattern, plan.order, partId),
    parts: [part, ...plan.parts.filter((p) => p !== part)],
    figures: { ...plan.partFigures?.[partId], time: plan.figures.time ?? [] },
  };
}

/** Runs are counted on from part to part: what is done by operation is done to one part after the other. */
function runningOn(parts: Plan['parts']): Plan['parts'] {
  const before: Step[] = [];
  const numbered = new Map(
    inOrderMade(parts).map((part) => {
      const steps = numberedOn(before, part.steps);
      before.push(...steps);
      return [part, { ...part, steps }];
    }),
  );
  const [first, ...rest] = parts.map((part) => numbered.get(part) ?? part);
  return [first ?? parts[0], ...rest];
}

function numberedOn(before: readonly Step[], steps: readonly Step[]): Step[] {
  const from = Math.max(-1, ...before.map((s) => s.run ?? -1)) + 1;
  return steps.map((s) => (s.run === undefined ? s : { ...s, run: s.run + from }));
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
      what: `Ready on ${dayWords(schedule.end.slice(0, 10))}, wanted by ${dayWords(order.due)}.`,
      why: 'Work and waits together take longer than there is time.',
      remedy: 'Begin earlier, choose a finish or glue that cures sooner, or agree another day.',
    });
  return found;
}

function timeFigures(schedule: Schedule, parts: readonly PartPlan[], steps: readonly Step[]): Figure[] {
  const pieces = parts.reduce((sum, p) => sum + p.pieces, 0);
  const longestWait = steps.reduce<Step | null>(
    (longest, s) => ((s.wait?.minutes ?? 0) > (longest?.wait?.minutes ?? 0) ? s : longest),
    null,
  );
  // what is done to a whole blank is shared by the pieces in it
  const ofPart = (part: PartPlan) =>
    part.steps.reduce((sum, s) => sum + s.minutes * (s.share ? 1 : part.blank.perBlank), 0) /
    part.blank.perBlank;
  const perPiece = parts.reduce((sum, p) => sum + (ofPart(p) * p.pieces) / pieces, 0);
  return [
    {
      id: 'time.handson',
      label: 'Hands on, whole batch',
      value: schedule.handsOnMinutes,
      unit: 'min',
      working: {
        rule: 'Minutes of every step of every piece + set-ups + putting pieces back on the lathe + laying its belt.',
        source: 'usual minutes, typical, unchecked',
        school: schedule.school,
        inputs: [
          {
            label: parts.length === 1 ? 'steps of one piece' : 'steps of a piece, on average',
            value: perPiece,
            unit: 'min',
          },
          { label: 'pieces', value: pieces, unit: 'pieces' },
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
