import { len, type Figure, type Finding } from '../measure/index.js';
import type { Bore } from '../pattern/index.js';
import { bitSequence } from './bitSequence.js';
import { bitFindings, bitWork, drawnRange, type BoredHole } from './bitWork.js';
import { driftOf, drillWay } from './drillWay.js';
import type { DrillSite } from './drilling.js';
import { withOwnBit } from './ownBit.js';
import { pickBit } from './pickBit.js';

/** Drilling of one cross hole in the square blank: depths are from its face, mm. */
export interface CrossOperation extends BoredHole {
  /** centre, from the reference end of the piece */
  x: number;
  /** round the axis, degrees */
  angle: number;
  through: boolean;
  /** from the edge of the square blank to the centre, on the face it is drilled into */
  fromEdge?: number;
}

export interface CrossDrillPlan {
  operations: CrossOperation[];
  findings: Finding[];
  figures: Figure[];
}

/** Bits for cross holes are brad points or twists: a cone of this angle is reckoned with, degrees. */
const POINT_ANGLE = 118;
type CrossSite = Omit<DrillSite, 'usual' | 'depthFor'>;

/** How far a bit goes into the backing board, mm. */
const INTO_BACKING = 2;

/**
 * Plans the cross holes of a part in the order they are drilled, all measured from one end, while the
 * blank is square and has faces to lie on.
 * @param section side of the square blank, mm
 */
export function planCrossDrilling(
  partId: string,
  bores: readonly Bore[],
  section: number,
  site: CrossSite,
): CrossDrillPlan {
  const ordered = inOrder(bores);
  const drilled = ordered.map((bore) => operation(bore, ordered, section, site));
  const operations = bitSequence(drilled, metFirst(ordered));
  return {
    operations,
    findings: [
      ...operations.flatMap((o) => bitFindings(partId, o)),
      ...operations.flatMap((o) => blowOut(partId, o)),
    ],
    figures: operations.flatMap(figuresOf),
  };
}

/** From the reference end on, so that the stop is moved one way; of two that meet, the smaller first. */
function inOrder(bores: readonly Bore[]): Bore[] {
  return [...bores].sort((a, b) => (meet(a, b) ? a.radius - b.radius || a.x - b.x : a.x - b.x));
}

/** Whether two cross holes run into each other: both reach the axis where they overlap along it. */
const meet = (a: Bore, b: Bore): boolean =>
  Math.abs(a.x - b.x) < a.radius + b.radius && a.end < b.radius && b.end < a.radius;

/** Of two that meet the second waits for the first. */
function metFirst(ordered: readonly Bore[]): Map<string, string> {
  const before = new Map<string, string>();
  ordered.forEach((bore, i) => {
    const first = ordered.slice(0, i).findLast((b) => meet(b, bore));
    if (first) before.set(bore.id, first.id);
  });
  return before;
}

/** Where a bit comes out of a finished surface nothing backs the last fibres. */
function blowOut(partId: string, o: CrossOperation): Finding[] {
  if (!o.through || o.moment === 'square blank') return [];
  return [
    {
      id: `drill.blowout.${o.id}`,
      severity: 'warn',
      stage: 'drill',
      partId,
      x: o.x,
      what: `The ${o.name} comes out of a round without anything behind it.`,
      why: 'The last fibres blow out, and no board lies flat against a round.',
      remedy: 'Drill it in the square blank, or from both sides to the middle in a V block cut to the shape.',
    },
  ];
}

function operation(bore: Bore, all: readonly Bore[], section: number, site: CrossSite): CrossOperation {
  const { material, workshop, choices, bitFor } = site;
  const { moment, setup } = drillWay(bore.id, choices, undefined, true);
  const through = bore.end <= -bore.mouth;
  // from the face of the blank, or from the turned surface once there is no face any more
  const from = moment === 'square blank' ? section / 2 : bore.mouth;
  const depth = through ? 2 * from : from - bore.end;
  const range = drawnRange(2 * bore.radius);
  const choice = withOwnBit(
    pickBit(workshop.bits, range, depth),
    { hole: { id: bore.id, pointAngle: POINT_ANGLE, through }, range },
    depth,
    bitFor,
  );
  const { bit, point, pecks, rpm, surfaceSpeed, lubricant } = bitWork(
    choice,
    range.best,
    POINT_ANGLE,
    depth,
    material,
  );
  return {
    id: bore.id,
    name: bore.name,
    x: bore.x,
    angle: bore.angle,
    through,
    choice,
    bit,
    toShoulder: depth,
    toPoint: depth + point,
    tapeAt: depth + point + (through ? INTO_BACKING : 0),
    pecks,
    rpm,
    surfaceSpeed,
    lubricant,
    order: orderWords(bore, all, through && moment === 'square blank'),
    moment,
    setup,
    ...(moment === 'square blank' ? { fromEdge: section / 2 } : {}),
    drift: driftOf(setup, depth, bit?.diameter.mm ?? range.best, false),
  };
}

function orderWords(bore: Bore, all: readonly Bore[], through: boolean): string {
  const met = all.find((b) => b !== bore && meet(b, bore));
  const first = all[0] === bore;
  const why =
    met === undefined
      ? 'From the reference end on, so that the stop is moved one way only.'
      : met.radius === bore.radius
        ? `It meets ${met.name}: go slowly where they cross.`
        : bore.radius < met.radius
          ? `Before ${met.name}, which it meets: a thin bit that comes to an open hole wanders off at its edge.`
          : `After ${met.name}, which it meets: its stouter bit crosses the smaller hole without noticing.`;
  const rest = [
    ...(first && all.length > 1 ? ['Mark all cross holes from the same end first.'] : []),
    ...(through ? ['Clamp a board behind: without it the exit tears out.'] : []),
  ];
  return [why, ...rest].join(' ');
}

function figuresOf(o: CrossOperation): Figure[] {
  return [
    {
      id: `tape.cross.${o.id}`,
      label: `Tape on the bit for the ${o.name}`,
      value: o.tapeAt,
      unit: 'mm',
      working: {
        rule: o.through
          ? `The side of the blank, the point of the bit, and ${len(INTO_BACKING)} into the board behind.`
          : 'From the face of the square blank to the bottom of the hole, and the point of the bit.',
        source: 'geometry of the blank and the bit',
        inputs: [
          { label: 'from the face to the shoulder', value: o.toShoulder, unit: 'mm' },
          { label: 'point', value: o.toPoint - o.toShoulder, unit: 'mm' },
        ],
      },
    },
  ];
}
