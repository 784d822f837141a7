import type { Material } from '../material/index.js';
import { dim, len, type Figure, type Finding } from '../measure/index.js';
import { holeReach, leastWall, type Hole, type Outline, type Part } from '../pattern/index.js';
import { bitFindings, bitWork, drawnRange, type BoredHole } from './bitWork.js';
import type { Bit, Workshop } from '../workshop/index.js';
import type { NeededHole } from './kitNeeds.js';
import { pickBit } from './pickBit.js';
import { taperBores } from './taper.js';

/** Drilling of one hole along the axis. */
export interface DrillOperation extends BoredHole {
  hole: Hole;
  /** what is done when it is drilled */
  after?: string;
}

export interface DrillPlan {
  operations: DrillOperation[];
  holes: Hole[];
  findings: Finding[];
  figures: Figure[];
}

/**
 * Plans every hole of a part: those of its kit and those drawn in the pattern.
 * Drilling comes while the blank is square, so that there is something to hold.
 */
export function planDrilling(
  part: Part,
  outline: Outline,
  needed: readonly NeededHole[],
  material: Material,
  workshop: Workshop,
): DrillPlan {
  const wishes = [...needed, ...part.holes.flatMap(drawnHole(workshop.bits))];
  const operations = wishes.map((wish) => operation(wish, material, workshop));
  const holes = mergeSteps(operations, wishes);
  const findings = [
    ...operations.flatMap((o) => bitFindings(part.id, o)),
    ...wallFindings(part, outline, holes, workshop.allowances.leastWall),
    ...engagementFindings(part, needed),
  ];
  const figures = operations.flatMap((o) => depthFigures(o, wishes));
  return { operations, holes, findings, figures };
}

/** Each step of a drawn hole is drilled on its own, the widest first while its centre is sound. */
const drawnHole =
  (bits: readonly Bit[]) =>
  (hole: Hole): NeededHole[] =>
    hole.steps.flatMap((step, i) => {
      const id = `${hole.id}.${i + 1}`;
      if (step.endDiameter && step.endDiameter.mm < step.diameter.mm)
        return taperBores(hole, step, hole.steps[i - 1]?.depth.mm ?? 0, id, bits);
      return [
        {
          hole: { ...hole, id, steps: [step] },
          range: drawnRange(step.diameter.mm),
          enters: hole.name,
          entersDiameter: step.diameter.mm,
          entersLength: step.depth.mm,
        },
      ];
    });

function operation(
  { hole, range, enters, after }: NeededHole,
  material: Material,
  workshop: Workshop,
): DrillOperation {
  const depth = hole.steps[0]?.depth.mm ?? 0;
  const choice = pickBit(workshop.bits, range, depth);
  const { bit, diameter, angle, point, ...work } = bitWork(
    choice,
    range.best,
    hole.pointAngle,
    depth,
    material,
  );
  return {
    id: hole.id,
    hole: { ...hole, pointAngle: angle, steps: [{ diameter: dim(diameter), depth: dim(depth) }] },
    name: hole.name,
    choice,
    bit,
    toShoulder: depth,
    toPoint: depth + point,
    tapeAt: depth + point,
    ...work,
    order: `Drill for ${enters} while the blank is square and there is something to hold.`,
    ...(after === undefined ? {} : { after }),
  };
}

/** Steps of one drawn hole belong together again for the drawing and the wall; a taper is what it becomes. */
function mergeSteps(operations: readonly DrillOperation[], wishes: readonly NeededHole[]): Hole[] {
  const holes = new Map<string, Hole>();
  operations.forEach(({ hole }, i) => {
    const becomes = wishes[i]?.becomes;
    const steps = becomes === undefined ? hole.steps : becomes === null ? [] : [becomes];
    const id = hole.id.replace(/\.\d+[a-z]?$/, '');
    const name = hole.name.replace(/, (pilot|step \d+)$/, '');
    const before = holes.get(id);
    holes.set(id, before ? { ...before, steps: [...before.steps, ...steps] } : { ...hole, id, name, steps });
  });
  return [...holes.values()];
}

