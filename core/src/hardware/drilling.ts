import type { Material } from '../material/index.js';
import { dim, len, type DrillMoment, type Figure, type Finding } from '../measure/index.js';
import {
  holeReach,
  leastWall,
  type Hole,
  type HoleStep,
  type LeastWall,
  type Outline,
  type Part,
} from '../pattern/index.js';
import { bitSequence } from './bitSequence.js';
import { seatDepth } from './ballSeat.js';
import { bitFindings, bitWork, drawnRange, leftBy, type DrillOperation } from './bitWork.js';
import { depthFigures } from './drillFigures.js';
import { driftOf, drillWay, MOMENT_WORDS, type DrillChoice } from './drillWay.js';
import type { Bit, Workshop } from '../workshop/index.js';
import type { NeededHole } from './neededHole.js';
import { withOwnBit, type OwnBit } from './ownBit.js';
import { pickBit, stepBitFor, type BitChoice } from './pickBit.js';
import { taperBores } from './taper.js';

export interface DrillPlan {
  operations: DrillOperation[];
  holes: Hole[];
  findings: Finding[];
  figures: Figure[];
}

/** What the drilling of a part depends on beside the part. */
export interface DrillSite {
  material: Material;
  workshop: Workshop;
  /** choices for single holes */
  choices: readonly DrillChoice[];
  usual: DrillMoment | undefined;
  bitFor?: OwnBit;
  /** how deep somebody drills a blind hole instead, mm; null leaves it at that */
  depthFor?: (holeId: string, usual: number) => number | null;
}

/** Plans every hole along the axis of a part: those of its kits and those drawn in the pattern. */
export function planDrilling(
  part: Part,
  outline: Outline,
  needed: readonly NeededHole[],
  site: DrillSite,
): DrillPlan {
  const { workshop } = site;
  const wishes = deepened([...needed, ...part.holes.flatMap(drawnHole(workshop.bits))], site);
  const drilled = wishes.map((wish) => operation(wish, outline.length, site));
  const holes = mergeSteps(drilled, wishes);
  const operations = bitSequence(drilled, widestFirst(drilled));
  const wall = leastWall(outline, holes);
  const findings = [
    ...operations.flatMap((o) => bitFindings(part.id, o)),
    ...wallFindings(part, outline, holes, workshop.allowances.leastWall),
    ...driftFindings(part, wall, operations, workshop.allowances.leastWall),
    ...engagementFindings(part, needed),
    ...heatFindings(part, operations, site.material),
  ];
  const figures = operations.flatMap((o) => depthFigures(o, wishes));
  return { operations, holes, findings, figures };
}

/** The bottom of a hole lies where somebody wants it: with its last bore. */
function deepened(wishes: readonly NeededHole[], { depthFor }: DrillSite): NeededHole[] {
  if (!depthFor) return [...wishes];
  const last = new Map(wishes.map((wish) => [wholeHole(wish.hole.id), wish]));
  return wishes.map((wish) => {
    const { hole } = wish;
    const [bottom] = hole.steps.slice(-1);
    if (last.get(wholeHole(hole.id)) !== wish || hole.through || !bottom || wish.becomes !== undefined)
      return wish;
    const own = depthFor(wholeHole(hole.id), bottom.depth.mm);
    if (own === null) return wish;
    const { seats: _, ...rest } = wish;
    return {
      ...rest,
      hole: { ...hole, steps: [...hole.steps.slice(0, -1), { ...bottom, depth: dim(own) }] },
    };
  });
}

/** Each step of a drawn hole is drilled on its own, the widest first while its centre is sound. */
const drawnHole =
  (bits: readonly Bit[]) =>
  (hole: Hole): NeededHole[] =>
    hole.steps.flatMap((step, i) => {
      const id = `${hole.id}.${i + 1}`;
      if (step.endDiameter && step.endDiameter.mm < step.diameter.mm)
        return taperBores(hole, step, hole.steps[i - 1]?.depth.mm ?? 0, id, bits);
      if (stepBitOf(hole, i - 1, bits)) return [];
      const both = stepBitOf(hole, i, bits);
      if (both) return [inOneGo(hole, i, id, both)];
      const last = i === hole.steps.length - 1;
      return [
        {
          // only the last step of a through hole goes through
          hole: { ...hole, id, steps: [step], through: hole.through && last },
          range: drawnRange(step.diameter.mm),
          enters: hole.name,
          entersDiameter: step.diameter.mm,
          entersLength: step.depth.mm,
        },
      ];
    });

/** The step bit for a step and the one behind it, when one is owned. */
function stepBitOf(hole: Hole, i: number, bits: readonly Bit[]): Bit | null {
  const [recess, inner] = [hole.steps[i], hole.steps[i + 1]];
  if (!recess || !inner || recess.endDiameter || inner.endDiameter || hole.through) return null;
  const plain = (s: HoleStep) => ({ diameter: s.diameter.mm, depth: s.depth.mm });
  return stepBitFor(bits, plain(recess), plain(inner));
}

