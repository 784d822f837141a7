import { joinFindings, joinsOf } from '../assembly/index.js';
import { deepest, kitNeeds, matingFindings, planDrilling } from '../hardware/index.js';
import type { Station } from '../inspect/index.js';
import { layoutOf, type Layout } from '../layout/index.js';
import { materialById, MATERIALS, type Material } from '../material/index.js';
import type { Figure, Finding, Stage } from '../measure/index.js';
import { mountFindings, proposeMounts, type Mount } from '../mounting/index.js';
import {
  extremes,
  holeVolume,
  leastWall,
  outlineOf,
  solidOf,
  type Hole,
  type Outline,
  type Part,
} from '../pattern/index.js';
import { cautionsFor } from '../safety/index.js';
import { blankFor, lengthFindings } from '../stock/index.js';
import { finishFindings, gritLadder, protocolOf } from '../surface/index.js';
import { orderOfCuts, speedFor, type SpeedChoice, type TurningStage } from '../turning/index.js';
import type { PlanInputs } from './inputs.js';
import type { PartPlan, PlannedHardware } from './partPlan.js';
import { CLIP_FROM, stepsOf, type PartDraft } from './steps.js';

/** A part's plan with its findings and figures by stage. */
export interface PlannedPart {
  plan: PartPlan;
  findings: Finding[];
  figures: Partial<Record<Stage, Figure[]>>;
}