function wallFindings(part: Part, outline: Outline, holes: Hole[], least: number): Finding[] {
  const found = leastWall(outline, holes);
  if (!found || found.wall >= least - 1e-6) return [];
  const through = found.wall <= 0;
  return [
    {
      id: `drill.wall.${part.id}`,
      severity: through ? 'stop' : 'warn',
      stage: 'drill',
      partId: part.id,
      x: found.x,
      what: through
        ? `A hole breaks through the outside at ${len(found.x)}.`
        : `Only ${len(found.wall)} of wood is left at ${len(found.x)}.`,
      why: through
        ? `It passes the outline by ${len(-found.wall)}.`
        : `Below ${len(least)} a wall flexes under the tool and may split when the hardware goes in.`,
      remedy: 'Make the piece thicker there, drill less deep, or choose other hardware.',
    },
  ];
}

/** Threads hold in wood when they engage at least 1 to 1.5 diameters. */
function engagementFindings(part: Part, needed: readonly NeededHole[]): Finding[] {
  return needed
    .filter((n) => n.range.fit === 'thread-forming' && n.entersLength < 1.25 * n.entersDiameter)
    .map((n) => ({
      id: `drill.thread.${n.hole.id}`,
      severity: 'warn' as const,
      stage: 'drill' as const,
      partId: part.id,
      what: `${n.enters} engages only ${len(n.entersLength)} of wood.`,
      why: `A thread of ${len(n.entersDiameter)} wants at least ${len(1.25 * n.entersDiameter)} to hold.`,
      remedy: 'Add a drop of thin glue when it goes in for good, or choose a longer stud.',
    }));
}

function depthFigures(o: DrillOperation, wishes: readonly NeededHole[]): Figure[] {
  const wish = wishes.find((w) => w.hole.id === o.id);
  const diameter = o.bit?.diameter.mm ?? wish?.range.best ?? 0;
  return [
    {
      id: `bit.${o.id}`,
      label: `Bit for the ${o.name}`,
      value: diameter,
      unit: 'mm',
      working: {
        rule: `The owned bit nearest to the best diameter that lies between ${len(wish?.range.least ?? 0)} and ${len(wish?.range.most ?? 0)} (${wish?.range.fit}).`,
        source: 'fit classes of the bench, typical',
        inputs: [
          { label: `${o.name} best`, value: wish?.range.best ?? 0, unit: 'mm' },
          { label: 'what enters', value: wish?.entersDiameter ?? 0, unit: 'mm' },
        ],
      },
    },
    {
      id: `tape.${o.id}`,
      label: `Tape on the bit for the ${o.name}`,
      value: o.tapeAt,
      unit: 'mm',
      working: {
        rule: 'Depth to the shoulder plus the length of the point, d/2 ÷ tan(half the point angle).',
        source: 'geometry of the bit',
        inputs: [
          { label: 'longest thing that enters', value: wish?.entersLength ?? 0, unit: 'mm' },
          { label: 'depth to shoulder', value: o.toShoulder, unit: 'mm' },
          { label: 'point', value: o.toPoint - o.toShoulder, unit: 'mm' },
        ],
      },
    },
    {
      id: `drillspeed.${o.id}`,
      label: `Speed for the ${o.name}`,
      value: o.rpm,
      unit: 'rpm',
      working: {
        rule: 'rpm = 1000 × surface speed ÷ (π × diameter), rounded down to 50, at most 2500.',
        source: 'cutting speed relation; speeds typical, unchecked',
        inputs: [
          { label: 'surface speed', value: o.surfaceSpeed, unit: 'm/min' },
          { label: 'diameter', value: diameter, unit: 'mm' },
        ],
      },
    },
  ];
}

/** Deepest reach of any hole from the given end, mm. */
export const deepest = (holes: readonly Hole[], from: Hole['from'], length: number): number =>
  Math.max(0, ...holes.filter((h) => h.from === from).map((h) => holeReach(h, length)));
