import { wallMinutes } from '../../batch/index.js';
import type { Material } from '../../material/index.js';
import { dayWords, len, type Figure, type Finding } from '../../measure/index.js';
import { forecastOf, ovalOf, schoolDays, type Blank, type DryingBundle } from '../../stock/index.js';
import type { Air } from '../../workshop/index.js';
import type { DryingWood, PlanOrder } from '../inputs.js';

/** When work can begin: at the wished time, or on the day on which the wood is dry if that is later. */
export function startWithWood(order: PlanOrder, wood: DryingWood | null): string {
  const day = wood === null || order.green === true ? null : dryDay(wood);
  if (day === null) return order.start;
  const dry = `${day}T00:00`;
  return dry > order.start ? dry : order.start;
}

/** The day on which it is turned as dry wood: what is meant to be finished wet is so only once it is dry. */
const dryDay = ({ readyOn, forGreen, dryOn = readyOn }: DryingWood): string | null =>
  forGreen === true ? dryOn : readyOn;

/** What wet wood means for a part: when it can be turned, and whether its pieces are large enough for what is made. */
export function woodFindings(order: PlanOrder, wood: DryingWood | null, wanted: WantedOfWood): Finding[] {
  const ready = readyFindings(order, wood);
  return wood === null ? ready : [...ready, ...enoughFindings(order, wood, wanted)];
}

/** What a part asks of its wood. mm */
export interface WantedOfWood {
  partId: string;
  material: Material;
  blank: Pick<Blank, 'section' | 'length' | 'count'>;
}

/** Sizes are told to the millimetre: what is less than this short is not. */
const NEARLY = 0.5;

/** A piece of a bundle is held against what a blank asks: of what wood, how long, how thick once it is turned. */
function enoughFindings(order: PlanOrder, wood: DryingWood, wanted: WantedOfWood): Finding[] {
  const { partId, material, blank } = wanted;
  const short = (id: string, what: string, remedy: string): Finding => ({
    id: `stock.wood.${id}.${partId}`,
    severity: 'warn',
    stage: 'stock',
    partId,
    what: `${wood.label}: ${what}`,
    why: 'The plan is laid out on it.',
    remedy,
  });
  const found: Finding[] = [];
  if (wood.materialId !== material.id)
    found.push(
      short('material', `it is not ${material.name.toLowerCase()}.`, 'Choose the material that it is.'),
    );
  if (wood.size === undefined) return found;
  const { across, length } = wood.size;
  if (length < blank.length - NEARLY)
    found.push(
      short(
        'length',
        `it is ${len(length)} long, a blank ${len(blank.length)}.`,
        'Leave less waste at the ends, or take longer wood.',
      ),
    );
  const left = acrossWhenTurned(order, wood, material, across);
  if (left < blank.section - NEARLY)
    found.push(
      short(
        'across',
        left < across - NEARLY
          ? `${len(across)} across now, it will be ${len(left)} at its narrowest when it is dry; a blank is ${len(blank.section)}.`
          : `it is ${len(across)} across, a blank ${len(blank.section)}.`,
        'Make it more slender, or take thicker wood.',
      ),
    );
  return found;
}

/** What parts of one order take of the shelf: each with its bundle, if it has one. */
export interface TakenOfWood {
  wood: DryingWood | null;
  wanted: Pick<WantedOfWood, 'partId' | 'blank'> & { name: string };
}

/** How many blanks all parts together take of each bundle, held against how many pieces lie there. */
export function countFindings(taken: readonly TakenOfWood[]): Finding[] {
  const woods = new Map(taken.flatMap(({ wood }) => (wood === null ? [] : [[wood.id, wood] as const])));
  return [...woods.values()].flatMap(({ id, label, pieces }): Finding[] => {
    const own = taken.flatMap(({ wood, wanted }) => (wood?.id === id ? [wanted] : []));
    const [first] = own;
    const count = own.reduce((sum, { blank }) => sum + blank.count, 0);
    if (!first || pieces === undefined || pieces >= count) return [];
    const each = own.map(({ name, blank }) => `${blank.count} for the ${name.toLowerCase()}`).join(', ');
    return [
      {
        id: `stock.wood.pieces.${first.partId}`,
        severity: 'warn',
        stage: 'stock',
        partId: first.partId,
        what: `${label}: ${pieces} lie there, ${count} blanks are wanted${own.length > 1 ? ` (${each})` : ''}.`,
        why: 'The plan is laid out on it.',
        remedy: 'Make fewer, or take the rest from other stock.',
      },
    ];
  });
}

/** What is left of its diameter when it is turned: dried to its target it is oval, and its smallest counts. mm */
function acrossWhenTurned(order: PlanOrder, wood: DryingWood, material: Material, across: number): number {
  if (order.green === true || wood.moisture === null || wood.moisture <= wood.target) return across;
  return ovalOf(across, material, wood.moisture, wood.target)?.smallest ?? across;
}

function readyFindings(order: PlanOrder, wood: DryingWood | null): Finding[] {
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
  if (wood.forGreen === true && (wood.moisture ?? Infinity) > wood.target)
    return [
      {
        id: 'stock.wood.green',
        severity: 'warn',
        stage: 'stock',
        what: `${wood.label} is ${wet} and was laid down to be finished green; this plan turns it dry${dryDay(wood) === null ? '' : `, from ${dayWords(dryDay(wood) ?? '')} on`}.`,
        why: 'Turned as if it were dry it would go oval after the last cut.',
        remedy: 'Choose “green” for how it is turned, or let it dry first.',
      },
    ];
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
      what: `${wood.label} can be turned from ${dayWords(wood.readyOn)} on; work begins ${late} days later than wished.`,
      why: `It is ${wet} and still drying.`,
      remedy: 'Take dry stock, or another school of drying, if that is too late.',
    },
  ];
}

/** How long the order waits for its wood. */
export function woodFigures(order: PlanOrder, wood: DryingWood | null): Figure[] {
  if (order.green === true || wood === null) return [];
  const day = dryDay(wood);
  if (day === null) return [];
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
          { label: 'can be turned from', value: day },
        ],
      },
    },
  ];
}

const daysLate = (order: PlanOrder, wood: DryingWood): number =>
  Math.ceil((wallMinutes(startWithWood(order, wood)) - wallMinutes(order.start)) / (24 * 60));

/** A bundle as it lies on the drying shelf, and the size of one of its pieces where that is known. */
export interface ShelvedBundle {
  id: string;
  bundle: DryingBundle;
  size: { across: number; length: number } | null;
}

/** A bundle on the drying shelf as a plan needs to know it: the day comes from its school of drying. */
export function dryingWood({ id, bundle, size }: ShelvedBundle, air: Air): DryingWood {
  const { label, materialId, target, pieces } = bundle;
  const forGreen = bundle.school === 'green';
  const lies = { id, label, materialId, target, pieces, forGreen, ...(size ? { size } : {}) };
  const read = forecastOf(bundle, air);
  const first = bundle.weighings[0];
  if (!read.ok || !first) return { ...lies, readyOn: null, dryOn: null, moisture: null };
  const days = schoolDays(first.day, read.forecast);
  const dayOf = (school: DryingBundle['school']) => days.find((s) => s.school === school)?.day ?? null;
  return { ...lies, readyOn: dayOf(bundle.school), dryOn: dayOf('dry'), moisture: read.forecast.moisture };
}
