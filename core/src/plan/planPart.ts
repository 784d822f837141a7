import { joinFindings, joinsOf } from '../assembly/index.js';
import { kitNeeds, planCrossDrilling, planDrilling, type DrillPlan } from '../hardware/index.js';
import type { Station } from '../inspect/index.js';
import { layoutOf, type Layout } from '../layout/index.js';
import { materialById, MATERIALS, type Material } from '../material/index.js';
import type { Figure, Finding, Stage } from '../measure/index.js';
import { mountFindings, proposeMounts, type Mount } from '../mounting/index.js';
import {
  boreOf,
  drilledSolid,
  extremes,
  leastCrossWall,
  leastWall,
  outlineOf,
  solidOf,
  type Outline,
  type Part,
} from '../pattern/index.js';
import { cautionsFor, type Caution } from '../safety/index.js';
import { blankFor, type Blank } from '../stock/index.js';
import { finishFindings, gritLadder, protocolOf } from '../surface/index.js';
import { orderOfCuts, speedFor, type SpeedChoice, type TurningStage } from '../turning/index.js';
import type { Step } from '../batch/index.js';
import type { PlanInputs } from './inputs.js';
import { partFindings } from './partFindings.js';
import type { PartPlan, PlannedHardware } from './partPlan.js';
import { withChecks } from './checks.js';
import { shapeFigures } from './shapeFigures.js';
import { clipsCorners } from './prepareSteps.js';
import type { PartDraft } from './stepDraft.js';
import { stepsOf } from './steps.js';

/** A part's plan with its findings and figures by stage. */
export interface PlannedPart {
  plan: PartPlan;
  findings: Finding[];
  figures: Partial<Record<Stage, Figure[]>>;
}

/** Plans one part: each room in its turn, everything from the inputs. */
export function planPart(part: Part, inputs: PlanInputs): PlannedPart {
  const { workshop, order, pattern } = inputs;
  const drawn = drawnPart(part, inputs);
  const { material, outline, pieces, hardware, drill, largestDiameter } = drawn;
  const held = heldPart(drawn, inputs);
  const layout = layoutOf(outline, matingAt(hardware, outline), material, workshop.gauges);
  const clips = clipsCorners(pieces, outline);
  const speeds = speedsOf(inputs, material, held.mount, held.blank.section, largestDiameter, clips);
  const { findings: cutFindings, ...cutting } = orderOfCuts(
    part.id,
    outline,
    workshop.tools,
    held.mount.headstockEnd,
  );
  const bores = (part.crossHoles ?? []).map((hole) => boreOf(hole, outline));
  const cross = planCrossDrilling(part.id, bores, held.blank.section, material, workshop);
  const solid = solidOf(outline);
  const ladder = gritLadder(part.id, material, workshop.abrasives, solid.surface);
  const finish = workshop.finishes.find((f) => f.id === order.finishId);
  const joins = hardware ? joinsOf(hardware.kit, material, workshop.glues) : [];
  const draft: PartDraft = {
    partId: part.id,
    name: part.name,
    pieces,
    material,
    outline,
    largestDiameter,
    mass: (drilledSolid(outline, drill.holes).volume / 1000) * material.density,
    hardware,
    holes: drill.holes,
    leastWall: leastWall(outline, drill.holes),
    bores,
    crossWall: leastCrossWall(outline, drill.holes, part.crossHoles ?? []),
    mounts: held.mounts,
    mount: held.mount,
    blank: held.blank,
    drilling: drill.operations,
    crossDrilling: cross.operations,
    layout,
    speeds,
    ...cutting,
    ladder: ladder.steps,
    finish: finish ? protocolOf(finish) : null,
    joins,
    stations: stationsOf(layout),
  };
  const steps = withChecks(stepsOf(draft), part, pattern);
  return {
    plan: { ...draft, steps, cautions: cautionsOf(draft, steps, inputs) },
    findings: [
      ...partFindings(part, inputs, draft),
      ...drill.findings,
      ...cross.findings,
      ...mountFindings(held.mount, part.id, outline, held.blank, workshop),
      ...cutFindings,
      ...ladder.findings,
      ...(finish ? finishFindings(part.id, finish, material, pattern.usedBy) : []),
      ...(hardware ? joinFindings(part.id, hardware.kit, joins, pieces, workshop.glues) : []),
    ],
    figures: {
      stock: held.figures,
      drill: [...cross.figures, ...drill.figures],
      mark: layout.figures,
      turn: speeds.map((s) => s.figure),
      surface: ladder.figures,
      pattern: [massFigure(draft, solid.volume), ...shapeFigures(part, draft)],
    },
  };
}

/** What follows from the pattern: outline, hardware, holes. */
interface DrawnPart {
  part: Part;
  material: Material;
  outline: Outline;
  pieces: number;
  largestDiameter: number;
  hardware: PlannedHardware | null;
  drill: DrillPlan;
}