/** Plans one part: each room in its turn, everything from the inputs. */
export function planPart(part: Part, inputs: PlanInputs): PlannedPart {
  const { workshop, order, pattern } = inputs;
  const material = materialById(order.materialId) ?? materialById(part.materialId) ?? MATERIALS[0];
  const outline = outlineOf(part.turnings[0]);
  const pieces = order.pieces * part.perItem;
  const largestDiameter = Math.max(1, extremes(outline, 0, outline.length).largest.diameter);
  const hardware = hardwareOf(part, inputs, material);
  const drill = planDrilling(part, outline, hardware?.needs.holes ?? [], material, workshop);
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
  const perBlank = drill.operations.length > 0 ? 1 : Math.max(1, order.perBlank);
  const { blank, figures: blankFigures } = blankFor(
    {
      partId: part.id,
      largestDiameter,
      finishedLength: outline.length,
      wasteDrive: mount.wasteDrive,
      wasteTail: mount.wasteTail,
      perBlank,
      pieces,
    },
    workshop.allowances,
  );
  const layout = layoutOf(outline, matingAt(hardware, outline), material, workshop.gauges);
  const speeds = speedsOf(inputs, material, mount, blank.section, largestDiameter, pieces);
  const cutting = orderOfCuts(part.id, outline, workshop.tools, mount.headstockEnd);
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
    mass: massOf(solid.volume, drill.holes, outline, material),
    hardware,
    holes: drill.holes,
    leastWall: leastWall(outline, drill.holes),
    mounts,
    mount,
    blank,
    drilling: drill.operations,
    layout,
    speeds,
    cuts: cutting.cuts,
    toolChanges: cutting.toolChanges,
    ladder: ladder.steps,
    finish: finish ? protocolOf(finish) : null,
    joins,
    stations: stationsOf(layout),
  };
  const steps = stepsOf(draft);
  const cautions = cautionsFor({
    steps,
    material,
    mount,
    finish: finish?.kind,
    glue: hardware && 'glue' in hardware.kit ? hardware.kit.glue : undefined,
    usedBy: pattern.usedBy,
    fastest: Math.max(...speeds.map((s) => s.surfaceSpeed)),
    shortBlank: blank.length < 150,
  });
  const findings = [
    ...outline.problems.map((p) => outlineFinding(part, p.elementId, p.why)),
    ...lengthFindings(part.id, outline.length, pattern.longest?.mm),
    ...(hardware ? matingFindings(part, outline, hardware.fitted, hardware.needs.mating) : []),
    ...perBlankFindings(part, order.perBlank, perBlank),
    ...drill.findings,
    ...mountFindings(mount, part.id, outline, blank, workshop),
    ...mandrelDepthFindings(part, outline, drill.holes, mount),
    ...speedFindings(part, speeds),
    ...cutting.findings,
    ...ladder.findings,
    ...(finish ? finishFindings(part.id, finish, material, pattern.usedBy) : []),
    ...(hardware ? joinFindings(part.id, hardware.kit, joins, pieces, workshop.glues) : []),
    ...materialFindings(part, material, order.materialId),
  ];
  const figures = {
    stock: blankFigures,
    drill: drill.figures,
    mark: layout.figures,
    turn: speeds.map((s) => s.figure),
    surface: ladder.figures,
    pattern: [massFigure(draft, solid.volume)],
  };
  return { plan: { ...draft, steps, cautions }, findings, figures };
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
  pieces: number,
): SpeedChoice[] {
  const rough = section * (pieces >= CLIP_FROM ? ACROSS_OCTAGON : Math.SQRT2);
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

function massOf(volume: number, holes: Hole[], outline: Outline, material: Material): number {
  const drilled = holes.reduce((sum, hole) => sum + holeVolume(hole, outline.length), 0);
  return ((volume - drilled) / 1000) * material.density;
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

const outlineFinding = (part: Part, elementId: string, why: string): Finding => ({
  id: `pattern.outline.${part.id}.${elementId}`,
  severity: 'stop',
  stage: 'pattern',
  partId: part.id,
  elementId,
  what: 'This element cannot be made as it stands.',
  why,
  remedy: 'Change its dimensions; until then the drawing shows it straight.',
});

function perBlankFindings(part: Part, wished: number, planned: number): Finding[] {
  if (planned >= wished) return [];
  return [
    {
      id: `stock.perblank.${part.id}`,
      severity: 'note',
      stage: 'stock',
      partId: part.id,
      what: `One piece from each blank, not ${wished}.`,
      why: 'A piece with a drilled end is drilled while its blank is square, and only the ends of a blank can be reached.',
      remedy: 'Nothing to do; for pieces without holes several come from one blank.',
    },
  ];
}

function mandrelDepthFindings(part: Part, outline: Outline, holes: Hole[], mount: Mount): Finding[] {
  if (mount.kind !== 'between centres' || holes.length === 0) return [];
  const from = mount.headstockEnd === 'reference' ? 'reference' : 'far';
  if (deepest(holes, from, outline.length) === 0) return [];
  return [
    {
      id: `mount.drilledend.${part.id}`,
      severity: 'warn',
      stage: 'mount',
      partId: part.id,
      what: 'The drilled end sits at the drive.',
      why: 'The drive would bear on the rim of the hole only.',
      remedy: 'Turn it end for end, so that the live centre sits in the hole.',
    },
  ];
}

function speedFindings(part: Part, speeds: SpeedChoice[]): Finding[] {
  const cutting = speeds.filter(
    (s) => s.tooFast && (s.stage === 'rough' || s.stage === 'size' || s.stage === 'shape'),
  );
  return cutting.map((s) => ({
    id: `turn.speed.${part.id}.${s.stage}`,
    severity: 'warn',
    stage: 'turn',
    partId: part.id,
    what: `The lathe's slowest speed, ${s.rpm ?? 0} rpm, is above the ${s.wish} rpm wished to ${s.stage}.`,
    why: 'A large or unbalanced piece shakes at that speed.',
    remedy: 'Saw the corners off, stand aside when starting, or use a lathe that goes slower.',
  }));
}

function materialFindings(part: Part, material: Material, wished: string): Finding[] {
  if (material.id === wished) return [];
  return [
    {
      id: `stock.material.${part.id}`,
      severity: 'warn',
      stage: 'stock',
      partId: part.id,
      what: `Nobody has described the material “${wished}”.`,
      why: `The plan counts with ${material.name.toLowerCase()} instead.`,
      remedy: 'Choose a material from the list.',
    },
  ];
}

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