function inOneGo(hole: Hole, i: number, id: string, stepBit: Bit): NeededHole {
  const steps = hole.steps.slice(i, i + 2);
  const depth = steps[1]?.depth.mm ?? 0;
  return {
    hole: { ...hole, id, steps },
    range: drawnRange(steps[0]?.diameter.mm ?? 0),
    enters: hole.name,
    entersDiameter: steps[0]?.diameter.mm ?? 0,
    entersLength: depth,
    stepBit,
  };
}

/** How far a bit goes past the end of a through hole, mm. */
const PAST_THE_END = 2;
const FLAT_BOTTOM = 180;

function operation(wish: NeededHole, length: number, site: DrillSite): DrillOperation {
  const { hole, range, enters, after } = wish;
  const { material, workshop } = site;
  const usual = chosenBit(wish, length, workshop.bits);
  const { halves } = usual;
  const choice = withOwnBit(usual.choice, wish, usual.depth, site.bitFor);
  const left = leftBy(choice, range.best, hole.pointAngle);
  const depth = wish.seats ? seatDepth(wish.seats, left.diameter, left.angle) : usual.depth;
  const { bit, diameter, angle, point, ...work } = bitWork(
    choice,
    range.best,
    hole.pointAngle,
    depth,
    material,
  );
  const id = wholeHole(hole.id);
  const { moment, setup } = drillWay(id, site.choices, site.usual);
  const trued = moment === 'square blank' || moment === 'after rounding';
  return {
    id: hole.id,
    hole: {
      ...hole,
      pointAngle: angle,
      steps: wish.stepBit ? hole.steps : [{ diameter: dim(diameter), depth: dim(depth) }],
    },
    name: hole.name,
    choice,
    bit,
    toShoulder: depth,
    toPoint: depth + point,
    tapeAt: depth + point,
    ...work,
    order: `${orderOf(hole, enters, bit)} ${MOMENT_WORDS[moment].gain}`,
    moment,
    setup,
    drift: driftOf(setup, depth, diameter, trued),
    ...roomOf(wish, depth),
    ...(range.fit === 'thread-forming' ? { engagement: wish.entersLength / wish.entersDiameter } : {}),
    ...(after === undefined ? {} : { after }),
    ...(halves
      ? { after: `Half of it from each end, ${len(depth)} deep from both: they meet in the middle.` }
      : {}),
  };
}

/** A bit for a hole; a through hole longer than any bit is drilled half from each end. */
function chosenBit(
  { hole, range, stepBit, becomes }: NeededHole,
  length: number,
  bits: readonly Bit[],
): { choice: BitChoice; depth: number; halves: boolean } {
  const depth = hole.through ? length + PAST_THE_END : (hole.steps.at(-1)?.depth.mm ?? 0);
  if (stepBit) {
    const consequence = 'Recess and hole in one go.';
    return { choice: { bit: stepBit, instead: null, off: 0, consequence }, depth, halves: false };
  }
  const reamed = becomes !== undefined;
  const flat = hole.pointAngle >= FLAT_BOTTOM && !hole.through;
  const choice = pickBit(bits, range, depth, { flat, reamed });
  if (choice.bit || !hole.through) return { choice, depth, halves: false };
  const half = length / 2 + PAST_THE_END;
  const shorter = pickBit(bits, range, half, { reamed });
  return shorter.bit ? { choice: shorter, depth: half, halves: true } : { choice, depth, halves: false };
}

/** What enters a hole of the hardware stops short of its bottom; drawn holes are as deep as they are drawn. */
const roomOf = ({ entersLength }: NeededHole, depth: number): { room?: number } =>
  entersLength > 0 && depth - entersLength > 1e-6 ? { room: depth - entersLength } : {};

/** The hole that a bore belongs to: steps are numbered, bores of a taper lettered. */
export const wholeHole = (id: string): string => id.replace(/\.\d+[a-z]?$/, '');

function orderOf(hole: Hole, enters: string, bit: Bit | null): string {
  const flat = bit?.kind === 'flat-bottomed' || bit?.kind === 'spade';
  const stepped = /\.\d+[a-z]?$/.test(hole.id);
  const why = stepped
    ? flat
      ? 'Wide before narrow: its point needs the wood that the next bit takes away.'
      : 'Wide before narrow, so that each bit has a sound centre.'
    : 'On its own centre.';
  return `For ${enters}. ${why}`;
}