function drawnPart(part: Part, inputs: PlanInputs): DrawnPart {
  const { order, workshop } = inputs;
  const own = workshop.materials;
  const material = materialById(order.materialId, own) ?? materialById(part.materialId, own) ?? MATERIALS[0];
  const outline = outlineOf(part.turnings[0]);
  const hardware = hardwareOf(part, inputs, material);
  return {
    part,
    material,
    outline,
    pieces: order.pieces * part.perItem,
    largestDiameter: largestTurned(outline),
    hardware,
    drill: planDrilling(part, outline, hardware?.needs.holes ?? [], material, workshop),
  };
}

/** What follows from holding it: the ways, the one taken, and the blank that leaves room for it. */
interface HeldPart {
  mounts: [Mount, ...Mount[]];
  mount: Mount;
  blank: Blank;
  figures: Figure[];
}

function heldPart(drawn: DrawnPart, { pattern, workshop, order }: PlanInputs): HeldPart {
  const { part, outline, hardware, drill, largestDiameter, pieces } = drawn;
  const mounts = proposeMounts(
    {
      part,
      kind: pattern.kind,
      outline,
      kit: hardware?.kit,
      kitEnd: hardware?.fitted.end,
      mandrelThread: hardware?.needs.mandrelThread,
    },
    workshop,
  );
  const mount = mounts.find((m) => m.kind === order.mount) ?? mounts[0];
  const { blank, figures } = blankFor(
    {
      partId: part.id,
      largestDiameter,
      finishedLength: outline.length,
      wasteDrive: mount.wasteDrive,
      wasteTail: mount.wasteTail,
      // only the ends of a blank can be drilled
      perBlank: drill.operations.length > 0 ? 1 : Math.max(1, order.perBlank),
      pieces,
      ...squareLeft(outline),
    },
    workshop.allowances,
  );
  return { mounts, mount, blank, figures };
}

/** The largest square that stays in the piece, when there is one; only the rest is turned from round. */
function squareLeft({ squares = [] }: Outline): { squareLeft?: number } {
  return squares.length === 0 ? {} : { squareLeft: Math.max(...squares.map((s) => s.side)) };
}

/** Largest diameter that is turned; where squares stay their flats are not. mm. */
function largestTurned(outline: Outline): number {
  const squares = new Set((outline.squares ?? []).map((s) => s.elementId));
  const segments = outline.segments.filter((s) => !squares.has(s.elementId));
  return segments.length === 0 ? 1 : Math.max(1, extremes({ segments }, 0, outline.length).largest.diameter);
}

/** Below this length stock cannot be held by hand at the saw, mm. */
const SHORT_BLANK = 150;

function cautionsOf(draft: PartDraft, steps: Step[], { pattern }: PlanInputs): Caution[] {
  const { hardware, material, mount, finish, speeds, blank } = draft;
  return cautionsFor({
    steps,
    material,
    mount,
    finish: finish?.finish.kind,
    glue: hardware && 'glue' in hardware.kit ? hardware.kit.glue : undefined,
    usedBy: pattern.usedBy,
    fastest: Math.max(...speeds.map((s) => s.surfaceSpeed)),
    shortBlank: blank.length < SHORT_BLANK,
  });
}

function hardwareOf(
  part: Part,
  { pattern, stock, workshop }: PlanInputs,
  material: Material,
): PlannedHardware | null {
  const fitted = pattern.hardware.find((h) => h.partId === part.id);
  const kit = stock.kits.find((k) => k.id === fitted?.kitId);
  if (!fitted || !kit) return null;
  return { fitted, kit, needs: kitNeeds(kit, fitted.end, material, workshop.allowances.holeRoom) };
}

function matingAt(hardware: PlannedHardware | null, outline: Outline) {
  if (!hardware) return null;
  return { face: hardware.needs.mating, x: hardware.fitted.end === 'reference' ? 0 : outline.length };
}

/** Across the corners of what spins when roughing: the square, or the octagon sawn from it. */
const ACROSS_OCTAGON = 1 / Math.cos(Math.PI / 8);

function speedsOf(
  inputs: PlanInputs,
  material: Material,
  mount: Mount,
  section: number,
  largest: number,
  clips: boolean,
): SpeedChoice[] {
  const rough = section * (clips ? ACROSS_OCTAGON : Math.SQRT2);
  const stages: [TurningStage, number][] = [
    ['rough', rough],
    ['size', largest],
    ['shape', largest],
    ['sand', largest],
    ['finish slow', largest],
    ['finish fast', largest],
    ['part off', largest],
  ];
  return stages.map(([stage, diameter]) =>
    speedFor(stage, diameter, material, inputs.workshop, inputs.schools.speed, mount.fastest),
  );
}

const stationsOf = (layout: Layout): Station[] =>
  layout.sizing.map(({ id, label, x, finished, cutTo, tolerance, mating }) => ({
    id,
    label,
    x,
    finished,
    cutTo,
    tolerance,
    mating,
  }));

function massFigure(part: PartDraft, volume: number): Figure {
  return {
    id: 'mass',
    label: 'Mass of a piece',
    value: part.mass,
    unit: 'g',
    working: {
      rule: 'Volume of the solid of revolution less its holes, × density.',
      source: `density of ${part.material.name.toLowerCase()}: ${part.material.certainty}`,
      inputs: [
        { label: 'volume before drilling', value: volume / 1000, unit: 'cm3' },
        { label: 'density, g/cm³', value: part.material.density },
      ],
    },
  };
}