/** Within a hole the wider bore comes first. */
function widestFirst(operations: readonly DrillOperation[]): Map<string, string> {
  const before = new Map<string, string>();
  operations.forEach(({ id }, i) => {
    const last = operations.slice(0, i).findLast((o) => wholeHole(o.id) === wholeHole(id));
    if (last) before.set(id, last.id);
  });
  return before;
}

/** Steps of one drawn hole belong together again for the drawing and the wall; a taper is what it becomes. */
function mergeSteps(operations: readonly DrillOperation[], wishes: readonly NeededHole[]): Hole[] {
  const holes = new Map<string, Hole>();
  operations.forEach(({ hole }, i) => {
    const becomes = wishes[i]?.becomes;
    const steps = becomes === undefined ? hole.steps : becomes === null ? [] : [becomes];
    const id = wholeHole(hole.id);
    const name = hole.name.replace(/, (pilot|step \d+)$/, '');
    const before = holes.get(id);
    holes.set(
      id,
      before
        ? { ...before, through: before.through || hole.through, steps: [...before.steps, ...steps] }
        : { ...hole, id, name, steps },
    );
  });
  return [...holes.values()];
}

/** Every hole whose wall is too thin, the worst first. */
function wallFindings(part: Part, outline: Outline, holes: readonly Hole[], least: number): Finding[] {
  const thin = holes
    .flatMap((hole) => {
      const found = leastWall(outline, [hole]);
      return found && found.wall < least - 1e-6 ? [{ name: hole.name, ...found }] : [];
    })
    .sort((a, b) => a.wall - b.wall);
  return thin.map(({ name, wall, x, holeId }, i) => {
    const through = wall <= 0;
    return {
      id: i === 0 ? `drill.wall.${part.id}` : `drill.wall.${part.id}.${holeId}`,
      severity: through ? 'stop' : 'warn',
      stage: 'drill',
      partId: part.id,
      x,
      what: through
        ? `The ${name} breaks through the outside at ${len(x)}.`
        : `Only ${len(wall)} of wood is left at the ${name}, at ${len(x)}.`,
      why: through
        ? `It passes the outline by ${len(-wall)}.`
        : `Below ${len(least)} a wall flexes under the tool and may split when the hardware goes in.`,
      remedy: 'Make the piece thicker there, drill less deep, or choose other hardware.',
    };
  });
}

/** What a bit that drifts would do to the wall: the whole least wall against the worst drift of its hole. */
function driftFindings(
  part: Part,
  wall: LeastWall | null,
  operations: readonly DrillOperation[],
  least: number,
): Finding[] {
  if (!wall || wall.wall < least - 1e-6) return [];
  const own = operations.filter((o) => wholeHole(o.id) === wall.holeId);
  const worst = own.sort((a, b) => (b.drift?.fromWall ?? 0) - (a.drift?.fromWall ?? 0))[0];
  const drift = worst?.drift?.fromWall ?? 0;
  const left = wall.wall - drift;
  if (!worst || left >= least) return [];
  return [
    {
      id: `drill.drift.${part.id}`,
      severity: left <= 0 ? 'warn' : 'note',
      stage: 'drill',
      partId: part.id,
      x: wall.x,
      what: `If the ${worst.name} drifts by ${len(drift)}, ${left <= 0 ? 'it breaks out' : `only ${len(left)} of wood is left`} at ${len(wall.x)}.`,
      why: `${len(wall.wall)} is planned there; in the ${worst.setup ?? 'drill press'} a bit may run off that far.`,
      remedy:
        worst.setup === 'tailstock'
          ? 'Start with a stiff centre bit, withdraw often, or leave the wood thicker there.'
          : 'Drill it with the bit in the tailstock, or leave the wood thicker there.',
    },
  ];
}

/** Resin melts before it burns: deep holes need the bit out early. */
const HOT_DIAMETERS = 2;

function heatFindings(part: Part, operations: readonly DrillOperation[], material: Material): Finding[] {
  const hot = operations.filter((o) => o.toShoulder > HOT_DIAMETERS * (o.bit?.diameter.mm ?? Infinity));
  if (material.class !== 'resin' || hot.length === 0) return [];
  return [
    {
      id: `drill.heat.${part.id}`,
      severity: 'note',
      stage: 'drill',
      partId: part.id,
      what: `${material.name} heats in the ${hot.map((o) => o.name).join(', ')}.`,
      why: 'Warm resin closes on the bit, cracks when it cools, and the hole comes out small.',
      remedy: `Go no deeper than a diameter at a time at ${Math.min(...hot.map((o) => o.rpm))} rpm, let bit and chips cool, and finish with a sharp bit.`,
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

/** Deepest reach of any hole from the given end, mm. */
export const deepest = (holes: readonly Hole[], from: Hole['from'], length: number): number =>
  Math.max(0, ...holes.filter((h) => h.from === from).map((h) => holeReach(h, length)));
